package bucina.core.order;

import bucina.core.job.Job;
import bucina.core.job.Jobs;
import bucina.core.job.Op;
import bucina.core.job.Setup;
import bucina.core.plan.Assembly;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/*
 * Design. The planner asks the same few things hundreds of thousands of times, so jobs, what they need and what waits
 * for them are numbers in arrays here. A slot is one thing that is changed: the bit of the drill, the dies of a frame,
 * which side of an assembly is up. Events stand among the jobs as nodes that need nothing and cost nothing.
 */

/** Open jobs as numbers: what each needs and what waits for it. */
final class Work {

    final Jobs jobs;
    /** Numbers of the jobs and events planned. */
    final int[] nodes;
    /** By node, which slots it needs, with which value. */
    final int[][] slots;

    final int[][] values;
    /** By node, each thing it needs in a slot as one number. */
    final int[][] items;
    /** How many different things are needed in slots. */
    final int kinds;
    /** By slot, minutes of a change. */
    final double[] change;
    /** By slot, true if what is there first costs nothing: an assembly lies on some side. */
    final boolean[] free;
    /** By node, minutes that are lost whatever is before it. */
    final double[] lost;

    /** By node, what is done; jobs that do the same are done one after another where that costs nothing. */
    final int[] operation;
    /** By node, the shank of what is set there, nm; nought for other work. */
    final double[] shank;
    /** By node, minutes of work. */
    final double[] minutes;

    final int[][] after;
    final int[] waits;
    /** By node, the one that follows at once; -1 if any may. */
    final int[] then;
    /** By node, true if it follows another at once. */
    final boolean[] tied;

    private Work(Jobs jobs, Predicate<Job> shown) {
        this.jobs = jobs;
        boolean[] in = new boolean[jobs.nodes()];
        for (int i = 0; i < in.length; i++) {
            in[i] = i >= jobs.size() || shown.test(jobs.job(i)) && !jobs.job(i).done();
        }
        List<Integer> all = new ArrayList<>();
        for (int i = 0; i < in.length; i++) {
            if (in[i]) {
                all.add(i);
            }
        }
        nodes = all.stream().mapToInt(Integer::intValue).toArray();
        slots = new int[in.length][];
        values = new int[in.length][];
        items = new int[in.length][];
        lost = new double[in.length];
        operation = new int[in.length];
        minutes = new double[in.length];
        shank = new double[in.length];
        after = new int[in.length][];
        waits = new int[in.length];
        then = new int[in.length];
        tied = new boolean[in.length];
        Arrays.fill(then, -1);
        Numbers numbers = new Numbers(jobs.turning());
        for (int node : nodes) {
            List<Integer> next = jobs.after(node);
            after[node] =
                    next.stream().filter(n -> in[n]).mapToInt(Integer::intValue).toArray();
            for (int n : after[node]) {
                waits[n]++;
            }
            needs(node, numbers);
            tie(node, in);
        }
        kinds = numbers.items.size();
        change = numbers.minutes.stream().mapToDouble(Double::doubleValue).toArray();
        free = new boolean[change.length];
        for (int i = 0; i < free.length; i++) {
            free[i] = numbers.free.get(i);
        }
    }

    private static double shank(Job job) {
        double most = 0;
        for (HoleReading hole : job.place().map(Job.Place::holes).orElse(List.of())) {
            most = Math.max(most, hole.solution().fastener().shank().nanometres());
        }
        return most;
    }

    /** True if two jobs need the same and do the same, so that which goes first costs nothing. */
    boolean same(int a, int b) {
        return operation[a] == operation[b]
                && lost[a] == lost[b]
                && Arrays.equals(slots[a], slots[b])
                && Arrays.equals(values[a], values[b]);
    }

    private void tie(int node, boolean[] in) {
        int follows = jobs.then(node);
        if (follows >= 0 && in[follows]) {
            then[node] = follows;
            tied[follows] = true;
        }
    }

    /** The open jobs that are shown. */
    static Work of(Jobs jobs, Predicate<Job> shown) {
        return new Work(jobs, shown);
    }

