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

    /** How long it is. */
    public Length length() {
        return a.to(b);
    }
}
