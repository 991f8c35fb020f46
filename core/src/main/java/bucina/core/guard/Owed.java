package bucina.core.guard;

import bucina.core.dress.Dress;
import bucina.core.dress.Dressing;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.measure.Length;
import bucina.core.part.PartStates;
import bucina.core.part.PartTask;
import bucina.core.plan.Come;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.rule.HolesCome;
import bucina.core.rule.PrimeSchool;
import bucina.core.rule.RuleSet;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What one hole owes in one of its sheets before a fastener is set, in the order it is done.
 *
 * @param layer the sheet
 * @param steps in order; none for the lug of a nut plate, which comes finished
 */
public record Owed(Layer layer, List<Step> steps) {

    /**
     * One step.
     *
     * @param operation what
     * @param side      from which side; only deburring tells them apart
     */
    public record Step(Operation operation, Mark.Side side) {

        /** In words, to stand behind "is not". */
        String words() {
            return switch (operation) {
                case FINAL_SIZE -> "drilled to final size";
                case CLEARED -> "cleared to final size";
                case DEBURRED -> "deburred";
                case DIMPLED -> "dimpled";
                case COUNTERSUNK -> "countersunk";
                case PRIMED -> "primed";
                case PILOT -> "piloted";
                case CLECOED -> "clecoed";
                case MATCH_DRILLED -> "match-drilled";
                case REAMED -> "reamed";
                case TEMPORARY -> "held by a temporary bolt";
                case TORQUED -> "torqued";
                case STRIPED -> "striped";
                case WIRED -> "wired";
                case PINNED -> "pinned";
            };
        }
    }

    public Owed {
        steps = List.copyOf(steps);
    }

    /**
     * What a hole owes in each of its sheets.
     *
     * @param parts  how the parts stand: between two sheets on for good nothing is deburred any more
     * @param plates parts that are nut plates: their lugs owe nothing
     */
    public static List<Owed> of(HoleReading hole, RuleSet rules, PartStates parts, Set<Id.Part> plates) {
        List<Owed> owed = new ArrayList<>();
        for (int i = 0; i < hole.layers().size(); i++) {
            Layer layer = hole.layers().get(i);
            owed.add(new Owed(layer, plates.contains(layer.part()) ? List.of() : steps(hole, i, rules, parts)));
        }
        return owed;
    }

    /** What a bolt that is in still owes, in order; of a hole that is not set all of it. */
    public static List<Operation> openAfterSet(HoleReading hole, Logbook log) {
        boolean found = log.installedBy(hole.hole().id())
                .filter(e -> e.work().isEmpty())
                .isPresent();
        if (hole.layers().isEmpty() || found) {
            return List.of();
        }
        Id.Layer head = hole.layers().getFirst().id();
        return hole.solution().afterSet().stream()
                .filter(o -> !log.marked(hole.hole().id(), head, o, Mark.Side.BOTH))
                .toList();
    }

    private static List<Step> steps(HoleReading hole, int i, RuleSet rules, PartStates parts) {
        List<Dressing.Ply> plies = hole.solution().dressing().plies();
        Dress dress = i < plies.size() ? plies.get(i).dress() : Dress.PLAIN;
        boolean cleared = dress == Dress.DIMPLE && hole.solution().fastener() instanceof Fastener.PulledRivet;
        List<Step> steps = new ArrayList<>();
        Layer layer = hole.layers().get(i);
        if (blankUnderAnother(hole, layer)) {
            steps.add(new Step(Operation.MATCH_DRILLED, Mark.Side.BOTH));
        }
        if (!cleared && !atSize(hole, rules) && !comesAtSize(hole, layer)) {
            steps.add(new Step(Operation.FINAL_SIZE, Mark.Side.BOTH));
        }
        if (hole.solution().fastener() instanceof Fastener.Hardware h
                && h.bolting().reamed()) {
            steps.add(new Step(Operation.REAMED, Mark.Side.BOTH));
        }
        if (rules.deburringMarked()) {
            // Layers are head side first; the near side of the face is the head's unless the heads are on the far side.
            boolean far = hole.group().headFar();
            if (!between(hole.layers(), i, far ? i + 1 : i - 1, parts)) {
                steps.add(new Step(Operation.DEBURRED, Mark.Side.NEAR));
            }
            if (!between(hole.layers(), i, far ? i - 1 : i + 1, parts)) {
                steps.add(new Step(Operation.DEBURRED, Mark.Side.FAR));
            }
        }
        if (dress == Dress.DIMPLE) {
            steps.add(new Step(Operation.DIMPLED, Mark.Side.BOTH));
        } else if (dress == Dress.COUNTERSINK) {
            steps.add(new Step(Operation.COUNTERSUNK, Mark.Side.BOTH));
        }
        if (cleared) {
            steps.add(new Step(Operation.CLEARED, Mark.Side.BOTH));
        }
        if (rules.primeSchool() != PrimeSchool.NONE) {
            steps.add(new Step(Operation.PRIMED, Mark.Side.BOTH));
        }
        return steps;
    }

