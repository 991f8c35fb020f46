package bucina.core.sheet;

import org.locationtech.jts.geom.Envelope;

/**
 * An upright rectangle, bounds included.
 *
 * @param minX left, nm
 * @param minY bottom, nm
 * @param maxX right, nm, at least minX
 * @param maxY top, nm, at least minY
 */
public record Box(double minX, double minY, double maxX, double maxY) {
    public Box {
        if (!(minX <= maxX && minY <= maxY)) {
            throw new IllegalArgumentException("a box needs left <= right and bottom <= top, was " + minX + ", " + minY
                    + ", " + maxX + ", " + maxY);
        }
    }

    /** The smallest box around an edge from a corner to where it ends, with all of its arc. */
    public static Box around(Corner from, Point to) {
        return new Edge(from.at(), to, from.bulge()).box();
    }

    /** The box of two opposite corners in any order. */
    public static Box around(Point a, Point b) {
        return new Box(Math.min(a.x(), b.x()), Math.min(a.y(), b.y()), Math.max(a.x(), b.x()), Math.max(a.y(), b.y()));
    }

    public boolean contains(Point p) {
        return p.x() >= minX && p.x() <= maxX && p.y() >= minY && p.y() <= maxY;
    }

    /** The smallest box around both. */
    public Box with(Box other) {
        return new Box(
                Math.min(minX, other.minX),
                Math.min(minY, other.minY),
                Math.max(maxX, other.maxX),
                Math.max(maxY, other.maxY));
    }

    public double width() {
        return maxX - minX;
    }

    public double height() {
        return maxY - minY;
    }

    Envelope envelope() {
        return new Envelope(minX, maxX, minY, maxY);
    }
}
