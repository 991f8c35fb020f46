package bucina.core.order;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.PriorityQueue;
import java.util.TreeMap;

/*
 * Design. Whatever can be done with the bench as it is is done first. When nothing is left of that, something must be
 * changed; each change that lets a job begin is tried: how much is done with it until the next change, and which of the
 * things put in or taken out will be needed again. The change that leaves the least to be put in again wins, then the
 * one that gets the most done. Jobs with the same needs wait in one queue, so that few changes are tried even with
 * twenty thousand jobs. Deterministic: ties go to the larger diameter, then to the
 * job listed first, or as the variant shuffles them.
 */

/** One feasible order, made step by step. */
final class Greedy {

    /** More changes than these are not tried at one step, in plans of up to {@link #LARGE} jobs and in larger ones. */
    private static final int MOST_TRIED = 48;

    private static final int FEWER_TRIED = 10;
    /** So many jobs that a change leads to are looked at, likewise. */
    private static final int FAR = 4000;

    private static final int NEAR = 300;
    private static final int LARGE = 3000;

    private final Work work;
    private final int[] rank;
    private final int[] waits;
    private final int[] bench;
    private final List<Integer> order = new ArrayList<>();
    private final Map<List<Integer>, Integer> kinds = new HashMap<>();
    private final int[] kind;
    private final boolean large;
    private final TreeMap<Integer, PriorityQueue<Integer>> ready = new TreeMap<>();
    /** By slot, the thing in it as one number; -1 for nothing, or what nothing left needs. */
    private final int[] there;
    /** By thing, how many that are left need it. */
    private final int[] left;
    /** By thing, how many of those that a change leads to need it; nought between two tries. */
    private final int[] used;
    /** The kind of the job before: one goes on with it while one can. */
    private int last = -1;

    private Greedy(Work work, int[] bench, int[] rank, boolean[] in) {
        this.work = work;
        this.rank = rank;
        this.waits = work.waits.clone();
        this.bench = bench;
        this.kind = new int[work.waits.length];
        this.large = work.nodes.length > LARGE;
        this.left = new int[work.kinds];
        this.used = new int[work.kinds];
        this.there = new int[bench.length];
        Arrays.fill(there, -1);
        for (int node : work.nodes) {
            for (int i = 0; i < work.slots[node].length; i++) {
                int slot = work.slots[node][i];
                there[slot] = bench[slot] == work.values[node][i] ? work.items[node][i] : there[slot];
            }
        }
        for (int node : work.nodes) {
            kind[node] = kinds.computeIfAbsent(needs(node), k -> kinds.size());
            if (in[node]) {
                count(node, 1);
            }
        }
    }

    /**
     * An order of the nodes that are in; what waits for others of them only.
     *
     * @param bench as it is at the beginning; changed to what it is at the end
     * @param rank  of two nodes that are as good, the one with the lower rank goes first
     */
    static List<Integer> order(Work work, int[] bench, int[] rank, boolean[] in) {
        return new Greedy(work, bench, rank, in).run(in);
    }

    private List<Integer> needs(int node) {
        List<Integer> needs = new ArrayList<>();
        needs.add(work.operation[node]);
        for (int i = 0; i < work.slots[node].length; i++) {
            needs.add(work.slots[node][i]);
            needs.add(work.values[node][i]);
        }
        return needs;
    }

    private void count(int node, int by) {
        for (int item : work.items[node]) {
            left[item] += by;
        }
    }

    private List<Integer> run(boolean[] in) {
        for (int node : work.nodes) {
            if (!in[node]) {
                for (int next : work.after[node]) {
                    waits[next]--;
                }
            }
        }
        for (int node : work.nodes) {
            if (in[node] && waits[node] == 0) {
                offer(node);
            }
        }
        int[] next = pick();
        while (next.length > 0) {
            take(next[0], in);
            next = pick();
        }
        return order;
    }

    private void offer(int node) {
        ready.computeIfAbsent(
                        kind[node], k -> new PriorityQueue<>((a, b) -> rank[a] != rank[b] ? rank[a] - rank[b] : a - b))
                .add(node);
    }

    private void take(int node, boolean[] in) {
        last = kind[node];
        PriorityQueue<Integer> queue = Objects.requireNonNull(ready.get(kind[node]));
        queue.remove(node);
        if (queue.isEmpty()) {
            ready.remove(kind[node]);
        }
        work.set(node, bench);
        for (int i = 0; i < work.slots[node].length; i++) {
            there[work.slots[node][i]] = work.items[node][i];
        }
        count(node, -1);
        order.add(node);
        for (int after : work.after[node]) {
            if (--waits[after] == 0 && in[after]) {
                offer(after);
            }
        }
    }

