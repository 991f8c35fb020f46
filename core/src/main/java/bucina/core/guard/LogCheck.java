package bucina.core.guard;

import bucina.core.callout.Queries;
import bucina.core.hold.Holds;
import bucina.core.log.Deed;
import bucina.core.log.HoleState;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Used;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.rivet.Grade;
import bucina.core.rivet.RivetChooser;
import bucina.core.rivet.RivetDesignation;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Sees that an entry fits the plan and the log before it is written down. Pure; says everything in sentences for the
 * builder.
 */
public final class LogCheck {

    /** Shop heads lie between these, in diameters: beyond them the sheet or the gauge was misread. */
    private static final double WIDEST = 3;

    private static final double HIGHEST = 2;
    private static final double FLATTEST = 0.05;

    private final Derivation derivation;
    private final Logbook log;
    private @Nullable Holds holds;

    public LogCheck(Derivation derivation, Logbook log) {
        this.derivation = derivation;
        this.log = log;
    }

    /** Where it is known already what is held open. */
    public LogCheck(Derivation derivation, Logbook log, Holds holds) {
        this(derivation, log);
        this.holds = holds;
    }

    /**
     * Refuses an entry that cannot be true: a hole that is logged already, a typed group over its count, a date in
     * the future, a length
     * graded short or long (or another rivet than planned) with no word of explanation; and holes that are not ready
     * (P1, P2, P3, an open error) with no explanation: a note is not one.
     *
     * @param now wall clock of the shop
     * @throws InputException with one sentence
     */
    public void accept(LogEntry.Draft draft, LocalDateTime now) {
        draft.corrects().ifPresent(this::corrected);
        draft.deed().ifPresent(d -> past(d, now));
        draft.deed()
                .filter(Labour.class::isInstance)
                .ifPresent(
                        l -> new LabourCheck(derivation, log, draft.corrects().flatMap(log::entry)).accept((Labour) l));
        draft.deed().filter(Labour.class::isInstance).ifPresent(l -> new TorqueCheck(derivation).accept((Labour) l));
        draft.work().ifPresent(work -> {
            Owner ref = owner(work);
            holes(work, ref.group, draft.corrects());
            readings(work, ref.group);
            queried(ref.group);
            sense(work, ref);
            ready(work, ref.at, ref.group, draft.corrects());
        });
    }

    private static void past(Deed deed, LocalDateTime now) {
        if (deed.done().isAfter(now.plusMinutes(1))) {
            throw new InputException("done at " + deed.done() + " lies in the future (it is " + now.withNano(0)
                    + "): give when it was done");
        }
    }

    private void sense(Work work, Owner ref) {
        List<String> odd = odd(work, ref.group, ref.face());
        if (!odd.isEmpty() && work.explanation().isBlank() && work.note().isBlank()) {
            throw new InputException(
                    String.join("; ", odd) + ": add a word of explanation, such as \"drawing calls for it\"");
        }
    }

    private Owner owner(Work work) {
        return derivation.build().faces().stream()
                .flatMap(f -> f.face().groups().stream()
                        .filter(g -> g.id().equals(work.group()))
                        .map(g -> new Owner(f, g)))
                .findFirst()
                .orElseThrow(() -> new InputException("group " + work.groupCode() + " is not in this build"));
    }

    /**
     * Heads that no rivet of the diameter can have are slips of the hand: a shop head is wider than its shank, and its
     * metal came out of the shank.
     */
    private static void readings(Work work, Group group) {
        if (!(group.fastener() instanceof Fastener.SolidRivet)) {
            return;
        }
        Set<Length> shanks = shanks(group);
        for (Work.Reading r : work.readings()) {
            if (shanks.stream().noneMatch(d -> possible(r, d))) {
                Length d = group.fastener().shank();
                throw new InputException("a shop head of " + r.diameter() + " x " + r.height() + " cannot be one of a "
                        + d + " rivet: it is " + d + " to " + d.times(WIDEST) + " across and up to " + d.times(HIGHEST)
                        + " high, diameter first, like " + d.times(1.5) + " x " + d.times(0.5));
            }
        }
    }

    private static Set<Length> shanks(Group group) {
        Set<Length> shanks = group.rows().stream()
                .flatMap(r -> r.holes().stream())
                .map(h -> group.fastenerAt(h).shank())
                .collect(Collectors.toSet());
        shanks.add(group.fastener().shank());
        return shanks;
    }

