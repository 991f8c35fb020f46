package bucina.desk.cli;

import bucina.core.layout.TrimLine;
import bucina.core.measure.Length;
import bucina.core.rule.EdgeRule;
import bucina.core.sheet.Point;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc trim}: how far an edge may be cut back. */
@Command(
        name = "trim",
        mixinStandardHelpOptions = true,
        description = "Safe trim line of a row of holes, and the most that may be cut off the edge near it.")
final class CalcTrimCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--holes", required = true, description = "Along the row: X,Y;X,Y;...")
    private String holes;

    @Option(names = "--diameter", required = true, description = "Nominal shank: 3/32, -3, .094 ...")
    private String diameter;

    @Option(names = "--head", required = true, description = "flush or universal.")
    private String head;

    @Option(names = "--outline", required = true, description = "Corners of the sheet: X,Y;X,Y;...")
    private String outline;

    @Override
    public Integer call() {
        EdgeRule rule = EdgeRule.of(common.catalogue().rules(), common.shank(diameter), common.flush(head));
        List<Point> corners = common.points(outline, "--outline");
        if (corners.size() < 3) {
            throw Common.wrong("--outline " + outline + " has " + corners.size()
                    + " corners: a sheet has at least 3, like 0,0;10,0;10,4;0,4");
        }
        TrimLine trim = TrimLine.of(common.points(holes, "--holes"), corners, rule.least());
        ObjectNode node = Common.object();
        ArrayNode line = node.putArray("trim_line");
        List<String> lines = new ArrayList<>();
        trim.line().forEach(p -> {
            line.add(Common.point(p));
            lines.add("%12s %12s".formatted(common.show(p.across()), common.show(p.up())));
        });
        node.set("largest_trim", Common.length(trim.largest()));
        node.set("least_edge_distance", Common.length(rule.least()));
        boolean holds = trim.largest().atLeast(Length.ZERO);
        lines.addFirst("Keep the metal on the holes' side of this line (least edge distance "
                + common.show(rule.least()) + "):");
        lines.add(
                holds
                        ? "At most " + common.show(trim.largest()) + " may be cut off the edge."
                        : "The edge is " + common.show(trim.largest().abs())
                                + " too near already: cut nothing, and ask the kit's maker.");
        common.answer(node, lines);
        return holds ? Cli.FINE : Cli.FINDINGS;
    }
}
