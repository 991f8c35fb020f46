package bucina.desk.sheet;

import bucina.core.reach.Reach;
import bucina.core.sheet.Segment;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Palette;
import bucina.desk.session.Reaching;
import javafx.scene.canvas.GraphicsContext;

/**
 * Paints what tools reach: a mark at each hole, flanges that stand up, and at the hole looked at the room a tool takes.
 */
final class ReachPainter {

    private ReachPainter() {}

    /** Marks every hole in view that wants the work, and the flanges in the way. */
    static void holes(
            GraphicsContext g,
            SheetTransform t,
            FaceReading face,
            Reaching reaching,
            Palette p,
            double width,
            double height) {
        g.setStroke(p.ink());
        g.setLineWidth(3.5);
        for (Segment s : reaching.flanges()) {
            g.strokeLine(t.toX(s.a().x()), t.toY(s.a().y()), t.toX(s.b().x()), t.toY(s.b().y()));
        }
        double r = Math.max(5, HolePainter.glyphSize(t, face) * .5 + 1);
        for (int i : face.in(t.visible(width, height, 20))) {
            HoleReading hole = face.reading(i);
            reaching.way(hole.hole().id())
                    .ifPresent(way -> mark(
                            g,
                            way,
                            t.toX(hole.hole().at().x()),
                            t.toY(hole.hole().at().y()),
                            r,
                            p));
        }
    }

    /** The mark of one way: a small tick beside the hole, a diamond round it, a crossed box. */
    static void mark(GraphicsContext g, Reaching.Way way, double x, double y, double r, Palette p) {
        g.setLineWidth(2);
        switch (way) {
            case USUAL -> {
                g.setStroke(p.done());
                g.strokePolyline(
                        new double[] {x - r * .5, x - r * .1, x + r * .7}, new double[] {y, y + r * .5, y - r * .6}, 3);
            }
            case OTHER -> {
                g.setStroke(p.attention());
                double d = r * 1.25;
                g.strokePolygon(new double[] {x - d, x, x + d, x}, new double[] {y, y - d, y, y + d}, 4);
            }
            case NONE -> {
                g.setStroke(p.stop());
                g.strokeRect(x - r, y - r, 2 * r, 2 * r);
                g.strokeLine(x - r, y - r, x + r, y + r);
                g.strokeLine(x - r, y + r, x + r, y - r);
            }
        }
    }

    /**
     * To scale round the hole looked at: the room the tool takes that gets there, and dashed that of the first that
     * does not.
     */
    static void room(GraphicsContext g, SheetTransform t, HoleReading hole, Reaching reaching, Palette p) {
        Reach reach = reaching.holes().get(hole.hole().id());
        if (reach == null) {
            return;
        }
        double x = t.toX(hole.hole().at().x());
        double y = t.toY(hole.hole().at().y());
        reach.tools().stream().findFirst().ifPresent(tool -> {
            g.setStroke(p.done());
            g.setLineWidth(2);
            circle(g, x, y, tool.clear().nanometres() * t.scale());
        });
        blocked(reach, g, p, x, y, t);
    }

    private static void blocked(Reach reach, GraphicsContext g, Palette p, double x, double y, SheetTransform t) {
        reach.blocked().stream().findFirst().ifPresent(b -> {
            g.setStroke(p.stop());
            g.setLineWidth(2);
            g.setLineDashes(5, 4);
            circle(g, x, y, b.tool().clear().nanometres() * t.scale());
            g.setLineDashes((double[]) null);
        });
    }

    private static void circle(GraphicsContext g, double x, double y, double r) {
        g.strokeOval(x - r, y - r, 2 * r, 2 * r);
    }
}
