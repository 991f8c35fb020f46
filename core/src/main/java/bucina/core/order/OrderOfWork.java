package bucina.core.order;

import bucina.core.job.Job;
import bucina.core.job.Jobs;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Random;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;

/*
 * Design. What is held, and what comes after it, goes last, and so do the jobs of a ring, so that no minute of tonight
 * depends on them. The rest is ordered greedily (Greedy) under several ways of breaking ties, the best kept; up to
 * fourteen jobs and events are then tried out (Exact), more are bettered by taking single jobs to where they lose less
 * (Better). The same jobs always come out in the same order.
 */

/**
 * A feasible order of every open job.
 *
 * @param steps   every open job once; held ones and what waits for them last
 * @param lost    minutes lost between jobs
 * @param bound   minutes that every order loses
 * @param asDrawn minutes lost in the order of the plan
 * @param rings   demands that no order meets, as sentences
 */
public record OrderOfWork(List<Step> steps, double lost, double bound, double asDrawn, List<Ring> rings) {

    /** Up to so many jobs several ways of breaking ties are tried. */
    private static final int FEW = 1500;

    private static final int WAYS = 16;

    /**
     * One job in the order.
     *
     * @param job     the job
     * @param changes what is changed before it, in words
     * @param minutes lost before it
     * @param waits   true if it, or something before it, is held or in a ring
     */
    public record Step(Job job, List<String> changes, double minutes, boolean waits) {
        public Step {
            changes = List.copyOf(changes);
        }
    }

    public OrderOfWork {
        steps = List.copyOf(steps);
        rings = List.copyOf(rings);
    }

    /** The order of the open jobs that are shown. */
    public static OrderOfWork of(Jobs jobs, Predicate<Job> shown) {
        return of(jobs, shown, () -> false);
    }

    /**
     * Likewise, where an order is known of jobs between which the same is demanded: it stays, and only what follows
     * from the numbering is worked out again.
     *
     * @param known of the jobs {@code of}, with the same shown
     */
    public static OrderOfWork of(Jobs jobs, Predicate<Job> shown, Optional<OrderOfWork> known, Jobs of) {
        if (known.isEmpty() || !jobs.askTheSameAs(of)) {
            return of(jobs, shown);
        }
        Work work = Work.of(jobs, shown);
        List<Ring> rings = known.get().rings.isEmpty() ? List.of() : Rings.of(work);
        List<Step> steps = known.get().steps.stream()
                .map(s -> new Step(jobs.job(jobs.place(s.job.id())), s.changes, s.minutes, s.waits))
                .toList();
        boolean[] late = late(work, rings);
        return new OrderOfWork(steps, known.get().lost, known.get().bound, work.lost(asDrawn(work, late)), rings);
    }

    /**
     * Likewise, watched.
     *
     * @param cancelled asked between attempts; what was found until then is given
     */
    public static OrderOfWork of(Jobs jobs, Predicate<Job> shown, BooleanSupplier cancelled) {
        Work work = Work.of(jobs, shown);
        List<Ring> rings = Rings.of(work);
        boolean[] late = late(work, rings);
        boolean[] first = new boolean[late.length];
        boolean[] second = new boolean[late.length];
        for (int node : work.nodes) {
            first[node] = !late[node];
            second[node] = late[node];
        }
        int[] bench = work.bare();
        List<Integer> order = new ArrayList<>(Wishes.order(work, best(work, bench, first, cancelled)));
        order.forEach(n -> work.set(n, bench));
        order.addAll(held(work, bench, second, rings));
        return new OrderOfWork(
                steps(work, order, late), work.lost(order), work.bound(), work.lost(asDrawn(work, late)), rings);
    }

