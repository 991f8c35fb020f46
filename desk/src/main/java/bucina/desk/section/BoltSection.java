package bucina.desk.section;

import bucina.core.bolt.BoltChoice;
import bucina.core.bolt.Washer;
import bucina.core.measure.Length;
import bucina.core.stack.Bolted;
import bucina.core.stack.Solution;
import bucina.desk.look.Palette;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import javafx.scene.canvas.GraphicsContext;

/** A bolt through its stack in true lengths: head, washers, shank to the end of its grip, thread, nut. */
final class BoltSection {

    /** Height of a hexagon head, in diameters. */
    private static final double HEAD = 0.62;

    private final GraphicsContext g;
    private final Palette palette;
    private final Solution s;
    private final DoubleUnaryOperator y;
    private final DoubleUnaryOperator x;

    /**
     * @param y where a depth from the outer surface is drawn, nm
     * @param x where a distance from the axis is drawn, nm
     */
    BoltSection(GraphicsContext g, Palette palette, Solution s, DoubleUnaryOperator y, DoubleUnaryOperator x) {
        this.g = g;
        this.palette = palette;
        this.s = s;
        this.y = y;
        this.x = x;
    }

    /** What stands over the outer surface, nm. */
    static double over(Solution s) {
        double d = s.fastener().shank().nanometres();
        return s.bolt()
                .flatMap(Bolted::fit)
                .map(f -> d * HEAD + thick(f.underHead()))
                .orElse(d * 0.35);
    }

    /** What stands beyond the stack, nm. */
    static double beyond(Solution s) {
        return s.bolt()
                .flatMap(Bolted::fit)
                .map(f -> f.bolt().length().nanometres()
                        - thick(f.underHead())
                        - s.grip().nanometres())
                .orElse(s.grip().nanometres() * 0.18);
    }

    private static double thick(List<Washer> washers) {
        return washers.stream()
                .map(Washer::thickness)
                .mapToDouble(Length::nanometres)
                .sum();
    }

    void draw() {
        g.setFill(palette.layout().interpolate(palette.film(), 0.72));
        g.setStroke(palette.layout());
        g.setLineWidth(1.6);
        double r = s.fastener().shank().nanometres() / 2;
        s.bolt().flatMap(Bolted::fit).ifPresentOrElse(f -> whole(f, s.bolt().orElseThrow(), r), () -> {
            box(r, 0, s.grip().nanometres() * 1.18);
            box(r * 1.7, -r * 0.7, 0);
        });
    }

    private void whole(BoltChoice.Fit fit, Bolted bolt, double r) {
        double flats = bolt.thread().head().nanometres() / 2;
        double head = -thick(fit.underHead());
        double far = s.grip().nanometres();
        double seat = far + thick(fit.underNut());
        double end = head + fit.bolt().length().nanometres();
        box(r, head, end);
        thread(fit, bolt, r, head, end);
        box(flats, head - 2 * r * HEAD, head);
        washers(fit.underHead(), head, flats * 1.3);
        washers(fit.underNut(), far, flats * 1.3);
        bolt.nut().ifPresent(n -> box(flats, seat, seat + n.height().nanometres()));
    }

    private void thread(BoltChoice.Fit fit, Bolted bolt, double r, double head, double end) {
        double pitch = bolt.thread().pitch().nanometres();
        g.setLineWidth(0.8);
        for (double z = head + fit.bolt().grip().nanometres(); z + pitch * 0.4 < end; z += pitch) {
            g.strokeLine(x.applyAsDouble(-r), y.applyAsDouble(z), x.applyAsDouble(r), y.applyAsDouble(z + pitch * 0.4));
        }
        g.setLineWidth(1.6);
    }

    private void washers(List<Washer> washers, double from, double half) {
        double z = from;
        for (Washer w : washers) {
            box(half, z, z + w.thickness().nanometres());
            z += w.thickness().nanometres();
        }
    }

    private void box(double half, double from, double to) {
        double left = x.applyAsDouble(-half);
        double top = y.applyAsDouble(from);
        g.fillRect(left, top, x.applyAsDouble(half) - left, y.applyAsDouble(to) - top);
        g.strokeRect(left, top, x.applyAsDouble(half) - left, y.applyAsDouble(to) - top);
    }
}