    private void needs(int node, Numbers numbers) {
        if (node >= jobs.size()) {
            slots[node] = new int[0];
            values[node] = new int[0];
            items[node] = new int[0];
            return;
        }
        Job job = jobs.job(node);
        List<Setup.Item> set = job.setup().items();
        boolean side = !job.setup().side().isEmpty();
        int n = set.size() + (side ? 1 : 0);
        slots[node] = new int[n];
        values[node] = new int[n];
        for (int i = 0; i < set.size(); i++) {
            Setup.Item item = set.get(i);
            slots[node][i] = numbers.slot(item.slot(), item.minutes(), false);
            values[node][i] = numbers.value(item.value());
        }
        if (side) {
            String which =
                    job.assembly().map(Assembly::id).map(Object::toString).orElse("");
            slots[node][n - 1] = numbers.slot("side of " + which, numbers.turn, true);
            values[node][n - 1] = numbers.value(job.setup().side());
        }
        items[node] = new int[n];
        for (int i = 0; i < n; i++) {
            items[node][i] = numbers.item(slots[node][i], values[node][i]);
        }
        lost[node] = job.lost();
        operation[node] = job.op().ordinal() + 1;
        minutes[node] = job.minutes().mid();
        shank[node] = job.op() == Op.SET ? shank(job) : 0;
    }

    /** By node, minutes of the longest chain of work from its beginning; 0 in a ring. */
    double[] tails() {
        int[] left = waits.clone();
        int[] sorted = new int[nodes.length];
        int end = 0;
        for (int node : nodes) {
            if (left[node] == 0) {
                sorted[end++] = node;
            }
        }
        for (int i = 0; i < end; i++) {
            for (int next : after[sorted[i]]) {
                if (--left[next] == 0) {
                    sorted[end++] = next;
                }
            }
        }
        double[] tail = new double[waits.length];
        for (int i = end - 1; i >= 0; i--) {
            int node = sorted[i];
            for (int next : after[node]) {
                tail[node] = Math.max(tail[node], tail[next]);
            }
            tail[node] += minutes[node];
        }
        return tail;
    }

    /** Gives numbers to slots and values. */
    private static final class Numbers {
        private final double turn;
        private final Map<String, Integer> slots = new HashMap<>();
        private final Map<String, Integer> values = new HashMap<>();
        private final Map<Long, Integer> items = new HashMap<>();
        private final List<Double> minutes = new ArrayList<>();
        private final List<Boolean> free = new ArrayList<>();

        Numbers(double turn) {
            this.turn = turn;
        }

        int slot(String name, double change, boolean first) {
            return slots.computeIfAbsent(name, n -> {
                minutes.add(change);
                free.add(first);
                return minutes.size() - 1;
            });
        }

        int item(int slot, int value) {
            return items.computeIfAbsent(slot * 1_000_003L + value, k -> items.size());
        }

        int value(String name) {
            return values.computeIfAbsent(name, n -> values.size());
        }
    }

    /** An empty bench: nothing in any tool. */
    int[] bare() {
        int[] bench = new int[change.length];
        Arrays.fill(bench, -1);
        return bench;
    }

    /** Minutes lost before a node on a bench as it is. */
    double before(int node, int[] bench) {
        double minutes = lost[node];
        int[] s = slots[node];
        for (int i = 0; i < s.length; i++) {
            int there = bench[s[i]];
            if (there != values[node][i] && !(there < 0 && free[s[i]])) {
                minutes += change[s[i]];
            }
        }
        return minutes;
    }

    /** Minutes of changing alone, without what is lost anyway. */
    double changes(int node, int[] bench) {
        return before(node, bench) - lost[node];
    }

    /** Puts in place what a node needs. */
    void set(int node, int[] bench) {
        for (int i = 0; i < slots[node].length; i++) {
            bench[slots[node][i]] = values[node][i];
        }
    }

    /** Minutes lost in an order. */
    double lost(List<Integer> order) {
        int[] bench = bare();
        double minutes = 0;
        for (int node : order) {
            minutes += before(node, bench);
            set(node, bench);
        }
        return minutes;
    }

    /** What no order avoids: each thing in each tool once, each part on and off. */
    double bound() {
        double minutes = 0;
        boolean[] seen = new boolean[kinds];
        boolean[] there = new boolean[change.length];
        for (int node : nodes) {
            minutes += lost[node];
            for (int i = 0; i < slots[node].length; i++) {
                int slot = slots[node][i];
                if (!seen[items[node][i]]) {
                    seen[items[node][i]] = true;
                    minutes += free[slot] && !there[slot] ? 0 : change[slot];
                    there[slot] = true;
                }
            }
        }
        return minutes;
    }
}
