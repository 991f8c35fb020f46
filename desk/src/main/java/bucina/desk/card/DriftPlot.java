package bucina.desk.card;

import bucina.core.measure.Unit;
import bucina.core.prove.Suspects;
import bucina.desk.look.Palette;
import bucina.desk.look.Type;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/**
 * Readings of one set-up in setting order: how far each head lies inside its limits, across and high, in shank
 * diameters; what is doubtful stands on a shaded ground.
 */
final class DriftPlot extends Region {

    private static final double LEFT = 56;
    private static final double RIGHT = 12;
    private static final double TOP = 14;
    private static final double FOOT = 34;
    /** Shown from here to there, D. */
    private static final double LOW = -.15;

    private static final double HIGH = .45;

    private final Canvas canvas = new Canvas();
    private final Palette palette;
    private Optional<Suspects.Run> run = Optional.empty();

    DriftPlot(Palette palette) {
        this.palette = palette;
        getChildren().add(canvas);
        setMinHeight(220);
        setPrefHeight(240);
        setId("drift-plot");
    }

    void show(Optional<Suspects.Run> next) {
        run = next;
        setAccessibleText(next.map(r -> "Readings of " + r.setUp().words(Unit.INCH) + ", "
                        + r.set().stream().filter(s -> s.head().isPresent()).count() + " of "
                        + r.set().size())
                .orElse("No set-up"));
        draw();
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        draw();
    }

    private double y(double margin) {
        double share = (Math.clamp(margin, LOW, HIGH) - LOW) / (HIGH - LOW);
        return canvas.getHeight() - FOOT - share * (canvas.getHeight() - TOP - FOOT);
    }

    private double x(int i, int of) {
        return LEFT + (i + .5) * (canvas.getWidth() - LEFT - RIGHT) / Math.max(1, of);
    }

    private void draw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        double w = canvas.getWidth();
        g.setFill(palette.film());
        g.fillRect(0, 0, w, canvas.getHeight());
        if (w < 80 || run.isEmpty() || run.get().set().isEmpty()) {
            return;
        }
        List<Suspects.Set> set = run.get().set();
        ground(g, set);
        scale(g, w);
        line(g, set, false, palette.layout(), 0);
        line(g, set, true, palette.done(), 1);
        ends(g, set, w);
    }

    /** Behind what is doubtful. */
    private void ground(GraphicsContext g, List<Suspects.Set> set) {
        Set<Suspects.Set> doubtful = new HashSet<>();
        run.orElseThrow().doubts().forEach(d -> doubtful.addAll(d.doubtful()));
        double each = (canvas.getWidth() - LEFT - RIGHT) / set.size();
        g.setFill(palette.attention().deriveColor(0, 1, 1, .22));
        for (int i = 0; i < set.size(); i++) {
            if (doubtful.contains(set.get(i))) {
                g.fillRect(LEFT + i * each, TOP, each + .5, canvas.getHeight() - TOP - FOOT);
            }
        }
    }

    private void scale(GraphicsContext g, double w) {
        g.setFont(Type.text(Type.SMALL));
        g.setTextAlign(TextAlignment.RIGHT);
        g.setTextBaseline(VPos.CENTER);
        for (double d = -.1; d < HIGH; d += .1) {
            g.setStroke(palette.line());
            g.setLineWidth(.6);
            g.strokeLine(LEFT, y(d), w - RIGHT, y(d));
            g.setFill(palette.soft());
            g.fillText(String.format(Locale.ROOT, "%+.1f D", d), LEFT - 6, y(d));
        }
        g.setStroke(palette.stop());
        g.setLineWidth(2);
        g.strokeLine(LEFT, y(0), w - RIGHT, y(0));
        g.setLineDashes(4, 4);
        g.setLineWidth(1);
        g.strokeLine(LEFT, y(.03), w - RIGHT, y(.03));
        g.setLineDashes((double[]) null);
        g.setTextAlign(TextAlignment.LEFT);
        g.setFill(palette.stop());
        g.fillText("limit; dashed: .03 D inside it", LEFT + 4, y(0) + 10);
    }

    private void line(GraphicsContext g, List<Suspects.Set> set, boolean high, Color ink, int shape) {
        double lastX = -1;
        double lastY = 0;
        for (int i = 0; i < set.size(); i++) {
            Suspects.Set s = set.get(i);
            double px = x(i, set.size());
            if (s.anew()) {
                g.setStroke(palette.ink());
                g.setLineWidth(1);
                g.strokeLine(px - 2, TOP, px - 2, canvas.getHeight() - FOOT);
                lastX = -1;
            }
            if (s.margin().isEmpty()) {
                continue;
            }
            double m = high ? s.margin().get().high() : s.margin().get().across();
            g.setStroke(ink);
            g.setLineWidth(1.4);
            if (lastX >= 0) {
                g.strokeLine(lastX, lastY, px, y(m));
            }
            point(g, px, y(m), m < 0, shape, ink);
            lastX = px;
            lastY = y(m);
        }
    }

    private void point(GraphicsContext g, double x, double y, boolean out, int shape, Color ink) {
        if (out) {
            g.setStroke(palette.stop());
            g.setLineWidth(2);
            g.strokeLine(x - 4, y - 4, x + 4, y + 4);
            g.strokeLine(x - 4, y + 4, x + 4, y - 4);
        } else if (shape == 0) {
            g.setFill(ink);
            g.fillOval(x - 3, y - 3, 6, 6);
        } else {
            g.setFill(palette.film());
            g.fillRect(x - 3, y - 3, 6, 6);
            g.strokeRect(x - 3, y - 3, 6, 6);
        }
    }

    private void ends(GraphicsContext g, List<Suspects.Set> set, double w) {
        double foot = canvas.getHeight() - FOOT + 10;
        g.setFill(palette.soft());
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText(name(set.getFirst()), LEFT, foot);
        g.setTextAlign(TextAlignment.RIGHT);
        g.fillText(name(set.getLast()), w - RIGHT, foot);
        g.setTextAlign(TextAlignment.LEFT);
        g.setFill(palette.ink());
        g.fillText("dots: across, squares: high; a line: set up anew; shaded: in doubt", LEFT, foot + 14);
    }

    private static String name(Suspects.Set s) {
        return s.group().code() + " " + s.label() + ", " + s.at().toLocalDate();
    }
}
