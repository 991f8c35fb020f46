package bucina.core.cleco;

import java.util.ArrayList;
import java.util.List;

/*
 * Design. How few locating clecos a mode needs. In a set order the hole ahead of the one being drilled is not drilled
 * yet, so the support ahead is a locating
 * cleco, and when that one's own hole is drilled the next must lie within k of it: spaced k, the last at the end.
 * Where the order is free, a gap of 2k between
 * two is closed from its middle, which is k from both; past the first and the last there is an end, which needs
 * support on one side only. No order does with
 * fewer: the first hole drilled in a wider gap would lie farther than k from one of them.
 */

/** Holes that locating clecos go into, ascending. */
final class Locators {

    private Locators() {}

    static List<Integer> of(ClecoPlan.Row row) {
        int n = row.holes();
        int k = row.nearest();
        List<Integer> holes = new ArrayList<>();
        if (n == 1) {
            return holes;
        }
        switch (row.mode()) {
            case MIDDLE_OUT -> {
                int c = middle(n);
                for (int h = c; h > 1; ) {
                    h = Math.max(1, h - k);
                    holes.addFirst(h);
                }
                ahead(holes, c, n, k);
            }
            case NOSE_FIRST -> ahead(holes, 1, n, k);
            case ENDS_IN -> inside(holes, n, k, k);
            case EVERY_HOLE -> inside(holes, n, k, 2 * k);
        }
        return holes;
    }

    /** The hole that is begun with from the middle. */
    static int middle(int n) {
        return (n + 1) / 2;
    }

    private static void ahead(List<Integer> holes, int from, int n, int k) {
        for (int h = from; h < n; ) {
            h = Math.min(n, h + k);
            holes.add(h);
        }
    }

    /** The first within k of the first hole, the last within k of the last, a step apart. */
    private static void inside(List<Integer> holes, int n, int k, int step) {
        int h = Math.min(n, 1 + k);
        holes.add(h);
        while (h < n - k) {
            h = Math.min(n, h + step);
            holes.add(h);
        }
    }
}
