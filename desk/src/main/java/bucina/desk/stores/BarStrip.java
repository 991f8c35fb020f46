package bucina.desk.stores;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Bar;
import bucina.desk.look.Palette;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/**
 * One bar to scale: what was cut from it is gone and drawn in dashes, what is cut next is marked out with its length,
 * the rest is bare metal. A bar that may not be used is crossed out.
 */
final class BarStrip extends Canvas {

    private static final double HIGH = 28;
    private static final double TOP = 3;
    private static final double THICK = 22;
    /** A length is written in a piece that is at least so wide, px. */
    private static final double ROOM = 40;

    private final GraphicsContext g = getGraphicsContext2D();
    private final Palette palette;
    private final Unit unit;
    private final double scale;

    /**
     * @param longest of the bars that are drawn below each other
     * @param next    cuts to make
     * @param usable  false for one of another gauge
     */
    BarStrip(double width, Length longest, Bar bar, List<Bar.Cut> next, boolean usable, Palette palette, Unit unit) {
        super(width, HIGH);
        this.palette = palette;
        this.unit = unit;
        scale = (width - 2) / longest.nanometres();
        double at = 1;
        for (Bar.Cut cut : bar.cuts()) {
            at = gone(at, cut);
        }
        for (Bar.Cut cut : next) {
            at = marked(at, cut);
        }
        double end = 1 + bar.length().nanometres() * scale;
        if (end - at > .5) {
            g.setFill(palette.metal());
            g.fillRect(at, TOP, end - at, THICK);
            g.setStroke(palette.edge());
            g.setLineWidth(1);
            g.strokeRect(at, TOP + .5, end - at, THICK);
        }
        if (!usable) {
            g.setStroke(palette.stop());
            g.setLineWidth(1.5);
            g.strokeLine(1, TOP, end, TOP + THICK);
            g.strokeLine(1, TOP + THICK, end, TOP);
        }
    }

    private double gone(double at, Bar.Cut cut) {
        double wide = cut.length().nanometres() * scale;
        g.setStroke(palette.soft());
        g.setLineWidth(1);
        g.setLineDashes(4, 3);
        g.strokeRect(at, TOP + .5, wide, THICK);
        g.setLineDashes();
        words(at, wide, cut);
        return at + wide + cut.kerf().nanometres() * scale;
    }

    private double marked(double at, Bar.Cut cut) {
        double wide = cut.length().nanometres() * scale;
        g.setFill(palette.wash());
        g.fillRect(at, TOP, wide, THICK);
        g.setStroke(palette.layout());
        g.setLineWidth(1.5);
        g.strokeRect(at, TOP + .5, wide, THICK);
        words(at, wide, cut);
        return at + wide + cut.kerf().nanometres() * scale;
    }

    private void words(double at, double wide, Bar.Cut cut) {
        if (wide >= ROOM) {
            g.setFont(Font.font("B612", 11));
            g.setFill(palette.ink());
            g.setTextAlign(TextAlignment.CENTER);
            g.setTextBaseline(VPos.CENTER);
            g.fillText(LengthFormat.figure(cut.length(), unit, 2), at + wide / 2, TOP + THICK / 2, wide - 4);
        }
    }
}
