package bucina.core.log;

import bucina.core.measure.InputException;
import bucina.core.plan.Id;
import java.time.Instant;
import java.util.Objects;

/**
 * One step of progress: an operation done to a hole in one layer from one side, or a mark of it taken back. Marks are
 * only added; the last one counts.
 *
 * @param hole      the hole
 * @param layer     the layer
 * @param side      the side it was done from
 * @param operation what was done
 * @param at        when it was marked
 * @param on        true for done, false for taken back
 * @param note      why it was marked although the hole was guarded; usually empty
 */
public record Mark(Id.Hole hole, Id.Layer layer, Side side, Operation operation, Instant at, boolean on, String note) {

    /** A side of a layer. */
    public enum Side {
        /** The side the face is viewed from. */
        NEAR,
        /** The other side. */
        FAR,
        /** All of the layer: drilling goes right through. */
        BOTH;

        /** Near is 1, far 2, both 3. */
        int bits() {
            return ordinal() + 1;
        }
    }

    /** Done, with nothing to add. */
    public Mark(Id.Hole hole, Id.Layer layer, Side side, Operation operation, Instant at) {
        this(hole, layer, side, operation, at, true, "");
    }

    /** The same with a reason why it was marked although the hole was guarded. */
    public Mark because(String reason) {
        return new Mark(hole, layer, side, operation, at, on, reason);
    }

    /** This mark taken back, or done again. */
    public Mark turned(Instant when) {
        return new Mark(hole, layer, side, operation, when, !on, "");
    }

    public Mark {
        Objects.requireNonNull(hole, "hole");
        Objects.requireNonNull(layer, "layer");
        Objects.requireNonNull(side, "side");
        Objects.requireNonNull(operation, "operation");
        Objects.requireNonNull(at, "at");
        if (note.length() > 500) {
            throw new InputException("a note on a mark has up to 500 characters, was " + note.length());
        }
    }
}
