package bucina.store.svg;

import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.store.curve.Gathered;
import bucina.store.curve.Lefts;
import bucina.store.curve.Placing;
import bucina.store.curve.Sink;
import bucina.store.drawing.Progress;
import bucina.store.drawing.Reading;

/** Reads what is seen of an SVG. */
public final class SvgReader {

    private SvgReader() {}

    /**
     * Reads a drawing.
     *
     * @param text the whole file
     * @param unit of its figures where the file gives no size
     * @throws InputException if it is no SVG, or is damaged
     */
    public static Reading read(String text, Unit unit, Progress progress) {
        return read(text, unit, false, progress);
    }

    /** As {@link #read(String, Unit, Progress)}, taking the unit whatever the file says. */
    public static Reading as(String text, Unit unit, Progress progress) {
        return read(text, unit, true, progress);
    }

    private static Reading read(String text, Unit unit, boolean forced, Progress progress) {
        Lefts lefts = new Lefts();
        Sink sink = new Sink();
        SvgTree tree = SvgTree.read(text, lefts, progress);
        Viewport.Outer outer = Viewport.outer(tree.root(), unit);
        double x = forced ? unit.nanometres() : outer.x();
        double y = forced ? unit.nanometres() * outer.y() / outer.x() : outer.y();
        if (!(x > 0 && y > 0)) {
            throw new InputException("the SVG has no size: its width, height and viewBox must be over 0");
        }
        new Walk(tree, new StyleSheet(tree.styles(), lefts), sink, lefts, progress).all(Placing.scaled(x, -y));
        return new Reading(Gathered.of(sink, lefts), outer.unit());
    }
}
