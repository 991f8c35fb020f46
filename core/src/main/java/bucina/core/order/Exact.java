package bucina.core.order;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The best order of a few jobs, by trying all that may still be better. */
final class Exact {

    /** More jobs and events than these are not tried. */
    static final int MOST = 14;

    private final Work work;
    private final int[] nodes;
    private final int[] masks;
    private final Map<List<Integer>, Double> seen = new HashMap<>();
    private final List<Integer> going = new ArrayList<>();
    private List<Integer> best;
    private double least;

    private Exact(Work work, List<Integer> known, double least) {
        this.work = work;
        this.nodes = known.stream().sorted().mapToInt(Integer::intValue).toArray();
        this.best = known;
        this.least = least;
        masks = new int[nodes.length];
        for (int i = 0; i < nodes.length; i++) {
            for (int next : work.after[nodes[i]]) {
                int at = Arrays.binarySearch(nodes, next);
                if (at >= 0) {
                    masks[at] |= 1 << i;
                }
            }
        }
    }

    /**
     * The best order of the nodes of one that is known, or that one if none is better.
     *
     * @param known at most {@link #MOST} nodes
     */
    static List<Integer> order(Work work, List<Integer> known, int[] bench) {
        int[] then = bench.clone();
        double minutes = 0;
        for (int node : known) {
            minutes += work.before(node, then);
            work.set(node, then);
        }
        Exact exact = new Exact(work, known, minutes);
        exact.on(0, 0, bench);
        return exact.best;
    }

    private void on(int done, double minutes, int[] bench) {
        if (minutes >= least - 1e-9) {
            return;
        }
        if (done == (1 << nodes.length) - 1) {
            least = minutes;
            best = List.copyOf(going);
            return;
        }
        List<Integer> state = new ArrayList<>(bench.length + 2);
        state.add(done);
        state.add(going.isEmpty() ? -1 : work.then[going.getLast()]);
        for (int value : bench) {
            state.add(value);
        }
        Double before = seen.get(state);
        if (before != null && before <= minutes + 1e-9) {
            return;
        }
        seen.put(state, minutes);
        int tied = going.isEmpty() ? -1 : work.then[going.getLast()];
        for (int i = 0; i < nodes.length; i++) {
            boolean free = tied < 0 || nodes[i] == tied;
            if (free && (done >> i & 1) == 0 && (masks[i] & ~done) == 0) {
                int[] next = bench.clone();
                double more = work.before(nodes[i], bench);
                work.set(nodes[i], next);
                going.add(nodes[i]);
                on(done | 1 << i, minutes + more, next);
                going.removeLast();
            }
        }
    }
}
