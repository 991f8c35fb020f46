package bucina.desk.stores;

import bucina.core.forecast.Forecast;
import bucina.desk.look.Palette;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/**
 * Work left over time: hours of the last weeks as bars to the left of today, what is left to the right as a fan that
 * falls to the days it may be done by. Readable in grey: the middle is a line, the edges are drawn.
 */
final class FanPlot extends Region {

    private static final double LEFT = 56;
    private static final double RIGHT = 20;
    private static final double TOP = 16;
    private static final double BOTTOM = 34;
    /** Weeks that are over take so much of the height: they have a scale of their own. */
    private static final double PAST = .25;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private final Canvas canvas = new Canvas();
    private Palette palette = Palette.LIGHT;
    private LocalDate today = LocalDate.EPOCH;
    private List<Double> weeks = List.of();
    private Optional<Forecast> forecast = Optional.empty();

    FanPlot() {
        getChildren().add(canvas);
        setMinSize(0, 220);
        setPrefHeight(320);
        setId("fan-plot");
    }

    void show(Forecast of, List<Double> minutes, LocalDate from, Palette p) {
        forecast = Optional.of(of);
        weeks = minutes;
        today = from;
        palette = p;
        setAccessibleText(words(of));
        draw();
    }

    private static String words(Forecast of) {
        return String.format(Locale.ROOT, "%.0f hours left", of.hours().mid())
                + of.date()
                        .map(d -> ", done between " + d.low().format(DAY) + " and "
                                + d.high().format(DAY))
                        .orElse("");
    }

    @Override
    protected void layoutChildren() {
        if (canvas.getWidth() != getWidth() || canvas.getHeight() != getHeight()) {
            canvas.setWidth(getWidth());
            canvas.setHeight(getHeight());
            draw();
        }
    }

    private void draw() {
        double w = canvas.getWidth();
        double h = canvas.getHeight();
        if (forecast.isEmpty() || w < 200 || h < 100) {
            return;
        }
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, w, h);
        g.setFill(palette.film());
        g.fillRect(0, 0, w, h);
        g.setFont(Font.font("B612", 11));
        Forecast of = forecast.get();
        double past = 7.0 * weeks.size();
        double ahead = of.date()
                .map(d -> (double) Math.max(7, ChronoUnit.DAYS.between(today, d.high())))
                .orElse(60.0);
        Scale x = new Scale(-past, ahead * 1.04, LEFT, w - RIGHT);
        Scale y = new Scale(0, Math.max(1, of.hours().high() * 1.08), h - BOTTOM, TOP);
        grid(g, y, w, h);
        bars(g, x, y);
        fan(g, of, x, y);
        days(g, of, x, y, h);
    }

    private record Scale(double from, double to, double at, double end) {
        double of(double value) {
            return at + (value - from) / (to - from) * (end - at);
        }
    }

    private void grid(GraphicsContext g, Scale y, double w, double h) {
        double step = step(y.to);
        g.setTextAlign(TextAlignment.RIGHT);
        g.setTextBaseline(VPos.CENTER);
        g.setLineWidth(1);
        for (double hours = 0; hours <= y.to; hours += step) {
            double at = Math.round(y.of(hours)) + .5;
            g.setStroke(palette.line());
            g.strokeLine(LEFT, at, w - RIGHT, at);
            g.setFill(palette.soft());
            g.fillText(Math.round(hours) + " h", LEFT - 6, at);
        }
        g.setStroke(palette.edge());
        g.strokeLine(LEFT, h - BOTTOM + .5, w - RIGHT, h - BOTTOM + .5);
    }

    private static double step(double most) {
        double step = 1;
        double[] next = {2, 2.5, 2};
        for (int i = 0; most / step > 6; i++) {
            step *= next[i % 3];
        }
        return step;
    }

    /** Hours of each week that is over. */
    private void bars(GraphicsContext g, Scale x, Scale y) {
        double most = weeks.stream().mapToDouble(m -> m).max().orElse(0);
        double high = (y.at - y.end) * PAST;
        for (int i = 0; i < weeks.size() && most > 0; i++) {
            double from = x.of(-7.0 * (i + 1)) + 1;
            double to = x.of(-7.0 * i) - 1;
            double top = y.at - high * weeks.get(i) / most;
            g.setFill(palette.shade());
            g.fillRect(from, top, Math.max(1, to - from), y.at - top);
            g.setStroke(palette.edge());
            g.strokeRect(from, top, Math.max(1, to - from), y.at - top);
        }
        if (most > 0) {
            g.setTextAlign(TextAlignment.LEFT);
            g.setTextBaseline(VPos.BOTTOM);
            g.setFill(palette.ink());
            g.fillText(String.format(Locale.ROOT, "most: %.1f h", most / 60), LEFT + 4, y.at - high - 4);
            g.fillText("a week", LEFT + 4, y.at - high - 19);
        }
    }

    private void fan(GraphicsContext g, Forecast of, Scale x, Scale y) {
        double low = days(of, 0);
        double mid = days(of, 1);
        double high = days(of, 2);
        double[] xs = {x.of(0), x.of(low), x.of(high), x.of(0)};
        double[] ys = {y.of(of.hours().low()), y.at, y.at, y.of(of.hours().high())};
        g.setFill(palette.wash());
        g.fillPolygon(xs, ys, 4);
        g.setStroke(palette.layout());
        g.setLineWidth(1);
        g.strokeLine(xs[0], ys[0], xs[1], ys[1]);
        g.strokeLine(xs[3], ys[3], xs[2], ys[2]);
        g.setLineWidth(2.5);
        g.strokeLine(x.of(0), y.of(of.hours().mid()), x.of(mid), y.at);
        g.setLineWidth(1);
        g.setStroke(palette.ink());
        g.strokeLine(x.of(0), TOP, x.of(0), y.at);
    }

    private double days(Forecast of, int which) {
        return of.date()
                .map(d ->
                        (double) ChronoUnit.DAYS.between(today, which == 0 ? d.low() : which == 1 ? d.mid() : d.high()))
                .orElse(30.0 + 10 * which);
    }

    private void days(GraphicsContext g, Forecast of, Scale x, Scale y, double h) {
        g.setTextBaseline(VPos.TOP);
        g.setFill(palette.ink());
        g.setTextAlign(TextAlignment.CENTER);
        g.fillText("today", x.of(0), h - BOTTOM + 6);
        if (of.date().isEmpty()) {
            return;
        }
        Forecast.Dates d = of.date().get();
        // Days that would stand on each other give way to the middle one.
        double mid = x.of(days(of, 1));
        g.fillText(d.mid().format(DAY), mid, h - BOTTOM + 6);
        g.setFill(palette.soft());
        if (mid - x.of(days(of, 0)) > 90 && x.of(days(of, 0)) - x.of(0) > 60) {
            g.fillText(d.low().format(DAY), x.of(days(of, 0)), h - BOTTOM + 6);
        }
        g.setTextAlign(TextAlignment.RIGHT);
        if (x.of(days(of, 2)) - mid > 130) {
            g.fillText(d.high().format(DAY), x.of(days(of, 2)) + 12, h - BOTTOM + 6);
        }
        for (int i = 0; i < 3; i++) {
            double at = x.of(days(of, i));
            g.setStroke(palette.layout());
            g.strokeLine(at, y.at - 4, at, y.at + 4);
        }
    }
}
