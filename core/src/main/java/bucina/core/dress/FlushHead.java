package bucina.core.dress;

import bucina.core.measure.Length;

/**
 * The cone of a flush head.
 *
 * @param diameter  across the top, over 0
 * @param height    of the cone, over 0, as tabulated
 * @param halfAngle θ in radians, over 0 and under π/2
 */
public record FlushHead(Length diameter, Length height, double halfAngle) {

    /** Half of 100 degrees. */
    public static final double HALF_OF_100 = Math.toRadians(50);

    public FlushHead {
        if (!(diameter.positive() && height.positive())) {
            throw new IllegalArgumentException("a flush head must be over 0 across and high, was " + diameter + " x " + height);
        }
        if (!(halfAngle > 0 && halfAngle < Math.PI / 2)) {
            throw new IllegalArgumentException("half angle must lie between 0 and a right angle, was " + halfAngle + " rad");
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
        return diameter.minus(hole).times(1 / (2 * Math.tan(halfAngle)));
    }

    /** What {@code dimpled} thickness of sheets above adds to the depth of a nest: {@code ts (1 - sin θ) / sin θ}. */
    public Length extraDepth(Length dimpled) {
        return dimpled.times((1 - Math.sin(halfAngle)) / Math.sin(halfAngle));
    }

    /** Diameter of the nest under {@code dimpled} thickness of sheets: {@code Dhd + 2 ts (1 - sin θ) / cos θ}. */
    public Length nestDiameter(Length dimpled) {
        return diameter.plus(dimpled.times(2 * (1 - Math.sin(halfAngle)) / Math.cos(halfAngle)));
    }
}
