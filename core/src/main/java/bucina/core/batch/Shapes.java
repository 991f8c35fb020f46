package bucina.core.batch;

import bucina.core.sheet.Corner;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;

/** Outlines as polygons of a library, for areas of what is common to two: arcs become chords of at most three degrees. */
final class Shapes {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final double STEP = Math.toRadians(3);

    private Shapes() {
    }

    /** A valid polygon, also for an outline that touches itself. */
    static Geometry of(Outline outline) {
        LinearRing[] openings = outline.openings().stream().map(Shapes::ring).toArray(LinearRing[]::new);
        Geometry shape = FACTORY.createPolygon(ring(outline.outer()), openings);
        return shape.isValid() ? shape : shape.buffer(0);
    }

    private static LinearRing ring(Ring ring) {
        List<Coordinate> line = new ArrayList<>();
        List<Corner> corners = ring.corners();
        for (int i = 0; i < corners.size(); i++) {
            Point a = corners.get(i).at();
            Point b = corners.get((i + 1) % corners.size()).at();
            line.add(new Coordinate(a.x(), a.y()));
            arc(a, b, corners.get(i).bulge(), line);
        }
        line.add(line.getFirst().copy());
        return FACTORY.createLinearRing(line.toArray(Coordinate[]::new));
    }

    /** Points between the ends of an arc; none for a straight edge. */
    private static void arc(Point a, Point b, double bulge, List<Coordinate> line) {
        double turn = 4 * Math.atan(bulge);
        int steps = (int) Math.ceil(Math.abs(turn) / STEP);
        if (bulge == 0 || a.equals(b)) {
            return;
        }
        // The centre lies on the chord's normal; a positive bulge turns left.
        double h = (1 / bulge - bulge) / 4;
        double cx = (a.x() + b.x()) / 2 - (b.y() - a.y()) * h;
        double cy = (a.y() + b.y()) / 2 + (b.x() - a.x()) * h;
        double from = Math.atan2(a.y() - cy, a.x() - cx);
        double r = Math.hypot(a.x() - cx, a.y() - cy);
        for (int k = 1; k < steps; k++) {
            double at = from + turn * k / steps;
            line.add(new Coordinate(cx + r * Math.cos(at), cy + r * Math.sin(at)));
        }
    }
}
