package bucina.desk.stores;

import bucina.core.stores.Balance;
import bucina.desk.look.Palette;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;

/**
 * One designation as a box of rivets: what went in green, what came out again crossed, what is left as bare metal, and
 * below it what is still wanted; where that reaches over what is left it is hatched.
 */
final class BalanceBar extends Canvas {

    private static final double HIGH = 26;
    private static final double BOX = 13;
    private static final double WANTED = 17;

    /** Over its whole width: all there was, or all that goes in, whichever is more. */
    BalanceBar(double width, Balance.Item item, Palette p) {
        super(width, HIGH);
        GraphicsContext g = getGraphicsContext2D();
        int most = item.driven() + Math.max(item.onHand(), item.needed());
        double k = (width - 4) / Math.max(1, most);
        double used = item.used() * k;
        double rejected = item.rejected() * k;
        double left = item.onHand() * k;
        g.setFill(p.done());
        g.fillRect(1, 1, used, BOX);
        g.setStroke(p.attention());
        g.setLineWidth(1);
        for (double x = 1 + used; x < 1 + used + rejected; x += 4) {
            g.strokeLine(x, 1 + BOX, Math.min(x + 4, 1 + used + rejected), 1);
        }
        if (rejected > 0) {
            g.strokeRect(1 + used, 1, rejected, BOX);
        }
        g.setFill(p.metal());
        g.fillRect(1 + used + rejected, 1, left, BOX);
        g.setStroke(p.edge());
        g.strokeRect(1.5, 1.5, Math.max(1, used + rejected + left), BOX);
        wanted(g, 1 + used + rejected, item, k, p);
    }

    private static void wanted(GraphicsContext g, double from, Balance.Item item, double k, Palette p) {
        if (item.needed() == 0) {
            return;
        }
        double there = Math.min(item.needed(), item.onHand()) * k;
        double end = from + item.needed() * k;
        g.setFill(p.layout());
        g.fillRect(from, WANTED, there, 5);
        g.setStroke(p.stop());
        g.setLineWidth(1.5);
        for (double x = from + there; x < end; x += 5) {
            g.strokeLine(x, WANTED + 6, Math.min(x + 5, end), WANTED - 1);
        }
        if (there < end - from) {
            g.strokeRect(from + there, WANTED - 1, end - from - there, 7);
        }
    }
}
