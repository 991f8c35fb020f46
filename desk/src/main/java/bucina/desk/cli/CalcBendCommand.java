package bucina.desk.cli;

import bucina.core.bend.Bend;
import bucina.core.bend.NeutralLine;
import bucina.core.measure.Angle;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc bend}: one bend. */
@Command(name = "bend", mixinStandardHelpOptions = true, description = "Allowance, setback and deduction of a bend.")
final class CalcBendCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--radius", required = true, description = "Inside radius.")
    private String radius;

    @Option(names = "--thickness", required = true, description = "Of the sheet.")
    private String thickness;

    @Option(
            names = "--angle",
            required = true,
            description = "How far the sheet is turned, in degrees; not the angle left between the legs.")
    private String angle;

    @Option(
            names = "--k",
            required = true,
            description = "The neutral line's share of the thickness, like 0.446, or empirical.")
    private String k;

    @Override
    public Integer call() {
        Bend bend = new Bend(
                common.lengths().parse(radius),
                common.lengths().parse(thickness),
                Angle.parse(angle),
                NeutralLine.parse(k));
        ObjectNode node = tree(bend);
        List<String> lines = lines(bend);
        common.answer(node, lines);
        return Cli.FINE;
    }

    private List<String> lines(Bend bend) {
        List<String> lines = new ArrayList<>(List.of("%-10s %s".formatted("Allowance", common.show(bend.allowance()))));
        setback(lines, bend);
        bend.deduction().ifPresent(d -> lines.add("%-10s %s".formatted("Deduction", common.show(d))));
        lines.add("Turned by %s; %s left between the legs. Try it on a strip of the same sheet first."
                .formatted(bend.size(), Angle.degrees(180 - bend.size().degrees())));
        return lines;
    }

    private void setback(List<String> lines, Bend bend) {
        lines.add("%-10s %s"
                .formatted(
                        "Setback",
                        bend.setback().map(common::show).orElse("none at 180°: the outer faces do not meet")));
    }

    private static ObjectNode tree(Bend bend) {
        ObjectNode node = Common.object();
        node.set("allowance", Common.length(bend.allowance()));
        bend.setback().ifPresentOrElse(s -> node.set("setback", Common.length(s)), () -> node.putNull("setback"));
        bend.deduction().ifPresentOrElse(d -> node.set("deduction", Common.length(d)), () -> node.putNull("deduction"));
        return node;
    }
}
