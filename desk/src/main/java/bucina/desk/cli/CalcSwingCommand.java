package bucina.desk.cli;

import bucina.core.refit.Swing;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc swing}: how far a part can swing that hangs on a few holes. */
@Command(
        name = "swing",
        mixinStandardHelpOptions = true,
        description = "How far a part can swing that hangs on a few holes.")
final class CalcSwingCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--spread", required = true, description = "Largest distance between two of the holes; 0 for one.")
    private String spread;

    @Option(names = "--slop", required = true, description = "Hole less cleco, both sheets added.")
    private String slop;

    @Option(names = "--reach", required = true, description = "From the middle of the holes to where it matters.")
    private String reach;

    @Override
    public Integer call() {
        Swing swing = Swing.of(
                common.lengths().parse(spread),
                common.lengths().parse(slop),
                common.lengths().parse(reach));
        ObjectNode node = Common.object();
        node.set("swing", Common.length(swing.most()));
        node.put("free", swing.most().isEmpty());
        node.put("say", swing.says().in(common.unit()));
        common.answer(node, List.of(swing.says().in(common.unit())));
        return Cli.FINE;
    }
}
