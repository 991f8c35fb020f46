package bucina.core.job;

import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/*
 * Design. A part makes at most one round from here: on to be drilled through, off to be deburred and dressed, on to
 * stay. Which of the three are still to come follows from how it stands and from what is open at its holes. A part that
 * a fastener holds for good somewhere does not come off any more: it is worked in place.
 */

/** Which parts go on, come off and go on again. */
final class Moves {

    private final Around around;
    /** Parts that holes are still drilled through, with every sheet on. */
    private final Set<Id.Part> drilled = new HashSet<>();
    /** Parts that are still set through. */
    private final Set<Id.Part> set = new HashSet<>();
    /** Parts with work that is done with the part off. */
    private final Set<Id.Part> bench = new HashSet<>();
    /** Holes with no fastener yet, by part. */
    private final Map<Id.Part, Integer> open = new HashMap<>();

    Moves(Around around) {
        this.around = around;
    }

    void drilled(Id.Part part) {
        drilled.add(part);
    }

    void set(Id.Part part) {
        set.add(part);
        open.merge(part, 1, Integer::sum);
    }

    void bench(Id.Part part) {
        bench.add(part);
    }

    /** Clecos that hold it: a fourth of its open holes. */
    int clecos(Id.Part part) {
        return (open.getOrDefault(part, 0) + 3) / 4;
    }

    private boolean on(Part part) {
        return part.standing().inPlace() || stays(part);
    }

    /** True if it does not come off any more. */
    boolean stays(Part part) {
        return part.standing() == Standing.ON || around.stays(part.id());
    }

    /** True if it is put on to be drilled through. */
    boolean fit(Part part) {
        return !on(part) && drilled.contains(part.id());
    }

    /** True if it comes off again: it is on, or goes on, and something is done at the bench. Plates always do. */
    boolean off(Part part) {
        return !stays(part)
                && (fit(part) || part.standing().inPlace())
                && (bench.contains(part.id()) || fit(part) && around.plates().contains(part.id()));
    }

    /** True if it goes on to stay: what was taken off again goes back. */
    boolean stay(Part part) {
        boolean back = part.standing() == Standing.OFF
                && !around.parts().lies(part.id()).isEmpty();
        return off(part) || !on(part) && !fit(part) && (back || set.contains(part.id()));
    }
}
