package bucina.core.bend;

import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;

/** How the length of flat sheet in a bend is worked out. */
public sealed interface NeutralLine {

    /**
     * The length of flat sheet that a bend takes.
     *
     * @param radius    inside radius, 0 or more
     * @param thickness over 0
     * @param turn      how far the sheet is turned, over 0
     */
    Length allowance(Length radius, Length thickness, Angle turn);

    /**
     * The neutral line at a share of the thickness from the inside: BA = π/180 · A · (R + K·t).
     *
     * @param k over 0 and under 1; 0.5 is the middle of the sheet, 0.446 usual for aluminium
     */
    record Factor(double k) implements NeutralLine {

        public Factor {
            if (!(k > 0 && k < 1)) {
                throw new InputException("K " + k
                        + " is outside the sheet: it is the neutral line's share of the thickness, over 0 "
                        + "and under 1, like 0.446");
            }
        }

        @Override
        public Length allowance(Length radius, Length thickness, Angle turn) {
            return radius.plus(thickness.times(k)).times(turn.radians());
        }
    }

    /** The empirical rule: BA = (0.01743 R + 0.0078 t) · A, A in degrees (AC 65-15A, FAA-H-8083-31). */
    record Empirical() implements NeutralLine {

        @Override
        public Length allowance(Length radius, Length thickness, Angle turn) {
            return radius.times(0.01743).plus(thickness.times(0.0078)).times(turn.degrees());
        }
    }

    /**
     * Reads {@code 0.446} or {@code empirical}.
     *
     * @throws InputException if it is neither
     */
    static NeutralLine parse(String text) {
        String clean = text.strip();
        if (clean.equals("empirical")) {
            return new Empirical();
        }
        try {
            return new Factor(Double.parseDouble(clean));
        } catch (NumberFormatException e) {
            throw new InputException(
                    "K \"" + clean + "\" is no number: write a share of the thickness like 0.446, or empirical", e);
        }
    }
}