    /** What to do next; empty when all is done. */
    private int[] pick() {
        int tied = order.isEmpty() ? -1 : work.then[order.getLast()];
        if (tied >= 0 && ready.containsKey(kind[tied]) && ready.get(kind[tied]).contains(tied)) {
            return new int[] {tied};
        }
        PriorityQueue<Integer> going = ready.get(last);
        if (going != null && work.changes(Objects.requireNonNull(going.peek()), bench) == 0) {
            return new int[] {Objects.requireNonNull(going.peek())};
        }
        int best = -1;
        List<Integer> costly = new ArrayList<>();
        for (PriorityQueue<Integer> queue : ready.values()) {
            int node = Objects.requireNonNull(queue.peek());
            if (work.changes(node, bench) == 0) {
                best = best < 0 || rank[node] < rank[best] ? node : best;
            } else {
                costly.add(node);
            }
        }
        if (best >= 0) {
            return new int[] {best};
        }
        return costly.isEmpty() ? new int[0] : new int[] {change(costly)};
    }

    /** The change that leaves least to be put in again. */
    private int change(List<Integer> costly) {
        if (costly.size() == 1) {
            return costly.getFirst();
        }
        int most = large ? FEWER_TRIED : MOST_TRIED;
        if (costly.size() > most) {
            costly.sort((a, b) -> Double.compare(work.changes(a, bench), work.changes(b, bench)) != 0
                    ? Double.compare(work.changes(a, bench), work.changes(b, bench))
                    : rank[a] - rank[b]);
            costly.subList(most, costly.size()).clear();
        }
        int best = -1;
        double least = Double.MAX_VALUE;
        int longest = 0;
        for (int node : costly) {
            Tried tried = new Tried(node);
            double again = tried.again();
            boolean better = again < least - 1e-9
                    || again < least + 1e-9 && (tried.done > longest || tried.done == longest && liked(node, best));
            if (best < 0 || better) {
                best = node;
                least = again;
                longest = tried.done;
            }
        }
        return best;
    }

    /** Of two changes as good as each other the larger diameter first, then what most waits behind. */
    private boolean liked(int node, int best) {
        return work.shank[node] == work.shank[best] ? rank[node] < rank[best] : work.shank[node] > work.shank[best];
    }

    /** What a change leads to, until the next change: worked out on the side and taken back. */
    private final class Tried {
        private final int first;
        private final int[] after = bench.clone();
        private final List<Integer> went = new ArrayList<>();
        private final int done;

        Tried(int first) {
            this.first = first;
            work.set(first, after);
            List<Integer> open = new ArrayList<>();
            for (PriorityQueue<Integer> queue : ready.values()) {
                if (work.changes(Objects.requireNonNull(queue.peek()), after) == 0) {
                    open.addAll(queue);
                }
            }
            for (int i = 0; i < open.size() && i < (large ? NEAR : FAR); i++) {
                int node = open.get(i);
                went.add(node);
                for (int next : work.after[node]) {
                    if (--waits[next] == 0 && work.changes(next, after) == 0) {
                        open.add(next);
                    }
                }
            }
            done = went.size();
            for (int node : went) {
                for (int next : work.after[node]) {
                    waits[next]++;
                }
            }
        }

        /** Minutes of what must be put in again later: what was taken out or put in and is still wanted. */
        double again() {
            double minutes = 0;
            count(1);
            for (int i = 0; i < work.slots[first].length; i++) {
                int slot = work.slots[first][i];
                if (bench[slot] == work.values[first][i]) {
                    continue;
                }
                int in = work.items[first][i];
                int out = there[slot];
                minutes += left[in] > used[in] ? work.change[slot] : 0;
                minutes += out >= 0 && left[out] > used[out] ? work.change[slot] : 0;
            }
            count(-1);
            return minutes;
        }

        private void count(int by) {
            for (int node : went) {
                for (int item : work.items[node]) {
                    used[item] += by;
                }
            }
        }
    }

    /** What most work waits behind goes first; of the rest what is listed first. */
    static int[] byWhatWaits(Work work) {
        double[] tail = work.tails();
        Integer[] nodes = Arrays.stream(work.nodes).boxed().toArray(Integer[]::new);
        Arrays.sort(nodes, (a, b) -> tail[a] != tail[b] ? Double.compare(tail[b], tail[a]) : a - b);
        int[] rank = new int[work.waits.length];
        for (int i = 0; i < nodes.length; i++) {
            rank[nodes[i]] = i;
        }
        return rank;
    }
}
