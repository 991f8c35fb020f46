package bucina.desk.rack;

import bucina.desk.look.Palette;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;

/** A row of ten pips: filled for done, half filled for a part of a tenth, hollow for to do. */
final class Pips extends Canvas {

    private static final int COUNT = 10;

    Pips() {
        super(COUNT * 11, 9);
    }

    void show(int done, int all, Palette p) {
        GraphicsContext g = getGraphicsContext2D();
        g.clearRect(0, 0, getWidth(), getHeight());
        double share = all == 0 ? 0 : (double) done / all * COUNT;
        for (int i = 0; i < COUNT; i++) {
            double x = i * 11 + 0.5;
            double part = Math.clamp(share - i, 0, 1);
            g.setStroke(part > 0 ? p.done() : p.soft());
            g.setLineWidth(1);
            g.setFill(p.film());
            g.fillRect(x, 0.5, 8, 8);
            g.setFill(p.done());
            g.fillRect(x, 0.5, Math.ceil(8 * part), 8);
            g.strokeRect(x, 0.5, 8, 8);
        }
    }
}
