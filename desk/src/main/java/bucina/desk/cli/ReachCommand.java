package bucina.desk.cli;

import bucina.core.plan.Tool;
import bucina.core.reach.Reach;
import bucina.core.reach.ToolCrib;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code reach FILE --face NAME [--operation OP]}: which tools get at the holes. */
@Command(
        name = "reach",
        mixinStandardHelpOptions = true,
        description = "Which tools of the crib get at each hole, and why the others do not.")
final class ReachCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--face", required = true, description = "Name of the face: \"Upper skin\"")
    private String face;

    @Option(
            names = "--operation",
            description = "dimpled, countersunk, set or torqued; left out: all that a hole takes.")
    private @Nullable String operation;

    @Override
    public Integer call() {
        checkOperation();
        Opened opened = open();
        var ref = face(opened, face);
        List<Tool> crib = ToolCrib.of(opened.build(), common().catalogue());
        List<Reach> reaches = Reach.of(
                        opened.derivation().face(ref.face().id()),
                        opened.build(),
                        crib,
                        ToolCrib.typical(common().catalogue()),
                        opened.log())
                .stream()
                .filter(r -> operation == null || r.work().operation().equals(operation))
                .toList();
        ObjectNode node = Common.object().put("face", ref.face().name());
        ArrayNode holes = node.putArray("holes");
        reaches.forEach(r -> holes.add(tree(r)));
        long none = reaches.stream().filter(r -> r.tools().isEmpty()).count();
        node.put("out_of_reach", none);
        common().answer(node, lines(reaches));
        return none == 0 ? Cli.FINE : Cli.FINDINGS;
    }

    private void checkOperation() {
        if (operation != null
                && Arrays.stream(Reach.Work.values())
                        .noneMatch(w -> w.operation().equals(operation))) {
            throw Common.wrong("--operation \"" + operation
                    + "\" wants no tool at the hole: write dimpled, countersunk, set or torqued");
        }
    }

    private ObjectNode tree(Reach r) {
        ObjectNode node = Common.object()
                .put("hole", r.hole().label())
                .put("operation", r.work().operation());
        ArrayNode tools = node.putArray("tools");
        r.tools().forEach(t -> tools.add(t.name()));
        ArrayNode blocked = node.putArray("blocked");
        for (Reach.Blocked b : r.blocked()) {
            ObjectNode each = blocked.addObject()
                    .put("tool", b.tool().name())
                    .put("why", b.why().in(common().unit()));
            each.set("measured", Common.length(b.measured()));
            each.set("required", Common.length(b.required()));
        }
        ArrayNode ways = node.putArray("ways_out");
        r.waysOut().forEach(ways::add);
        return node;
    }

    /** Holes that the same tools reach are one line; those that none reaches are named with every reason. */
    private List<String> lines(List<Reach> reaches) {
        Map<String, List<Reach>> alike = ToolCrib.alike(reaches);
        List<String> lines = new ArrayList<>();
        alike.forEach((words, list) -> lines(lines, list, words));
        lines.add("Typical tools: measure your own and put them in the crib.");
        return lines;
    }

    private void lines(List<String> lines, List<Reach> list, String words) {
        lines.add("%4d holes  %s".formatted(list.size(), words));
        boolean some = list.getFirst().blocked().isEmpty();
        if (!some) {
            lines.add("            "
                    + list.stream().map(r -> r.hole().label()).limit(8).collect(Collectors.joining(", "))
                    + (list.size() > 8 ? " ..." : "") + "  "
                    + list.getFirst().blocked().stream()
                            .map(b -> b.why().in(common().unit()))
                            .collect(Collectors.joining(" ")));
            list.getFirst().waysOut().forEach(w -> lines.add("            " + w));
        }
    }
}
