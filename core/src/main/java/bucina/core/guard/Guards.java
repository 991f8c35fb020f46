package bucina.core.guard;

import bucina.core.bulletin.Reviews;
import bucina.core.edit.NutPlateEdits;
import bucina.core.hold.Held;
import bucina.core.hold.Holds;
import bucina.core.log.Logbook;
import bucina.core.log.Operation;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Deviation;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.progress.Task;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.stack.StackCheck;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/*
 * Design. A whole face of some thousand holes is asked again and again while it is picked: what every hole goes through
 * is written without streams, and what was said of a hole is kept, as nothing it follows from can change.
 */

/** Why something must not be done at a hole of one face now. Made for one state of plan and log. */
public final class Guards {

    private final Derivation derivation;
    private final Build build;
    private final FaceReading face;
    private final Logbook log;
    private final Holds holds;
    private final Set<Id.Part> plates;
    private final Map<Asked, Map<Id.Hole, Optional<String>>> said = new ConcurrentHashMap<>();

    private record Asked(Task task, Unit unit) {}

    public Guards(Derivation derivation, Id.Face face, Logbook log, Holds holds) {
        this.derivation = derivation;
        this.build = derivation.build();
        this.face = derivation.face(face);
        this.log = log;
        this.holds = holds;
        this.plates = NutPlateEdits.plates(build);
    }

    /** What the hole owes, sheet by sheet. */
    public List<Owed> owed(HoleReading hole) {
        return Owed.of(hole, build.rules(), holds.parts(), plates);
    }

    /** Why a hole must not get what a task does; empty if it may. Names the hole, the sheet and what is missing. */
    public Optional<String> marking(Task task, HoleReading hole, Unit unit) {
        Map<Id.Hole, Optional<String>> known =
                said.computeIfAbsent(new Asked(task, unit), a -> new ConcurrentHashMap<>());
        Optional<String> why = known.get(hole.hole().id());
        if (why == null) {
            why = whyNot(task, hole, unit);
            known.put(hole.hole().id(), why);
        }
        return why;
    }

    private Optional<String> whyNot(Task task, HoleReading hole, Unit unit) {
        if (task.operation().afterSet()) {
            return bolt(task.operation(), hole);
        }
        if (log.set(hole.hole())) {
            return Optional.of(hole.label() + " has its fastener in: nothing is done to the hole behind it");
        }
        Optional<String> against = drilling(task.operation(), hole, unit);
        if (against.isEmpty() && task.operation() == Operation.MATCH_DRILLED) {
            against = off(hole, "match-drilled");
        }
        return against.isPresent() ? against : order(task, hole);
    }

    /**
     * What is taken for granted where a sheet is worked that is on: deburred, dressed and primed with the part off, it
     * counts as taken off for that and put back; one that is on for good is worked as it is. Empty where nothing is.
     */
    public Optional<String> granted(Task task, HoleReading hole) {
        boolean off =
                switch (task.operation()) {
                    case DEBURRED, DIMPLED, COUNTERSUNK, PRIMED -> true;
                    case PILOT, CLECOED, MATCH_DRILLED, FINAL_SIZE, REAMED, CLEARED, TEMPORARY, TORQUED, STRIPED ->
                        false;
                    case WIRED, PINNED -> false;
                };
        if (!off) {
            return Optional.empty();
        }
        return task.layers(hole).stream()
                .filter(l -> holds.parts().inPlace(l))
                .findFirst()
                .map(l -> {
                    String part = holds.parts().part(l.part()).name();
                    return holds.parts().forGood(l)
                            ? part + " is on for good: it is worked in place, where a tool reaches"
                            : part + " is on dry: it counts as taken off for this and put back";
                });
    }

    /** Why no fastener may be set in a hole; empty if it is ready. Names the hole, the sheet and what is missing. */
    public Optional<String> setting(HoleReading hole, Unit unit) {
        return off(hole, "set")
                .or(() -> covered(hole))
                .or(() -> holds.of(hole)
                        .map(h -> hole.label() + " is held open for " + h.waitsFor()
                                + ": set it after that, or say in the plan that the part is in place"))
                .or(() -> missing(hole))
                .or(() -> error(hole, unit));
    }

