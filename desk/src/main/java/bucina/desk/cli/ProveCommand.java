package bucina.desk.cli;

import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.prove.Judge;
import bucina.core.prove.Proving;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code prove FILE [--group G]}: which heads are to be measured, and how those stand that were. */
@Command(
        name = "prove",
        mixinStandardHelpOptions = true,
        description = "Which heads are to be measured, and how those stand that were.")
final class ProveCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--group", description = "Code of a group: US-1. Without it every group with fasteners set.")
    private @Nullable String group;

    @Override
    public Integer call() {
        Opened opened = open();
        ObjectNode node = Common.object();
        ArrayNode groups = node.putArray("groups");
        List<String> lines = new ArrayList<>();
        if (group != null) {
            Build.GroupRef ref = group(opened, group);
            one(Proving.of(opened.derivation(), opened.log(), ref.face().id(), ref.group()), groups, lines);
        } else {
            for (Build.FaceRef ref : opened.build().faces()) {
                for (Group each : ref.face().groups()) {
                    Proving proving = Proving.of(
                            opened.derivation(), opened.log(), ref.face().id(), each);
                    if (!proving.lines().isEmpty()) {
                        one(proving, groups, lines);
                    }
                }
            }
        }
        common().answer(node, lines.isEmpty() ? List.of("Nothing is set that has a head to prove.") : lines);
        return Cli.FINE;
    }

    private void one(Proving proving, ArrayNode groups, List<String> lines) {
        ObjectNode node = groups.addObject()
                .put("group", proving.group().code())
                .put("count", proving.group().count())
                .put("set", proving.lines().size())
                .put("failed", proving.failed());
        labels(
                node.putArray("sample"),
                proving.lines().stream().filter(Proving.Line::sampled).toList());
        labels(node.putArray("due"), proving.due());
        labels(node.putArray("open"), proving.open());
        ArrayNode judged = node.putArray("judged");
        proving.lines().forEach(l -> l.last().ifPresent(m -> judged.add(judged(l, m))));
        lines.add("%-8s %d of %d set, %d measured, %d failed%s%s"
                .formatted(
                        proving.group().code(),
                        proving.lines().size(),
                        proving.group().count(),
                        judged.size(),
                        proving.failed(),
                        words("; measure ", proving.due()),
                        words("; not left ", proving.open())));
    }

    private static String words(String before, List<Proving.Line> some) {
        return some.isEmpty()
                ? ""
                : before + some.stream().map(Proving.Line::called).collect(Collectors.joining(", "));
    }

    private static void labels(ArrayNode list, List<Proving.Line> lines) {
        lines.forEach(l -> list.add(l.called()));
    }

    private ObjectNode judged(Proving.Line line, Proving.Measured m) {
        ObjectNode node = Common.object().put("hole", line.called()).put("number", line.number());
        node.set("diameter", Common.length(m.head().reading().map(r -> r.diameter())));
        node.set("height", Common.length(m.head().reading().map(r -> r.height())));
        ArrayNode seen = node.putArray("seen");
        m.head().seen().forEach(s -> seen.add(s.words(common().unit())));
        said(node.putObject("process"), m.judged().process());
        said(node.putObject("gauge"), m.judged().gauge());
        return node.put("governing", m.judged().governing().code())
                .put("decided", m.decided().code())
                .put("reason", m.head().reason())
                .put("entry", m.entry());
    }

    private void said(ObjectNode node, Judge.Said said) {
        node.put("verdict", said.verdict().code()).put("why", said.why().in(common().unit()));
    }
}
