package bucina.core.dress;

import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;

/**
 * The cone of a flush head.
 *
 * @param diameter  across the top, over 0
 * @param height    of the cone, over 0, as tabulated
 * @param halfAngle θ, over 0 and under 90 degrees
 */
public record FlushHead(Length diameter, Length height, Angle halfAngle) {

    /** Half of 100 degrees. */
    public static final Angle HALF_OF_100 = Angle.degrees(50);

    public FlushHead {
        if (!(diameter.positive() && height.positive())) {
            throw new InputException("a flush head must be over 0 across and high, was " + diameter + " x " + height);
        }
        if (!(halfAngle.degrees() > 0 && halfAngle.degrees() < 90)) {
            throw new InputException("half angle must lie between 0 and 90 degrees, was " + halfAngle);
        }
    }

    /** A 100 degree head. */
    public static FlushHead of100(Length diameter, Length height) {
        return new FlushHead(diameter, height, HALF_OF_100);
    }

    /**
     * Depth of the cone from its top down to a hole of {@code hole}: {@code (Dhd - Dh) / (2 tan θ)}.
     *
     * @param hole under the head's diameter
     */
    public Length coneTo(Length hole) {
        return diameter.minus(hole).times(1 / (2 * halfAngle.tan()));
    }

    /** What {@code dimpled} thickness of sheets above adds to the depth of a nest: {@code ts (1 - sin θ) / sin θ}. */
    public Length extraDepth(Length dimpled) {
        return dimpled.times((1 - halfAngle.sin()) / halfAngle.sin());
    }

    /** Diameter of the nest under {@code dimpled} thickness of sheets: {@code Dhd + 2 ts (1 - sin θ) / cos θ}. */
    public Length nestDiameter(Length dimpled) {
        return diameter.plus(dimpled.times(2 * (1 - halfAngle.sin()) / halfAngle.cos()));
    }
}
