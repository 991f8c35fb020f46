package bucina.desk.tonight;

import bucina.core.job.Job;
import bucina.core.job.Op;
import bucina.core.order.OrderOfWork;
import bucina.desk.look.Palette;
import java.util.List;
import java.util.Locale;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;

/*
 * Design. All open work as one band of time in five tracks, by what kind of work it is: parts on and off, drilling,
 * cleaning up edges, dressing, setting. A length is minutes. What waits for something stands behind a gap, hatched.
 */

/** The order of everything that is open, from tonight to the last rivet. */
final class WorkBand extends Region {

    private static final String[] TRACKS = {"on, off", "drill", "deburr", "dress", "set", "else"};
    private static final double LEFT = 58;
    private static final double TRACK = 13;
    private static final double TOP = 18;

    private final Canvas canvas = new Canvas();
    private List<OrderOfWork.Step> steps = List.of();
    private double tonight;
    private double shown = Double.MAX_VALUE;
    private Palette palette = Palette.LIGHT;

    WorkBand() {
        getChildren().add(canvas);
        setPrefHeight(TOP + TRACKS.length * TRACK + 8);
        setMinHeight(TOP + TRACKS.length * TRACK + 8);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    }

    /**
     * Shows an order.
     *
     * @param evening minutes of tonight
     * @param window  minutes shown, as far as there are so many
     */
    void show(List<OrderOfWork.Step> order, double evening, double window, Palette p) {
        steps = order;
        tonight = evening;
        shown = window;
        palette = p;
        double all = order.stream().mapToDouble(WorkBand::length).sum();
        setAccessibleText(String.format(Locale.ROOT, "All open work, %.0f hours in %d jobs", all / 60, order.size()));
        draw();
    }

    private static double length(OrderOfWork.Step step) {
        return step.minutes()
                + (step.job().op().move() ? 0 : step.job().minutes().mid());
    }

    @Override
    protected void layoutChildren() {
        if (canvas.getWidth() != getWidth() || canvas.getHeight() != getHeight()) {
            canvas.setWidth(getWidth());
            canvas.setHeight(getHeight());
            draw();
        }
    }

    private static int track(Job job) {
        return switch (job.op()) {
            case FIT, OFF, ON -> 0;
            case MATCH, FINAL, REAM, CLEAR -> 1;
            case DEBURR -> 2;
            case DIMPLE, COUNTERSINK -> 3;
            case SET, TORQUE, STRIPE, WIRE, PIN, PROVE -> 4;
            case TASK -> job.word().startsWith("deburr") ? 2 : 5;
            case OWN -> 5;
        };
    }

    private void draw() {
        double w = canvas.getWidth();
        if (w < 100) {
            return;
        }
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, w, canvas.getHeight());
        g.setFill(palette.film());
        g.fillRect(LEFT, TOP, w - LEFT, TRACKS.length * TRACK);
        double all = steps.stream().mapToDouble(WorkBand::length).sum();
        double window = Math.max(30, Math.min(shown, all));
        double k = (w - LEFT - 2) / window;
        g.setFont(Font.font("B612", 10.5));
        grid(g, window, k);
        double at = 0;
        for (OrderOfWork.Step step : steps) {
            double lasts = length(step);
            double x = LEFT + at * k;
            if (x < w) {
                block(g, step, x, Math.max(1, lasts * k - (lasts * k > 4 ? 1 : 0)));
            }
            at += lasts;
        }
        double end = LEFT + Math.min(tonight, window) * k;
        g.setStroke(palette.layout());
        g.setLineWidth(2);
        g.strokeLine(end, TOP - 6, end, TOP + TRACKS.length * TRACK);
        g.setFill(palette.layout());
        g.fillText("tonight", Math.max(LEFT, end - 42), TOP - 7);
    }

    private void grid(GraphicsContext g, double window, double k) {
        g.setFill(palette.soft());
        for (int t = 0; t < TRACKS.length; t++) {
            g.fillText(TRACKS[t], 2, TOP + t * TRACK + TRACK - 3);
        }
        double step = window <= 400 ? 60 : window <= 2000 ? 300 : 1200;
        g.setStroke(palette.line());
        g.setLineWidth(1);
        for (double m = 0; m <= window; m += step) {
            double x = Math.round(LEFT + m * k) + .5;
            g.strokeLine(x, TOP, x, TOP + TRACKS.length * TRACK);
            if (m > 0 && (m - tonight) * k > 50 || (tonight - m) * k > 90) {
                g.fillText(Math.round(m / 60) + " h", x + 3, TOP - 7);
            }
        }
    }

    private void block(GraphicsContext g, OrderOfWork.Step step, double x, double width) {
        double y = TOP + track(step.job()) * TRACK + 1;
        Color colour = step.job().op() == Op.SET ? palette.layout() : palette.edge();
        if (step.waits()) {
            g.setStroke(colour);
            g.setLineWidth(1);
            g.strokeRect(x + .5, y + .5, Math.max(1, width - 1), TRACK - 3);
            for (double h = x + 3; h < x + width; h += 5) {
                g.strokeLine(h, y + TRACK - 3, Math.min(h + 4, x + width), y + 1);
            }
        } else {
            g.setFill(colour);
            g.fillRect(x, y, width, TRACK - 2);
        }
        if (!step.changes().isEmpty()) {
            g.setFill(palette.attention());
            g.fillRect(x - 1, y, 2, TRACK - 2);
        }
    }
}
