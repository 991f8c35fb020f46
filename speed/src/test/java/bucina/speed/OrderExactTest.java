package bucina.speed;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.job.Job;
import bucina.core.job.Jobs;
import bucina.core.job.Op;
import bucina.core.log.Logbook;
import bucina.core.order.OrderOfWork;
import bucina.core.plan.Build;
import bucina.core.stack.Derivation;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** Small builds in every order they can be done in: none loses less. */
class OrderExactTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final RandomBuilds builds = new RandomBuilds(catalogue, 20261128);
    private final Random random = new Random(5);

    @Test
    void few_jobs_lose_no_more_than_the_best_of_all_their_orders() {
        int tried = 0;
        for (int i = 0; i < 1500 && tried < 120; i++) {
            Build build = builds.build(1 + random.nextInt(2), 1 + random.nextInt(2), 1 + random.nextInt(2));
            Jobs jobs = OrderRandomTest.jobs(Derivation.of(build, catalogue), Logbook.EMPTY);
            // Work on parts as one thing needs nothing set up: without it more builds are small enough.
            OrderOfWork order = OrderOfWork.of(jobs, j -> j.op() != Op.TASK);
            List<Job> open = order.steps().stream().map(OrderOfWork.Step::job).toList();
            if (open.size() < 4 || open.size() > 9 || order.steps().stream().anyMatch(OrderOfWork.Step::waits)) {
                continue;
            }
            tried++;
            assertThat(order.lost())
                    .isCloseTo(best(jobs, open, new ArrayList<>(), Double.MAX_VALUE), Offset.offset(1e-6));
        }
        assertThat(tried).isGreaterThan(60);
    }

    private static double best(Jobs jobs, List<Job> open, List<Job> going, double least) {
        if (going.size() == open.size()) {
            return Math.min(least, OrderRandomTest.lost(going));
        }
        double found = least;
        Set<String> there = going.stream().map(Job::id).collect(Collectors.toSet());
        Set<String> all = open.stream().map(Job::id).collect(Collectors.toSet());
        for (Job job : open) {
            boolean ready = !there.contains(job.id())
                    && jobs.demands(jobs.place(job.id())).stream()
                            .allMatch(d -> there.contains(d.job()) || !all.contains(d.job()));
            if (ready) {
                going.add(job);
                found = OrderRandomTest.lost(going) < found ? best(jobs, open, going, found) : found;
                going.removeLast();
            }
        }
        return found;
    }
}