    /**
     * The first of what P1 to P4, P9 and P10 have against setting holes now, and open errors; empty if they may be set.
     *
     * @param holes of the group, those that are not in yet
     */
    public Optional<Against> against(Group group, List<HoleReading> holes, Unit unit) {
        List<String> missing =
                holes.stream().flatMap(h -> setting(h, unit).stream()).toList();
        if (!missing.isEmpty()) {
            return Optional.of(new Against(
                    together(missing), ": mark what is done first, or give the reason it is set all the same"));
        }
        Optional<Reviews.Due> review =
                Optional.ofNullable(Reviews.due(derivation, log).get(group.code()));
        return review.map(due -> new Against(
                        due.words(),
                        ". Look first, and log it as a job of your own called \"" + Reviews.job(due.bulletin())
                                + "\", or give the reason it is set all the same"))
                .or(() -> burying(holes)
                        .map(why ->
                                new Against(why, ": set that first, or give the reason it is covered all the same")))
                .or(() -> new Bays(derivation, log, holds.parts())
                        .shutting(holes.stream().map(h -> h.hole().id()).collect(Collectors.toSet()))
                        .map(why -> new Against(why, ". Do that first, or give the reason it is closed all the same")));
    }

    /** What P1 misses before a step that is said to be done; holds may have come later. */
    Optional<String> early(Task task, HoleReading hole) {
        return order(task, hole);
    }

    /** What P1 and P2 miss at a hole that is said to be set; holds and findings may have come later. */
    Optional<String> unready(HoleReading hole) {
        return off(hole, "set").or(() -> missing(hole));
    }

    /** Sentences about many holes as one: the first, and how many more there are. */
    public static String together(List<String> sentences) {
        int more = sentences.size() - 1;
        return sentences.getFirst()
                + (more == 0 ? "" : "; " + more + " more " + (more == 1 ? "hole is" : "holes are") + " not ready");
    }

    /** A bolt is torqued once it is in, then striped, then wired or pinned. */
    Optional<String> bolt(Operation operation, HoleReading hole) {
        if (!log.set(hole.hole())) {
            return Optional.of(hole.label() + " has no bolt in: it is set before it is " + operation.code());
        }
        List<Operation> steps = hole.solution().afterSet();
        if (!steps.contains(operation)) {
            return Optional.of(
                    hole.label() + " takes " + hole.solution().called() + ", which is not " + operation.code());
        }
        List<Operation> open = Owed.openAfterSet(hole, log);
        return open.stream()
                .filter(o -> steps.indexOf(o) < steps.indexOf(operation))
                .findFirst()
                .map(o -> hole.label() + " is not " + o.code() + ", which comes before " + operation.code());
    }

    private Optional<String> drilling(Operation operation, HoleReading hole, Unit unit) {
        if (operation != Operation.FINAL_SIZE
                && operation != Operation.MATCH_DRILLED
                && operation != Operation.REAMED
                && operation != Operation.CLEARED) {
            return Optional.empty();
        }
        Optional<String> lid = covered(hole);
        if (lid.isPresent()) {
            return lid;
        }
        Optional<Held> held = holds.of(hole);
        if (held.isPresent() && held.get().underSize()) {
            return Optional.of(hole.label() + " is not drilled past "
                    + held.get().present().map(p -> LengthFormat.trade(p, unit)).orElse("its present size")
                    + ": it waits for " + held.get().waitsFor());
        }
        if (plate(hole)) {
            return Optional.of(hole.label()
                    + " is a nut plate hole: it is drilled through the plate on its screw, one lug, a "
                    + "cleco, then the other");
        }
        return hole.hole()
                .deviation()
                .filter(Guards::otherwise)
                .map(d -> hole.label() + " differs from its group: it takes "
                        + LengthFormat.trade(hole.solution().hole(), unit) + ", " + d.reason());
    }

    /** True if a hole takes something else than its group; one that is only held open does not. */
    private static boolean otherwise(Deviation d) {
        return d.hole().isPresent()
                || d.fastener().isPresent()
                || d.preparation().isPresent();
    }

