package bucina.store.curve;

import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.store.drawing.Limits;
import java.util.ArrayList;
import java.util.List;

/** Cubic curves as corners: one arc where programs drew an arc with them, else chords. */
public final class Beziers {

    /** A cubic drawn for an arc of up to a quarter strays from it by no more than this share of its radius. */
    private static final double SHARE = 3.5e-4;

    /** Files round places away by so much, nm. */
    private static final double ROUNDED = 2000;

    /** Arcs flatter than this, radians, are chords. */
    private static final double LEAST = 0.02;

    private static final int MOST = 5000;

    private Beziers() {}

    /** Corners from the beginning to the end, both included. */
    public static List<Corner> corners(Point a, Point b, Point c, Point d) {
        double[] m = at(a, b, c, d, 0.5);
        double[] centre = Fitted.centre(a, new Point(m[0], m[1]), d);
        double r = Math.hypot(a.x() - centre[0], a.y() - centre[1]);
        double sweep = sweep(a, b, c, d, centre, r);
        return sweep != 0
                ? Arcs.corners(Arcs.Arc.round(
                        centre[0], centre[1], r, Math.atan2(a.y() - centre[1], a.x() - centre[0]), sweep))
                : chords(a, b, c, d);
    }

    /** The angle of the arc that it is, positive to the left; 0 if it is none. */
    private static double sweep(Point a, Point b, Point c, Point d, double[] centre, double r) {
        if (!(r < 1e11)) {
            return 0;
        }
        double on = Math.max(ROUNDED, SHARE * r);
        double sweep = 0;
        double[] last = {a.x(), a.y()};
        for (int i = 1; i <= 8; i++) {
            double[] p = at(a, b, c, d, i / 8.0);
            double ax = last[0] - centre[0];
            double ay = last[1] - centre[1];
            double bx = p[0] - centre[0];
            double by = p[1] - centre[1];
            if (Math.abs(Math.hypot(bx, by) - r) > on) {
                return 0;
            }
            sweep += Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
            last = p;
        }
        // What strays further than its arc is high is as well a chord, or no arc at all.
        double high = r * (1 - Math.cos(sweep / 2));
        boolean arc = Math.abs(sweep) > LEAST && Math.abs(sweep) < 2 && high > 20 * on;
        return arc ? sweep : 0;
    }

    private static List<Corner> chords(Point a, Point b, Point c, Point d) {
        double bend = Math.max(
                Math.hypot(a.x() - 2 * b.x() + c.x(), a.y() - 2 * b.y() + c.y()),
                Math.hypot(b.x() - 2 * c.x() + d.x(), b.y() - 2 * c.y() + d.y()));
        int chords = (int) Math.clamp(Math.ceil(Math.sqrt(0.75 * bend / Arcs.STRAY)), 1, MOST);
        List<Corner> corners = new ArrayList<>(chords + 1);
        for (int i = 0; i <= chords; i++) {
            double[] p = at(a, b, c, d, (double) i / chords);
            corners.add(Corner.of(i == 0 ? a : i == chords ? d : Limits.point(p[0], p[1])));
        }
        return corners;
    }

    private static double[] at(Point a, Point b, Point c, Point d, double t) {
        double u = 1 - t;
        double p = u * u * u;
        double q = 3 * u * u * t;
        double r = 3 * u * t * t;
        double s = t * t * t;
        return new double[] {
            p * a.x() + q * b.x() + r * c.x() + s * d.x(), p * a.y() + q * b.y() + r * c.y() + s * d.y()
        };
    }
}