    private static List<Integer> best(Work work, int[] bench, boolean[] in, BooleanSupplier cancelled) {
        int[] rank = Greedy.byWhatWaits(work);
        List<Integer> best = Greedy.order(work, bench.clone(), rank, in);
        double least = work.lost(best);
        int ways = best.size() > FEW ? 1 : WAYS;
        Random random = new Random(4);
        for (int way = 1; way < ways && !cancelled.getAsBoolean(); way++) {
            int[] other = new int[rank.length];
            for (int i = 0; i < other.length; i++) {
                other[i] = way % 2 == 0 ? random.nextInt(rank.length) : rank[i] + random.nextInt(1 + rank.length / 4);
            }
            List<Integer> order = Greedy.order(work, bench.clone(), other, in);
            double lost = work.lost(order);
            if (lost < least - 1e-9) {
                best = order;
                least = lost;
            }
        }
        if (best.size() <= Exact.MOST) {
            return Exact.order(work, best, bench);
        }
        return best.size() > FEW ? best : Better.order(work, best, cancelled);
    }

    /** Held jobs, all that comes after them, and rings. */
    private static boolean[] late(Work work, List<Ring> rings) {
        boolean[] late = new boolean[work.waits.length];
        List<Integer> todo = new ArrayList<>();
        for (int node : work.nodes) {
            if (node < work.jobs.size() && !work.jobs.holds(node).isEmpty()) {
                todo.add(node);
            }
        }
        rings.forEach(r -> todo.addAll(r.nodes()));
        for (int i = 0; i < todo.size(); i++) {
            if (!late[todo.get(i)]) {
                late[todo.get(i)] = true;
                for (int next : work.after[todo.get(i)]) {
                    todo.add(next);
                }
            }
        }
        return late;
    }

    /** What is held, in an order that would be allowed; a ring and what comes after it as listed. */
    private static List<Integer> held(Work work, int[] bench, boolean[] in, List<Ring> rings) {
        List<Integer> order = new ArrayList<>(Greedy.order(work, bench, Greedy.byWhatWaits(work), in));
        if (!rings.isEmpty()) {
            Set<Integer> there = new HashSet<>(order);
            for (int node : work.nodes) {
                if (in[node] && !there.contains(node)) {
                    order.add(node);
                }
            }
        }
        return order;
    }

    /** As filed: of the jobs that nothing holds back any more always the first one listed; what is held comes last. */
    private static List<Integer> asDrawn(Work work, boolean[] late) {
        int[] waits = work.waits.clone();
        PriorityQueue<Integer> ready = new PriorityQueue<>((a, b) -> late[a] == late[b] ? a - b : late[a] ? 1 : -1);
        for (int node : work.nodes) {
            if (waits[node] == 0) {
                ready.add(node);
            }
        }
        boolean[] there = new boolean[waits.length];
        List<Integer> order = new ArrayList<>();
        while (!ready.isEmpty()) {
            int tied = order.isEmpty() ? -1 : work.then[order.getLast()];
            int node = tied >= 0 && ready.remove(tied) ? tied : ready.remove();
            order.add(node);
            there[node] = true;
            for (int next : work.after[node]) {
                if (--waits[next] == 0) {
                    ready.add(next);
                }
            }
        }
        // A ring, and what comes after it, has no order: as listed.
        Arrays.stream(work.nodes).filter(n -> !there[n]).forEach(order::add);
        return order;
    }

    /** The steps of jobs done one after another on a bare bench, in the order given. */
    public static List<Step> along(Jobs jobs, List<Job> order) {
        List<Step> steps = new ArrayList<>();
        Bench bench = new Bench(jobs.turning());
        for (Job job : order) {
            steps.add(new Step(job, bench.changes(job), bench.before(job), false));
            bench.set(job);
        }
        return steps;
    }

    private static List<Step> steps(Work work, List<Integer> order, boolean[] late) {
        List<Step> steps = new ArrayList<>();
        Bench bench = new Bench(work.jobs.turning());
        for (int node : order) {
            if (node < work.jobs.size()) {
                Job job = work.jobs.job(node);
                steps.add(new Step(job, bench.changes(job), bench.before(job), late[node]));
                bench.set(job);
            }
        }
        return steps;
    }
}
