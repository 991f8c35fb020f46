package bucina.desk.cli;

import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.stack.GroupSummary;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;

/** {@code groups FILE}: every group with its count, grips, lengths and what is installed. */
@Command(
        name = "groups",
        mixinStandardHelpOptions = true,
        description = "Every group: count, grips, chosen designations, installed.")
final class GroupsCommand extends OnBuild implements Callable<Integer> {

    @Override
    public Integer call() {
        Opened opened = open();
        ObjectNode node = Common.object();
        ArrayNode groups = node.putArray("groups");
        List<String> lines = new ArrayList<>(List.of(
                "%-6s %-18s %-22s %6s %6s  %s".formatted("Group", "Face", "Name", "count", "in", "grip and length")));
        for (Build.FaceRef ref : opened.build().faces()) {
            for (Group group : ref.face().groups()) {
                GroupSummary summary = GroupSummary.of(opened.derivation(), ref.face(), group);
                int installed = opened.log().installed(group);
                ObjectNode each = groups.addObject()
                        .put("code", group.code())
                        .put("name", group.name())
                        .put("face", ref.face().name())
                        .put("fastener", group.fastener().name())
                        .put("count", group.count());
                ArrayNode grips = each.putArray("grips");
                summary.grips().forEach((grip, count) -> {
                    ObjectNode one = grips.addObject();
                    one.set("grip", Common.length(grip));
                    one.put("count", count);
                });
                ArrayNode designations = each.putArray("designations");
                summary.designations()
                        .forEach((name, count) -> designations
                                .addObject()
                                .put("designation", name)
                                .put("count", count));
                each.put("installed", installed);
                lines.add("%-6s %-18s %-22s %6d %6d  %s"
                        .formatted(
                                group.code(),
                                ref.face().name(),
                                group.name(),
                                group.count(),
                                installed,
                                text(summary)));
            }
        }
        common().answer(node, lines);
        return Cli.FINE;
    }

    private String text(GroupSummary summary) {
        String grips = summary.grips().keySet().stream()
                .map((Length g) -> common().show(g))
                .collect(Collectors.joining(", "));
        String lengths = summary.designations().entrySet().stream()
                .map(e -> e.getValue() + "x " + e.getKey())
                .collect(Collectors.joining(", "));
        return grips + ": " + lengths;
    }
}