    private static boolean possible(Work.Reading r, Length d) {
        return r.diameter().atLeast(d)
                && r.diameter().atMost(d.times(WIDEST))
                && r.height().atLeast(d.times(FLATTEST))
                && r.height().atMost(d.times(HIGHEST));
    }

    /** A group with an open query waits for its answer, with or without a reason. */
    private void queried(Group group) {
        Queries.open(derivation.build().papers(), group.id()).stream()
                .findFirst()
                .ifPresent(q -> {
                    throw new InputException("group " + group.code() + " is held by a query of " + q.opened() + " ("
                            + q.text() + "): answer it with its source first");
                });
    }

    /**
     * A hole that is not ready is set only with a reason. Holes that the corrected entry covers are in already.
     */
    private void ready(Work work, Build.FaceRef at, Group group, Optional<Integer> corrects) {
        if (!work.explanation().isBlank()) {
            return;
        }
        Set<Id.Hole> in = corrects.flatMap(log::entry).flatMap(LogEntry::work).stream()
                .flatMap(w -> w.holes().stream())
                .map(Work.LoggedHole::id)
                .collect(Collectors.toSet());
        Id.Face face = at.face().id();
        List<HoleReading> coming = work.holes().stream()
                .filter(h -> !in.contains(h.id()) && work.removal().isEmpty())
                .flatMap(h -> derivation.face(face).of(h.id()).stream())
                .toList();
        new Guards(derivation, face, log, holds != null ? holds : new Holds(derivation, log))
                .against(group, coming, at.assembly().unit())
                .ifPresent(a -> {
                    throw new InputException(a.sentence());
                });
    }

    private record Owner(Build.FaceRef at, Group group) {

        Id.Face face() {
            return at.face().id();
        }
    }

    private void corrected(int id) {
        LogEntry first = log.entry(id)
                .orElseThrow(() ->
                        new InputException("entry " + id + " is not in the log; the last is " + (log.nextId() - 1)));
        if (!log.inForce(first)) {
            throw new InputException(
                    "entry " + id + " is corrected already: correct the entry that stands in its place");
        }
    }

    private void holes(Work work, Group group, Optional<Integer> corrects) {
        if (group.typed().isPresent()) {
            int before = log.installed(group)
                    - corrects.flatMap(log::entry)
                            .flatMap(LogEntry::work)
                            .filter(w -> w.group().equals(group.id()))
                            .map(Work::sound)
                            .orElse(0);
            int left = group.count() - before;
            if (!work.holes().isEmpty() || work.count() > left) {
                throw new InputException("group " + group.code() + " has " + left + " of " + group.count()
                        + " left to set, was " + work.count());
            }
            return;
        }
        if (work.holes().isEmpty()) {
            throw new InputException(
                    "group " + group.code() + " has holes on the sheet: name them, such as row R3, holes 1-40");
        }
        Set<Id.Hole> own = group.rows().stream()
                .flatMap(r -> r.holes().stream())
                .map(h -> h.id())
                .collect(Collectors.toSet());
        Set<Id.Hole> seen = new LinkedHashSet<>();
        for (Work.LoggedHole hole : work.holes()) {
            if (!own.contains(hole.id())) {
                throw new InputException("hole " + hole.label() + " is not in group " + group.code());
            }
            if (!seen.add(hole.id())) {
                throw new InputException("hole " + hole.label() + " is named twice");
            }
            if (work.removal().isPresent()) {
                drilledOut(work, hole, corrects);
            } else {
                open(group, hole, corrects);
            }
        }
    }

    private void open(Group group, Work.LoggedHole hole, Optional<Integer> corrects) {
        log.installedBy(hole.id())
                .filter(e -> corrects.isEmpty() || e.id() != corrects.get())
                .ifPresent(e -> {
                    if (log.state(holeOf(group, hole.id()), List.of()) != HoleState.REJECTED) {
                        throw new InputException("hole " + hole.label() + " is logged as set in entry " + e.id()
                                + ": correct that entry instead");
                    }
                });
    }

