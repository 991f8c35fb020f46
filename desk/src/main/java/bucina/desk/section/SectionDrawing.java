package bucina.desk.section;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.rivet.ShopHeadLimits;
import bucina.core.rule.ShopSchool;
import bucina.core.stack.Bolted;
import bucina.core.stack.Solution;
import bucina.desk.look.Palette;
import bucina.desk.look.Type;
import java.util.List;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.TextAlignment;

/** One drawing: the scale and where the axis and the outer surface lie. */
final class SectionDrawing {
    /**
     * How it is drawn.
     *
     * @param text    how much larger text is than usual
     * @param hatches one number for each sheet; sheets of one material have the same
     * @param set     how far the rivet is set, 0 as it goes in
     * @param height  of the shop head; empty if there is no solid rivet
     * @param across  of the shop head as it was measured; empty where the metal tells it
     */
    record Style(
            Palette palette,
            double text,
            Unit unit,
            List<Integer> hatches,
            double set,
            Optional<Length> height,
            Optional<Length> across) {}

    private final Palette palette;
    private final double text;
    private final Style style;
    private final GraphicsContext g;
    private final Solution s;
    private final double h;
    private final double axis;
    private final double top;
    private final double k;
    private final double reach;
    private final SectionShape shape;

    SectionDrawing(GraphicsContext g, double w, double h, Solution s, Style style) {
        this.palette = style.palette;
        this.text = style.text;
        this.style = style;
        this.g = g;
        this.s = s;
        this.h = h;
        double d = s.fastener().shank().nanometres();
        double over = s.choice()
                .map(c -> c.size().head().flush() ? 0 : c.size().headHeight().nanometres())
                .orElse(d * 0.5);
        double proud = s.choice().isPresent()
                ? new SectionShape(s, Length.nm(d)).proud().max(Length.nm(d)).nanometres()
                : d * 0.6;
        if (s.bolt().flatMap(Bolted::fit).isPresent()) {
            over = BoltSection.over(s);
            proud = BoltSection.beyond(s);
        }
        if (s.blind().isPresent()) {
            over = s.fastener().flush() ? 0 : d * 0.4;
            proud = behind(s).nanometres();
        }
        double deep = over + s.grip().nanometres() * 1.25 + proud;
        this.k = Math.min((h - 58) / deep, (w - 132) / (d * 2.7));
        this.axis = w * 0.42;
        double shown = s.choice().isPresent()
                ? new SectionShape(s, Length.nm(d)).farFace()
                        + style.height.orElseThrow().nanometres()
                : s.grip().nanometres() * 1.2
                        + (s.blind().isPresent()
                                        || s.bolt().flatMap(Bolted::fit).isPresent()
                                ? proud * 0.9
                                : 0);
        this.top = Math.max(10, (h - 30 - (over + shown) * k) / 2) + over * k;
        this.reach = Math.min(axis - 34, w - axis - 92);
        this.shape = new SectionShape(s, Length.nm(reach / k));
    }

    double x(double r) {
        return axis + r * k;
    }

    double y(double z) {
        return top + z * k;
    }

    void draw() {
        List<List<SectionShape.At>> plies = shape.plies();
        for (int i = 0; i < plies.size(); i++) {
            sheet(plies.get(i), i);
        }
        if (shape.hasRivet()) {
            rivet();
        } else if (s.blind().isPresent()) {
            pulled();
        } else {
            new BoltSection(g, palette, s, z -> y(z), r -> x(r)).draw();
        }
        g.setStroke(palette.soft());
        g.setLineWidth(0.8);
        g.setLineDashes(10, 3, 2, 3);
        g.strokeLine(axis, 3, axis, h - 44);
        g.setLineDashes((double[]) null);
        thicknesses();
    }

    private void sheet(List<SectionShape.At> half, int i) {
        for (int side = -1; side <= 1; side += 2) {
            outline(half, side);
            g.setFill(i % 2 == 0 ? palette.metal() : palette.shade());
            g.fill();
            g.save();
            g.clip();
            hatch(i < style.hatches.size() ? style.hatches.get(i) : 0);
            g.restore();
            outline(half, side);
            g.setStroke(palette.edge());
            g.setLineWidth(1.2);
            g.stroke();
        }
    }

