package bucina.core.log;

import bucina.core.plan.Id;
import java.time.Instant;
import java.util.Objects;

/**
 * One step of progress: an operation done to a hole in one layer from one side.
 *
 * @param hole      the hole
 * @param layer     the layer
 * @param side      the side it was done from
 * @param operation what was done
 * @param at        when it was marked
 */
public record Mark(Id.Hole hole, Id.Layer layer, Side side, Operation operation, Instant at) {

    /** A side of a layer. */
    public enum Side {
        /** The side the face is viewed from. */
        NEAR,
        /** The other side. */
        FAR,
        /** All of the layer: drilling goes right through. */
        BOTH
    }

    public Mark {
        Objects.requireNonNull(hole, "hole");
        Objects.requireNonNull(layer, "layer");
        Objects.requireNonNull(side, "side");
        Objects.requireNonNull(operation, "operation");
        Objects.requireNonNull(at, "at");
    }
}
