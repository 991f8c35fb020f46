package bucina.desk.sheet;

import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Zone;
import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Segment;
import bucina.core.sheet.Trace;
import bucina.core.stack.FaceReading;
import bucina.core.stack.SafeTrim;
import bucina.desk.look.Palette;
import bucina.desk.look.Type;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.FillRule;
import javafx.scene.text.TextAlignment;

/** Draws the sheets of one face, its zones and trim lines. Made for one drawing. */
final class SheetPainter {

    private final GraphicsContext g;
    private final SheetTransform t;
    private final Palette p;
    private final double width;
    private final double height;
    private final double text;

    SheetPainter(Brush brush) {
        this.g = brush.g();
        this.t = brush.t();
        this.p = brush.p();
        this.width = brush.width();
        this.height = brush.height();
        this.text = brush.text();
    }

    // ---- sheets

    void ground() {
        g.setFill(p.film());
        g.fillRect(0, 0, width, height);
    }

    /** Sheets from the far side to the near side: what lies under the largest sheet is dashed, as on a drawing. */
    void layers(FaceReading reading) {
        layers(reading, l -> true, Optional.empty());
    }

    /**
     * The same where not every sheet is on: what is off is a ghost outline, and what is on behind it is seen.
     *
     * @param on  the sheets whose parts are on
     * @param lit a part that is lit up
     */
    void layers(FaceReading reading, Predicate<Layer> on, Optional<Id.Part> lit) {
        List<Layer> there = reading.face().layers().stream().filter(on).toList();
        int skin = largest(there);
        if (skin >= 0) {
            path(there.get(skin));
            g.setFill(p.metal());
            g.fill();
            behind(there, skin);
            g.setLineWidth(1.6);
            path(there.get(skin));
            g.stroke();
            before(skin, there);
        }
        reading.face().layers().stream().filter(on.negate()).forEach(this::ghost);
        lit.ifPresent(part -> reading.face().layers().stream()
                .filter(l -> l.part().equals(part))
                .forEach(this::lit));
        names(reading, largest(reading.face().layers()));
    }

    /** The outline of a sheet that is off. */
    private void ghost(Layer layer) {
        path(layer);
        g.setStroke(p.soft());
        g.setLineWidth(1);
        g.setLineDashes(2, 5);
        g.stroke();
        g.setLineDashes((double[]) null);
    }

    private void lit(Layer layer) {
        Color blue = p.layout();
        path(layer);
        g.setFill(Color.color(blue.getRed(), blue.getGreen(), blue.getBlue(), 0.28));
        g.fill();
        g.setStroke(blue);
        g.setLineWidth(2);
        g.stroke();
    }

    private void before(int skin, List<Layer> layers) {
        for (int i = skin - 1; i >= 0; i--) {
            path(layers.get(i));
            g.setGlobalAlpha(0.75);
            g.setFill(p.metal().interpolate(p.film(), 0.55));
            g.fill();
            g.setGlobalAlpha(1);
            g.stroke();
        }
    }

    private void behind(List<Layer> layers, int skin) {
        for (int i = layers.size() - 1; i > skin; i--) {
            path(layers.get(i));
            g.setGlobalAlpha(0.55);
            g.setFill(p.shade());
            g.fill();
            g.setGlobalAlpha(1);
        }
        g.setLineWidth(1);
        g.setStroke(p.edge());
        g.setLineDashes(5, 3);
        for (int i = layers.size() - 1; i > skin; i--) {
            path(layers.get(i));
            g.stroke();
        }
        g.setLineDashes((double[]) null);
    }

    private static int largest(List<Layer> layers) {
        int best = -1;
        double area = -1;
        for (int i = 0; i < layers.size(); i++) {
            double a = layers.get(i).outline().outer().area();
            if (a > area) {
                area = a;
                best = i;
            }
        }
        return best;
    }

    private void path(Layer layer) {
        g.beginPath();
        g.setFillRule(FillRule.EVEN_ODD);
        ring(layer.outline().outer());
        layer.outline().openings().forEach(this::ring);
    }

    /** A ring on the screen, its arcs as chords too short to be seen. */
    private void ring(Ring ring) {
        List<Point> points = Trace.of(ring, 0.3 / t.scale());
        for (int i = 0; i < points.size(); i++) {
            double x = t.toX(points.get(i).x());
            double y = t.toY(points.get(i).y());
            if (i == 0) {
                g.moveTo(x, y);
            } else {
                g.lineTo(x, y);
            }
        }
        g.closePath();
    }

