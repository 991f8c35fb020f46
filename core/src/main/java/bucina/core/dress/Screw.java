package bucina.core.dress;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;

/**
 * A 100 degree flush screw.
 *
 * @param size    {@code 8}
 * @param shank   nominal, over 0
 * @param sharp   across the head if its edge were sharp: what a nest is cut to
 * @param typical across the head as made
 * @param drill   of the clearance hole, {@code #19}
 * @param hole    clearance hole
 * @param source  where the figures stand
 */
public record Screw(String size, Length shank, Length sharp, Length typical, String drill, Length hole, String source) {

    public Screw {
        if (!(shank.positive() && sharp.compareTo(typical) >= 0 && typical.compareTo(hole) > 0)) {
            throw new InputException(
                    "a screw's head of " + sharp + " (as made " + typical + ") is wider than its hole of " + hole);
        }
    }

    /** Its head, as high as the cone from the sharp edge to the shank. */
    public FlushHead head() {
        Length height = sharp.minus(shank).times(1 / (2 * FlushHead.HALF_OF_100.tan()));
        return FlushHead.of100(sharp, height);
    }
}
