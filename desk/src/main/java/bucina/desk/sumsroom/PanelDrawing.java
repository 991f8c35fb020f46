package bucina.desk.sumsroom;

import bucina.core.sheet.Point;
import bucina.core.sums.Picture;
import bucina.desk.look.Palette;
import bucina.desk.look.Type;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;

/** One panel drawn: the scale at which its shapes and their words fit, and where its grips came to lie. */
final class PanelDrawing {

    /** A grip on the screen, with the scale it was drawn at, px per nm. */
    record GripAt(int n, double x, double y, double scale, double stretch) {}

    private final GraphicsContext g;
    private final Palette palette;
    private final Inks inks;
    private final double text;
    private final Picture.Panel panel;
    private final double top;
    private final double width;
    private final double height;
    private final List<GripAt> grips = new ArrayList<>();
    private final Map<String, Double> widths = new HashMap<>();
    private double scale;
    private double x0;
    private double y0;

    PanelDrawing(
            GraphicsContext g,
            Palette palette,
            double text,
            Picture.Panel panel,
            double top,
            double width,
            double height) {
        this.g = g;
        this.palette = palette;
        this.inks = new Inks(palette);
        this.text = text;
        this.panel = panel;
        this.top = top;
        this.width = width;
        this.height = height;
    }

    List<GripAt> grips() {
        return grips;
    }

    PanelDrawing draw() {
        g.save();
        g.setTextBaseline(VPos.CENTER);
        g.setTextAlign(TextAlignment.LEFT);
        g.setFill(palette.soft());
        g.fillText(panel.title(), 12, top + 14 * text);
        fit();
        g.beginPath();
        g.rect(0, top, width, height);
        g.clip();
        for (Picture.Shape shape : panel.shapes()) {
            draw(shape);
        }
        g.restore();
        return this;
    }

    // ---- scale

    /**
     * The largest scale at which everything fits, words and dimensions counted: they keep their size, so a few rounds
     * are needed.
     */
    private void fit() {
        double[] box = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        panel.shapes().forEach(s -> Extent.points(s).forEach(p -> Extent.grow(box, p.x(), p.y())));
        double w = Math.max(1, box[2] - box[0]);
        double h = Math.max(1, (box[3] - box[1]) * panel.stretch());
        double freeW = width - 40;
        double freeH = height - 34 * text - 14;
        scale = Math.min(freeW / w, freeH / h);
        for (int round = 0; round < 6; round++) {
            double[] seen = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
            x0 = 0;
            y0 = 0;
            panel.shapes().forEach(s -> extent(s, seen));
            double over = Math.max((seen[2] - seen[0]) / freeW, (seen[3] - seen[1]) / freeH);
            x0 = 20 + (freeW - (seen[2] - seen[0])) / 2 - seen[0];
            y0 = top + 28 * text + (freeH - (seen[3] - seen[1])) / 2 - seen[1];
            if (over <= 1) {
                break;
            }
            scale /= Math.min(over, 3);
        }
    }

    private void extent(Picture.Shape shape, double[] seen) {
        switch (shape) {
            case Picture.Words w -> {
                double[] at = placed(w);
                Extent.grow(seen, at[0], at[1] - line() / 2);
                Extent.grow(seen, at[0] + wide(w.text()), at[1] + line() / 2);
            }
            case Picture.Dim d -> {
                Way way = new Way(d);
                double half = wide(d.text()) / 2;
                boolean flat = Math.abs(way.uy) < 0.7;
                Extent.grow(seen, way.tx - (flat ? half : way.nx > 0 ? 0 : 2 * half), way.ty - line() / 2);
                Extent.grow(seen, way.tx + (flat ? half : way.nx > 0 ? 2 * half : 0), way.ty + line() / 2);
                Extent.grow(seen, way.ax, way.ay);
                Extent.grow(seen, way.bx, way.by);
            }
            case Picture.Running r -> {
                List<double[]> labels = labels(r);
                for (int i = 0; i < labels.size(); i++) {
                    double half = wide(r.ticks().get(i).text()) / 2;
                    Extent.grow(seen, labels.get(i)[0] - half, labels.get(i)[1] - line() / 2);
                    Extent.grow(seen, labels.get(i)[0] + half, labels.get(i)[1] + line() / 2);
                }
            }
            default -> Extent.points(shape).forEach(p -> Extent.grow(seen, x(p.x()), y(p.y())));
        }
    }

    private double x(double nm) {
        return x0 + nm * scale;
    }

    private double y(double nm) {
        return y0 - nm * scale * panel.stretch();
    }

    private double line() {
        return Type.SMALL * text * 1.35;
    }