    private void outline(List<SectionShape.At> half, int side) {
        g.beginPath();
        for (int j = 0; j < half.size(); j++) {
            SectionShape.At at = half.get(j);
            if (j == 0) {
                g.moveTo(x(side * at.r()), y(at.z()));
            } else {
                g.lineTo(x(side * at.r()), y(at.z()));
            }
        }
        g.closePath();
    }

    /** Hatching by material: rising, falling, both, close rising; a fifth material begins again. */
    private void hatch(int material) {
        g.setStroke(Color.color(
                palette.edge().getRed(),
                palette.edge().getGreen(),
                palette.edge().getBlue(),
                0.55));
        g.setLineWidth(0.8);
        int kind = material % 4;
        for (double x = axis - reach - h; x < axis + reach + h; x += kind == 3 ? 4 : 7) {
            if (kind != 1) {
                g.strokeLine(x, h, x + h, 0);
            }
            if (kind == 1 || kind == 2) {
                g.strokeLine(x, 0, x + h, h);
            }
        }
    }

    private void rivet() {
        Length height = style.height.orElseThrow();
        Color fill = palette.layout().interpolate(palette.film(), 0.72);
        List<SectionShape.At> shank = shape.shankAndShopHead(height, across(height));
        fillParts(shank, fill);
        g.setStroke(palette.layout());
        g.setLineWidth(1.6);
        g.setLineCap(StrokeLineCap.ROUND);
        for (int side = -1; side <= 1; side += 2) {
            open(shape.manufacturedHead(), side);
            open(shank, side);
        }
        brackets(height);
    }

    private Length across(Length height) {
        return style.across.orElseGet(() -> shape.shopHead(height));
    }

    private void fillParts(List<SectionShape.At> shank, Color fill) {
        for (List<SectionShape.At> part : List.of(shape.manufacturedHead(), shank)) {
            for (int side = -1; side <= 1; side += 2) {
                outline(part, side);
                g.setFill(fill);
                g.fill();
            }
        }
    }

    /** The outline without its edge on the axis. */
    private void open(List<SectionShape.At> half, int side) {
        for (int j = 1; j < half.size(); j++) {
            SectionShape.At a = half.get(j - 1);
            SectionShape.At b = half.get(j);
            boolean inner = j == 1 && a.z() > 0 || b.r() == 0 && b.z() < shape.farFace();
            if (!inner) {
                g.strokeLine(x(side * a.r()), y(a.z()), x(side * b.r()), y(b.z()));
            }
        }
    }

    /** A pulled rivet: going in with its mandrel, or with its tail drawn up. */
    private void pulled() {
        double d = s.fastener().shank().nanometres();
        double head = s.heads().head().nanometres();
        double far = s.grip().nanometres();
        g.setFill(palette.layout().interpolate(palette.film(), 0.72));
        g.setStroke(palette.layout());
        g.setLineWidth(1.6);
        head(d, head);
        if (style.set < 0.5) {
            before(far, d);
        } else {
            after(d, far);
        }
    }

    private void after(double d, double far) {
        double tail = s.heads().tail().nanometres();
        polygon(
                -d / 2,
                0,
                d / 2,
                0,
                d / 2,
                far,
                tail,
                far + d * 0.25,
                tail * 0.9,
                far + d * 0.75,
                d * 0.35,
                far + d,
                -d * 0.35,
                far + d,
                -tail * 0.9,
                far + d * 0.75,
                -tail,
                far + d * 0.25,
                -d / 2,
                far);
    }

    private void before(double far, double d) {
        double body = s.blind()
                .flatMap(b -> b.cutTo().or(() -> b.rivet().flatMap(r -> r.length())))
                .map(l -> l.nanometres())
                .orElse(far + d);
        polygon(-d / 2, 0, d / 2, 0, d / 2, body, -d / 2, body);
        double mandrel = Math.max(0, far + behind(s).nanometres() - body);
        polygon(-d * 0.42, body, d * 0.42, body, d * 0.42, body + mandrel, -d * 0.42, body + mandrel);
    }

