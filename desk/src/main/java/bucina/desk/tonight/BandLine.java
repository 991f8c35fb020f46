package bucina.desk.tonight;

import bucina.desk.look.Palette;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;

/** One job of an evening as a length on the band of its hours; what is lost before it in copper. */
final class BandLine extends Canvas {

    private static final double HIGH = 16;

    /**
     * @param from  minutes from the beginning of the evening, with what is lost before the job
     * @param lost  minutes before it
     * @param work  minutes of work
     * @param whole minutes of the evening
     * @param stop  true if it is natural to stop after it
     */
    BandLine(double width, double from, double lost, double work, double whole, boolean stop, Palette p) {
        super(width, HIGH);
        GraphicsContext g = getGraphicsContext2D();
        double k = (width - 2) / whole;
        g.setStroke(p.line());
        g.setLineWidth(1);
        for (int m = 0; m <= whole; m += 30) {
            double x = Math.round(m * k) + .5;
            g.strokeLine(x, 0, x, HIGH);
        }
        double x = from * k;
        if (lost > 0) {
            g.setFill(p.attention());
            g.fillRect(x, 4, Math.max(2, lost * k), HIGH - 8);
        }
        x += lost * k;
        g.setFill(p.layout());
        g.fillRect(x, 1, Math.max(2, work * k), HIGH - 2);
        if (stop) {
            double end = Math.min(width - 2, x + Math.max(2, work * k) + 3);
            g.setStroke(p.done());
            g.setLineWidth(2);
            g.strokeLine(end, 0, end, HIGH);
        }
    }
}
