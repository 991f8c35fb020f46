package bucina.store.dxf;

import bucina.core.drawing.Drawing;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;

/** Where what is drawn goes: whole shapes, and stretches that are still to be joined. */
final class Sink {

    private final List<Drawing.Shape> shapes = new ArrayList<>();
    private final List<Run> runs = new ArrayList<>();

    /** Straight stretches and arcs one after another; the last corner is the end. */
    record Run(String layer, List<Corner> corners) {

        Point first() {
            return corners.getFirst().at();
        }

        Point last() {
            return corners.getLast().at();
        }

        /** The same the other way round. */
        Run turned() {
            List<Corner> turned = new ArrayList<>(corners.size());
            for (int i = corners.size() - 1; i >= 0; i--) {
                turned.add(new Corner(
                        corners.get(i).at(), i == 0 ? 0 : -corners.get(i - 1).bulge()));
            }
            return new Run(layer, turned);
        }
    }

    void add(Drawing.Shape shape) {
        shapes.add(shape);
    }

    void run(String layer, List<Corner> corners) {
        runs.add(new Run(layer, corners));
    }

    List<Drawing.Shape> shapes() {
        return shapes;
    }

    List<Run> runs() {
        return runs;
    }
}
