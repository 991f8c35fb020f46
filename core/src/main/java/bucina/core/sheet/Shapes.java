package bucina.core.sheet;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.algorithm.ConvexHull;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;

/**
 * Outlines as polygons of a library, for what is common to two: arcs become chords that stray by a thousandth of an
 * inch at most.
 */
public final class Shapes {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final double STRAY = 25_400;

    private Shapes() {}

    /** A valid polygon, also for an outline that touches itself. */
    public static Geometry of(Outline outline) {
        LinearRing[] openings = outline.openings().stream().map(Shapes::ring).toArray(LinearRing[]::new);
        Geometry shape = FACTORY.createPolygon(ring(outline.outer()), openings);
        return shape.isValid() ? shape : shape.buffer(0);
    }

    private static LinearRing ring(Ring ring) {
        List<Coordinate> line = new ArrayList<>();
        Trace.of(ring, STRAY).forEach(p -> line.add(new Coordinate(p.x(), p.y())));
        line.add(line.getFirst().copy());
        return FACTORY.createLinearRing(line.toArray(Coordinate[]::new));
    }

    /** The smallest outline without a notch that holds all the points; at least three that are not in line. */
    public static Outline hull(List<Point> points) {
        Coordinate[] hull = new ConvexHull(
                        points.stream().map(p -> new Coordinate(p.x(), p.y())).toArray(Coordinate[]::new), FACTORY)
                .getConvexHull()
                .getCoordinates();
        return Outline.of(Ring.polygon(Arrays.stream(hull)
                .limit(hull.length - 1)
                .map(h -> new Point(h.x, h.y))
                .toList()));
    }

    /** True if two outlines have metal in common; a common edge is not enough. */
    public static boolean overlap(Outline a, Outline b) {
        Box x = a.box();
        Box y = b.box();
        boolean apart = x.maxX() <= y.minX() || y.maxX() <= x.minX() || x.maxY() <= y.minY() || y.maxY() <= x.minY();
        return !apart && of(a).intersection(of(b)).getArea() > 0;
    }
}
