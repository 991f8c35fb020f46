package bucina.desk.look;

import bucina.core.log.HoleState;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;

/*
 * Design. A glyph is one base shape for the state and at most one mark beside it. Shapes differ in outline or in how
 * much is filled, so that
 * they are told apart at 10 px in grey; colour only repeats what the shape says. The order of work reads as a hole
 * that fills up: a bare ring,
 * a ring on a pin, a ring with its centre drilled, a ring cleaned up (double), a funnel, a filled funnel, half
 * filled, full.
 */

/** Paints hole states and the marks that go over them. */
public final class Glyph {

    /** A mark over a state. */
    public enum Mark {
        NONE("nothing to say"),
        /** A warning: a notch. */
        WARNING("warning"),
        /** An error: a wedge with its point at the hole. */
        ERROR("rule broken"),
        /** The hole stays open: a gate, two bars either side of it. */
        HOLD("held open"),
        /** Its group waits for an answer: a hook and a dot. */
        QUERY("in query"),
        /** Its neighbours on both sides are done and it is not. */
        SKIPPED("jumped over"),
        /** It is done before a part goes on that covers it, bars the tool or shuts a bay: a lid over it. */
        BEFORE("do it before a part goes on"),
        /** Its head is to be measured: the jaws of a caliper either side. */
        MEASURE("head to measure"),
        /** Its head was measured and is not left: struck through. */
        FAILED("head not left"),
        /** The same set-up failed since it was set: a broken ring. */
        DOUBT("in doubt since a head failed"),
        /** The hole deviates from its group. */
        DEVIATION("differs from its group");

        private final String words;

        Mark(String words) {
            this.words = words;
        }

        /** In plain words. */
        public String words() {
            return words;
        }
    }

    private Glyph() {}

    /**
     * Paints a state.
     *
     * @param r half of the glyph's size, px
     */
    public static void paint(GraphicsContext g, HoleState state, double x, double y, double r, Palette p) {
        g.save();
        g.setLineCap(StrokeLineCap.BUTT);
        g.setLineJoin(StrokeLineJoin.MITER);
        double w = Math.max(1.3, r * 0.26);
        g.setLineWidth(w);
        double k = r - w / 2;
        switch (state) {
            case PLANNED -> ring(g, x, y, k, p.layout(), p.film());
            case CLECOED -> {
                ring(g, x, y, k * 0.72, p.attention(), p.film());
                line(g, x, y - r, x, y + r, p.attention());
            }
            case DRILLED -> {
                ring(g, x, y, k, p.layout(), p.film());
                dot(g, x, y, r * 0.34, p.layout());
            }
            case DEBURRED -> {
                ring(g, x, y, k, p.layout(), p.film());
                g.setLineWidth(w * 0.75);
                ring(g, x, y, k * 0.5, p.layout(), p.film());
            }
            case DIMPLED -> funnel(g, x, y, k, p.layout(), p.film());
            case COUNTERSUNK -> funnel(g, x, y, k, p.layout(), p.layout());
            case PRIMED -> half(g, x, y, k, p);
            case SET -> dot(g, x, y, r, p.done());
            case PROVED -> tick(g, x, y, r, p);
            case REJECTED -> cross(g, p, x, k, y);
        }
        g.restore();
    }

    private static void cross(GraphicsContext g, Palette p, double x, double k, double y) {
        g.setFill(p.film());
        g.fillRect(x - k, y - k, 2 * k, 2 * k);
        g.setStroke(p.stop());
        g.strokeRect(x - k, y - k, 2 * k, 2 * k);
        line(g, x - k * 0.6, y - k * 0.6, x + k * 0.6, y + k * 0.6, p.stop());
        line(g, x - k * 0.6, y + k * 0.6, x + k * 0.6, y - k * 0.6, p.stop());
    }

    private static void tick(GraphicsContext g, double x, double y, double r, Palette p) {
        dot(g, x, y, r, p.done());
        g.setStroke(p.film());
        g.setLineWidth(Math.max(1.4, r * 0.3));
        g.strokePolyline(
                new double[] {x - r * 0.5, x - r * 0.1, x + r * 0.55}, new double[] {y, y + r * 0.4, y - r * 0.4}, 3);
    }

