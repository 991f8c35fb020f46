package bucina.desk.cli;

import bucina.core.evening.Slip;
import bucina.core.evening.Tonight;
import bucina.core.job.Job;
import bucina.core.order.OrderOfWork;
import bucina.core.stack.HoleReading;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code tonight FILE --hours 2.5 [--helper] [--assembly A]}: what fits into an evening. */
@Command(
        name = "tonight",
        mixinStandardHelpOptions = true,
        description = "The jobs that fit into an evening, what to lay out, and where to stop.")
final class TonightCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--hours", required = true, description = "How long the evening is, such as 2.5")
    private double hours;

    @Option(names = "--helper", description = "Somebody helps.")
    private boolean helper;

    @Option(names = "--assembly", description = "Jobs of one assembly only.")
    private @Nullable String assembly;

    @Override
    public Integer call() {
        Opened opened = open();
        JobsOf of = JobsOf.of(opened, assembly, common());
        OrderOfWork order = OrderOfWork.of(of.jobs(), of::shown);
        Tonight tonight = Tonight.of(of.jobs(), order, opened.derivation(), opened.log(), hours, helper);
        common().answer(tree(tonight), lines(tonight));
        return Cli.FINE;
    }

    private ObjectNode tree(Tonight tonight) {
        ObjectNode node = Common.object();
        ArrayNode jobs = node.putArray("jobs");
        for (Tonight.Stint stint : tonight.stints()) {
            ObjectNode one = jobs.addObject().put("id", stint.job().id());
            ArrayNode holes = one.putArray("holes");
            stint.holes().stream().map(HoleReading::label).forEach(holes::add);
            one.put("minutes", stint.minutes()).put("lost", stint.lost()).put("count", stint.count());
        }
        ObjectNode out = node.putObject("lay_out");
        strings(out.putArray("tools"), tonight.layOut().tools());
        strings(out.putArray("dies"), tonight.layOut().dies());
        strings(out.putArray("drills"), tonight.layOut().drills());
        counts(out.putObject("fasteners"), tonight.layOut().fasteners());
        counts(out.putObject("clecos"), tonight.layOut().clecos());
        counts(out.putObject("hardware"), tonight.layOut().hardware());
        ArrayNode stops = node.putArray("stops");
        tonight.stops().forEach(i -> stops.add(tonight.stints().get(i).job().id()));
        strings(node.putArray("finish_before_stopping"), tonight.finish());
        strings(
                node.putArray("waits_for_helper"),
                tonight.helper().stream().map(Job::id).toList());
        ArrayNode slow = node.putArray("slow_down");
        for (Slip slip : tonight.slow()) {
            slow.addObject().put("hole", slip.hole().label()).put("cost", slip.say(common().unit()));
        }
        return node.put("minutes", tonight.minutes());
    }

    private static void strings(ArrayNode to, List<String> from) {
        from.forEach(to::add);
    }

    private static void counts(ObjectNode to, Map<String, Integer> from) {
        from.forEach(to::put);
    }

    private List<String> lines(Tonight tonight) {
        List<String> lines = new ArrayList<>();
        for (Tonight.Stint stint : tonight.stints()) {
            stint.changes().forEach(c -> lines.add("    " + c));
            lines.add(String.format(Locale.ROOT, "%6.1f min  %s", stint.minutes() + stint.lost(), stint.words()));
        }
        if (tonight.stints().isEmpty()) {
            lines.add("Nothing fits into " + hours + " h: `jobs FILE --open` says what each job waits for.");
        }
        lines.add("Lay out: " + String.join(", ", tonight.layOut().tools()));
        tonight.layOut().fasteners().forEach((d, n) -> lines.add("  " + n + " × " + d));
        tonight.slow().forEach(s -> lines.add("Slow down at " + s.hole().label() + ": " + s.say(common().unit())));
        return lines;
    }
}
