package bucina.store.curve;

import bucina.core.drawing.Drawing;
import bucina.core.measure.Length;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.List;
import java.util.Optional;

/** Finds the circle in a closed path, however it is drawn: from arcs, or with many sides. */
public final class Rounds {

    /** Fewer sides are a shape of their own. */
    private static final int SIDES = 12;

    /** What files round away, nm. */
    private static final double ON = 3000;

    private static final double SHARE = 2e-4;

    private Rounds() {}

    /**
     * A circle found.
     *
     * @param sides how many straight sides it is drawn with; 0 if with arcs
     */
    public record Round(Drawing.Circle circle, int sides) {}

    /** The circle that a closed path is; empty if it is none. */
    public static Optional<Round> of(Drawing.Path path) {
        List<Corner> corners = path.corners();
        boolean arcs = corners.stream().allMatch(c -> c.bulge() != 0);
        boolean straight = corners.stream().allMatch(c -> c.bulge() == 0);
        if (!path.closed() || corners.size() < 2 || !arcs && !straight || straight && corners.size() < SIDES) {
            return Optional.empty();
        }
        double[] c = arcs ? centre(corners) : middle(corners);
        double r = corners.stream()
                .mapToDouble(k -> Math.hypot(k.at().x() - c[0], k.at().y() - c[1]))
                .average()
                .orElse(0);
        double on = Math.max(ON, r * SHARE);
        boolean same = r > 0
                && corners.stream().allMatch(k -> Math.abs(Math.hypot(k.at().x() - c[0], k.at().y() - c[1]) - r) < on);
        if (!same || arcs && !turnsOnce(corners, c, on) || straight && !even(corners)) {
            return Optional.empty();
        }
        return Optional.of(new Round(
                new Drawing.Circle(path.layer(), new Point(c[0], c[1]), Length.nm(2 * r), Optional.empty()),
                straight ? corners.size() : 0));
    }

    private static Arcs.Arc arc(List<Corner> corners, int i) {
        Point a = corners.get(i).at();
        Point b = corners.get((i + 1) % corners.size()).at();
        return Arcs.bulged(a.x(), a.y(), b.x(), b.y(), corners.get(i).bulge());
    }

    private static double[] centre(List<Corner> corners) {
        Arcs.Arc arc = arc(corners, 0);
        return new double[] {arc.x(), arc.y()};
    }

    private static double[] middle(List<Corner> corners) {
        double x = corners.stream().mapToDouble(k -> k.at().x()).average().orElse(0);
        double y = corners.stream().mapToDouble(k -> k.at().y()).average().orElse(0);
        return new double[] {x, y};
    }

    private static boolean turnsOnce(List<Corner> corners, double[] c, double on) {
        double sweep = 0;
        for (int i = 0; i < corners.size(); i++) {
            Arcs.Arc arc = arc(corners, i);
            if (Math.hypot(arc.x() - c[0], arc.y() - c[1]) > on) {
                return false;
            }
            sweep += arc.sweep();
        }
        return Math.abs(Math.abs(sweep) - 2 * Math.PI) < 0.01;
    }

    /** True if all sides are about as long: what is round is drawn in even steps. */
    private static boolean even(List<Corner> corners) {
        double least = Double.MAX_VALUE;
        double most = 0;
        for (int i = 0; i < corners.size(); i++) {
            double side = corners.get(i)
                    .at()
                    .to(corners.get((i + 1) % corners.size()).at())
                    .nanometres();
            least = Math.min(least, side);
            most = Math.max(most, side);
        }
        return most < 1.05 * least + ON;
    }
}
