package bucina.core.guard;

import bucina.core.log.CloseOut;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.part.PartStates;
import bucina.core.plan.Bay;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** Bays and the parts that close them: what is still open inside, and what may not be set before it is done. */
public final class Bays {

    private final Derivation derivation;
    private final Logbook log;
    private final PartStates parts;

    public Bays(Derivation derivation, Logbook log, PartStates parts) {
        this.derivation = derivation;
        this.log = log;
        this.parts = parts;
    }

    /** The parts that lie in a bay: those named, else all of the assemblies that its closers lie on. */
    public static Set<Id.Part> inside(Bay bay, PartStates parts) {
        if (!bay.inside().isEmpty()) {
            return bay.inside();
        }
        Set<Id.Part> inside = new HashSet<>();
        for (Id.Part closer : bay.closers()) {
            parts.lies(closer)
                    .forEach(on -> on.assembly().faces().stream()
                            .flatMap(f -> f.layers().stream())
                            .map(Layer::part)
                            .forEach(inside::add));
        }
        bay.closers().forEach(inside::remove);
        return inside;
    }

    /** True if a hole is worked inside: it goes through what lies there, and through nothing that closes the bay. */
    public static boolean holds(Bay bay, Set<Id.Part> inside, HoleReading hole) {
        return hole.layers().stream().noneMatch(l -> bay.closers().contains(l.part()))
                && hole.layers().stream().anyMatch(l -> inside.contains(l.part()));
    }

    /**
     * The closing parts that are not on for good, as they go on: the last one holds. A screwed cover that was taken off
     * is among them until the bay is signed anew, though its screws are in the log.
     */
    public List<Part> open(Bay bay) {
        return bay.closers().stream()
                .filter(p -> !said(p) && !held(bay, p, Set.of()))
                .map(parts::part)
                .sorted(Comparator.comparing(Part::fittingOrder))
                .toList();
    }

    /** Closing parts of a bay that no hole goes through: nothing holds them back. */
    public List<Part> unheld(Bay bay) {
        return bay.closers().stream()
                .filter(p -> through(p).isEmpty())
                .map(parts::part)
                .toList();
    }

    /** Holes that a part is held by. */
    private List<HoleReading> through(Id.Part part) {
        return parts.faces(part).stream()
                .flatMap(f -> derivation.face(f.id()).readings().stream())
                .filter(h -> h.layers().stream().anyMatch(l -> l.part().equals(part)))
                .toList();
    }

    /** True if the builder says that a part is on for good somewhere. */
    private boolean said(Id.Part part) {
        return parts.faces(part).stream().anyMatch(f -> parts.forGood(part, f.id()));
    }

    /**
     * True once fasteners hold a part: a permanent one; where it is screwed on, its last screw.
     *
     * @param setting holes that are set as well
     */
    private boolean held(Bay bay, Id.Part part, Set<Id.Hole> setting) {
        List<HoleReading> holes = through(part);
        List<HoleReading> permanent =
                holes.stream().filter(h -> h.solution().fastener().permanent()).toList();
        Predicate<HoleReading> now = h -> setting.contains(h.hole().id());
        Predicate<HoleReading> set = now.or(h -> log.set(h.hole()));
        if (!permanent.isEmpty()) {
            return permanent.stream().anyMatch(set);
        }
        boolean off = bay.opened().isPresent() && signed(bay).isEmpty();
        return !holes.isEmpty()
                && holes.stream().allMatch(set)
                && (!off || holes.stream().anyMatch(now));
    }

    /** What is still to be done in a bay before it is signed, in words: see {@link BayPoints}. */
    public List<String> points(Bay bay) {
        return new BayPoints(derivation, log, parts)
                .of(bay).stream().map(BayPoints.Point::text).toList();
    }

    /** The close-out of a bay that holds: the last one since a closing part was taken off. */
    public Optional<LogEntry> signed(Bay bay) {
        List<LogEntry> since = closeOuts(bay, log);
        return since.isEmpty() ? Optional.empty() : Optional.of(since.getLast());
    }

