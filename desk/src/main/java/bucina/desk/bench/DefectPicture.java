package bucina.desk.bench;

import bucina.core.log.Seen;
import bucina.desk.look.Palette;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.ArcType;

/** A defect drawn as it is seen at the bench: a cut through the head, or the head from above. */
final class DefectPicture extends Canvas {

    private static final double W = 58;
    private static final double H = 38;
    /** Half the shank, half the shop head, where the sheet lies. */
    private static final double SHANK = 7;

    private static final double HEAD = 13;
    private static final double SHEET = 16;
    private static final double TOP = 10;
    private static final double X = W / 2;

    private final Seen.What what;

    DefectPicture(Seen.What what, Palette palette) {
        super(W, H);
        this.what = what;
        paint(palette);
    }

    void paint(Palette p) {
        GraphicsContext g = getGraphicsContext2D();
        g.clearRect(0, 0, W, H);
        switch (what) {
            case CRACK -> {
                above(g, p, X, HEAD);
                stroke(g, p.stop(), 2, X - 1, H / 2 + 1, X + 4, H / 2 - 5, X + 5, H / 2 - 9, X + 11, H / 2 - 14);
            }
            case FOLD -> {
                stack(g, p, 0);
                shop(g, p, -HEAD + 3, 5, HEAD - 3, 5);
                area(g, p.stop(), X - 4, SHEET + 12, X + 18, SHEET + 13, X + 19, SHEET + 17, X + 1, SHEET + 18);
            }
            case OFFSET -> {
                above(g, p, X + 5, HEAD);
                g.setStroke(p.stop());
                g.setLineWidth(2);
                g.strokeArc(X - 11, H / 2 - 9, 18, 18, 100, 160, ArcType.OPEN);
            }
            case DISH -> {
                stack(g, p, 0);
                shop(g, p, -HEAD, 8, HEAD, 8);
                g.setFill(p.film());
                g.fillOval(X - 8, SHEET + 14 - 2, 16, 9);
                g.setStroke(p.stop());
                g.setLineWidth(2);
                g.strokeArc(X - 8, SHEET + 12, 16, 8, 0, 180, ArcType.OPEN);
            }
            case HEAD_GAP -> {
                stack(g, p, 4);
                shop(g, p, -HEAD, 8, HEAD, 8);
                stroke(g, p.stop(), 2, 4, TOP - 1, X - 6, TOP - 1);
            }
            case SHEET_GAP -> {
                apart(g, p);
                shop(g, p, -HEAD, 7, HEAD, 7);
                stroke(g, p.stop(), 2, 3, TOP + 7, X - SHANK - 1, TOP + 7);
            }
            case PROUD, BELOW, CUT, ROCKS, MANDREL -> beside(g, p);
        }
    }

    private void beside(GraphicsContext g, Palette p) {
        switch (what) {
            case PROUD -> flush(g, p, -3);
            case BELOW -> flush(g, p, 4);
            case CUT -> {
                above(g, p, X - 3, HEAD - 2);
                g.setStroke(p.stop());
                g.setLineWidth(2.4);
                g.strokeArc(X - 18, H / 2 - 16, 32, 32, -40, 80, ArcType.OPEN);
            }
            case ROCKS -> {
                stack(g, p, 0);
                shop(g, p, -9, 12, 9, 12);
                stroke(g, p.stop(), 2, X - 18, 9, X - 15, 4, X - 10, 2);
                stroke(g, p.stop(), 2, X + 18, 9, X + 15, 4, X + 10, 2);
            }
            case MANDREL -> {
                above(g, p, X, HEAD);
                g.setFill(p.film());
                g.fillOval(X - 5, H / 2 - 5, 10, 10);
                g.setStroke(p.stop());
                g.setLineWidth(2);
                g.strokeOval(X - 5, H / 2 - 5, 10, 10);
            }
            case CRACK, FOLD, OFFSET, DISH, HEAD_GAP, SHEET_GAP -> {}
        }
    }

