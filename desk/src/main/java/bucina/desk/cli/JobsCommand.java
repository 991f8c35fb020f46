package bucina.desk.cli;

import bucina.core.job.Demand;
import bucina.core.job.Hold;
import bucina.core.job.Job;
import bucina.core.job.Jobs;
import bucina.core.plan.Row;
import bucina.core.stack.HoleReading;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code jobs FILE [--assembly A] [--open]}: what there is to do, what it needs, and what comes before it. */
@Command(
        name = "jobs",
        mixinStandardHelpOptions = true,
        description = "Every job: what it needs, how long it takes, what comes before it and why it waits.")
final class JobsCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--assembly", description = "Jobs of one assembly only.")
    private @Nullable String assembly;

    @Option(names = "--open", description = "Only what is not done.")
    private boolean open;

    @Override
    public Integer call() {
        JobsOf of = JobsOf.of(open(), assembly, common());
        ObjectNode node = Common.object();
        ArrayNode list = node.putArray("jobs");
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < of.jobs().size(); i++) {
            Job job = of.jobs().job(i);
            if (of.shown(job) && !(open && job.done())) {
                list.add(tree(of.jobs(), i, common().top().clock()));
                lines.add(line(of.jobs(), i));
            }
        }
        common().answer(node, lines.isEmpty() ? List.of("There is nothing to do here.") : lines);
        return Cli.FINE;
    }

    private static String line(Jobs jobs, int i) {
        Job job = jobs.job(i);
        String why = job.done()
                ? "done"
                : jobs.holds(i).stream()
                        .map(Hold::text)
                        .findFirst()
                        .or(() -> jobs.demands(i).stream().map(Demand::text).findFirst())
                        .map(w -> "waits: " + w)
                        .orElse("ready");
        return String.format(
                Locale.ROOT, "%-44s %5.1f min  %s", job.id(), job.minutes().mid(), why);
    }

    /** One job as the contract has it. */
    static ObjectNode tree(Jobs jobs, int i, Clock clock) {
        Job job = jobs.job(i);
        ObjectNode node = Common.object().put("id", job.id()).put("operation", job.word());
        node.put("face", job.place().map(p -> p.face().name()).orElse(null));
        node.put("group", job.place().map(p -> p.group().code()).orElse(null));
        node.put("row", job.place().flatMap(Job.Place::row).map(Row::name).orElse(null));
        ArrayNode holes = node.putArray("holes");
        job.place().ifPresent(p -> p.holes().stream().map(HoleReading::label).forEach(holes::add));
        node.put("count", job.count());
        ArrayNode layers = node.putArray("layers");
        job.place().ifPresent(p -> p.layers().forEach(l -> layers.add(l.name())));
        node.put("part", job.part().map(p -> p.name()).orElse(null));
        node.put("words", job.words()).put("page", job.page());
        node.putObject("setup")
                .put("tool", job.setup().tool())
                .put("die", job.setup().die())
                .put("setting", job.setup().setting())
                .put("side", job.setup().side());
        node.putObject("minutes")
                .put("low", job.minutes().low())
                .put("mid", job.minutes().mid())
                .put("high", job.minutes().high())
                .put("from", job.minutes().own() ? "log" : "typical");
        node.put("people", job.people());
        ArrayNode after = node.putArray("after");
        jobs.demands(i)
                .forEach(d -> after.addObject()
                        .put("job", d.job())
                        .put("rule", d.rule())
                        .put("text", d.text()));
        ArrayNode holds = node.putArray("holds");
        jobs.holds(i).forEach(h -> holds.addObject().put("rule", h.rule()).put("text", h.text()));
        Optional<String> dry = jobs.dry(i, clock.instant())
                .map(t -> LocalDateTime.ofInstant(t, clock.getZone()).toString());
        node.put(
                "not_before",
                dry.or(() -> jobs.notBefore(i).map(LocalDate::toString)).orElse(null));
        return node.put("done", job.done());
    }
}