    /**
     * Names on the sheets that are drawn large enough to carry them beside their holes, each kept clear of those before
     * it.
     */
    private void names(FaceReading reading, int skin) {
        Face face = reading.face();
        double size = Type.SMALL * text;
        g.setFont(Type.text(size));
        g.setFill(p.soft());
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.CENTER);
        List<double[]> taken = new ArrayList<>();
        for (int i = 0; i < face.layers().size(); i++) {
            Layer layer = face.layers().get(i);
            var box = layer.outline().box();
            double w = box.width() * t.scale();
            double h = box.height() * t.scale();
            double across = layer.outline().outer().area() * t.scale() * t.scale() / Math.max(w, h);
            double need = layer.name().length() * size * 0.58 + 10;
            if (i == skin || across < size * 3.2 || Math.max(w, h) < need) {
                continue;
            }
            double left = t.toX(box.minX());
            double top = t.toY(box.maxY());
            if (w >= h) {
                double x = Math.clamp(Math.max(left, Brush.RULER) + 6, left + 6, Math.max(left + 6, left + w - need));
                name(
                        reading,
                        taken,
                        layer.name(),
                        new double[] {x, top + size * 0.2, x + need, top + size * 1.7},
                        false);
            } else {
                double foot = Math.clamp(Math.min(top + h, height) - 6, Math.min(top + need, top + h - 6), top + h - 6);
                name(reading, taken, layer.name(), new double[] {left, foot - need, left + size * 1.6, foot}, true);
            }
        }
    }

    /** Writes a name into a place (left, top, right, bottom) unless another name or a hole is there. */
    private void name(FaceReading reading, List<double[]> taken, String name, double[] place, boolean upright) {
        double half = HolePainter.glyphSize(t, reading) / 2.0;
        Box on = Box.around(t.toFace(place[0] - half, place[1] - half), t.toFace(place[2] + half, place[3] + half));
        if (!reading.in(on).isEmpty() || !free(taken, place)) {
            return;
        }
        if (upright) {
            g.save();
            g.translate((place[0] + place[2]) / 2, place[3]);
            g.rotate(-90);
            g.fillText(name, 0, 0);
            g.restore();
        } else {
            g.fillText(name, place[0], (place[1] + place[3]) / 2);
        }
    }

    private static boolean free(List<double[]> taken, double[] place) {
        for (double[] t : taken) {
            if (place[0] < t[2] && t[0] < place[2] && place[1] < t[3] && t[1] < place[3]) {
                return false;
            }
        }
        return taken.add(place);
    }

    /** Keep-outs and what stands behind, hatched and named. */
    void zones(FaceReading reading) {
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.CENTER);
        for (Zone zone : reading.face().zones()) {
            boolean keepOut = zone.kind() == Zone.Kind.KEEP_OUT;
            Color colour = keepOut ? p.stop() : p.attention();
            hatch(zone, colour, keepOut);
            g.setFont(Type.text(Type.SMALL * text));
            g.setFill(colour);
            var box = zone.outline().box();
            if (box.width() * t.scale() > 40) {
                g.fillText(zone.name(), t.toX(box.minX()) + 4, t.toY(box.maxY()) + Type.SMALL * text * 0.8);
            }
        }
    }

    private void hatch(Zone zone, Color colour, boolean keepOut) {
        g.beginPath();
        g.setFillRule(FillRule.EVEN_ODD);
        ring(zone.outline().outer());
        g.setFill(Color.color(colour.getRed(), colour.getGreen(), colour.getBlue(), 0.10));
        g.fill();
        g.setStroke(colour);
        g.setLineWidth(1.2);
        g.setLineDashes(keepOut ? new double[] {2, 3} : new double[] {8, 3, 2, 3});
        g.stroke();
        g.setLineDashes((double[]) null);
    }

    /** Lines beyond which metal must stay, for the sheet picked or for the largest. */
    void trims(FaceReading reading, Optional<Layer> picked, Unit unit) {
        int skin = largest(reading.face().layers());
        if (skin < 0) {
            return;
        }
        g.setFont(Type.bold(Type.SMALL * text));
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        for (SafeTrim trim : SafeTrim.of(picked.orElse(reading.face().layers().get(skin)), reading)) {
            trim(trim, LengthFormat.decimal(trim.largest(), unit, 3));
        }
    }

    private void trim(SafeTrim trim, String words) {
        Color colour = trim.largest().nanometres() >= 0 ? p.done() : p.stop();
        double x1 = t.toX(trim.line().a().x());
        double y1 = t.toY(trim.line().a().y());
        double x2 = t.toX(trim.line().b().x());
        double y2 = t.toY(trim.line().b().y());
        g.setStroke(colour);
        g.setLineWidth(1.8);
        g.setLineDashes(10, 4, 2, 4);
        g.strokeLine(x1, y1, x2, y2);
        g.setLineDashes((double[]) null);
        if (Math.hypot(x2 - x1, y2 - y1) >= 60) {
            figure(trim, words, (x1 + x2) / 2, (y1 + y2) / 2, colour);
        }
    }

    /** Outside the sheet, where it covers neither holes nor edge. */
    private void figure(SafeTrim trim, String words, double x, double y, Color colour) {
        double w = words.length() * Type.SMALL * text * 0.62 + 8;
        Segment outer = trim.outer();
        Segment line = trim.line();
        double ox = (outer.a().x() + outer.b().x() - line.a().x() - line.b().x()) / 2;
        double oy = (outer.a().y() + outer.b().y() - line.a().y() - line.b().y()) / 2;
        double out = Math.max(1e-9, Math.hypot(ox, oy));
        double at = Math.max(0, trim.largest().nanometres()) * t.scale() + 14;
        double least = Math.min(width - w / 2 - 4, Brush.RULER + w / 2 + 4);
        double mx = Math.clamp(x + ox / out * (at + w / 2), least, width - w / 2 - 4);
        double my = Math.clamp(y - oy / out * at, Brush.RULER + 12, height - 12);
        g.setFill(p.film());
        g.fillRect(mx - w / 2, my - 9, w, 18);
        g.setFill(colour);
        g.fillText(words, mx, my);
    }
}
