package bucina.store.drawing;

import bucina.core.measure.InputException;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;

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

    /** A cubic curve as chords behind its first point. */
    static List<Corner> cubic(Point a, Point b, Point c, Point d) {
        double bend = Math.max(
                Math.hypot(a.x() - 2 * b.x() + c.x(), a.y() - 2 * b.y() + c.y()),
                Math.hypot(b.x() - 2 * c.x() + d.x(), b.y() - 2 * c.y() + d.y()));
        int chords = (int) Math.clamp(Math.ceil(Math.sqrt(0.75 * bend / STRAY)), 1, 5000);
        List<Corner> points = new ArrayList<>();
        for (int i = 1; i <= chords; i++) {
            double t = (double) i / chords;
            double u = 1 - t;
            double x = u * u * u * a.x() + 3 * u * u * t * b.x() + 3 * u * t * t * c.x() + t * t * t * d.x();
            double y = u * u * u * a.y() + 3 * u * u * t * b.y() + 3 * u * t * t * c.y() + t * t * t * d.y();
            points.add(Corner.of(i == chords ? d : point(x, y)));
        }
        return points;
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
