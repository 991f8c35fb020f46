package bucina.desk.tonight;

import bucina.core.catalogue.Catalogue;
import bucina.core.measure.Length;
import bucina.core.plan.Fastener;
import bucina.core.rivet.RivetSize;
import bucina.core.stack.Solution;
import bucina.desk.look.Palette;
import java.util.Optional;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.stage.Screen;

/** A fastener at its true size on this screen, head to the left: it can be laid against the one in the hand. */
final class RivetPicture extends Canvas {

    private static final double MARGIN = 3;

    RivetPicture(Solution solution, Catalogue catalogue, Palette p) {
        double mm = Screen.getPrimary().getDpi() / 25.4;
        Fastener fastener = solution.fastener();
        double shank = mm(fastener.shank(), mm);
        double head = mm(solution.heads().head(), mm) * 2;
        double length = solution.length()
                .or(() -> Optional.of(solution.grip().plus(fastener.shank().times(1.5))))
                .map(l -> mm(l, mm))
                .orElse(shank * 3);
        double high = headHeight(fastener, catalogue, mm, head, shank);
        boolean flush = fastener.flush();
        setWidth(Math.clamp((flush ? length : length + high) + 2 * MARGIN, 16, 130));
        setHeight(Math.max(head, shank) + 2 * MARGIN);
        GraphicsContext g = getGraphicsContext2D();
        g.setFill(p.metal());
        g.setStroke(p.ink());
        g.setLineWidth(1);
        double mid = getHeight() / 2;
        double x = MARGIN;
        if (flush) {
            double[] xs = {x, x + high, x + length, x + length, x + high, x};
            double[] ys = {
                mid - head / 2, mid - shank / 2, mid - shank / 2, mid + shank / 2, mid + shank / 2, mid + head / 2
            };
            g.fillPolygon(xs, ys, 6);
            g.strokePolygon(xs, ys, 6);
        } else {
            g.fillRect(x + high, mid - shank / 2, length, shank);
            g.strokeRect(x + high, mid - shank / 2, length, shank);
            g.beginPath();
            g.moveTo(x + high, mid - head / 2);
            g.bezierCurveTo(x, mid - head / 2, x, mid + head / 2, x + high, mid + head / 2);
            g.closePath();
            g.fill();
            g.stroke();
        }
    }

    private static double mm(Length length, double perMm) {
        return length.nanometres() / 1e6 * perMm;
    }

    private static double headHeight(Fastener fastener, Catalogue catalogue, double mm, double head, double shank) {
        if (fastener instanceof Fastener.SolidRivet r) {
            return catalogue.rivets().stream()
                    .filter(s -> s.head() == r.head() && s.dash() == r.dash())
                    .findFirst()
                    .map(RivetSize::headHeight)
                    .map(h -> mm(h, mm))
                    .orElse(shank / 2);
        }
        return fastener.flush() ? Math.max(1, (head - shank) / 2.4) : shank / 2;
    }
}
