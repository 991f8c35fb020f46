package bucina.core.stores;

import bucina.core.job.Job;
import bucina.core.job.Jobs;
import bucina.core.plan.Id;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What waits because something is short, and what is free meanwhile.
 *
 * @param held open jobs that wait for it, themselves or for others that do, as listed
 * @param free how many open jobs do not
 */
public record Blocked(List<Job> held, int free) {

    public Blocked {
        held = List.copyOf(held);
    }

    /** By a part that is not there. */
    public static Blocked by(Jobs jobs, Id.Part part) {
        List<Integer> first = new ArrayList<>();
        for (int i = 0; i < jobs.size(); i++) {
            if (!jobs.job(i).done() && !jobs.holds(i).isEmpty() && needs(jobs.job(i), part)) {
                first.add(i);
            }
        }
        return of(jobs, first);
    }

    /** By a job that cannot be done. */
    public static Blocked by(Jobs jobs, Job job) {
        return of(jobs, List.of(jobs.place(job.id())));
    }

    private static boolean needs(Job job, Id.Part part) {
        return job.part().filter(p -> p.id().equals(part)).isPresent()
                || job.op().throughStack()
                        && job.place()
                                .filter(p -> p.layers().stream()
                                        .anyMatch(l -> l.part().equals(part)))
                                .isPresent();
    }

    private static Blocked of(Jobs jobs, List<Integer> first) {
        Set<Integer> seen = new HashSet<>(first);
        List<Integer> todo = new ArrayList<>(first);
        for (int i = 0; i < todo.size(); i++) {
            for (int next : jobs.after(todo.get(i))) {
                if (seen.add(next)) {
                    todo.add(next);
                }
            }
        }
        List<Job> held = new ArrayList<>();
        int free = 0;
        for (int i = 0; i < jobs.size(); i++) {
            if (!jobs.job(i).done()) {
                if (seen.contains(i)) {
                    held.add(jobs.job(i));
                } else {
                    free++;
                }
            }
        }
        return new Blocked(held, free);
    }
}
