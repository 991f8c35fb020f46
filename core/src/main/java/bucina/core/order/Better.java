package bucina.core.order;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.BooleanSupplier;

/*
 * Design. Stretches of the order that begin with a change are taken out and put where less is changed, as far as the
 * demands let them move. Between two places nothing changes but the joints, so a move is weighed by four or six jobs.
 */

/** Betters an order by moving stretches of it. */
final class Better {

    private static final int ROUNDS = 6;
    private static final int FAR = 400;

    private final Work work;
    private final List<Integer> order;

    private Better(Work work, List<Integer> order) {
        this.work = work;
        this.order = new ArrayList<>(order);
    }

    static List<Integer> order(Work work, List<Integer> known, BooleanSupplier cancelled) {
        Better better = new Better(work, known);
        double least = work.lost(better.order);
        for (int round = 0; round < ROUNDS && !cancelled.getAsBoolean(); round++) {
            better.round(cancelled);
            double now = work.lost(better.order);
            if (now > least - 1e-9) {
                break;
            }
            least = now;
        }
        return better.order;
    }

    private void round(BooleanSupplier cancelled) {
        List<int[]> stretches = stretches();
        for (int i = 0; i < stretches.size() && i < FAR && !cancelled.getAsBoolean(); i++) {
            move(stretches.get(i)[0], stretches.get(i)[1]);
        }
    }

    /** From one change to the next. */
    private List<int[]> stretches() {
        List<int[]> all = new ArrayList<>();
        int[] bench = work.bare();
        int from = 0;
        for (int i = 0; i < order.size(); i++) {
            if (i > 0 && work.changes(order.get(i), bench) > 0) {
                all.add(new int[] {from, i});
                from = i;
            }
            work.set(order.get(i), bench);
        }
        all.add(new int[] {from, order.size()});
        return all;
    }

    /** Tries a stretch at every start of another that the demands let it reach; keeps the best. */
    private void move(int from, int to) {
        if (to > order.size() || from >= to || tied(from) || tied(to)) {
            return;
        }
        double least = work.lost(order);
        List<Integer> stretch = List.copyOf(order.subList(from, to));
        List<Integer> best = List.of();
        List<Integer> rest = new ArrayList<>(order);
        rest.subList(from, to).clear();
        boolean[] in = new boolean[work.waits.length];
        stretch.forEach(n -> in[n] = true);
        int low = from;
        while (low > 0 && !leads(rest.get(low - 1), in)) {
            low--;
        }
        int high = from;
        boolean[] next = new boolean[work.waits.length];
        for (int node : stretch) {
            for (int after : work.after[node]) {
                next[after] = true;
            }
        }
        while (high < rest.size() && !next[rest.get(high)]) {
            high++;
        }
        for (int at = Math.max(low, from - FAR); at <= Math.min(high, from + FAR); at++) {
            if (at == from
                    || at < rest.size() && work.tied[rest.get(at)]
                    || at < rest.size() && at > 0 && alike(rest.get(at - 1), rest.get(at))) {
                continue;
            }
            List<Integer> tried = new ArrayList<>(rest);
            tried.addAll(at, stretch);
            double lost = work.lost(tried);
            if (lost < least - 1e-9) {
                least = lost;
                best = tried;
            }
        }
        if (!best.isEmpty()) {
            order.clear();
            order.addAll(best);
        }
    }

    /** True if what stands at a place follows the one before it at once. */
    private boolean tied(int at) {
        return at < order.size() && work.tied[order.get(at)];
    }

    private boolean leads(int node, boolean[] in) {
        for (int after : work.after[node]) {
            if (in[after]) {
                return true;
            }
        }
        return false;
    }

    private boolean alike(int a, int b) {
        return Arrays.equals(work.slots[a], work.slots[b]) && Arrays.equals(work.values[a], work.values[b]);
    }
}
