package bucina.core.guard;

import bucina.core.log.Logbook;
import bucina.core.part.Owing;
import bucina.core.part.PartStates;
import bucina.core.part.PartTask;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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

    /** The closing parts that are not on for good, as they go on: the last one holds. */
    public List<Part> open(Bay bay) {
        return bay.closers().stream()
                .filter(p -> !shut(p, Set.of()))
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

    /**
     * True once a part is on for good somewhere: by a permanent fastener, or because the builder says so; where it is
     * screwed on, by its last screw.
     *
     * @param setting holes that are set as well
     */
    private boolean shut(Id.Part part, Set<Id.Hole> setting) {
        if (parts.faces(part).stream().anyMatch(f -> parts.forGood(part, f.id()))) {
            return true;
        }
        List<HoleReading> holes = through(part);
        List<HoleReading> permanent =
                holes.stream().filter(h -> h.solution().fastener().permanent()).toList();
        Predicate<HoleReading> set = h -> setting.contains(h.hole().id())
                || log.state(h.hole(), h.layers()).set();
        return permanent.isEmpty()
                ? !holes.isEmpty() && holes.stream().allMatch(set)
                : permanent.stream().anyMatch(set);
    }

    /** What is still to be done in a bay, one line for each group, part and job. */
    public List<String> points(Bay bay) {
        Set<Id.Part> inside = inside(bay, parts);
        Map<String, Integer> counts = new LinkedHashMap<>();
        for (Build.FaceRef ref : derivation.build().faces()) {
            for (HoleReading hole : derivation.face(ref.face().id()).readings()) {
                if (holds(bay, inside, hole)) {
                    lacks(hole).ifPresent(w -> counts.merge(hole.group().code() + ": {} " + w, 1, Integer::sum));
                }
            }
        }
        List<String> points = new ArrayList<>();
        counts.forEach((words, n) -> points.add(words.replace("{}", String.valueOf(n))));
        derivation.build().parts().stream()
                .filter(p -> inside.contains(p.id()))
                .forEach(p -> parts.owed(p.id()).stream()
                        .map(Owing::task)
                        .forEach(t -> points.add(p.name() + ": " + PartTask.words(t))));
        derivation.build().workshop().jobs().stream()
                .filter(j -> j.parts().stream().anyMatch(inside::contains) && !log.logged(j.id()))
                .forEach(j -> points.add(j.name()));
        return points;
    }

    private Optional<String> lacks(HoleReading hole) {
        if (log.state(hole.hole(), hole.layers()).set()) {
            return Owed.openAfterSet(hole, log).stream().findFirst().map(o -> "not " + o.code());
        }
        return Optional.of(log.temporary(hole.hole().id(), hole.layers()) ? "held by a temporary bolt" : "not set");
    }

    /**
     * Why holes may not be set now: they would shut a bay in which something is open. Empty if they may.
     *
     * @param setting the holes that are set
     */
    public Optional<String> shutting(Set<Id.Hole> setting) {
        for (Bay bay : derivation.build().workshop().bays()) {
            List<Part> open = open(bay);
            if (!open.isEmpty() && open.stream().allMatch(p -> shut(p.id(), setting))) {
                List<String> points = points(bay);
                if (!points.isEmpty()) {
                    return Optional.of(open.getLast().name() + " closes " + bay.name() + ", and inside is open: "
                            + points.stream().limit(3).collect(Collectors.joining("; "))
                            + (points.size() > 3 ? "; " + (points.size() - 3) + " more" : ""));
                }
            }
        }
        return Optional.empty();
    }

    /** What shut a bay with something open inside, though its entry gives no reason; for logs brought in. */
    Optional<String> leftOpen(Set<Id.Hole> set) {
        for (Bay bay : derivation.build().workshop().bays()) {
            boolean by = bay.closers().stream()
                    .flatMap(p -> through(p).stream())
                    .anyMatch(h -> set.contains(h.hole().id()));
            List<String> points = by && open(bay).isEmpty() ? points(bay) : List.of();
            if (!points.isEmpty()) {
                return Optional.of(bay.name() + " is shut, and inside is open: " + points.getFirst());
            }
        }
        return Optional.empty();
    }
}
