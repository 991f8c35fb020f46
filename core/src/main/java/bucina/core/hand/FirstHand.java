package bucina.core.hand;

import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What the first hand's log says of the hole that one on the other hand mirrors.
 *
 * @param hole  of the first hand
 * @param entry by which it was set
 */
public record FirstHand(Work.LoggedHole hole, LogEntry entry) {

    /** Of a hole; empty where its assembly follows no other, or the first hand's hole was not logged. */
    public static Optional<FirstHand> of(Build build, Logbook log, Id.Hole hole) {
        for (Assembly assembly : build.assemblies()) {
            Optional<Id.Hole> first = assembly.twin()
                    .flatMap(t -> t.pairs().entrySet().stream()
                            .filter(p -> p.getValue() == hole.n())
                            .map(Map.Entry::getKey)
                            .findFirst()
                            .map(Id.Hole::new));
            if (first.isPresent()) {
                return log.installedBy(first.get())
                        .flatMap(e -> e.work()
                                .flatMap(w -> w.holes().stream()
                                        .filter(h -> h.id().equals(first.get()))
                                        .findFirst())
                                .map(h -> new FirstHand(h, e)));
            }
        }
        return Optional.empty();
    }

    /** What worked, how long it took, what went wrong. */
    public String words(Unit unit) {
        Work work = entry.work().orElseThrow();
        List<String> said = new ArrayList<>();
        String tool = work.setup().tool();
        said.add(work.designation()
                + (tool.isBlank() ? "" : " with " + tool)
                + work.setup()
                        .setting()
                        .map(s -> ", gap " + LengthFormat.decimal(s, unit, 3))
                        .orElse(""));
        if (work.minutes() > 0) {
            said.add(String.format(
                    Locale.ROOT,
                    "%d in %d min, %.1f each",
                    work.count(),
                    work.minutes(),
                    (double) work.minutes() / work.count()));
        }
        int wrong = work.rejects().stream().mapToInt(Work.Reject::count).sum();
        if (wrong > 0) {
            said.add(wrong + " rejected");
        }
        work.rejects().stream()
                .filter(r -> r.hole().equals(hole.label()))
                .forEach(r ->
                        said.add("this one was " + r.what().words() + (r.note().isBlank() ? "" : ": " + r.note())));
        work.removal().ifPresent(r -> said.add("drilled out before: " + r.why()));
        if (!work.note().isBlank()) {
            said.add("\"" + work.note().strip() + "\"");
        }
        return "First hand, " + hole.label() + ": " + String.join("; ", said) + ".";
    }
}
