package bucina.core.sheet;

import bucina.core.measure.Length;
import java.util.Objects;

/**
 * A straight line between two points, such as a bend tangent.
 *
 * @param a one end
 * @param b the other end
 */
public record Segment(Point a, Point b) {

    public Segment {
        Objects.requireNonNull(a, "a");
        Objects.requireNonNull(b, "b");
    }

    /** Distance from a point to the nearest place on the line. */
    public Length distance(Point p) {
        return Length.nm(new Edge(a, b, 0).distance(p.x(), p.y()));
    }

    /** True if it meets another one; lines along each other do not. */
    public boolean meets(Segment other) {
        return apart(a, b, other.a, other.b) && apart(other.a, other.b, a, b);
    }

    /** True if two points lie on different sides of a line, or on it. */
    private static boolean apart(Point from, Point to, Point p, Point q) {
        double one = side(from, to, p);
        double two = side(from, to, q);
        return (one != 0 || two != 0) && one * two <= 0;
    }

    private static double side(Point from, Point to, Point p) {
        return (to.x() - from.x()) * (p.y() - from.y()) - (to.y() - from.y()) * (p.x() - from.x());
    }

    /** How long it is. */
    public Length length() {
        return a.to(b);
    }
}
