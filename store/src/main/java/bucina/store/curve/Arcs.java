package bucina.store.curve;

import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.store.drawing.Limits;
import java.util.ArrayList;
import java.util.List;

/** Arcs as corners, wherever they are put; where a placing makes ellipses of circles, as chords. */
public final class Arcs {

    /** Chords stray from their curve by no more than this, nm. */
    public static final double STRAY = 400;

    /** An arc is cut into pieces of no more than this, radians. */
    private static final double PIECE = Math.PI * 0.75;

    private Arcs() {}

    /**
     * An arc of an ellipse by its centre and two half axes, from one parameter to another.
     *
     * @param u half of the axis at parameter 0
     * @param v half of the axis a quarter later
     */
    public record Arc(double x, double y, double ux, double uy, double vx, double vy, double from, double sweep) {

        public static Arc round(double x, double y, double r, double from, double sweep) {
            return new Arc(x, y, r, 0, 0, r, from, sweep);
        }

        public Arc placed(Placing at) {
            return new Arc(
                    at.xx() * x + at.xy() * y + at.dx(),
                    at.yx() * x + at.yy() * y + at.dy(),
                    at.xx() * ux + at.xy() * uy,
                    at.yx() * ux + at.yy() * uy,
                    at.xx() * vx + at.xy() * vy,
                    at.yx() * vx + at.yy() * vy,
                    from,
                    sweep);
        }

        public Point at(double t) {
            double c = Math.cos(t);
            double s = Math.sin(t);
            return Limits.point(x + c * ux + s * vx, y + c * uy + s * vy);
        }

        /** True if it is of a circle. */
        public boolean isRound() {
            double a = Math.hypot(ux, uy);
            double b = Math.hypot(vx, vy);
            return Math.abs(a - b) <= 1e-7 * Math.max(a, b) && Math.abs(ux * vx + uy * vy) <= 1e-7 * a * b;
        }

        public double radius() {
            return Math.max(Math.hypot(ux, uy), Math.hypot(vx, vy));
        }

        private boolean left() {
            return (ux * vy - uy * vx > 0) == (sweep > 0);
        }
    }

    /** Corners from the beginning of an arc to its end, both included. */
    public static List<Corner> corners(Arc arc) {
        return arc.isRound() ? rounded(arc) : chords(arc);
    }

    private static List<Corner> rounded(Arc arc) {
        int pieces = (int) Math.max(1, Math.ceil(Math.abs(arc.sweep) / PIECE));
        double bulge = Limits.bulge(Math.abs(arc.sweep) / pieces) * (arc.left() ? 1 : -1);
        List<Corner> corners = new ArrayList<>(pieces + 1);
        for (int i = 0; i <= pieces; i++) {
            corners.add(new Corner(arc.at(arc.from + arc.sweep * i / pieces), i == pieces ? 0 : bulge));
        }
        return corners;
    }

    private static List<Corner> chords(Arc arc) {
        double r = arc.radius();
        double step = r > STRAY ? 2 * Math.acos(1 - STRAY / r) : Math.PI / 2;
        int chords = (int) Math.clamp(Math.ceil(Math.abs(arc.sweep) / step), 4, 20_000);
        List<Corner> corners = new ArrayList<>(chords + 1);
        for (int i = 0; i <= chords; i++) {
            corners.add(Corner.of(arc.at(arc.from + arc.sweep * i / chords)));
        }
        return corners;
    }

    /** The arc that bulges from one place to another: 1 is half a circle to the left. */
    public static Arc bulged(double ax, double ay, double bx, double by, double bulge) {
        double dx = bx - ax;
        double dy = by - ay;
        double k = (1 / bulge - bulge) / 4;
        double x = (ax + bx) / 2 - dy * k;
        double y = (ay + by) / 2 + dx * k;
        double r = Math.hypot(ax - x, ay - y);
        return Arc.round(x, y, r, Math.atan2(ay - y, ax - x), 4 * Math.atan(bulge));
    }
}
