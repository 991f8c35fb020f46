package bucina.core.sheet;

import java.util.ArrayList;
import java.util.List;

/** A ring as points, its arcs as chords: for pictures and for libraries that know no arcs. */
public final class Trace {

    private static final int MOST = 20_000;

    private Trace() {}

    /**
     * Points along a ring.
     *
     * @param stray how far a chord may stray from its arc, nm, over 0
     */
    public static List<Point> of(Ring ring, double stray) {
        if (!(stray > 0)) {
            throw new IllegalArgumentException("chords must be let stray by more than 0 nm, was " + stray);
        }
        List<Point> points = new ArrayList<>();
        List<Corner> corners = ring.corners();
        for (int i = 0; i < corners.size(); i++) {
            Corner a = corners.get(i);
            points.add(a.at());
            if (a.bulge() != 0) {
                arc(a, corners.get((i + 1) % corners.size()).at(), stray, points);
            }
        }
        return points;
    }

    private static void arc(Corner a, Point b, double stray, List<Point> points) {
        double k = (1 - a.bulge() * a.bulge()) / (4 * a.bulge());
        double cx = (a.at().x() + b.x()) / 2 - (b.y() - a.at().y()) * k;
        double cy = (a.at().y() + b.y()) / 2 + (b.x() - a.at().x()) * k;
        double r = Math.hypot(a.at().x() - cx, a.at().y() - cy);
        double start = Math.atan2(a.at().y() - cy, a.at().x() - cx);
        double sweep = 4 * Math.atan(a.bulge());
        chords(stray, r, sweep, start, points, cx, cy);
    }

    private static void chords(
            double stray, double r, double sweep, double start, List<Point> points, double cx, double cy) {
        double step = 2 * Math.acos(Math.max(0, 1 - stray / Math.max(stray, r)));
        int chords = (int) Math.clamp(Math.ceil(Math.abs(sweep) / step), 1, MOST);
        for (int i = 1; i < chords; i++) {
            double at = start + sweep * i / chords;
            points.add(new Point(cx + r * Math.cos(at), cy + r * Math.sin(at)));
        }
    }
}