    private double wide(String words) {
        return widths.computeIfAbsent(words, w -> {
            Text measure = new Text(w);
            measure.setFont(Type.text(Type.SMALL * text));
            return measure.getLayoutBounds().getWidth();
        });
    }

    // ---- shapes

    private void draw(Picture.Shape shape) {
        switch (shape) {
            case Picture.Area a -> area(a.ink(), a.points());
            case Picture.Line l -> {
                ink(l.ink());
                poly(l.points(), false);
                plain();
            }
            case Picture.Round r -> round(r);
            case Picture.Words w -> {
                double[] at = placed(w);
                g.setTextAlign(TextAlignment.LEFT);
                words(w.text(), at[0], at[1], inks.colour(w.ink()), w.side() != Picture.Side.CENTRE);
            }
            case Picture.Dim d -> dim(d);
            case Picture.Running r -> running(r);
            case Picture.Grip p -> grip(p);
        }
    }

    private void grip(Picture.Grip p) {
        double gx = x(p.at().x());
        double gy = y(p.at().y());
        g.setFill(palette.film());
        g.fillOval(gx - 6, gy - 6, 12, 12);
        g.setStroke(palette.attention());
        g.setLineWidth(2.4);
        g.strokeOval(gx - 6, gy - 6, 12, 12);
        grips.add(new GripAt(p.n(), gx, gy, scale, panel.stretch()));
    }

    private void area(Picture.Ink ink, List<Point> points) {
        path(points);
        g.setFill(inks.fill(ink));
        g.fill();
        if (ink == Picture.Ink.METAL || ink == Picture.Ink.WASTE) {
            g.save();
            g.clip();
            hatch(points, ink == Picture.Ink.WASTE);
            g.restore();
        }
        path(points);
        g.setStroke(ink == Picture.Ink.BLUE ? palette.layout() : palette.edge());
        g.setLineWidth(1.2);
        g.stroke();
    }

    private void path(List<Point> points) {
        g.beginPath();
        for (int i = 0; i < points.size(); i++) {
            if (i == 0) {
                g.moveTo(x(points.get(i).x()), y(points.get(i).y()));
            } else {
                g.lineTo(x(points.get(i).x()), y(points.get(i).y()));
            }
        }
        g.closePath();
    }

    private void hatch(List<Point> points, boolean wide) {
        double[] b = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        points.forEach(p -> Extent.grow(b, x(p.x()), y(p.y())));
        Color edge = palette.edge();
        g.setStroke(Color.color(edge.getRed(), edge.getGreen(), edge.getBlue(), wide ? 0.18 : 0.3));
        g.setLineWidth(0.8);
        double step = wide ? 16 : 8;
        double high = b[3] - b[1];
        for (double at = b[0] - high - (b[0] - high) % step; at < b[2]; at += step) {
            g.strokeLine(at, b[3], at + high, b[1]);
        }
    }

    private void round(Picture.Round r) {
        double px = Math.max(2, r.radius() * scale);
        double cx = x(r.at().x());
        double cy = y(r.at().y());
        boolean surface = r.ink() == Picture.Ink.BLUE
                || r.ink() == Picture.Ink.WASTE
                || r.ink() == Picture.Ink.DONE
                || r.ink() == Picture.Ink.STOP;
        g.setFill(
                r.ink() == Picture.Ink.DONE
                        ? palette.done()
                        : r.ink() == Picture.Ink.STOP ? palette.stop() : surface ? palette.film() : palette.film());
        g.fillOval(cx - px, cy - px, 2 * px, 2 * px);
        g.setStroke(inks.colour(r.ink()));
        g.setLineWidth(1.5);
        g.strokeOval(cx - px, cy - px, 2 * px, 2 * px);
    }

    private void ink(Picture.Ink ink) {
        g.setStroke(inks.colour(ink));
        g.setLineWidth(Inks.width(ink));
        g.setLineDashes(Inks.dashes(ink));
    }

    private void plain() {
        g.setLineDashes((double[]) null);
    }

    private void poly(List<Point> points, boolean closed) {
        double[] xs = new double[points.size()];
        double[] ys = new double[points.size()];
        for (int i = 0; i < xs.length; i++) {
            xs[i] = x(points.get(i).x());
            ys[i] = y(points.get(i).y());
        }
        if (closed) {
            g.strokePolygon(xs, ys, xs.length);
        } else {
            g.strokePolyline(xs, ys, xs.length);
        }
    }

    // ---- words and dimensions

    /** Left end and middle of words. */
    private double[] placed(Picture.Words w) {
        double px = x(w.at().x());
        double py = y(w.at().y());
        double wide = wide(w.text());
        return switch (w.side()) {
            case LEFT -> new double[] {px - wide - 6, py};
            case RIGHT -> new double[] {px + 6, py};
            case CENTRE -> new double[] {px - wide / 2, py};
            case ABOVE -> new double[] {px - wide / 2, py - line() * 0.75};
            case BELOW -> new double[] {px - wide / 2, py + line() * 0.75};
        };
    }