    /** Close-outs of a bay since a part that closes it was last taken off, earliest first. */
    static List<LogEntry> closeOuts(Bay bay, Logbook log) {
        List<LogEntry> since = new ArrayList<>();
        for (LogEntry entry : log.entries()) {
            Labour.What what =
                    log.inForce(entry) ? entry.labour().map(Labour::what).orElse(null) : null;
            boolean after =
                    bay.opened().filter(o -> !entry.entered().isAfter(o)).isEmpty();
            if (what instanceof CloseOut c && c.bay().equals(bay.id()) && after) {
                since.add(entry);
            } else if (what instanceof Labour.OnPart p
                    && p.task().equals("off")
                    && bay.closers().contains(p.part())) {
                since.clear();
            }
        }
        return since;
    }

    /** Why a bay may not be shut: it is not signed, or a point came up since; empty if it may. */
    private Optional<String> unsigned(Bay bay) {
        List<CloseOut.Left> left = signed(bay).flatMap(LogEntry::labour).map(Labour::what).stream()
                .flatMap(w -> ((CloseOut) w).open().stream())
                .toList();
        List<String> open = new BayPoints(derivation, log, parts)
                .of(bay).stream()
                        .filter(p -> left.stream().noneMatch(l -> p.within(l.point())))
                        .map(BayPoints.Point::text)
                        .toList();
        if (!open.isEmpty()) {
            return Optional.of("inside is open: " + open.stream().limit(3).collect(Collectors.joining("; "))
                    + (open.size() > 3 ? "; " + (open.size() - 3) + " more" : ""));
        }
        return signed(bay).isPresent() ? Optional.empty() : Optional.of("its close-out is not signed");
    }

    /**
     * Why holes may not be set now: they would shut a bay in which something is open. Empty if they may. That a part is
     * said to be on for good does not let its own first fastener pass.
     *
     * @param setting the holes that are set
     */
    public Optional<String> shutting(Set<Id.Hole> setting) {
        for (Bay bay : derivation.build().workshop().bays()) {
            List<Part> shutting = bay.closers().stream()
                    .filter(p -> held(bay, p, setting) && !held(bay, p, Set.of()))
                    .map(parts::part)
                    .sorted(Comparator.comparing(Part::fittingOrder))
                    .toList();
            if (!shutting.isEmpty() && shut(bay, setting)) {
                Optional<String> open = unsigned(bay);
                if (open.isPresent()) {
                    return Optional.of(shutting.getLast().name() + " closes " + bay.name() + ", and " + open.get());
                }
            }
        }
        return Optional.empty();
    }

    private boolean shut(Bay bay, Set<Id.Hole> setting) {
        return bay.closers().stream().allMatch(p -> said(p) || held(bay, p, setting));
    }

    /** What shut a bay with something open inside, though its entry gives no reason; for logs brought in. */
    Optional<String> leftOpen(Set<Id.Hole> set) {
        for (Bay bay : derivation.build().workshop().bays()) {
            boolean by = bay.closers().stream()
                    .flatMap(p -> through(p).stream())
                    .anyMatch(h -> set.contains(h.hole().id()));
            Optional<String> left = by ? shutAllTheSame(bay, set) : Optional.empty();
            if (left.isPresent()) {
                return left;
            }
        }
        return Optional.empty();
    }

    /** Bays that are shut though they are not signed or something is open inside, a sentence each. */
    public List<String> shutAllTheSame() {
        return derivation.build().workshop().bays().stream()
                .flatMap(b -> shutAllTheSame(b, Set.of()).stream())
                .toList();
    }

    private Optional<String> shutAllTheSame(Bay bay, Set<Id.Hole> setting) {
        return shut(bay, setting) ? unsigned(bay).map(w -> bay.name() + " is shut, and " + w) : Optional.empty();
    }
}
