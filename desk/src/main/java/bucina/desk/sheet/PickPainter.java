package bucina.desk.sheet;

import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Palette;
import bucina.desk.session.Selection;
import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** Draws over the sheet what is picked and where the keyboard is. */
final class PickPainter {

    private final Brush brush;
    private final GraphicsContext g;
    private final SheetTransform t;
    private final Palette p;

    PickPainter(Brush brush) {
        this.brush = brush;
        this.g = brush.g();
        this.t = brush.t();
        this.p = brush.p();
    }

    /** A ring round each hole picked. */
    void picked(FaceReading face, Selection selection) {
        double r = radius(face);
        g.setStroke(p.layout());
        g.setLineWidth(1.6);
        Box visible = t.visible(brush.width(), brush.height(), 20);
        for (HoleReading reading : selection.readings(face)) {
            Point at = reading.hole().at();
            if (visible.contains(at)) {
                g.strokeOval(t.toX(at.x()) - r, t.toY(at.y()) - r, 2 * r, 2 * r);
            }
        }
    }

    /** Four corner ticks around the hole looked at. */
    void cursor(FaceReading face, HoleReading hole) {
        double x = t.toX(hole.hole().at().x());
        double y = t.toY(hole.hole().at().y());
        double a = radius(face) + 3;
        double b = radius(face) + 9;
        g.setStroke(p.layout());
        g.setLineWidth(2.2);
        for (int sx = -1; sx <= 1; sx += 2) {
            for (int sy = -1; sy <= 1; sy += 2) {
                g.strokeLine(x + sx * a * 0.8, y + sy * a * 0.8, x + sx * b * 0.8, y + sy * b * 0.8);
            }
        }
    }

    /** What is being swept over. */
    void band(Point2D from, Point2D to) {
        Color blue = p.layout();
        g.setFill(Color.color(blue.getRed(), blue.getGreen(), blue.getBlue(), 0.12));
        double x = Math.min(from.getX(), to.getX());
        double y = Math.min(from.getY(), to.getY());
        double w = Math.abs(from.getX() - to.getX());
        double h = Math.abs(from.getY() - to.getY());
        g.fillRect(x, y, w, h);
        g.strokeRect(x, y, w, h);
    }

    /** The border that says the keys go to the sheet. */
    void focus(boolean changing) {
        g.setStroke(changing ? p.attention() : p.layout());
        g.setLineWidth(2);
        g.strokeRect(1, 1, brush.width() - 2, brush.height() - 2);
    }

    private double radius(FaceReading face) {
        return HolePainter.glyphSize(t, face) * 0.5 + 2.5;
    }
}
