package bucina.core.sheet;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;

/**
 * A place on a face.
 *
 * @param x along the face's first axis, nm, finite
 * @param y along the face's second axis, nm, finite
 */
public record Point(double x, double y) {
    public Point {
        if (!(Double.isFinite(x) && Double.isFinite(y))) {
            throw new InputException("a point must have finite coordinates, was " + x + ", " + y + " nm");
        }
        x = x + 0.0;
        y = y + 0.0;
    }

    /** The point at two lengths. */
    public static Point at(Length x, Length y) {
        return new Point(x.nanometres(), y.nanometres());
    }

    /** The point at two figures in inches, each exact as a decimal. */
    public static Point in(double x, double y) {
        return at(Length.in(x), Length.in(y));
    }

    /** The first coordinate. */
    public Length across() {
        return Length.nm(x);
    }

    /** The second coordinate. */
    public Length up() {
        return Length.nm(y);
    }

    /** Distance to another point. */
    public Length to(Point other) {
        return Length.nm(Math.hypot(x - other.x, y - other.y));
    }
}
