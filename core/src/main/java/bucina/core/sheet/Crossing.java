package bucina.core.sheet;

import java.util.List;
import java.util.stream.IntStream;

/**
 * Sees whether a ring crosses itself or another. Arcs are taken by their chords: an arc that only bows over a
 * neighbour is let
 * pass.
 */
public final class Crossing {

    private final List<Corner> corners;

    public Crossing(Ring ring) {
        this.corners = ring.corners();
    }

    /** True if the ring crosses itself. */
    public boolean crosses() {
        int n = corners.size();
        if (n < 4) {
            return false;
        }
        BoxIndex<Integer> index = sides();
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

    /** True if a side of the ring crosses a side of another. */
    public boolean crosses(Ring other) {
        Crossing others = new Crossing(other);
        BoxIndex<Integer> index = others.sides();
        for (int i = 0; i < corners.size(); i++) {
            for (int j : index.in(Box.around(at(i), at(i + 1)))) {
                if (meets(at(i), at(i + 1), others.at(j), others.at(j + 1))) {
                    return true;
                }
            }
        }
        return false;
    }

    private BoxIndex<Integer> sides() {
        return new BoxIndex<>(IntStream.range(0, corners.size()).boxed().toList(), i -> Box.around(at(i), at(i + 1)));
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
