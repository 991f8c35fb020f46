package bucina.desk.sheet;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.sheet.Point;
import bucina.desk.look.Type;
import bucina.desk.session.Misfitting;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/** Draws how far a part's holes are off as arrows, many times as long as true, and which cleco comes out first. */
final class MisfitPainter {

    private static final double LONGEST = 54;
    private static final double HEAD = 8;

    private MisfitPainter() {}

    static void arrows(Brush brush, Misfitting m, Unit unit) {
        double most = m.offsets().stream()
                .mapToDouble(o -> Math.hypot(o.x(), o.y()))
                .max()
                .orElse(1);
        int pull = m.misfit().pull().orElse(-1);
        for (int i = 0; i < m.holes().size(); i++) {
            Point at = m.holes().get(i).hole().at();
            double x = brush.t().toX(at.x());
            double y = brush.t().toY(at.y());
            Point o = m.offsets().get(i);
            Color colour = i == pull ? brush.p().stop() : brush.p().attention();
            arrow(brush.g(), x, y, o, LONGEST / Math.max(1, most), colour);
            words(brush, x, y, o, i == pull, unit);
        }
    }

    private static void arrow(GraphicsContext g, double x, double y, Point o, double scale, Color colour) {
        double dx = o.x() * scale;
        double dy = -o.y() * scale;
        double length = Math.hypot(dx, dy);
        g.setStroke(colour);
        g.setFill(colour);
        g.setLineWidth(2.4);
        g.strokeOval(x - 7, y - 7, 14, 14);
        if (length < 2) {
            return;
        }
        double ux = dx / length;
        double uy = dy / length;
        double tx = x + dx + 7 * ux;
        double ty = y + dy + 7 * uy;
        g.strokeLine(x + 7 * ux, y + 7 * uy, tx, ty);
        g.fillPolygon(
                new double[] {tx + HEAD * ux, tx - HEAD * uy * 0.6, tx + HEAD * uy * 0.6},
                new double[] {ty + HEAD * uy, ty + HEAD * ux * 0.6, ty - HEAD * ux * 0.6},
                3);
    }

    private static void words(Brush brush, double x, double y, Point o, boolean pull, Unit unit) {
        GraphicsContext g = brush.g();
        String off = LengthFormat.trade(Length.nm(Math.hypot(o.x(), o.y())), unit);
        String text = pull ? off + ", pull first" : off;
        double size = Type.SMALL * brush.text();
        g.setFont(Type.bold(size));
        g.setTextBaseline(VPos.CENTER);
        boolean left = x > brush.width() / 2;
        g.setTextAlign(left ? TextAlignment.RIGHT : TextAlignment.LEFT);
        double w = text.length() * size * 0.58 + 6;
        double tx = left ? x - 14 : x + 14;
        boolean above = o.y() < 0 != pull;
        double ty = above ? y - 16 : y + 16;
        g.setFill(brush.p().film());
        g.fillRect(left ? tx - w + 3 : tx - 3, ty - size * 0.8, w, size * 1.6);
        g.setFill(pull ? brush.p().stop() : brush.p().attention());
        g.fillText(text, tx, ty);
    }
}
