package bucina.core.cleco;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Goes along a row as one does at the bench, and writes down every step. */
final class Progression {

    private final ClecoPlan.Row row;
    private final TreeSet<Integer> locators;
    private final TreeSet<Integer> in = new TreeSet<>();
    private final Set<Integer> drilled = new HashSet<>();
    /** Drilled holes that have a cleco in. */
    private final TreeSet<Integer> held = new TreeSet<>();

    private final List<ClecoPlan.Wave> waves = new ArrayList<>();
    private List<Integer> place = new ArrayList<>();
    private List<Integer> drill = new ArrayList<>();
    private List<Integer> remove = new ArrayList<>();
    private String why = "";
    private int peak;
    private int moves;

    Progression(ClecoPlan.Row row) {
        this.row = row;
        this.locators = new TreeSet<>(Locators.of(row));
    }

    ClecoPlan plan(int bound, int least) {
        if (row.mode() == Mode.EVERY_HOLE) {
            locators.forEach(h -> put(h, "locate the row first"));
        }
        List<Integer> order = order();
        for (int i = 0; i < order.size(); i++) {
            hole(order.get(i), order.get(Math.min(i + 1, order.size() - 1)));
        }
        close();
        return new ClecoPlan(row, waves, peak, moves, bound, least);
    }

    // ---- order

    private List<Integer> order() {
        int n = row.holes();
        List<Integer> order = new ArrayList<>();
        switch (row.mode()) {
            case NOSE_FIRST -> through(order, n);
            case ENDS_IN -> {
                for (int i = 0; i < n; i++) {
                    order.add(i % 2 == 0 ? 1 + i / 2 : n - i / 2);
                }
            }
            case MIDDLE_OUT -> {
                int c = Locators.middle(n);
                order.add(c);
                if (!bothWays()) {
                    for (int h = c + 1; h <= n; h++) {
                        order.add(h);
                    }
                    for (int h = c - 1; h >= 1; h--) {
                        order.add(h);
                    }
                } else {
                    for (int i = 1; i < n; i++) {
                        order.add(i % 2 == 1 ? c + (i + 1) / 2 : c - i / 2);
                    }
                    order.removeIf(h -> h < 1 || h > n);
                }
            }
            case EVERY_HOLE -> everyHole(order, n);
        }
        return order;
    }

    /**
     * Two fronts at once want a cleco behind and ahead of each, one to go on with at each, and one for the new hole.
     */
    private boolean bothWays() {
        return row.stock() >= Math.min(ClecoPlan.BOTH_WAYS, row.holes());
    }

    private static void through(List<Integer> order, int n) {
        for (int h = 1; h <= n; h++) {
            order.add(h);
        }
    }

    /**
     * Gap by gap from the middle of the row: each closed from its own middle; then the holes of the locating clecos.
     */
    private void everyHole(List<Integer> order, int n) {
        List<int[]> gaps = gaps(n);
        double middle = Locators.middle(n);
        gaps.sort(Comparator.comparingDouble(g -> Math.abs((g[0] + g[1]) / 2.0 - middle)));
        for (int[] g : gaps) {
            if (g[0] > g[1]) {
                continue;
            }
            boolean left = g[0] == 1;
            boolean right = g[1] == n;
            int start = left ? 1 : right ? n : (g[0] + g[1] + 1) / 2;
            if (left && right) {
                start = 1;
            }
            span(order, start, g);
        }
        locators.stream()
                .sorted(Comparator.comparingDouble(p -> Math.abs(p - middle)))
                .forEach(order::add);
    }

    private List<int[]> gaps(int n) {
        List<int[]> gaps = new ArrayList<>();
        int last = 0;
        for (int p : locators) {
            gaps.add(new int[] {last + 1, p - 1});
            last = p;
        }
        gaps.add(new int[] {last + 1, n});
        return gaps;
    }

    /** A hole, then one on either side of what is drilled in turn, inside a gap. */
    private static void span(List<Integer> order, int start, int[] gap) {
        order.add(start);
        int low = start - 1;
        int high = start + 1;
        while (low >= gap[0] || high <= gap[1]) {
            if (high <= gap[1]) {
                order.add(high++);
            }
            if (low >= gap[0]) {
                order.add(low--);
            }
        }
    }

    // ---- one hole

    private void hole(int h, int next) {
        Set<Integer> holding = new HashSet<>();
        for (int side = -1; side <= 1; side += 2) {
            support(h, side).ifPresent(holding::add);
        }
        hold(h, holding, next);
        if (in.contains(h)) {
            take(h);
        }
        bore(h);
        keep(holding, h, next);
        put(h, "cleco " + h + ", so that none is skipped or drilled twice");
    }

    private void keep(Set<Integer> holding, int h, int next) {
        Set<Integer> keep = new HashSet<>(holding);
        keep.removeIf(drilled::contains);
        if ((row.mode() == Mode.MIDDLE_OUT || row.mode() == Mode.ENDS_IN) && bothWays()) {
            keep.addAll(holding);
            otherFront(h).ifPresent(keep::add);
            keep.removeIf(k -> drilled.contains(k) && sameSide(k, h) && in.size() >= row.stock());
        }
        room(keep, h, next);
    }