    /** Only what is in is drilled out, and a second time at the same hole asks for a reason. */
    private void drilledOut(Work work, Work.LoggedHole hole, Optional<Integer> corrects) {
        if (log.installedBy(hole.id()).isEmpty()) {
            throw new InputException("hole " + hole.label() + " has no fastener in that could be drilled out");
        }
        boolean before = log.entries().stream()
                .filter(e -> log.inForce(e) && corrects.filter(c -> c == e.id()).isEmpty())
                .flatMap(e -> e.work().stream())
                .anyMatch(w -> w.removal().isPresent() && w.holes().stream().anyMatch(h -> h.id().equals(hole.id())));
        if (before && work.explanation().isBlank()) {
            throw new InputException("hole " + hole.label() + " is drilled out a second time: it grows each time."
                    + " Ask the kit's maker, and give the answer with its source as the reason");
        }
    }

    private static Hole holeOf(Group group, Id.Hole id) {
        return group.rows().stream()
                .flatMap(r -> r.holes().stream())
                .filter(h -> h.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private List<String> odd(Work work, Group group, Id.Face face) {
        List<String> odd = new ArrayList<>();
        for (Map.Entry<Solution, List<String>> each :
                solutions(work, group, face).entrySet()) {
            wrong(work, each.getKey())
                    .ifPresent(w -> odd.add(w + (each.getValue().isEmpty() ? "" : " at " + some(each.getValue()))));
        }
        return odd;
    }

    private Map<Solution, List<String>> solutions(Work work, Group group, Id.Face face) {
        Map<Solution, List<String>> holes = new LinkedHashMap<>();
        derivation.typed(group.id()).ifPresent(s -> holes.put(s, List.of()));
        if (holes.isEmpty()) {
            FaceReading readings = derivation.face(face);
            for (Work.LoggedHole hole : work.holes()) {
                HoleReading reading = readings.of(hole.id()).orElseThrow();
                holes.computeIfAbsent(reading.solution(), s -> new ArrayList<>())
                        .add(hole.label());
            }
        }
        return holes;
    }

    /** What is odd about the rivet used in one stack; empty if nothing is. */
    private Optional<String> wrong(Work work, Solution solution) {
        if (solution.fastener() instanceof Fastener.Hardware hardware) {
            return other(work, solution.designation().orElse(hardware.name()));
        }
        if (solution.fastener() instanceof Fastener.RivetNut nut) {
            return other(work, nut.name());
        }
        if (solution.fastener() instanceof Fastener.PulledRivet pulled) {
            return wrong(work, solution, pulled);
        }
        return solid(work, solution);
    }

    private static Optional<String> other(Work work, String planned) {
        return work.designation().equalsIgnoreCase(planned)
                ? Optional.empty()
                : Optional.of(work.designation() + " is not the " + planned + " of the plan");
    }

    private Optional<String> solid(Work work, Solution solution) {
        RivetDesignation used = RivetDesignation.parse(work.designation());
        if (!used.family().equals(solution.fastener().name())) {
            return Optional.of(
                    used.code() + " is not the " + solution.fastener().name() + " of the plan");
        }
        if (solution.choice().isEmpty()) {
            return Optional.empty();
        }
        var choice = solution.choice().get();
        Length length = work.length().orElse(used.nominalLength());
        Grade grade = new RivetChooser(derivation.build().rules()).grade(choice.head(), choice.size(), length);
        return grade == Grade.GOOD ? Optional.empty() : Optional.of(used.dash() + " is graded " + grade.code());
    }

    private static Optional<String> wrong(Work work, Solution solution, Fastener.PulledRivet pulled) {
        Used used = Used.parse(pulled, work.designation());
        if (!used.code().startsWith(pulled.name())) {
            return Optional.of(used.code() + " is not the " + pulled.name() + " of the plan");
        }
        return fromPlan(solution, pulled, work, used);
    }

    private static Optional<String> fromPlan(Solution solution, Fastener.PulledRivet pulled, Work work, Used used) {
        Optional<String> planned = solution.designation();
        boolean stainless = pulled.stainless()
                && work.note().isBlank()
                && work.explanation().isBlank();
        if (planned.isPresent() && !planned.get().equals(used.code())) {
            return Optional.of(used.code() + " is not the " + planned.get() + " this stack takes");
        }
        return stainless
                ? Optional.of(used.code() + " has a stainless body, nearly impossible to drill out once it is set")
                : Optional.empty();
    }

    private static String some(List<String> labels) {
        return labels.size() <= 3
                ? String.join(", ", labels)
                : labels.getFirst() + " to " + labels.getLast() + " (" + labels.size() + " holes)";
    }
}
