package bucina.core.batch;

import bucina.core.sheet.Outline;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Trace;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;

/** Outlines as polygons of a library, for areas of what is common to two: arcs become chords that stray by a thousandth of an inch at most. */
final class Shapes {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final double STRAY = 25_400;

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
        Trace.of(ring, STRAY).forEach(p -> line.add(new Coordinate(p.x(), p.y())));
        line.add(line.getFirst().copy());
        return FACTORY.createLinearRing(line.toArray(Coordinate[]::new));
    }
}
