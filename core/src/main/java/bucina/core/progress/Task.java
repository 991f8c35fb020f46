package bucina.core.progress;

import bucina.core.dress.Dress;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What is being done over a face.
 *
 * @param operation what
 * @param side      from which side; only deburring tells them apart
 * @param layer     in one layer; empty for every layer that takes the operation
 */
public record Task(Operation operation, Mark.Side side, Optional<Id.Layer> layer) {

    /** Steps that final size leaves behind. */
    private static final Set<Operation> OVERTAKEN = EnumSet.of(Operation.PILOT, Operation.MATCH_DRILLED);

    /** A task on every layer, from both sides. */
    public static Task of(Operation operation) {
        return new Task(operation, Mark.Side.BOTH, Optional.empty());
    }

    /** The layers of a hole that take the operation: a sheet that stays plain is not dimpled. */
    public List<Layer> layers(HoleReading reading) {
        List<Layer> taking = new ArrayList<>();
        for (int i = 0; i < reading.layers().size(); i++) {
            Layer l = reading.layers().get(i);
            boolean takes = takes(i, reading);
            if (takes && (layer.isEmpty() || layer.get().equals(l.id()))) {
                taking.add(l);
            }
        }
        return taking;
    }

    private boolean takes(int i, HoleReading reading) {
        Dress dress = i < reading.solution().dressing().plies().size()
                ? reading.solution().dressing().plies().get(i).dress()
                : Dress.PLAIN;
        return switch (operation) {
            case DIMPLED -> dress == Dress.DIMPLE;
            case COUNTERSUNK -> dress == Dress.COUNTERSINK;
            case REAMED ->
                reading.solution().fastener() instanceof Fastener.Hardware h
                        && h.bolting().reamed();
            case TEMPORARY -> i == 0 && reading.solution().fastener() instanceof Fastener.Hardware;
            case TORQUED, STRIPED, WIRED, PINNED ->
                i == 0 && reading.solution().afterSet().contains(operation);
            case CLEARED -> dress == Dress.DIMPLE && reading.solution().fastener() instanceof Fastener.PulledRivet;
            default -> true;
        };
    }

    /**
     * True if it is done in every layer that takes it, or no longer to be done there: a hole at its final size takes no
     * pilot any more. A hole that takes it in no layer is not asked for.
     */
    public boolean done(Logbook log, HoleReading reading) {
        Id.Hole hole = reading.hole().id();
        for (Layer l : layers(reading)) {
            if (!log.marked(hole, l.id(), operation, side)
                    && !(OVERTAKEN.contains(operation)
                            && log.marked(hole, l.id(), Operation.FINAL_SIZE, Mark.Side.BOTH))) {
                return false;
            }
        }
        return true;
    }

    /** True if the hole waits for it: some layer takes it and lacks it, and no fastener is in; a bolt is. */
    public boolean waits(Logbook log, HoleReading reading) {
        return !done(log, reading) && log.set(reading.hole()) == operation.afterSet();
    }

    /** Holes of a face that still wait. */
    public List<HoleReading> left(Logbook log, FaceReading face) {
        return face.readings().stream().filter(r -> waits(log, r)).toList();
    }

    /** Holes that wait between holes of their row where it is done: jumped over. */
    public List<HoleReading> skipped(Logbook log, FaceReading face) {
        List<HoleReading> skipped = new ArrayList<>();
        for (var group : face.face().groups()) {
            for (Row row : group.rows()) {
                List<HoleReading> holes = row.holes().stream()
                        .flatMap(h -> face.of(h.id()).stream())
                        .filter(r -> !layers(r).isEmpty())
                        .toList();
                int first = -1;
                int last = -1;
                for (int i = 0; i < holes.size(); i++) {
                    if (done(log, holes.get(i))) {
                        first = first < 0 ? i : first;
                        last = i;
                    }
                }
                for (int i = first + 1; i < last; i++) {
                    if (waits(log, holes.get(i))) {
                        skipped.add(holes.get(i));
                    }
                }
            }
        }
        return skipped;
    }

    /** The marks that do it to these holes, or take it back; nothing for what is so already. */
    public List<Mark> marks(Logbook log, List<HoleReading> holes, boolean on, Instant at) {
        List<Mark> marks = new ArrayList<>();
        for (HoleReading r : holes) {
            for (Layer l : layers(r)) {
                List<Mark.Side> sides = operation == Operation.DEBURRED && side == Mark.Side.BOTH
                        ? List.of(Mark.Side.NEAR, Mark.Side.FAR)
                        : List.of(side);
                for (Mark.Side s : sides) {
                    if (log.marked(r.hole().id(), l.id(), operation, s) != on) {
                        marks.add(new Mark(r.hole().id(), l.id(), s, operation, at, on, ""));
                    }
                }
            }
        }
        return marks;
    }
}
