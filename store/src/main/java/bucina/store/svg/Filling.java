package bucina.store.svg;

import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.store.curve.Arcs;
import java.util.ArrayList;
import java.util.List;

/** What is filled by lines that are taken together by the rule of the windings that are not nought. */
final class Filling {

    /** So far beside a line it is looked whether there is filling, nm. */
    private static final double BESIDE = 1000;

    private Filling() {}

    /** Which of the lines are an edge of what is filled. */
    static List<Boolean> edges(List<List<Corner>> rings) {
        List<List<Point>> around = rings.stream().map(Filling::points).toList();
        List<Boolean> edges = new ArrayList<>();
        for (List<Point> ring : around) {
            edges.add(edge(ring, around));
        }
        return edges;
    }

    private static boolean edge(List<Point> ring, List<List<Point>> around) {
        for (int i = 0; i < ring.size(); i++) {
            Point a = ring.get(i);
            Point b = ring.get((i + 1) % ring.size());
            double length = a.to(b).nanometres();
            if (length < 4 * BESIDE) {
                continue;
            }
            double nx = -(b.y() - a.y()) / length * BESIDE;
            double ny = (b.x() - a.x()) / length * BESIDE;
            double x = (a.x() + b.x()) / 2;
            double y = (a.y() + b.y()) / 2;
            return windings(around, x + nx, y + ny) == 0 != (windings(around, x - nx, y - ny) == 0);
        }
        return true;
    }

    private static int windings(List<List<Point>> around, double x, double y) {
        int windings = 0;
        for (List<Point> ring : around) {
            for (int i = 0; i < ring.size(); i++) {
                Point a = ring.get(i);
                Point b = ring.get((i + 1) % ring.size());
                if (a.y() <= y == b.y() <= y) {
                    continue;
                }
                double side = (b.x() - a.x()) * (y - a.y()) - (x - a.x()) * (b.y() - a.y());
                windings += b.y() > a.y() ? side > 0 ? 1 : 0 : side < 0 ? -1 : 0;
            }
        }
        return windings;
    }

    private static List<Point> points(List<Corner> corners) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            Corner a = corners.get(i);
            Point b = corners.get((i + 1) % corners.size()).at();
            points.add(a.at());
            if (a.bulge() != 0) {
                Arcs.Arc arc = Arcs.bulged(a.at().x(), a.at().y(), b.x(), b.y(), a.bulge());
                for (int k = 1; k < 16; k++) {
                    points.add(arc.at(arc.from() + arc.sweep() * k / 16));
                }
            }
        }
        return points;
    }
}
