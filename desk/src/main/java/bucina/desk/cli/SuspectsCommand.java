package bucina.desk.cli;

import bucina.core.prove.Suspects;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;

/** {@code suspects FILE}: what failed and drifting readings make doubtful. */
@Command(
        name = "suspects",
        mixinStandardHelpOptions = true,
        description = "What failed and drifting readings make doubtful, by tool, die, setting and person.")
final class SuspectsCommand extends OnBuild implements Callable<Integer> {

    @Override
    public Integer call() {
        Opened opened = open();
        Suspects suspects = Suspects.of(opened.derivation(), opened.log());
        ObjectNode node = Common.object();
        ArrayNode all = node.putArray("suspects");
        List<String> lines = new ArrayList<>();
        for (Suspects.Run run : suspects.runs()) {
            for (Suspects.Doubt doubt : run.doubts()) {
                all.add(doubt(run, doubt));
                lines.add(run.setUp().words(common().unit()) + ": "
                        + doubt.cause().words() + " at "
                        + doubt.by().group().code() + " " + doubt.by().label() + "; check "
                        + (doubt.doubtful().isEmpty()
                                ? "nothing else"
                                : doubt.doubtful().stream()
                                        .map(s -> s.group().code() + " " + s.label())
                                        .collect(Collectors.joining(", "))));
            }
        }
        ArrayNode gauges = node.putArray("gauges");
        for (Suspects.GaugeDoubt g : suspects.gauges()) {
            ObjectNode each = gauges.addObject().put("gauge", g.gauge()).put("check", g.check());
            ArrayNode entries = each.putArray("entries");
            g.entries().forEach(entries::add);
            lines.add(g.gauge() + " failed its check in entry " + g.check() + ": read again what entries "
                    + g.entries().stream().map(String::valueOf).collect(Collectors.joining(", ")) + " say");
        }
        node.put("count", suspects.doubtful().size());
        common().answer(node, lines.isEmpty() ? List.of("No reading makes anything doubtful.") : lines);
        return Cli.FINE;
    }

    private static ObjectNode doubt(Suspects.Run run, Suspects.Doubt doubt) {
        ObjectNode node = Common.object();
        ObjectNode up = node.putObject("setup")
                .put("tool", run.setUp().tool())
                .put("die", run.setUp().die());
        up.set("setting", Common.length(run.setUp().setting()));
        up.put("who", run.setUp().who());
        node.put("cause", doubt.cause().code())
                .put("group", doubt.by().group().code())
                .put("hole", doubt.by().label())
                .put("entry", doubt.by().entry());
        ArrayNode holes = node.putArray("holes");
        doubt.doubtful()
                .forEach(s -> holes.addObject()
                        .put("group", s.group().code())
                        .put("hole", s.label())
                        .put("entry", s.entry()));
        return node;
    }
}