    private static void half(GraphicsContext g, double x, double y, double k, Palette p) {
        ring(g, x, y, k, p.done(), p.film());
        g.setFill(p.done());
        g.fillArc(x - k, y - k, 2 * k, 2 * k, 180, 180, ArcType.CHORD);
    }

    /**
     * Paints a length as how full the hole is: the shortest of a face is a bare ring, the longest a full disc.
     * Hardware is a square, a hole that
     * nothing fits a struck ring.
     *
     * @param place from 0 for the shortest; -1 for hardware, -2 for nothing
     * @param of    how many lengths there are
     */
    public static void length(GraphicsContext g, int place, int of, double x, double y, double r, Palette p) {
        double w = Math.max(1.3, r * 0.26);
        double k = r - w / 2;
        g.setLineWidth(w);
        if (place == -1) {
            square(g, p, x, k, y);
            return;
        }
        ring(g, x, y, k, place < 0 ? p.stop() : p.layout(), p.film());
        if (place == -2) {
            line(g, x - k * 0.7, y + k * 0.7, x + k * 0.7, y - k * 0.7, p.stop());
        } else if (of > 1 && place > 0) {
            g.setFill(p.layout());
            g.fillArc(x - k, y - k, 2 * k, 2 * k, 90, -360.0 * place / (of - 1), ArcType.ROUND);
        }
    }

    private static void square(GraphicsContext g, Palette p, double x, double k, double y) {
        g.setFill(p.film());
        g.fillRect(x - k * 0.86, y - k * 0.86, k * 1.72, k * 1.72);
        g.setStroke(p.layout());
        g.strokeRect(x - k * 0.86, y - k * 0.86, k * 1.72, k * 1.72);
    }

    /** Paints a mark at the upper right of a glyph of half size {@code r}. */
    public static void mark(GraphicsContext g, Mark mark, double x, double y, double r, Palette p) {
        double a = r * 0.95;
        switch (mark) {
            case NONE -> {
                // Nothing to say.
            }
            case ERROR -> wedge(g, p, x, r, a, y);
            case WARNING -> {
                g.setFill(p.attention());
                g.fillRect(x + r * 0.6, y - r * 1.5, a * 0.85, a * 0.85);
            }
            case HOLD -> hold(g, p, r, x, y);
            case QUERY -> query(g, p, r, x, y);
            case SKIPPED -> skipped(g, p, r, x, y);
            case BEFORE -> lid(g, p, r, x, y);
            case MEASURE -> jaws(g, p, r, x, y);
            case FAILED -> struck(g, p, r, x, y);
            case DOUBT -> broken(g, p, r, x, y);
            case DEVIATION -> deviation(g, p, r, x, y);
        }
    }

    private static void lid(GraphicsContext g, Palette p, double r, double x, double y) {
        g.setStroke(p.attention());
        g.setLineWidth(Math.max(1.4, r * 0.24));
        g.strokePolyline(
                new double[] {x - r * 1.3, x - r * 1.3, x + r * 1.3, x + r * 1.3},
                new double[] {y - r * 0.95, y - r * 1.5, y - r * 1.5, y - r * 0.95},
                4);
    }

    private static void jaws(GraphicsContext g, Palette p, double r, double x, double y) {
        g.setStroke(p.attention());
        g.setLineWidth(Math.max(1.4, r * 0.24));
        g.strokePolyline(
                new double[] {x - r * 1.3, x - r * 1.3, x + r * 1.3, x + r * 1.3},
                new double[] {y + r * 0.4, y - r * 1.5, y - r * 1.5, y + r * 0.4},
                4);
    }

    private static void struck(GraphicsContext g, Palette p, double r, double x, double y) {
        g.setLineWidth(Math.max(3, r * 0.62));
        line(g, x - r * 1.25, y + r * 1.25, x + r * 1.25, y - r * 1.25, p.film());
        g.setLineWidth(Math.max(1.6, r * 0.32));
        line(g, x - r * 1.25, y + r * 1.25, x + r * 1.25, y - r * 1.25, p.stop());
    }