    /** A head from above. */
    private static void above(GraphicsContext g, Palette p, double x, double r) {
        g.setFill(p.metal());
        g.fillRect(2, 2, W - 4, H - 4);
        g.setFill(rivet(p));
        g.fillOval(x - r, H / 2 - r, 2 * r, 2 * r);
        g.setStroke(p.layout());
        g.setLineWidth(1.4);
        g.strokeOval(x - r, H / 2 - r, 2 * r, 2 * r);
    }

    private static Color rivet(Palette p) {
        return p.layout().interpolate(p.film(), 0.72);
    }

    /** Two sheets and a universal rivet through them, its head lifted. */
    private static void stack(GraphicsContext g, Palette p, double lifted) {
        sheet(g, p, TOP, 5);
        sheet(g, p, TOP + 5, 5);
        shank(g, p, TOP - 4 - lifted);
    }

    private static void apart(GraphicsContext g, Palette p) {
        sheet(g, p, TOP, 5);
        sheet(g, p, TOP + 9, 5);
        shank(g, p, TOP - 4);
    }

    private static void sheet(GraphicsContext g, Palette p, double y, double t) {
        g.setFill(y > TOP ? p.shade() : p.metal());
        g.fillRect(2, y, W - 4, t);
        g.setStroke(p.edge());
        g.setLineWidth(1);
        g.strokeRect(2, y, W - 4, t);
    }

    private static void shank(GraphicsContext g, Palette p, double top) {
        area(g, rivet(p), X - HEAD, top + 4, X - HEAD + 4, top, X + HEAD - 4, top, X + HEAD, top + 4);
        g.setFill(rivet(p));
        g.fillRect(X - SHANK, top + 4, 2 * SHANK, SHEET + 6 - top);
        g.setStroke(p.layout());
        g.setLineWidth(1.4);
        g.strokePolyline(
                new double[] {X - HEAD, X - HEAD + 4, X + HEAD - 4, X + HEAD},
                new double[] {top + 4, top, top, top + 4},
                4);
    }

    /** A shop head under the stack, as high on the left as on the right or not. */
    private static void shop(GraphicsContext g, Palette p, double left, double low, double right, double high) {
        double y = SHEET + 4;
        area(g, rivet(p), X + left, y, X + right, y, X + right, y + high, X + left, y + low);
        g.setStroke(p.layout());
        g.setLineWidth(1.4);
        g.strokePolygon(
                new double[] {X + left, X + right, X + right, X + left}, new double[] {y, y, y + high, y + low}, 4);
    }

    /** A flush head that stands, or lies below. */
    private static void flush(GraphicsContext g, Palette p, double by) {
        sheet(g, p, TOP, 9);
        sheet(g, p, TOP + 9, 6);
        g.setFill(p.film());
        g.fillPolygon(
                new double[] {X - HEAD, X + HEAD, X + SHANK, X - SHANK}, new double[] {TOP, TOP, TOP + 9, TOP + 9}, 4);
        double y = TOP + by;
        area(g, rivet(p), X - HEAD, y, X + HEAD, y, X + SHANK, y + 9, X - SHANK, y + 9);
        g.setFill(rivet(p));
        g.fillRect(X - SHANK, y + 9, 2 * SHANK, H - y - 12);
        g.setStroke(p.layout());
        g.setLineWidth(1.4);
        g.strokePolygon(new double[] {X - HEAD, X + HEAD, X + SHANK, X - SHANK}, new double[] {y, y, y + 9, y + 9}, 4);
        stroke(g, p.stop(), 2, X - HEAD, y, X + HEAD, y);
    }

    private static void area(GraphicsContext g, Color fill, double... xy) {
        double[] xs = new double[xy.length / 2];
        double[] ys = new double[xy.length / 2];
        for (int i = 0; i < xs.length; i++) {
            xs[i] = xy[2 * i];
            ys[i] = xy[2 * i + 1];
        }
        g.setFill(fill);
        g.fillPolygon(xs, ys, xs.length);
    }

    private static void stroke(GraphicsContext g, Color ink, double width, double... xy) {
        g.setStroke(ink);
        g.setLineWidth(width);
        for (int i = 3; i < xy.length; i += 2) {
            g.strokeLine(xy[i - 3], xy[i - 2], xy[i - 1], xy[i]);
        }
    }
}
