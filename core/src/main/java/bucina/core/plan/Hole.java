package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.sheet.Point;
import java.util.Objects;
import java.util.Optional;

/**
 * One hole.
 *
 * @param id        never reused
 * @param label     number in its row, over 0, never reused in that row
 * @param at        centre on the face
 * @param deviation what it has otherwise than its group; usually empty
 */
public record Hole(Id.Hole id, int label, Point at, Optional<Deviation> deviation) {
    public Hole {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(at, "at");
        Objects.requireNonNull(deviation, "deviation");
        if (label <= 0) {
            throw new InputException("a hole's label must be over 0, was " + label);
        }
    }

    /** This hole with something else otherwise than its group. */
    public Hole with(Optional<Deviation> other) {
        return new Hole(id, label, at, other);
    }

    /** This hole elsewhere. */
    public Hole to(Point place) {
        return new Hole(id, label, place, deviation);
    }
}
