package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.List;

/**
 * A stack typed by hand, for a group that has no geometry.
 *
 * @param layers thicknesses, head side first, each over 0, at least one
 * @param count  how many fasteners, 1 to 100 000
 */
public record TypedStack(List<Length> layers, int count) {
    /** The most fasteners one typed group may stand for. */
    public static final int MOST = 100_000;

    public TypedStack {
        layers = List.copyOf(layers);
        if (layers.isEmpty() || layers.stream().anyMatch(t -> !t.positive())) {
            throw new InputException("a typed stack needs at least one layer, each thicker than 0, was " + layers);
        }
        if (count < 1 || count > MOST) {
            throw new InputException("count must be 1 to " + MOST + ", was " + count);
        }
    }
}
