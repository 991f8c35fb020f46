package bucina.store.curve;

import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.store.drawing.Limits;
import java.util.ArrayList;
import java.util.List;

/** Points along a curve as corners: one arc where they lie on one, else chords. */
public final class Fitted {

    /** Points of an arc stray from it by no more than this, nm. */
    private static final double ON = 500;

    private static final double LARGEST = 1e11;

    private Fitted() {}

    /** Corners from the first point to the last. */
    public static List<Corner> arcs(List<Point> along) {
        int n = along.size();
        if (n >= 8) {
            Point a = along.getFirst();
            double[] c = centre(a, along.get(n / 3), along.get(2 * n / 3));
            double r = Math.hypot(a.x() - c[0], a.y() - c[1]);
            if (r < LARGEST
                    && along.stream().allMatch(p -> Math.abs(Math.hypot(p.x() - c[0], p.y() - c[1]) - r) < ON)) {
                double sweep = sweep(along, c);
                if (Math.abs(sweep) <= 2 * Math.PI + 1e-6) {
                    double from = Math.atan2(a.y() - c[1], a.x() - c[0]);
                    return Arcs.corners(Arcs.Arc.round(c[0], c[1], r, from, sweep));
                }
            }
        }
        List<Corner> corners = new ArrayList<>(n);
        along.forEach(p -> corners.add(Corner.of(Limits.point(p.x(), p.y()))));
        return corners;
    }

    private static double sweep(List<Point> along, double[] c) {
        double sweep = 0;
        for (int i = 1; i < along.size(); i++) {
            Point a = along.get(i - 1);
            Point b = along.get(i);
            double ax = a.x() - c[0];
            double ay = a.y() - c[1];
            double bx = b.x() - c[0];
            double by = b.y() - c[1];
            sweep += Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
        }
        return sweep;
    }

    /** The centre of the circle through three points; far away where they lie on a line. */
    static double[] centre(Point a, Point b, Point c) {
        double bx = b.x() - a.x();
        double by = b.y() - a.y();
        double cx = c.x() - a.x();
        double cy = c.y() - a.y();
        double d = 2 * (bx * cy - by * cx);
        if (Math.abs(d) < 1) {
            return new double[] {Double.MAX_VALUE, Double.MAX_VALUE};
        }
        double b2 = bx * bx + by * by;
        double c2 = cx * cx + cy * cy;
        return new double[] {a.x() + (cy * b2 - by * c2) / d, a.y() + (bx * c2 - cx * b2) / d};
    }
}