    private void hold(int h, Set<Integer> holding, int next) {
        boolean lift = in.contains(h);
        for (int side = -1; side <= 1; side += 2) {
            if (hasHoles(h, side) && support(h, side).isEmpty()) {
                if (lift) {
                    // Its own cleco goes first where the bin is short; otherwise it holds until the next one is in.
                    if (in.size() >= row.stock()) {
                        take(h);
                        lift = false;
                    }
                }
                int at = ahead(h, side);
                room(holding, h, next);
                put(at, drilled.contains(at) ? "support behind" : "support ahead of " + h);
                holding.add(at);
            }
        }
    }

    private boolean hasHoles(int h, int side) {
        return side < 0 ? h > 1 : h < row.holes();
    }

    /** The farthest cleco that supports a hole on a side; the nearest drilled one if there is any. */
    private Optional<Integer> support(int h, int side) {
        int k = row.nearest();
        Optional<Integer> nearest = Optional.ofNullable(side < 0 ? in.lower(h) : in.higher(h));
        return nearest.filter(p -> Math.abs(p - h) <= k);
    }

    /** Where a missing support goes: the farthest planned locating hole in reach, else a drilled hole beside it. */
    private int ahead(int h, int side) {
        int k = row.nearest();
        for (int d = k; d >= 1; d--) {
            int at = h + side * d;
            if (at >= 1 && at <= row.holes() && locators.contains(at) && !drilled.contains(at)) {
                return at;
            }
        }
        for (int d = 1; d <= k; d++) {
            if (drilled.contains(h + side * d)) {
                return h + side * d;
            }
        }
        return side < 0 ? Math.max(1, h - k) : Math.min(row.holes(), h + k);
    }

    /** The drilled hole that the other front works from, with its locating cleco kept by the caller. */
    private Optional<Integer> otherFront(int h) {
        double m = (row.holes() + 1) / 2.0;
        boolean outward = row.mode() == Mode.MIDDLE_OUT;
        Integer above = outward ? last(held) : held.ceiling((int) Math.ceil(m));
        Integer below = outward ? first(held) : held.floor((int) Math.floor(m));
        return Stream.of(above, below)
                .filter(d -> d != null && !sameSide(d, h))
                .max(Comparator.comparingDouble(d -> outward ? Math.abs(d - m) : -Math.abs(d - m)));
    }

    private static @Nullable Integer first(TreeSet<Integer> set) {
        return set.isEmpty() ? null : set.first();
    }

    private static @Nullable Integer last(TreeSet<Integer> set) {
        return set.isEmpty() ? null : set.last();
    }

    private boolean sameSide(int a, int b) {
        double m = (row.holes() + 1) / 2.0;
        return Math.signum(a - m) == Math.signum(b - m);
    }

    /**
     * Lifts what is needed least until one more can be placed: behind before ahead; at last what is farthest from the
     * hole that is next.
     */
    private void room(Set<Integer> keep, int h, int next) {
        while (in.size() >= row.stock()) {
            take(farthest(held, h, keep)
                    .or(() -> farthest(in, h, keep))
                    .or(() -> farthest(in, next, Set.of(h)))
                    .or(() -> in.stream().filter(p -> p != h).findFirst())
                    .orElseThrow());
        }
    }

    /** The cleco of a set farthest from a hole, leaving out some; found from both ends, so that it takes no search. */
    private static Optional<Integer> farthest(TreeSet<Integer> set, int from, Set<Integer> out) {
        Integer low = first(set);
        while (low != null && (low == from || out.contains(low))) {
            low = set.higher(low);
        }
        Integer high = last(set);
        while (high != null && (high == from || out.contains(high))) {
            high = set.lower(high);
        }
        return Stream.of(low, high).filter(Objects::nonNull).max(Comparator.comparingInt(p -> Math.abs(p - from)));
    }

    // ---- writing down

    private void put(int h, String reason) {
        if (!drill.isEmpty() || !remove.isEmpty()) {
            close();
        }
        place.add(h);
        why = why.isEmpty() ? reason : why;
        in.add(h);
        if (drilled.contains(h)) {
            held.add(h);
        }
        moves++;
        peak = Math.max(peak, in.size());
    }

    private void bore(int h) {
        if (!remove.isEmpty()) {
            close();
        }
        drill.add(h);
        drilled.add(h);
    }

    private void take(int h) {
        remove.add(h);
        in.remove(h);
        held.remove(h);
    }

    private void close() {
        if (!place.isEmpty() || !drill.isEmpty() || !remove.isEmpty()) {
            waves.add(new ClecoPlan.Wave(place, drill, remove, why));
            place = new ArrayList<>();
            drill = new ArrayList<>();
            remove = new ArrayList<>();
            why = "";
        }
    }
}
