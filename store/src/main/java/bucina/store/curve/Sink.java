package bucina.store.curve;

import bucina.core.drawing.Drawing;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;

/** Where what is drawn goes: whole shapes, and stretches that are still to be joined. */
public final class Sink {

    private final List<Drawing.Shape> shapes = new ArrayList<>();
    private final List<Run> runs = new ArrayList<>();
    private final List<String> notes = new ArrayList<>();

    /** Straight stretches and arcs one after another; the last corner is the end. */
    public record Run(String layer, List<Corner> corners) {

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

    public void add(Drawing.Shape shape) {
        shapes.add(shape);
    }

    public void run(String layer, List<Corner> corners) {
        runs.add(new Run(layer, corners));
    }

    public List<Drawing.Shape> shapes() {
        return shapes;
    }

    public List<Run> runs() {
        return runs;
    }

    /** Something that should be looked at, one sentence. */
    public void note(String sentence) {
        notes.add(sentence);
    }

    List<String> notes() {
        return notes;
    }

    /** How many there are of either. */
    public int count() {
        return shapes.size() + runs.size();
    }
}
