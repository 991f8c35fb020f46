package bucina.core.batch;

import bucina.core.plan.Layer;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Shapes;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Geometry;

/**
 * Two sheets that touch: the far side of one lies on the near side of the other.
 *
 * @param near  the sheet nearer to the viewer
 * @param far   the one under it
 * @param area  where they touch, nm², over 0; arcs taken as chords that stray by .001 in at most
 * @param holes through both, with no sheet between
 */
public record Mating(Layer near, Layer far, double area, List<HoleReading> holes) {

    /** Less than this is no surface: a square of 1 mm. */
    private static final double LEAST = 1e12;

    public Mating {
        holes = List.copyOf(holes);
    }

    /** Every pair of sheets of a face that touch, in order from the near side. */
    public static List<Mating> of(FaceReading face) {
        List<Layer> layers = face.face().layers();
        List<Geometry> shapes = layers.stream().map(l -> Shapes.of(l.outline())).toList();
        List<Mating> found = new ArrayList<>();
        for (int i = 0; i < layers.size(); i++) {
            under(shapes, i, layers, found, face);
        }
        return found;
    }

    private static void under(List<Geometry> shapes, int i, List<Layer> layers, List<Mating> found, FaceReading face) {
        Geometry open = shapes.get(i);
        for (int j = i + 1; j < layers.size() && !open.isEmpty(); j++) {
            if (!open.getEnvelopeInternal().intersects(shapes.get(j).getEnvelopeInternal())) {
                continue;
            }
            double area = open.intersection(shapes.get(j)).getArea();
            if (area > LEAST) {
                found.add(new Mating(layers.get(i), layers.get(j), area, holes(face, layers.get(i), layers.get(j))));
            }
            open = open.difference(shapes.get(j));
        }
    }

    private static List<HoleReading> holes(FaceReading face, Layer near, Layer far) {
        return face.readings().stream()
                .filter(r -> {
                    List<Layer> through = r.group().headFar() ? r.layers().reversed() : r.layers();
                    for (int i = 1; i < through.size(); i++) {
                        if (through.get(i - 1).id().equals(near.id())
                                && through.get(i).id().equals(far.id())) {
                            return true;
                        }
                    }
                    return false;
                })
                .toList();
    }

    /** Area of one side of a sheet, nm², openings left out, rivet holes not. */
    public static double area(Outline outline) {
        return outline.outer().area()
                - outline.openings().stream().mapToDouble(Ring::area).sum();
    }
}