    private static boolean between(List<Layer> layers, int i, int beside, PartStates parts) {
        return beside >= 0
                && beside < layers.size()
                && parts.forGood(layers.get(i))
                && parts.forGood(layers.get(beside));
    }

    /** True if the sheet comes blank and another of the stack has the hole: it is match-drilled through that one. */
    private static boolean blankUnderAnother(HoleReading hole, Layer layer) {
        return come(hole, layer).state() == Come.State.BLANK
                && hole.layers().stream().anyMatch(l -> come(hole, l).state().there());
    }

    private static boolean comesAtSize(HoleReading hole, Layer layer) {
        Come come = come(hole, layer);
        return come.state() == Come.State.AT_SIZE
                || come.diameter().isPresent()
                        && come.diameter().get().atLeast(hole.solution().hole());
    }

    private static Come come(HoleReading hole, Layer layer) {
        return layer.holes().of(hole.row().id());
    }

    /** True if nothing is drilled: the kit's holes come at final size, or the drawing says that these do. */
    private static boolean atSize(HoleReading hole, RuleSet rules) {
        Optional<Length> present = hole.group().holes().present();
        return rules.holesCome() == HolesCome.FINAL
                || present.isPresent() && present.get().atLeast(hole.solution().hole());
    }

    /** The steps not done yet. */
    public List<Step> open(Logbook log, Id.Hole hole) {
        return steps.stream().filter(s -> !done(s, log, hole)).toList();
    }

    /** The steps not done yet that come before an operation; none if the hole does not owe the operation here. */
    public List<Step> before(Operation operation, Logbook log, Id.Hole hole) {
        Operation meant = meant(operation);
        int at = 0;
        while (at < steps.size() && steps.get(at).operation() != meant) {
            at++;
        }
        List<Step> open = new ArrayList<>();
        for (Step s : at == steps.size() ? List.<Step>of() : steps.subList(0, at)) {
            if (!(drills(operation) && s.operation() == Operation.MATCH_DRILLED) && !done(s, log, hole)) {
                open.add(s);
            }
        }
        return open;
    }

    /** Marking final size on a sheet that is cleared after dimpling is the clearing. */
    private Operation meant(Operation operation) {
        if (operation == Operation.FINAL_SIZE) {
            for (Step s : steps) {
                if (s.operation() == Operation.CLEARED) {
                    return Operation.CLEARED;
                }
            }
        }
        return operation;
    }

    /** Final size counts as match-drilled. */
    private static boolean drills(Operation operation) {
        return operation == Operation.FINAL_SIZE || operation == Operation.CLEARED;
    }

    private boolean done(Step step, Logbook log, Id.Hole hole) {
        return log.found(layer.part())
                || log.marked(hole, layer.id(), step.operation(), step.side())
                || step.operation() == Operation.PRIMED
                        && log.tasks().done(layer.part(), PartTask.PRIME.code()).isPresent()
                || step.operation() == Operation.MATCH_DRILLED
                        && log.marked(hole, layer.id(), Operation.FINAL_SIZE, Mark.Side.BOTH)
                || step.operation() == Operation.CLEARED
                        && log.marked(hole, layer.id(), Operation.FINAL_SIZE, Mark.Side.BOTH);
    }
}