    private static void broken(GraphicsContext g, Palette p, double r, double x, double y) {
        g.setStroke(p.attention());
        g.setLineWidth(Math.max(1.3, r * 0.22));
        for (int i = 0; i < 4; i++) {
            g.strokeArc(x - r * 1.4, y - r * 1.4, r * 2.8, r * 2.8, 15 + 90.0 * i, 60, ArcType.OPEN);
        }
    }

    private static void deviation(GraphicsContext g, Palette p, double r, double x, double y) {
        g.setStroke(p.attention());
        g.setLineWidth(Math.max(1.2, r * 0.22));
        g.strokePolyline(
                new double[] {x - r * 1.35, x, x + r * 1.35}, new double[] {y + r * 1.1, y + r * 1.6, y + r * 1.1}, 3);
    }

    private static void skipped(GraphicsContext g, Palette p, double r, double x, double y) {
        g.setStroke(p.attention());
        g.setLineWidth(Math.max(1.6, r * 0.3));
        g.strokeArc(x - r * 1.4, y - r * 2.1, r * 2.8, r * 2.4, 20, 140, ArcType.OPEN);
        g.strokeLine(x + r * 1.25, y - r * 1.35, x + r * 1.5, y - r * 0.75);
    }

    private static void query(GraphicsContext g, Palette p, double r, double x, double y) {
        g.setStroke(p.attention());
        g.setLineWidth(Math.max(1.5, r * 0.26));
        g.strokeArc(x + r * 0.75, y - r * 1.75, r * 0.85, r * 0.85, -60, 240, ArcType.OPEN);
        g.setFill(p.attention());
        g.fillOval(x + r * 1.0, y - r * 0.6, r * 0.36, r * 0.36);
    }

    private static void hold(GraphicsContext g, Palette p, double r, double x, double y) {
        g.setStroke(p.attention());
        g.setLineWidth(Math.max(1.6, r * 0.3));
        g.strokeLine(x - r * 1.35, y - r * 1.05, x - r * 1.35, y + r * 1.05);
        g.strokeLine(x + r * 1.35, y - r * 1.05, x + r * 1.35, y + r * 1.05);
    }

    private static void wedge(GraphicsContext g, Palette p, double x, double r, double a, double y) {
        g.setFill(p.stop());
        g.fillPolygon(
                new double[] {x + r * 0.35, x + r * 0.35 + a * 1.5, x + r * 0.35 + a * 1.5},
                new double[] {y - r * 0.5, y - r * 0.5 - a * 1.3, y - r * 0.5 + a * 0.15},
                3);
    }

    /** The colour that repeats a state, for dots too small for a shape. */
    public static Color colour(HoleState state, Palette p) {
        return switch (state) {
            case SET, PROVED, PRIMED -> p.done();
            case CLECOED -> p.attention();
            case REJECTED -> p.stop();
            case PLANNED, DRILLED, DEBURRED, DIMPLED, COUNTERSUNK -> p.layout();
        };
    }

    private static void ring(GraphicsContext g, double x, double y, double r, Color stroke, Color fill) {
        g.setFill(fill);
        g.fillOval(x - r, y - r, 2 * r, 2 * r);
        g.setStroke(stroke);
        g.strokeOval(x - r, y - r, 2 * r, 2 * r);
    }

    private static void dot(GraphicsContext g, double x, double y, double r, Color fill) {
        g.setFill(fill);
        g.fillOval(x - r, y - r, 2 * r, 2 * r);
    }

    private static void funnel(GraphicsContext g, double x, double y, double r, Color stroke, Color fill) {
        double[] xs = {x - r, x + r, x};
        double[] ys = {y - r * 0.8, y - r * 0.8, y + r};
        g.setFill(fill);
        g.fillPolygon(xs, ys, 3);
        g.setStroke(stroke);
        g.strokePolygon(xs, ys, 3);
    }

    private static void line(GraphicsContext g, double x1, double y1, double x2, double y2, Color stroke) {
        g.setStroke(stroke);
        g.strokeLine(x1, y1, x2, y2);
    }
}
