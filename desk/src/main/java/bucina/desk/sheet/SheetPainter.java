package bucina.desk.sheet;

import bucina.core.log.HoleState;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Face;
import bucina.core.plan.Layer;
import bucina.core.plan.Zone;
import bucina.core.rule.Level;
import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Trace;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.stack.SafeTrim;
import bucina.desk.look.Glyph;
import bucina.desk.look.Palette;
import bucina.desk.look.Sprites;
import bucina.desk.look.Type;
import bucina.desk.session.LengthClasses;
import bucina.desk.session.RowModel;
import bucina.desk.session.Snapshot;
import bucina.desk.session.Stage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.paint.Color;
import javafx.scene.shape.FillRule;
import javafx.scene.text.TextAlignment;

/** Draws one face. Made for one drawing; holds nothing between drawings but the sprites it is given. */
final class SheetPainter {

    /** Glyphs are drawn down to this size, px; below they are dots. */
    private static final int LEAST_GLYPH = 8;

    private static final int MOST_GLYPH = 26;
    static final double RULER = 26;

    private final GraphicsContext g;
    private final SheetTransform t;
    private final Palette p;
    private final Sprites sprites;
    private final double width;
    private final double height;
    private final double text;

    SheetPainter(
            GraphicsContext g, SheetTransform t, Palette p, Sprites sprites, double width, double height, double text) {
        this.g = g;
        this.t = t;
        this.p = p;
        this.sprites = sprites;
        this.width = width;
        this.height = height;
        this.text = text;
    }

    // ---- sheets
    // ----------------------------------------------------------------------

    void ground() {
        g.setFill(p.film());
        g.fillRect(0, 0, width, height);
    }

