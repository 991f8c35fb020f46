package bucina.desk.first;

import bucina.desk.look.Palette;
import bucina.desk.look.Type;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;

/** The small pictures of the first questions, in section and to scale. */
final class FirstPicture {

    private static final double WIDE = 150;
    private static final double HIGH = 62;
    private static final double MIDDLE = WIDE / 2;

    private static final double LARGER = 1.36;

    private final Canvas canvas = new Canvas(WIDE * LARGER, HIGH * LARGER);
    private final GraphicsContext g = canvas.getGraphicsContext2D();
    private final Palette palette;

    FirstPicture(Palette palette) {
        this.palette = palette;
        g.scale(LARGER, LARGER);
        g.setLineWidth(1);
        g.setFont(Type.text(10));
    }

    Canvas canvas() {
        return canvas;
    }

    /** A rule with marks so far apart, every so many of them long. */
    FirstPicture rule(double apart, int one, String figure) {
        g.setFill(palette.film());
        g.fillRect(4, 12, WIDE - 8, 38);
        g.setStroke(palette.edge());
        g.strokeRect(4.5, 12.5, WIDE - 9, 37);
        g.setStroke(palette.ink());
        for (int i = 0; i * apart < WIDE - 24; i++) {
            double x = Math.round(12 + i * apart) + .5;
            g.strokeLine(x, 13, x, i % one == 0 ? 32 : i % (one / 2) == 0 ? 26 : 21);
        }
        words(figure, 12 + one * apart + 4, 44);
        return this;
    }

    /** A solid rivet set through two sheets. */
    FirstPicture solid(double at) {
        sheets(at, 24, 8, 8);
        metal(at - 10, 15, 20, 9, 8);
        metal(at - 6, 22, 12, 20, 0);
        metal(at - 9, 40, 18, 7, 5);
        return this;
    }

    /** A pulled rivet set through two sheets, its mandrel broken off. */
    FirstPicture pulled(double at) {
        sheets(at, 24, 8, 8);
        metal(at - 12, 17, 24, 7, 8);
        metal(at - 6, 22, 12, 20, 0);
        metal(at - 10, 39, 20, 13, 9);
        g.setFill(palette.shade());
        g.fillRect(at - 2, 18, 4, 30);
        g.setStroke(palette.edge());
        g.strokeRect(at - 2, 18, 4, 30);
        return this;
    }

    /**
     * A head countersunk into a sheet.
     *
     * @param share of the sheet's thickness that the head may take
     */
    FirstPicture countersunk(double share) {
        double thick = 30;
        double deep = thick * share;
        double top = 15;
        sheet(MIDDLE - 62, top, 124, thick);
        double[] x = {
            MIDDLE - 10 - deep * 1.19, MIDDLE + 10 + deep * 1.19, MIDDLE + 10, MIDDLE + 10, MIDDLE - 10, MIDDLE - 10
        };
        double[] y = {top, top, top + deep, top + thick + 8, top + thick + 8, top + deep};
        g.setFill(palette.metal());
        g.fillPolygon(x, y, x.length);
        g.setStroke(palette.ink());
        g.strokePolygon(x, y, x.length);
        g.setStroke(palette.layout());
        g.setLineDashes(3, 3);
        g.strokeLine(8, top + deep, WIDE - 8, top + deep);
        g.setLineDashes();
        return this;
    }

    /**
     * A set head.
     *
     * @param wide and high, in shank diameters
     */
    FirstPicture head(double wide, double high, String figure) {
        double d = 26;
        double bottom = 42;
        sheet(MIDDLE - 62, bottom, 124, 13);
        metal(MIDDLE - d / 2, bottom, d, 14, 0);
        metal(MIDDLE - d * wide / 2, bottom - d * high, d * wide, d * high, 6);
        words(figure, MIDDLE - 34, 18);
        return this;
    }

    private void sheets(double at, double top, double upper, double lower) {
        sheet(at - 34, top, 68, upper);
        sheet(at - 34, top + upper, 68, lower);
    }

    private void sheet(double x, double y, double w, double h) {
        g.setFill(palette.wash());
        g.fillRect(x, y, w, h);
        g.setStroke(palette.edge());
        g.strokeRect(x + .5, y + .5, w - 1, h - 1);
    }

    private void metal(double x, double y, double w, double h, double round) {
        g.setFill(palette.metal());
        g.fillRoundRect(x, y, w, h, round, round);
        g.setStroke(palette.ink());
        g.strokeRoundRect(x + .5, y + .5, w - 1, h - 1, round, round);
    }

    private void words(String text, double x, double y) {
        g.setFill(palette.ink());
        g.fillText(text, x, y);
    }
}
