package bucina.core.guard;

import bucina.core.log.CloseOut;
import bucina.core.log.GaugeCheck;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Proof;
import bucina.core.log.Reset;
import bucina.core.log.Taken;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.part.PartStates;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.stack.Derivation;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Sees that work which sets no fastener is about what the build has, before it is written down. */
final class LabourCheck {

    /** Stands for an entry that found nothing; its part is none that a build has. */
    private static final Labour.Found NOTHING =
            new Labour.Found("", List.of(new Id.Part(Long.MAX_VALUE)), List.of(), List.of(), 0);

    private final Derivation derivation;
    private final Build build;
    private final Logbook log;
    private final Optional<LogEntry> instead;

    /**
     * @param instead the entry it stands in place of
     */
    LabourCheck(Derivation derivation, Logbook log, Optional<LogEntry> instead) {
        this.derivation = derivation;
        this.build = derivation.build();
        this.log = log;
        this.instead = instead;
    }

    void accept(Labour labour) {
        switch (labour.what()) {
            case Labour.Holes h -> h.sweeps().forEach(this::sweep);
            case Labour.OnPart p -> part(p.part());
            case Labour.Own o -> job(o.job());
            case Labour.Stock s -> {}
            case Labour.Found f -> found(f);
            case Proof p -> proof(p);
            case GaugeCheck c -> {}
            case Reset r -> {}
            case CloseOut c -> bay(c);
            case Taken t -> taken(t);
        }
    }

    private void sweep(Labour.Sweep sweep) {
        Set<Id.Hole> own = holes(group(sweep.group(), sweep.code()));
        for (Work.LoggedHole hole : sweep.holes()) {
            if (!own.contains(hole.id())) {
                throw new InputException("hole " + hole.label() + " is not in group " + sweep.code());
            }
        }
    }

    private static Set<Id.Hole> holes(Group group) {
        return group.rows().stream()
                .flatMap(r -> r.holes().stream())
                .map(h -> h.id())
                .collect(Collectors.toSet());
    }

    private Group group(Id.Group id, String code) {
        return build.faces().stream()
                .flatMap(f -> f.face().groups().stream())
                .filter(g -> g.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new InputException("group " + code + " is not in this build"));
    }

    /** Only what is in is proved. */
    private void proof(Proof proof) {
        Group group = group(proof.group(), proof.code());
        Set<Id.Hole> own = holes(group);
        for (Proof.Head head : proof.heads()) {
            if (head.hole().isEmpty()) {
                if (group.typed().isEmpty() || head.number() > log.installed(group)) {
                    throw new InputException(head.called() + " of group " + proof.code() + " is not set: "
                            + log.installed(group) + " are");
                }
                continue;
            }
            Work.LoggedHole hole = head.hole().get();
            if (!own.contains(hole.id())) {
                throw new InputException("hole " + hole.label() + " is not in group " + proof.code());
            }
            if (log.installedBy(hole.id()).isEmpty()) {
                throw new InputException("hole " + hole.label() + " has no fastener in that could be proved");
            }
        }
    }

    /** A bay is signed with every open point that has no reason done; what the signing itself counts is counted. */
    private void bay(CloseOut closed) {
        Bay bay = build.workshop().bays().stream()
                .filter(b -> b.id().equals(closed.bay()))
                .findFirst()
                .orElseThrow(() -> new InputException("bay " + closed.name() + " is not in this build"));
        BayPoints points = new BayPoints(derivation, log, PartStates.of(derivation, log));
        Set<String> left = closed.open().stream().map(CloseOut.Left::point).collect(Collectors.toSet());
        Map<String, Integer> due = points.loose(bay);
        Set<String> counted = closed.counted().stream()
                .filter(c -> c.out() >= due.getOrDefault(c.what(), 0))
                .map(CloseOut.Counted::what)
                .collect(Collectors.toSet());
        List<String> open = points.of(bay).stream()
                .filter(p -> !(p.kind() == BayPoints.Kind.LOOSE && counted.contains(p.where())))
                .map(BayPoints.Point::text)
                .filter(t -> !left.contains(t))
                .toList();
        if (!open.isEmpty()) {
            throw new InputException(bay.name() + " is not signed with points open and no reason: "
                    + open.stream().limit(3).collect(Collectors.joining("; "))
                    + (open.size() > 3 ? "; " + (open.size() - 3) + " more" : "")
                    + ". Do them, or give a reason for each, such as \"pulled from outside after closing\"");
        }
    }

    private void taken(Taken taken) {
        if (build.workshop().gagings().stream().noneMatch(g -> g.id().equals(taken.of()))) {
            throw new InputException("reading " + taken.name() + " is not asked for in this build");
        }
    }

    private void part(Id.Part id) {
        if (build.parts().stream().noneMatch(p -> p.id().equals(id))) {
            throw new InputException("part " + id.n() + " is not in this build");
        }
    }

    private void job(Id.Own id) {
        if (build.workshop().jobs().stream().noneMatch(j -> j.id().equals(id))) {
            throw new InputException("job own:" + id.n() + " is not in this build; it has "
                    + (build.workshop().jobs().isEmpty()
                            ? "no jobs of your own"
                            : build.workshop().jobs().stream()
                                    .map(j -> "own:" + j.id().n() + " (" + j.name() + ")")
                                    .collect(Collectors.joining(", "))));
        }
    }

    private void found(Labour.Found found) {
        for (Id.Part part : found.parts()) {
            part(part);
            if (log.found(part) && !before().parts().contains(part)) {
                throw new InputException("part " + build.part(part).name() + " is entered as found already");
            }
        }
        Set<Id.Hole> known = new HashSet<>();
        build.faces().forEach(f -> f.face().groups().forEach(g -> known.addAll(holes(g))));
        Set<Id.Hole> mine = before().holes().stream().map(Work.LoggedHole::id).collect(Collectors.toSet());
        for (Work.LoggedHole hole : found.holes()) {
            if (!known.contains(hole.id())) {
                throw new InputException("hole " + hole.label() + " is not in this build");
            }
            if (log.installedBy(hole.id()).isPresent() && !mine.contains(hole.id())) {
                throw new InputException("hole " + hole.label() + " is logged as set in entry "
                        + log.installedBy(hole.id()).orElseThrow().id() + ": it is not found, it was set");
            }
        }
        for (Id.Group id : found.group()) {
            Group group = group(id, found.name());
            int left = group.count() - log.installed(group) + before().count();
            if (found.count() > left) {
                throw new InputException("group " + group.code() + " has " + left + " of " + group.count()
                        + " left, found were " + found.count());
            }
        }
    }

    /** What the entry before said was found. */
    private Labour.Found before() {
        return instead.flatMap(LogEntry::labour)
                .map(Labour::what)
                .filter(Labour.Found.class::isInstance)
                .map(Labour.Found.class::cast)
                .orElse(NOTHING);
    }
}
