package bucina.speed;

import bucina.core.job.Job;
import bucina.core.order.OrderOfWork;
import bucina.core.plan.Id;
import java.util.ArrayList;
import java.util.List;

/** Goes through an order of work for what is set wet. */
final class WetChecker {

    private WetChecker() {}

    /** P8: rows of one group that are set wet follow one another; they are cut at a row's end only. */
    static List<String> broken(OrderOfWork order) {
        List<String> broken = new ArrayList<>();
        List<Job> steps = order.steps().stream()
                .filter(s -> !s.waits())
                .map(OrderOfWork.Step::job)
                .toList();
        for (int i = 0; i + 1 < steps.size(); i++) {
            Job job = steps.get(i);
            if (wet(job)) {
                Id.Row row = job.place().orElseThrow().row().orElseThrow().id();
                boolean goesOn = steps.subList(i + 2, steps.size()).stream().anyMatch(j -> sameRow(j, row));
                if (goesOn && !sameRow(steps.get(i + 1), row)) {
                    broken.add(job.id() + ": P8: set wet, and cut in the middle of a row");
                }
            }
        }
        return broken;
    }

    private static boolean wet(Job job) {
        return job.op().code().equals("set")
                && job.place()
                        .filter(p -> p.group().holes().wet() && p.row().isPresent())
                        .isPresent();
    }

    private static boolean sameRow(Job job, Id.Row row) {
        return wet(job) && job.place().orElseThrow().row().orElseThrow().id().equals(row);
    }
}
