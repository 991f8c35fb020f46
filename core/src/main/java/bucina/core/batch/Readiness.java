package bucina.core.batch;

import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.plan.Layer;
import bucina.core.progress.Task;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How far holes are on their way to primer or sealant, in one sheet or where two touch.
 *
 * @param holes  that are asked about
 * @param rough  of those, not deburred on both sides
 * @param plain  of those, not dimpled, countersunk or cleared yet where the sheet takes it
 * @param primed of those, primed
 * @param set    of those, with a fastener in
 */
public record Readiness(int holes, int rough, int plain, int primed, int set) {

    private static final List<Operation> DRESS = List.of(Operation.DIMPLED, Operation.COUNTERSUNK, Operation.CLEARED);

    /** Of one sheet. */
    public static Readiness of(Logbook log, FaceReading face, Layer layer) {
        return of(
                log,
                face.readings().stream()
                        .filter(r -> r.layers().stream().anyMatch(l -> l.id().equals(layer.id())))
                        .toList(),
                List.of(layer));
    }

    /** Of the place where two sheets touch. */
    public static Readiness of(Logbook log, Mating mating) {
        return of(log, mating.holes(), List.of(mating.near(), mating.far()));
    }

    private static Readiness of(Logbook log, List<HoleReading> holes, List<Layer> layers) {
        int rough = 0;
        int plain = 0;
        int primed = 0;
        int set = 0;
        for (HoleReading r : holes) {
            if (log.set(r.hole())) {
                set++;
                continue;
            }
            rough += lacks(log, r, layers, List.of(Operation.DEBURRED)) ? 1 : 0;
            plain += lacks(log, r, layers, DRESS) ? 1 : 0;
            primed += lacks(log, r, layers, List.of(Operation.PRIMED)) ? 0 : 1;
        }
        return new Readiness(holes.size(), rough, plain, primed, set);
    }

    private static boolean lacks(Logbook log, HoleReading hole, List<Layer> layers, List<Operation> operations) {
        return layers.stream()
                .anyMatch(l -> operations.stream()
                        .anyMatch(o -> !new Task(o, Mark.Side.BOTH, Optional.of(l.id())).done(log, hole)));
    }

    /** True if every hole has its fastener: nothing can be covered any more. */
    public boolean closed() {
        return holes > 0 && set == holes;
    }

    /** True if nothing keeps it from being cleaned and covered. */
    public boolean ready() {
        return rough == 0 && plain == 0 && !closed();
    }

    /** True if every hole that has no fastener is primed. */
    public boolean done() {
        return !closed() && holes > 0 && primed + set == holes;
    }

    /** What it waits for, or how far it is; one short phrase. */
    public String words() {
        if (closed()) {
            return "riveted up";
        }
        if (done()) {
            return "primed";
        }
        if (ready()) {
            return "ready";
        }
        if (rough == plain) {
            return rough + " to deburr and dress";
        }
        List<String> waits = new ArrayList<>();
        if (rough > 0) {
            waits.add(rough + " to deburr");
        }
        if (plain > 0) {
            waits.add(plain + " to dress");
        }
        return String.join(", ", waits);
    }
}