    /** P4: what lies over a hole without being joined by it is off while the hole is worked. */
    private Optional<String> covered(HoleReading hole) {
        return StackCheck.over(face.face(), hole).stream()
                .filter(l -> holds.parts().inPlace(l))
                .findFirst()
                .map(l -> hole.label() + " lies under " + l.name() + ", which is on: take it off first");
    }

    /**
     * P4: why holes must not get permanent fasteners now: one of their sheets comes to lie over a hole that is not set
     * yet. Empty if they may.
     */
    Optional<String> burying(List<HoleReading> setting) {
        Set<Id.Layer> lids = setting.stream()
                .filter(h -> h.solution().fastener().permanent())
                .flatMap(h -> h.layers().stream())
                .map(Layer::id)
                .collect(Collectors.toSet());
        boolean any = face.face().groups().stream()
                .anyMatch(g -> g.holes().under().stream().anyMatch(lids::contains));
        return any
                ? face.readings().stream()
                        .filter(h -> !log.set(h.hole()))
                        .flatMap(h -> StackCheck.over(face.face(), h).stream()
                                .filter(l -> lids.contains(l.id()))
                                .map(l -> l.name() + " comes to lie over " + h.label() + ", which is not set"))
                        .findFirst()
                : Optional.empty();
    }

    /** P2: every sheet of the stack is on. */
    private Optional<String> off(HoleReading hole, String what) {
        return hole.layers().stream()
                .filter(l -> !holds.parts().inPlace(l))
                .findFirst()
                .map(l -> {
                    Part part = holds.parts().part(l.part());
                    return hole.label() + " is held open for " + part.name() + ": a hole is " + what
                            + " with every sheet of its stack on, and " + l.name() + " is not";
                });
    }

    /** P1 for a mark: what comes before it. */
    private Optional<String> order(Task task, HoleReading hole) {
        List<Layer> taking = task.layers(hole);
        for (Owed owed : owed(hole)) {
            if (among(taking, owed.layer().id())) {
                List<Owed.Step> before =
                        owed.before(task.operation(), log, hole.hole().id());
                if (!before.isEmpty()) {
                    return Optional.of(lacks(hole, owed.layer(), before) + ", which comes before "
                            + task.operation().code());
                }
            }
        }
        return Optional.empty();
    }

    private static boolean among(List<Layer> layers, Id.Layer wanted) {
        for (Layer layer : layers) {
            if (layer.id().equals(wanted)) {
                return true;
            }
        }
        return false;
    }

    private boolean plate(HoleReading hole) {
        for (Layer layer : hole.layers()) {
            if (plates.contains(layer.part())) {
                return true;
            }
        }
        return false;
    }

    /** P1 for setting: all that is owed. */
    private Optional<String> missing(HoleReading hole) {
        String lacking = owed(hole).stream()
                .filter(o -> !o.open(log, hole.hole().id()).isEmpty())
                .map(o -> lacks(hole, o.layer(), o.open(log, hole.hole().id())))
                .collect(Collectors.joining("; "));
        return lacking.isEmpty() ? Optional.empty() : Optional.of(lacking);
    }

    private static String lacks(HoleReading hole, Layer layer, List<Owed.Step> steps) {
        Set<String> words = new LinkedHashSet<>();
        steps.forEach(s -> words.add(s.words()));
        return hole.label() + " in " + layer.name() + " is not " + String.join(", not ", words);
    }

    private Optional<String> error(HoleReading hole, Unit unit) {
        if (hole.worst().filter(l -> l == Level.ERROR).isEmpty()) {
            return Optional.empty();
        }
        return StackCheck.findings(face.face(), hole).stream()
                .filter(f -> f.level() == Level.ERROR && f.accepted().isEmpty())
                .map(Finding::message)
                .map(m -> m.in(unit).replaceAll("\\.$", ""))
                .map(m -> hole.label() + " has an open error: "
                        + (m.startsWith(hole.label())
                                ? m.substring(hole.label().length()).replaceFirst("^:? ", "")
                                : m))
                .findFirst();
    }
}
