package bucina.core.sums;

import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.List;

/** A ring as points for a picture: arcs in steps of a few degrees. Only for the screen. */
final class Chords {

    private static final double STEP = Math.toRadians(6);

    private Chords() {}

    static List<Point> of(Ring ring) {
        List<Point> points = new ArrayList<>();
        List<Corner> corners = ring.corners();
        for (int i = 0; i < corners.size(); i++) {
            Corner from = corners.get(i);
            Point to = corners.get((i + 1) % corners.size()).at();
            points.add(from.at());
            if (from.bulge() == 0) {
                continue;
            }
            double sweep = 4 * Math.atan(from.bulge());
            double dx = to.x() - from.at().x();
            double dy = to.y() - from.at().y();
            double off = (1 - from.bulge() * from.bulge()) / (4 * from.bulge());
            double cx = (from.at().x() + to.x()) / 2 - dy * off;
            double cy = (from.at().y() + to.y()) / 2 + dx * off;
            double r = Math.hypot(from.at().x() - cx, from.at().y() - cy);
            double start = Math.atan2(from.at().y() - cy, from.at().x() - cx);
            int steps = (int) Math.ceil(Math.abs(sweep) / STEP);
            for (int k = 1; k < steps; k++) {
                double a = start + sweep * k / steps;
                points.add(new Point(cx + r * Math.cos(a), cy + r * Math.sin(a)));
            }
        }
        return points;
    }
}