    private void head(double d, double head) {
        if (s.fastener().flush()) {
            double cone = s.heads().cone().map(c -> c.height().nanometres()).orElse(d * 0.3);
            polygon(-head, 0, head, 0, d / 2, cone, -d / 2, cone);
        } else {
            polygon(-head, 0, -head * 0.6, -d * 0.4, head * 0.6, -d * 0.4, head, 0);
        }
    }

    private void polygon(double... rz) {
        double[] xs = new double[rz.length / 2];
        double[] ys = new double[rz.length / 2];
        for (int i = 0; i < xs.length; i++) {
            xs[i] = x(rz[2 * i]);
            ys[i] = y(rz[2 * i + 1]);
        }
        g.fillPolygon(xs, ys, xs.length);
        g.strokePolygon(xs, ys, xs.length);
    }

    /** Both schools' limits: widths under the head, heights beside it. */
    private void brackets(Length height) {
        ShopHeadLimits limits = s.choice().orElseThrow().limits();
        Length across = across(height);
        boolean process = limits.governing() == ShopSchool.PROCESS;
        double far = shape.farFace();
        double below = Math.min(h - 40, y(far + height.nanometres()) + 8);
        g.setFont(Type.text(Type.SMALL * text));
        g.setTextBaseline(VPos.CENTER);
        width(limits.processDiameter(), below, "process from ", process);
        width(limits.gaugeDiameter(), below + 16 * text, "gauge ~ ", !process);
        heights(across, limits, far);
    }

    private void heights(Length across, ShopHeadLimits limits, double far) {
        double beside =
                axis - Math.max(across.nanometres() / 2, limits.gaugeDiameter().nanometres() / 2) * k - 10;
        tall(beside, far, limits.processHeight().nanometres());
        tall(beside - 8, far, limits.gaugeHeight().nanometres());
    }

    private void width(Length across, double at, String word, boolean governs) {
        double half = across.nanometres() / 2 * k;
        g.setStroke(governs ? palette.attention() : palette.soft());
        g.setLineWidth(governs ? 1.8 : 1.1);
        g.strokePolyline(
                new double[] {axis - half, axis - half, axis + half, axis + half},
                new double[] {at - 4, at, at, at - 4},
                4);
        g.setFill(governs ? palette.attention() : palette.soft());
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText(word + show(across), axis + half + 6, at);
    }

    private void tall(double at, double far, double height) {
        g.setStroke(palette.soft());
        g.setLineWidth(1.1);
        g.strokePolyline(
                new double[] {at + 4, at, at, at + 4},
                new double[] {y(far), y(far), y(far + height), y(far + height)},
                4);
    }

    /** Thickness and name of every sheet at the right edge, spread so that they do not run into each other. */
    private void thicknesses() {
        double size = Type.SMALL * text;
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.CENTER);
        double z = 0;
        double last = -100;
        double left = axis + reach + 10;
        for (int i = 0; i < s.dressing().plies().size(); i++) {
            Length ply = s.dressing().plies().get(i).thickness();
            double middle = y(z + ply.nanometres() / 2);
            last = Math.max(middle, last + size * 1.35);
            ply((i + 1) + "  " + show(ply), middle, last, left);
            z += ply.nanometres();
        }
    }

    private void ply(String words, double middle, double at, double left) {
        g.setStroke(palette.line());
        g.setLineWidth(1);
        g.strokePolyline(new double[] {axis + reach, left - 6, left - 2}, new double[] {middle, at, at}, 3);
        g.setFill(palette.ink());
        g.setFont(Type.text(Type.SMALL * text));
        g.fillText(words, left, at);
    }

    /** What a pulled rivet needs behind as it goes in; one and a half diameters where no length is chosen. */
    static Length behind(Solution s) {
        return s.blind()
                .flatMap(b -> b.rivet()
                        .flatMap(r -> r.needsBehind(s.grip())
                                .map(n -> b.cutTo()
                                        .map(c -> n.minus(r.length().orElse(c).minus(c)))
                                        .orElse(n))))
                .orElse(s.fastener().shank().times(1.5));
    }

    private String show(Length length) {
        return LengthFormat.decimal(length, style.unit, 3);
    }
}
