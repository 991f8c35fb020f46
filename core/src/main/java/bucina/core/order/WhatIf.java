package bucina.core.order;

import bucina.core.hold.Holds;
import bucina.core.job.Hold;
import bucina.core.job.Job;
import bucina.core.job.Jobs;
import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.core.stack.Derivation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a change of the build would do to the work, before it is made.
 *
 * @param added   jobs that there would be more
 * @param gone    jobs that there would be no more
 * @param held    jobs that would be held, with why, and are not
 * @param freed   jobs that would be held no more
 * @param changed jobs with another set-up, with what it would be
 * @param lost    minutes lost in between, as it is and as it would be
 * @param work    minutes of work, likewise
 * @param rings   demands with no order, as sentences, that there would be and are not
 */
public record WhatIf(
        List<Job> added,
        List<Job> gone,
        Map<Job, String> held,
        List<Job> freed,
        Map<Job, String> changed,
        Pair lost,
        Pair work,
        List<String> rings) {

    /** A figure as it is and as it would be. */
    public record Pair(double is, double would) {

        /** How much more it would be. */
        public double more() {
            return would - is;
        }
    }

    public WhatIf {
        added = List.copyOf(added);
        gone = List.copyOf(gone);
        held = new LinkedHashMap<>(held);
        freed = List.copyOf(freed);
        changed = new LinkedHashMap<>(changed);
        rings = List.copyOf(rings);
    }

    /**
     * Compares.
     *
     * @param would the build as it would be
     */
    public static WhatIf of(Derivation derivation, Build would, Logbook log, LocalDate today) {
        Derivation then = derivation.after(would);
        Jobs jobs = Jobs.of(derivation, log, new Holds(derivation, log), today);
        Jobs after = Jobs.of(then, log, new Holds(then, log), today);
        OrderOfWork order = OrderOfWork.of(jobs, j -> true);
        OrderOfWork next = OrderOfWork.of(after, j -> true);
        Map<Job, String> held = new LinkedHashMap<>();
        Map<Job, String> changed = new LinkedHashMap<>();
        List<Job> added = new ArrayList<>();
        List<Job> freed = new ArrayList<>();
        for (Job job : open(after)) {
            Optional<Job> was = open(jobs, job.id());
            List<Hold> why = after.holds(after.place(job.id()));
            if (was.isEmpty()) {
                added.add(job);
                continue;
            }
            List<Hold> before = jobs.holds(jobs.place(job.id()));
            if (before.isEmpty() && !why.isEmpty()) {
                held.put(job, why.getFirst().text());
            } else if (!before.isEmpty() && why.isEmpty()) {
                freed.add(job);
            }
            if (!was.get().setup().equals(job.setup())) {
                changed.put(job, job.setup().words());
            }
        }
        List<String> known = order.rings().stream().map(Ring::words).toList();
        return new WhatIf(
                added,
                open(jobs).stream().filter(j -> open(after, j.id()).isEmpty()).toList(),
                held,
                freed,
                changed,
                new Pair(order.lost(), next.lost()),
                new Pair(minutes(jobs), minutes(after)),
                next.rings().stream()
                        .filter(r -> !known.contains(r.words()))
                        .map(Ring::sentence)
                        .toList());
    }

    private static List<Job> open(Jobs jobs) {
        return jobs.all().stream().filter(j -> !j.done()).toList();
    }

    private static Optional<Job> open(Jobs jobs, String id) {
        return jobs.has(id) ? Optional.of(jobs.job(jobs.place(id))).filter(j -> !j.done()) : Optional.empty();
    }

    private static double minutes(Jobs jobs) {
        return open(jobs).stream()
                .filter(j -> !j.op().move())
                .mapToDouble(j -> j.minutes().mid())
                .sum();
    }

    /** True if nothing about the work would change but the order of what is done alike. */
    public boolean nothing() {
        return added.isEmpty()
                && gone.isEmpty()
                && held.isEmpty()
                && freed.isEmpty()
                && changed.isEmpty()
                && rings.isEmpty()
                && Math.abs(lost.more()) < .05
                && Math.abs(work.more()) < .05;
    }
}