    /** Words on a patch of film, so that a line behind does not strike them through. */
    private void words(String words, double left, double middle, Color colour, boolean patch) {
        if (patch) {
            Color film = palette.film();
            g.setFill(Color.color(film.getRed(), film.getGreen(), film.getBlue(), 0.82));
            g.fillRect(left - 1, middle - line() / 2 + 1, wide(words) + 2, line() - 2);
        }
        g.setFill(colour);
        g.fillText(words, left, middle);
    }

    /** Where a dimension line runs on the screen. */
    private final class Way {
        private final double ax;
        private final double ay;
        private final double bx;
        private final double by;
        private final double ux;
        private final double uy;
        private final double nx;
        private final double ny;
        private final double tx;
        private final double ty;

        Way(Picture.Dim d) {
            double sx = x(d.a().x());
            double sy = y(d.a().y());
            double ex = x(d.b().x());
            double ey = y(d.b().y());
            double size = Math.max(1e-6, Math.hypot(ex - sx, ey - sy));
            ux = (ex - sx) / size;
            uy = (ey - sy) / size;
            double sign = d.off() < 0 ? -1 : 1;
            // Left of the way, y of the screen going down.
            nx = uy * sign;
            ny = -ux * sign;
            double off = Math.abs(d.off());
            ax = sx + nx * off;
            ay = sy + ny * off;
            bx = ex + nx * off;
            by = ey + ny * off;
            boolean flat = Math.abs(uy) < 0.7;
            tx = (ax + bx) / 2 + nx * (flat ? 9 : 6);
            ty = (ay + by) / 2 + ny * (flat ? 9 : 6);
        }
    }

    private void dim(Picture.Dim d) {
        Way w = new Way(d);
        g.setStroke(palette.soft());
        g.setLineWidth(0.9);
        g.strokeLine(x(d.a().x()), y(d.a().y()), w.ax + w.nx * 4, w.ay + w.ny * 4);
        g.strokeLine(x(d.b().x()), y(d.b().y()), w.bx + w.nx * 4, w.by + w.ny * 4);
        g.strokeLine(w.ax, w.ay, w.bx, w.by);
        // A slash at each end, as on a shop sketch.
        slashes(w);
        double wide = wide(d.text());
        boolean flat = Math.abs(w.uy) < 0.7;
        double left = flat ? w.tx - wide / 2 : w.nx > 0 ? w.tx : w.tx - wide;
        words(d.text(), left, w.ty, palette.ink(), true);
    }

    private void slashes(Way w) {
        for (double[] end : new double[][] {{w.ax, w.ay}, {w.bx, w.by}}) {
            g.setLineWidth(1.6);
            g.strokeLine(
                    end[0] - (w.ux + w.nx) * 3.5,
                    end[1] - (w.uy + w.ny) * 3.5,
                    end[0] + (w.ux + w.nx) * 3.5,
                    end[1] + (w.uy + w.ny) * 3.5);
        }
    }

    /** Middle of each label of running dimensions: on the first level where it keeps clear of its neighbours. */
    private List<double[]> labels(Picture.Running r) {
        List<double[]> at = new ArrayList<>();
        List<Double> ends = new ArrayList<>();
        for (Picture.Tick tick : r.ticks()) {
            double half = wide(tick.text()) / 2 + 4;
            int level = 0;
            while (level < ends.size() && ends.get(level) > x(tick.x()) - half) {
                level++;
            }
            if (level == ends.size()) {
                ends.add(0.0);
            }
            ends.set(level, x(tick.x()) + half);
            double off = 12 + level * line();
            at.add(new double[] {x(tick.x()), r.above() ? y(r.y()) - off - line() / 2 : y(r.y()) + off + line() / 2});
        }
        return at;
    }

    private void running(Picture.Running r) {
        List<double[]> labels = labels(r);
        for (int pass = 0; pass < 2; pass++) {
            for (int i = 0; i < labels.size(); i++) {
                Picture.Tick tick = r.ticks().get(i);
                double[] at = labels.get(i);
                if (pass == 0) {
                    g.setStroke(inks.colour(tick.ink()));
                    g.setLineWidth(0.9);
                    g.strokeLine(at[0], y(r.y()), at[0], at[1] + (r.above() ? line() / 2 : -line() / 2));
                } else {
                    words(tick.text(), at[0] - wide(tick.text()) / 2, at[1], inks.colour(tick.ink()), true);
                }
            }
        }
    }
}
