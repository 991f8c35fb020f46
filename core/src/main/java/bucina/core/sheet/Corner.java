package bucina.core.sheet;

import bucina.core.measure.InputException;
import java.util.Objects;

/**
 * A corner of a ring and the edge that leaves it.
 *
 * @param at    where
 * @param bulge of the edge to the next corner: 0 straight, 1 half a circle to the left; finite, at most 1000 either way
 */
public record Corner(Point at, double bulge) {
    public Corner {
        Objects.requireNonNull(at, "at");
        if (!(Math.abs(bulge) <= 1000)) {
            throw new InputException("bulge must lie between -1000 and 1000, was " + bulge);
        }
    }

    /** A corner with a straight edge after it. */
    public static Corner of(Point at) {
        return new Corner(at, 0);
    }
}
