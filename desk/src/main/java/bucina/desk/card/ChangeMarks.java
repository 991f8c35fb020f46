package bucina.desk.card;

import bucina.core.drawing.Change;
import bucina.core.sheet.Point;
import bucina.desk.look.Palette;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.scene.canvas.GraphicsContext;

/** Marks of what a new revision changes: each kind has a shape of its own. */
final class ChangeMarks {

    private static final double ARM = 5;

    /** Arrows shorter than this, px, are drawn this long: a move of a thousandth is to be seen too. */
    private static final double LEAST = 14;

    private ChangeMarks() {}

    static void draw(GraphicsContext g, Palette palette, List<Change> changes, UnaryOperator<Point> onCanvas) {
        g.setStroke(palette.attention());
        g.setFill(palette.attention());
        g.setLineWidth(1.5);
        for (Change change : changes) {
            switch (change) {
                case Change.Moved m -> arrow(g, onCanvas.apply(m.from()), onCanvas.apply(m.to()));
                case Change.Gone gone -> ring(g, onCanvas.apply(gone.at()));
                case Change.Added a -> plus(g, onCanvas.apply(a.circle().at()));
                case Change.Redrawn r -> {}
            }
        }
    }

    private static void arrow(GraphicsContext g, Point from, Point to) {
        double dx = to.x() - from.x();
        double dy = to.y() - from.y();
        double length = Math.max(1e-9, Math.hypot(dx, dy));
        double ux = dx / length;
        double uy = dy / length;
        double back = Math.max(length, LEAST);
        g.strokeLine(to.x() - ux * back, to.y() - uy * back, to.x(), to.y());
        g.fillPolygon(
                new double[] {to.x(), to.x() - 6 * ux - 3 * uy, to.x() - 6 * ux + 3 * uy},
                new double[] {to.y(), to.y() - 6 * uy + 3 * ux, to.y() - 6 * uy - 3 * ux},
                3);
    }

    private static void ring(GraphicsContext g, Point at) {
        g.strokeOval(at.x() - ARM, at.y() - ARM, 2 * ARM, 2 * ARM);
        g.strokeLine(at.x() - ARM, at.y() + ARM, at.x() + ARM, at.y() - ARM);
        g.strokeLine(at.x() - ARM, at.y() - ARM, at.x() + ARM, at.y() + ARM);
    }

    private static void plus(GraphicsContext g, Point at) {
        g.strokeLine(at.x() - ARM, at.y(), at.x() + ARM, at.y());
        g.strokeLine(at.x(), at.y() - ARM, at.x(), at.y() + ARM);
    }
}
