package bucina.store.drawing;

import bucina.core.measure.InputException;
import bucina.core.sheet.Point;

/** What a drawing that comes in may hold at most, and curves as chords. */
public final class Limits {

    /** A kilometre, in nm. */
    private static final double FAR = 1e12;
    /** More shapes than any sheet has. */
    public static final int SHAPES = 500_000;
    /** Longest line of a text file. */
    public static final int LINE = 1_000_000;
    /** Chords stray from their curve by no more than this, nm. */
    private static final double STRAY = 400;

    private Limits() {}

    public static Point point(double x, double y) {
        if (!(Math.abs(x) <= FAR && Math.abs(y) <= FAR)) {
            throw new InputException("a coordinate of " + x / 1e6 + ", " + y / 1e6
                    + " mm is no place on a sheet: they lie within 1000 m of the origin");
        }
        return new Point(x, y);
    }

    public static int count(int shapes) {
        if (shapes > SHAPES) {
            throw new InputException("the drawing has over " + SHAPES + " shapes: bring in one sheet at a time");
        }
        return shapes;
    }

    /** The bulge of an arc through an angle in radians, positive to the left. */
    public static double bulge(double angle) {
        return Math.tan(angle / 4);
    }

    /**
     * A figure of a drawing.
     *
     * @throws InputException if it is none
     */
    public static double figure(String kind, String text) {
        try {
            double value = Double.parseDouble(text.strip());
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException e) {
            // Falls through to the sentence below.
        }
        throw new InputException("a " + kind + " has \"" + (text.length() > 40 ? text.substring(0, 40) + "..." : text)
                + "\" where a number such as 12.5 stands");
    }
}
