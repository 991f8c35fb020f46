package bucina.core.bend;

import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Optional;

/**
 * One bend.
 *
 * @param radius    inside radius, 0 or more
 * @param thickness of the sheet, over 0
 * @param turn      how far the sheet is turned: its sign is the direction, its size over 0 and up to 180°
 * @param neutral   how its allowance is worked out
 */
public record Bend(Length radius, Length thickness, Angle turn, NeutralLine neutral) {

    /** Refuses what no sheet can be bent to. */
    public Bend {
        if (!radius.atLeast(Length.ZERO)) {
            throw new InputException("The inside radius is " + radius + ": it is 0 or more, like .125");
        }
        if (!thickness.positive()) {
            throw new InputException("The thickness is " + thickness + ": a sheet is thicker than 0, like .040");
        }
        double size = Math.abs(turn.degrees());
        if (!(size > 0 && size <= 180)) {
            throw new InputException("The bend angle is " + turn
                    + ": it is how far the sheet is turned, over 0° and up to 180°, like 90");
        }
    }

    /** How far the sheet is turned, whichever way. */
    public Angle size() {
        return Angle.degrees(Math.abs(turn.degrees()));
    }

    /** Length of flat sheet in the bend. */
    public Length allowance() {
        return neutral.allowance(radius, thickness, size());
    }

    /** Mould line to tangent, SB = tan(A/2) · (R + t); empty at 180°, where the outer faces do not meet. */
    public Optional<Length> setback() {
        return apex(radius.plus(thickness));
    }

    /** Apex of the inner faces to tangent, tan(A/2) · R; empty at 180°. */
    public Optional<Length> innerSetback() {
        return apex(radius);
    }

    /** What the bend saves against the mould lines, BD = 2 SB − BA; empty at 180°. */
    public Optional<Length> deduction() {
        return setback().map(s -> s.times(2).minus(allowance()));
    }

    private Optional<Length> apex(Length r) {
        return turn.degrees() == 180 || turn.degrees() == -180
                ? Optional.empty()
                : Optional.of(r.times(size().half().tan()));
    }
}
