package bucina.desk.sheet;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Palette;
import bucina.desk.look.Type;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/** Draws the rulers and the running dimension on them. Made for one drawing. */
final class RulerPainter {

    private static final double RULER = Brush.RULER;

    private final GraphicsContext g;
    private final SheetTransform t;
    private final Palette p;
    private final double width;
    private final double height;
    private final double text;

    RulerPainter(Brush brush) {
        this.g = brush.g();
        this.t = brush.t();
        this.p = brush.p();
        this.width = brush.width();
        this.height = brush.height();
        this.text = brush.text();
    }

    void rulers(Unit unit) {
        double perUnit = unit.nanometres() * t.scale();
        g.setFill(p.panel());
        g.fillRect(0, 0, width, RULER);
        g.fillRect(0, 0, RULER, height);
        g.setStroke(p.line());
        g.setLineWidth(1);
        g.strokeLine(RULER, RULER - 0.5, width, RULER - 0.5);
        g.strokeLine(RULER - 0.5, RULER, RULER - 0.5, height);
        g.setFont(Type.text(Type.SMALL * Math.min(text, 1.3)));
        RulerScale scale = RulerScale.of(perUnit, 62);
        ticks(scale, unit, perUnit, true);
        ticks(scale, unit, perUnit, false);
        g.setFill(p.panel());
        g.fillRect(0, 0, RULER - 0.5, RULER - 0.5);
        g.setFill(p.soft());
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        g.fillText(unit.symbol(), RULER / 2, RULER / 2);
    }

    private void ticks(RulerScale scale, Unit unit, double perUnit, boolean across) {
        double origin = across ? t.x0() : t.y0();
        double extent = across ? width : height;
        double step = scale.step() * perUnit;
        long first = across ? (long) Math.floor((RULER - origin) / step) : (long) Math.floor((origin - extent) / step);
        long last = across ? (long) Math.ceil((extent - origin) / step) : (long) Math.ceil((origin - RULER) / step);
        g.setTextBaseline(VPos.CENTER);
        g.setTextAlign(TextAlignment.LEFT);
        for (long m = first; m <= last; m++) {
            double at = across ? origin + m * step : origin - m * step;
            g.setStroke(p.soft());
            tick(at, across, 9);
            for (int part = 1; part < scale.parts(); part++) {
                double sub = step * part / scale.parts();
                g.setStroke(p.line());
                tick(across ? at + sub : at - sub, across, 5);
            }
            g.setFill(p.soft());
            if (across && at > RULER + 2) {
                g.fillText(scale.label(m, unit), at + 3, 9);
            } else if (!across && at > RULER + 12) {
                g.save();
                g.translate(9, at - 3);
                g.rotate(-90);
                g.fillText(scale.label(m, unit), 0, 0);
                g.restore();
            }
        }
    }

    private void tick(double at, boolean across, double length) {
        if (at < RULER) {
            return;
        }
        if (across) {
            g.strokeLine(Math.round(at) + 0.5, RULER - length, Math.round(at) + 0.5, RULER - 1);
        } else {
            g.strokeLine(RULER - length, Math.round(at) + 0.5, RULER - 1, Math.round(at) + 0.5);
        }
    }

    /** A running dimension on both rulers for the hole looked at. */
    void runningDimension(HoleReading reading, Unit unit) {
        double x = t.toX(reading.hole().at().x());
        double y = t.toY(reading.hole().at().y());
        g.setFont(Type.bold(Type.SMALL * Math.min(text, 1.3)));
        g.setTextBaseline(VPos.CENTER);
        g.setTextAlign(TextAlignment.CENTER);
        String across = LengthFormat.figure(Length.nm(reading.hole().at().x()), unit, 3);
        String up = LengthFormat.figure(Length.nm(reading.hole().at().y()), unit, 3);
        across(x, across, y);
        up(y, up, x);
    }

    private void up(double y, String up, double x) {
        if (y > RULER && y < height) {
            double w = up.length() * 7.4 + 10;
            g.save();
            g.translate(RULER / 2, y);
            g.rotate(-90);
            plate(-w / 2, -RULER / 2 + 3, w, RULER - 6);
            g.fillText(up, 0, 0);
            g.restore();
            hair(RULER, y, x - 8, y);
        }
    }

    private void across(double x, String across, double y) {
        if (x > RULER && x < width) {
            double w = across.length() * 7.4 + 10;
            plate(x - w / 2, 3, w, RULER - 6);
            g.fillText(across, x, RULER / 2);
            hair(x, RULER, x, y - 8);
        }
    }

    private void plate(double x, double y, double w, double h) {
        g.setFill(p.layout());
        g.fillRect(x, y, w, h);
        g.setFill(p.onFill());
    }

    private void hair(double x1, double y1, double x2, double y2) {
        g.setStroke(Color.color(
                p.layout().getRed(), p.layout().getGreen(), p.layout().getBlue(), 0.5));
        g.setLineWidth(1);
        g.setLineDashes(2, 3);
        g.strokeLine(x1, y1, x2, y2);
        g.setLineDashes((double[]) null);
    }
}
