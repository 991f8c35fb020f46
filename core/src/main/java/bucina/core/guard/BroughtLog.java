package bucina.core.guard;

import bucina.core.hold.Holds;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.progress.Task;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A log that is brought in with its build: entries about holes that were not ready (P1, P2), and marks before what they
 * rest on (P1), that give no reason are refused, or get the reason given now.
 */
public final class BroughtLog {

    private final Derivation derivation;
    private final Logbook log;
    private final Holds holds;
    private final Map<Id.Face, Guards> guards = new HashMap<>();

    public BroughtLog(Derivation derivation, Logbook log) {
        this.derivation = derivation;
        this.log = log;
        this.holds = new Holds(derivation, log);
    }

    /**
     * The log as it may be brought in.
     *
     * @param because the reason for entries and marks that give none; blank for no reason
     * @throws InputException if an entry or a mark without a reason is about a hole that was not ready
     */
    public Logbook accepted(String because) {
        List<LogEntry> entries = new ArrayList<>();
        for (LogEntry entry : log.entries()) {
            Optional<String> missing =
                    entry.work().filter(w -> log.inForce(entry)).flatMap(this::missing);
            checkReason(missing, because, entry);
            entries.add(missing.isPresent() ? entry.explained(because.strip()) : entry);
        }
        return Logbook.of(entries, marks(because.strip()), log.partMarks());
    }

    private static void checkReason(Optional<String> missing, String because, LogEntry entry) {
        if (missing.isPresent() && because.isBlank()) {
            throw new InputException("entry " + entry.id() + " has no reason why a hole that was not ready was set: "
                    + missing.get() + ". Give one for all of them with --because TEXT");
        }
    }

    /** The marks with a reason at each that stands before what it rests on. A hole that is set answers by its entry. */
    private List<Mark> marks(String because) {
        Set<Step> reasoned = log.marks().stream()
                .filter(m -> !m.note().isBlank())
                .map(Step::of)
                .collect(Collectors.toSet());
        List<Mark> marks = new ArrayList<>();
        for (Mark mark : log.marks()) {
            Optional<String> early = mark.on() && !reasoned.contains(Step.of(mark)) ? early(mark) : Optional.empty();
            checkEarly(early, because);
            marks.add(early.isPresent() ? mark.because(because) : mark);
        }
        return marks;
    }

    private static void checkEarly(Optional<String> early, String because) {
        if (early.isPresent() && because.isBlank()) {
            throw new InputException("a mark has no reason why it comes early: " + early.get()
                    + ". Give one for all of them with --because TEXT");
        }
    }

    /** What a mark is about. */
    private record Step(Id.Hole hole, Id.Layer layer, Operation operation) {

        static Step of(Mark mark) {
            return new Step(mark.hole(), mark.layer(), mark.operation());
        }
    }

    /**
     * What is still missing before a mark that stands; empty for one that was taken back, and for a hole that is set.
     */
    private Optional<String> early(Mark mark) {
        if (!log.marked(mark.hole(), mark.layer(), mark.operation(), mark.side())) {
            return Optional.empty();
        }
        Task task = new Task(mark.operation(), mark.side(), Optional.of(mark.layer()));
        for (Build.FaceRef ref : derivation.build().faces()) {
            Optional<HoleReading> hole = derivation.face(ref.face().id()).of(mark.hole());
            if (hole.isPresent() && mark.operation().afterSet()) {
                return bolt(guards(ref), task, hole.get());
            }
            if (hole.isPresent()) {
                return log.set(hole.get().hole())
                        ? Optional.empty()
                        : guards(ref).early(task, hole.get());
            }
        }
        return Optional.empty();
    }

    /** A bolt that came out again since is not asked for: what was done to it went with it. */
    private Optional<String> bolt(Guards guards, Task task, HoleReading hole) {
        boolean out = !log.set(hole.hole())
                && log.entries().stream()
                        .anyMatch(e -> Logbook.covered(e).contains(hole.hole().id()));
        return out ? Optional.empty() : guards.bolt(task.operation(), hole);
    }

    private Guards guards(Build.FaceRef ref) {
        return guards.computeIfAbsent(ref.face().id(), f -> new Guards(derivation, f, log, holds));
    }

    private Optional<String> missing(Work work) {
        if (!work.explanation().isBlank()) {
            return Optional.empty();
        }
        for (Build.FaceRef ref : derivation.build().faces()) {
            List<HoleReading> here = work.holes().stream()
                    .flatMap(h -> derivation.face(ref.face().id()).of(h.id()).stream())
                    .toList();
            Optional<String> lacks = here.stream()
                    .flatMap(h -> guards(ref).unready(h).stream())
                    .findFirst()
                    .or(() -> guards(ref).burying(here));
            if (lacks.isPresent()) {
                return lacks;
            }
        }
        return new Bays(derivation, log, holds.parts())
                .leftOpen(work.holes().stream().map(Work.LoggedHole::id).collect(Collectors.toSet()));
    }
}
