package bucina.core.sheet;

import java.util.List;
import java.util.stream.IntStream;

/**
 * Sees whether a ring crosses itself. Arcs are taken by their chords: an arc that only bows over a neighbour is let
 * pass.
 */
public final class Crossing {

    private final List<Corner> corners;

    public Crossing(Ring ring) {
        this.corners = ring.corners();
    }

    public boolean crosses() {
        int n = corners.size();
        if (n < 4) {
            return false;
        }
        BoxIndex<Integer> index =
                new BoxIndex<>(IntStream.range(0, n).boxed().toList(), i -> Box.around(at(i), at(i + 1)));
        for (int i = 0; i < n; i++) {
            for (int j : index.in(Box.around(at(i), at(i + 1)))) {
                boolean neighbours = j == i || (j + 1) % n == i || (i + 1) % n == j;
                if (!neighbours && meets(at(i), at(i + 1), at(j), at(j + 1))) {
                    return true;
                }
            }
        }
        return false;
    }

    private Point at(int i) {
        return corners.get(i % corners.size()).at();
    }

    private static boolean meets(Point a, Point b, Point c, Point d) {
        return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
    }

    private static double side(Point a, Point b, Point p) {
        return Math.signum((b.x() - a.x()) * (p.y() - a.y()) - (b.y() - a.y()) * (p.x() - a.x()));
    }
}
