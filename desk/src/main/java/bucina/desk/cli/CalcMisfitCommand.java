package bucina.desk.cli;

import bucina.core.measure.Length;
import bucina.core.refit.Misfit;
import bucina.core.refit.MisfitWords;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc misfit}: why a part's holes do not meet those they lie under. */
@Command(
        name = "misfit",
        mixinStandardHelpOptions = true,
        description = "Why a part's holes do not meet: moved, of another pitch, bowed, or one bad hole.")
final class CalcMisfitCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--holes", required = true, description = "Where they should be: X,Y;X,Y;... Three or more.")
    private String holes;

    @Option(
            names = "--offsets",
            required = true,
            description = "Where the part's hole is, less where it should be: DX,DY;DX,DY;...")
    private String offsets;

    @Option(names = "--within", defaultValue = ".006 in", description = "How much a hole may be off: ${DEFAULT-VALUE}.")
    private String within;

    @Override
    public Integer call() {
        Misfit misfit = Misfit.of(
                common.points(holes, "--holes"),
                common.points(offsets, "--offsets"),
                common.lengths().parsePositive(within, "--within"));
        String say = MisfitWords.bare(misfit.residuals().size()).of(misfit).in(common.unit());
        ObjectNode node = Common.object();
        node.set("shift", Common.point(misfit.shift()));
        node.put("turn", misfit.turn());
        node.set("about", Common.point(misfit.about()));
        ArrayNode residuals = node.putArray("residuals");
        misfit.residuals().forEach(r -> residuals.add(Common.length(r)));
        node.put("verdict", misfit.verdict().code());
        if (misfit.pull().isPresent()) {
            node.put("pull", misfit.pull().getAsInt());
        } else {
            node.putNull("pull");
        }
        node.put("say", say);
        List<String> lines = new ArrayList<>(List.of(say));
        int n = 1;
        for (Length residual : misfit.residuals()) {
            lines.add("hole %-3d %12s left".formatted(n++, common.show(residual)));
        }
        common.answer(node, lines);
        return Cli.FINE;
    }
}
