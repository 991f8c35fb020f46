package bucina.core.bend;

import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;

/**
 * How far a bend springs back when it is let go: an estimate until a coupon of the same sheet is bent.
 *
 * @param ratio       Ri / Rf = 4x³ − 3x + 1 with x = Ri·Y / (E·t); over 0 and up to 1
 * @param finalRadius Rf, the inside radius when let go
 * @param finalAngle  how far the sheet stays turned
 * @param bendTo      how far to turn it so that it springs back to the angle asked
 * @param uncertainty of both angles, either way
 */
public record Springback(double ratio, Length finalRadius, Angle finalAngle, Angle bendTo, Angle uncertainty) {

    /** More than this is not put into a finished bend any more. */
    public static final Angle TWEAK_MOST = Angle.degrees(2);

    private static final double STRAIGHT_BACK = 180;

    /**
     * The springback of a bend.
     *
     * @throws InputException if the sheet stays elastic: it would spring back flat; or would be turned past 180 degrees
     */
    public static Springback of(Bend bend, SheetStrength sheet) {
        double x = bend.radius().per(bend.thickness()) * sheet.yield() / (sheet.modulus() * 1000);
        double ratio = 4 * x * x * x - 3 * x + 1;
        checkFlat(x, bend, sheet);
        Length after = bend.radius().times(1 / ratio);
        double share = (2 * bend.radius().per(bend.thickness()) + 1) / (2 * after.per(bend.thickness()) + 1);
        double bendTo = bend.size().degrees() / share;
        checkTurned(bendTo, bend);
        return new Springback(
                ratio, after, Angle.degrees(bend.size().degrees() * share), Angle.degrees(bendTo), Angle.degrees(2));
    }

    private static void checkTurned(double bendTo, Bend bend) {
        if (!(bendTo <= STRAIGHT_BACK)) {
            throw new InputException("To spring back to " + bend.size() + " the sheet would be turned by "
                    + Angle.degrees(bendTo) + ": past 180° it lies on itself; close it in a second step, or take a "
                    + "smaller radius");
        }
    }

    private static void checkFlat(double x, Bend bend, SheetStrength sheet) {
        if (x >= 0.5) {
            throw new InputException("A radius of " + bend.radius() + " in a sheet of " + bend.thickness()
                    + " springs back flat: in " + sheet.material().code() + " the radius must be under "
                    + bend.thickness().times(0.5 * sheet.modulus() * 1000 / sheet.yield()));
        }
    }

    /** True if a finished bend may still be opened or closed by this much in the vice. */
    public static boolean tweakable(Angle by) {
        return Math.abs(by.degrees()) <= TWEAK_MOST.degrees() + 1e-9;
    }
}