    /** Sheets from the far side to the near side: what lies under the largest sheet is dashed, as on a drawing. */
    void layers(FaceReading reading) {
        Face face = reading.face();
        int skin = largest(face.layers());
        if (skin < 0) {
            return;
        }
        path(face.layers().get(skin));
        g.setFill(p.metal());
        g.fill();
        for (int i = face.layers().size() - 1; i > skin; i--) {
            path(face.layers().get(i));
            g.setGlobalAlpha(0.55);
            g.setFill(p.shade());
            g.fill();
            g.setGlobalAlpha(1);
        }
        g.setLineWidth(1);
        g.setStroke(p.edge());
        g.setLineDashes(5, 3);
        for (int i = face.layers().size() - 1; i > skin; i--) {
            path(face.layers().get(i));
            g.stroke();
        }
        g.setLineDashes((double[]) null);
        g.setLineWidth(1.6);
        path(face.layers().get(skin));
        g.stroke();
        for (int i = skin - 1; i >= 0; i--) {
            path(face.layers().get(i));
            g.setGlobalAlpha(0.75);
            g.setFill(p.metal().interpolate(p.film(), 0.55));
            g.fill();
            g.setGlobalAlpha(1);
            g.stroke();
        }
        names(reading, skin);
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
                double x = Math.clamp(Math.max(left, RULER) + 6, left + 6, Math.max(left + 6, left + w - need));
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
        double half = glyphSize(t, reading) / 2.0;
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
            g.setFont(Type.text(Type.SMALL * text));
            g.setFill(colour);
            var box = zone.outline().box();
            if (box.width() * t.scale() > 40) {
                g.fillText(zone.name(), t.toX(box.minX()) + 4, t.toY(box.maxY()) + Type.SMALL * text * 0.8);
            }
        }
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
            boolean bad = !(trim.largest().nanometres() >= 0);
            double x1 = t.toX(trim.line().a().x());
            double y1 = t.toY(trim.line().a().y());
            double x2 = t.toX(trim.line().b().x());
            double y2 = t.toY(trim.line().b().y());
            g.setStroke(bad ? p.stop() : p.done());
            g.setLineWidth(1.8);
            g.setLineDashes(10, 4, 2, 4);
            g.strokeLine(x1, y1, x2, y2);
            g.setLineDashes((double[]) null);
            String words = bucina.core.measure.LengthFormat.decimal(trim.largest(), unit, 3);
            double w = words.length() * Type.SMALL * text * 0.62 + 8;
            if (Math.hypot(x2 - x1, y2 - y1) < 60) {
                continue;
            }
            // Outside the sheet, where it covers neither holes nor edge.
            double ox = (trim.outer().a().x()
                            + trim.outer().b().x()
                            - trim.line().a().x()
                            - trim.line().b().x())
                    / 2;
            double oy = (trim.outer().a().y()
                            + trim.outer().b().y()
                            - trim.line().a().y()
                            - trim.line().b().y())
                    / 2;
            double out = Math.max(1e-9, Math.hypot(ox, oy));
            double at = Math.max(0, trim.largest().nanometres()) * t.scale() + 14;
            double mx = Math.clamp(
                    (x1 + x2) / 2 + ox / out * (at + w / 2),
                    Math.min(width - w / 2 - 4, RULER + w / 2 + 4),
                    width - w / 2 - 4);
            double my = Math.clamp((y1 + y2) / 2 - oy / out * at, RULER + 12, height - 12);
            g.setFill(p.film());
            g.fillRect(mx - w / 2, my - 9, w, 18);
            g.setFill(bad ? p.stop() : p.done());
            g.fillText(words, mx, my);
        }
    }

    // ---- holes
    // ----------------------------------------------------------------------

    /** Size of a glyph at this zoom, px; under {@link #LEAST_GLYPH} holes are dots. */
    static int glyphSize(SheetTransform t, FaceReading face) {
        double pitch = 25.4e6 * 0.95 * t.scale();
        int most = face.size() > 3000 ? 14 : MOST_GLYPH;
        return (int) Math.clamp(pitch * 0.85, 5, most);
    }

    /** Every hole in view, drawn as the stage asks: by length in Study, by state in Set. */
    void holes(
            Snapshot snapshot,
            FaceReading face,
            Stage stage,
            LengthClasses lengths,
            java.util.Set<bucina.core.plan.Id.Hole> skipped,
            java.util.Map<bucina.core.plan.Id.Hole, HoleState> played) {
        int size = glyphSize(t, face);
        boolean dots = size < LEAST_GLYPH;
        double half = size * 1.5;
        for (int i : face.in(t.visible(width, height, size))) {
            HoleReading reading = face.reading(i);
            HoleState played1 = played.get(reading.hole().id());
            HoleState state = played1 == null ? snapshot.state(reading) : played1;
            int place = lengths.place(reading);
            double x = t.toX(reading.hole().at().x());
            double y = t.toY(reading.hole().at().y());
            if (dots) {
                g.setFill(
                        reading.worst().filter(l -> l == Level.ERROR).isPresent()
                                ? p.stop()
                                : stage == Stage.STUDY ? p.layout() : Glyph.colour(state, p));
                g.fillRect(x - 1.5, y - 1.5, 3, 3);
            } else {
                Image sprite = played1 != null
                        ? sprites.of(state, mark(snapshot, reading, stage), size)
                        : stage == Stage.STUDY
                                ? sprites.ofLength(place, lengths.lengths(), mark(snapshot, reading, stage), size)
                                : sprites.of(
                                        stage == Stage.FIT ? fit(snapshot, reading) : state,
                                        skipped.contains(reading.hole().id())
                                                ? Glyph.Mark.SKIPPED
                                                : mark(snapshot, reading, stage),
                                        size);
                g.drawImage(sprite, Math.round(x - half), Math.round(y - half));
            }
        }
        if (size >= 20) {
            labels(face, size);
        }
    }

    private void labels(FaceReading face, int size) {
        g.setFont(Type.text(Type.SMALL * text));
        g.setFill(p.soft());
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.CENTER);
        for (int i : face.in(t.visible(width, height, size))) {
            HoleReading reading = face.reading(i);
            g.fillText(
                    Integer.toString(reading.hole().label()),
                    t.toX(reading.hole().at().x()) + size * 0.65,
                    t.toY(reading.hole().at().y()) + size * 0.7);
        }
    }

    /** In Fit a hole is either in, or still a bare ring: the gate says which stay open. */
    private static HoleState fit(Snapshot snapshot, HoleReading reading) {
        HoleState state = snapshot.state(reading);
        return state.set() ? state : HoleState.PLANNED;
    }

    /** The one mark a hole gets: the worst thing to say about it. */
    static Glyph.Mark mark(Snapshot snapshot, HoleReading reading, Stage stage) {
        if (stage == Stage.FIT
                && !snapshot.state(reading).set()
                && snapshot.holds().of(reading).isPresent()) {
            return Glyph.Mark.HOLD;
        }
        if (reading.worst().filter(l -> l == Level.ERROR).isPresent()) {
            return Glyph.Mark.ERROR;
        }
        if (snapshot.queried(reading.group())) {
            return Glyph.Mark.QUERY;
        }
        if (!snapshot.state(reading).set() && snapshot.holds().of(reading).isPresent()) {
            return Glyph.Mark.HOLD;
        }
        if (reading.worst().isPresent()) {
            return Glyph.Mark.WARNING;
        }
        return reading.hole().deviation().isPresent() ? Glyph.Mark.DEVIATION : Glyph.Mark.NONE;
    }

    /** Flags along a row where the rivet changes: the length stands on the sheet where it begins. */
    void flags(RowModel row) {
        double size = Type.SMALL * text;
        g.setFont(Type.bold(size));
        g.setTextBaseline(VPos.CENTER);
        double lastRight = -1000;
        double lastTop = 0;
        for (RowModel.Run run : row.runs()) {
            var at = row.cells().get(run.from()).reading().hole().at();
            double x = t.toX(at.x());
            double y = t.toY(at.y());
            double w = run.dash().length() * size * 0.62 + 10;
            double top = y - glyphOffset() - size * 1.6;
            if (x < lastRight && Math.abs(top - lastTop) < size * 1.5) {
                top -= size * 1.8;
            }
            lastRight = x + w;
            lastTop = top;
            g.setStroke(p.layout());
            g.setLineWidth(1.2);
            g.strokeLine(x, y - 4, x, top);
            g.setFill(p.film());
            g.fillRect(x, top, w, size * 1.5);
            g.strokeRect(x, top, w, size * 1.5);
            g.setFill(p.layout());
            g.setTextAlign(TextAlignment.CENTER);
            g.fillText(run.dash(), x + w / 2, top + size * 0.8);
        }
    }

    private double glyphOffset() {
        return Math.clamp(25.4e6 * t.scale() * 0.6, 9, 24);
    }

    // ---- rulers and badge
    // ----------------------------------------------------------------------

    void rulers(Unit unit, String xToward, String yToward) {
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
        String across = bucina.core.measure.LengthFormat.figure(
                Length.nm(reading.hole().at().x()), unit, 3);
        String up = bucina.core.measure.LengthFormat.figure(
                Length.nm(reading.hole().at().y()), unit, 3);
        if (x > RULER && x < width) {
            double w = across.length() * 7.4 + 10;
            plate(x - w / 2, 3, w, RULER - 6);
            g.fillText(across, x, RULER / 2);
            hair(x, RULER, x, y - 8);
        }
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
