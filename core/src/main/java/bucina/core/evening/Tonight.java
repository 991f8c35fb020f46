package bucina.core.evening;

import bucina.core.job.Job;
import bucina.core.job.Jobs;
import bucina.core.job.Op;
import bucina.core.log.Logbook;
import bucina.core.measure.InputException;
import bucina.core.order.Bench;
import bucina.core.order.OrderOfWork;
import bucina.core.part.PartTask;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/*
 * Design. The order of work is gone along; a job is taken if all that comes before it is done or taken, if there are
 * hands enough, and if it fits. What starts a wait is kept back and goes to the end, for the night to wait over. The
 * last job of holes is cut at a hole.
 */

/**
 * What fits into an evening.
 *
 * @param stints  the jobs in order
 * @param layOut  what to lay out
 * @param stops   after which of them it is natural to stop, by place in the list
 * @param finish  what must be finished once it is begun
 * @param helper  jobs that wait for a second pair of hands
 * @param slow    the few holes to slow down at
 * @param minutes planned, with what is lost between jobs
 */
public record Tonight(
        List<Stint> stints,
        LayOut layOut,
        List<Integer> stops,
        List<String> finish,
        List<Job> helper,
        List<Slip> slow,
        double minutes) {

    /** At so many holes the builder slows down. */
    private static final int FEW = 5;

    /**
     * One job of the evening.
     *
     * @param job     the job
     * @param holes   those of tonight, the first ones of the job where it is cut; none for work on a part
     * @param count   how many holes
     * @param minutes of work
     * @param lost    minutes before it
     * @param changes what is changed before it
     */
    public record Stint(
            Job job, List<HoleReading> holes, int count, double minutes, double lost, List<String> changes) {
        public Stint {
            holes = List.copyOf(holes);
            changes = List.copyOf(changes);
        }

        /**
         * A step of an order as a job of an evening.
         *
         * @param most how many holes of it, at most
         */
        public static Stint of(OrderOfWork.Step step, int most) {
            Job job = step.job();
            List<HoleReading> all = job.place().map(Job.Place::holes).orElse(List.of());
            int count = Math.min(most, job.count());
            double share = job.count() == 0 ? 1 : (double) count / job.count();
            return new Stint(
                    job,
                    count < all.size() ? all.subList(0, count) : all,
                    count,
                    job.op().move() ? 0 : job.minutes().mid() * share,
                    step.minutes(),
                    step.changes());
        }

        /** True if only a part of the job is done tonight. */
        public boolean cut() {
            return count < job.count();
        }

        /** Its holes, first to last: {@code R1.1 to R1.14}; empty for work on a part. */
        public Optional<String> range() {
            return holes.isEmpty()
                    ? Optional.empty()
                    : Optional.of(holes.getFirst().label()
                            + (holes.size() == 1 ? "" : " to " + holes.getLast().label()));
        }

        /** What is done, in few words. */
        public String words() {
            return cut()
                    ? job.words().replaceFirst("\\b" + job.count() + "\\b", count + " of " + job.count())
                    : job.words();
        }
    }

    public Tonight {
        stints = List.copyOf(stints);
        stops = List.copyOf(stops);
        finish = List.copyOf(finish);
        helper = List.copyOf(helper);
        slow = List.copyOf(slow);
    }

    /**
     * Of an order of work.
     *
     * @param order  the order of the jobs that come into question
     * @param hours  0.1 to 24
     * @param helper true if somebody helps
     * @throws InputException if the hours are out of range
     */
    public static Tonight of(
            Jobs jobs, OrderOfWork order, Derivation derivation, Logbook log, double hours, boolean helper) {
        if (!(hours >= .1 && hours <= 24)) {
            throw new InputException("the hours of an evening are 0.1 to 24, such as 2.5, were " + hours);
        }
        Choosing choosing = new Choosing(jobs, hours * 60, helper);
        choosing.along(order.steps());
        List<Stint> stints = choosing.stints();
        return new Tonight(
                stints,
                LayOut.of(stints, derivation),
                stops(stints),
                stints.stream()
                        .filter(s -> waits(s.job()) || s.job().wet())
                        .map(s -> s.words() + ": once it is mixed, all of it is used")
                        .toList(),
                choosing.alone,
                slow(stints, derivation, log),
                stints.stream().mapToDouble(s -> s.minutes + s.lost).sum());
    }

    /** True for a job that something must wait for afterwards. */
    static boolean waits(Job job) {
        return job.op() == Op.TASK && job.word().equals(PartTask.PRIME.code());
    }

    /** Chooses jobs while there is time. */
    private static final class Choosing {

        private final Jobs jobs;
        private final boolean helper;
        private double left;
        private final List<Job> taken = new ArrayList<>();
        private final List<Job> last = new ArrayList<>();
        private final List<Job> alone = new ArrayList<>();
        private final Set<Integer> out = new HashSet<>();
        private final Bench bench;
        private int cutTo = -1;

        Choosing(Jobs jobs, double minutes, boolean helper) {
            this.jobs = jobs;
            this.left = minutes;
            this.bench = new Bench(jobs.turning());
            this.helper = helper;
        }

        void along(List<OrderOfWork.Step> steps) {
            for (OrderOfWork.Step step : steps) {
                int place = jobs.place(step.job().id());
                if (step.waits() || out.contains(place)) {
                    drop(place);
                } else if (step.job().people() > 1 && !helper) {
                    alone.add(step.job());
                    drop(place);
                } else if (cutTo < 0) {
                    take(step.job(), place);
                } else {
                    drop(place);
                }
            }
        }

        private void take(Job job, int place) {
            double lost = bench.before(job);
            if (job.wet() && lost + batch(place) > left + 1e-9) {
                // Sealant that is mixed is used up: what does not fit as a whole is not begun.
                drop(place);
                return;
            }
            double all = lost + (job.op().move() ? 0 : job.minutes().mid());
            if (all <= left + 1e-9) {
                left -= all;
                if (waits(job)) {
                    // Kept for the end; what comes after it is for another evening.
                    last.add(job);
                    drop(place);
                } else {
                    taken.add(job);
                    bench.set(job);
                }
                return;
            }
            int fit = job.place().flatMap(Job.Place::row).isPresent()
                    ? (int) Math.floor((left - lost) / (job.minutes().mid() / job.count()) + 1e-9)
                    : 0;
            drop(place);
            if (fit >= 1) {
                taken.add(job);
                cutTo = fit;
            }
        }

        /** Minutes from a job to the end of its batch of sealant. */
        private double batch(int place) {
            double minutes = 0;
            for (int job = place; job >= 0; job = jobs.then(job)) {
                minutes += jobs.job(job).minutes().mid();
            }
            return minutes;
        }

        /** Leaves a job out, and with it all that comes after it. */
        private void drop(int place) {
            List<Integer> todo = new ArrayList<>(jobs.after(place));
            for (int i = 0; i < todo.size(); i++) {
                if (out.add(todo.get(i))) {
                    todo.addAll(jobs.after(todo.get(i)));
                }
            }
        }

        List<Stint> stints() {
            List<Job> all = new ArrayList<>(taken);
            // What is cut at a hole comes last of the work, before what waits over night.
            all.addAll(last);
            List<Stint> stints = new ArrayList<>();
            for (OrderOfWork.Step step : OrderOfWork.along(jobs, all)) {
                boolean cut = cutTo >= 0 && step.job() == taken.getLast();
                stints.add(Stint.of(step, cut ? cutTo : Integer.MAX_VALUE));
            }
            return stints;
        }
    }

    /** Before something is changed, before another part, and at the end; not with a part half way. */
    private static List<Integer> stops(List<Stint> stints) {
        List<Integer> stops = new ArrayList<>();
        for (int i = 0; i < stints.size(); i++) {
            boolean end = i + 1 == stints.size();
            if (end
                    || !stints.get(i + 1).changes().isEmpty()
                    || stints.get(i + 1).job().op().move()) {
                stops.add(i);
            }
        }
        return stops;
    }

    private static List<Slip> slow(List<Stint> stints, Derivation derivation, Logbook log) {
        PartHours hours = new PartHours(derivation, log);
        return stints.stream()
                .filter(s -> Slip.cuts(s.job().op().code()))
                .flatMap(s -> s.holes().stream()
                        .map(h -> Slip.of(
                                h, s.job().op().code(), derivation.build().rules(), hours)))
                .filter(s -> !s.nextKeeps() || s.undo() == Slip.Undo.REPLACE)
                .sorted(Comparator.comparingDouble(Slip::margin).thenComparing(s -> -s.hours()))
                .limit(FEW)
                .toList();
    }
}
