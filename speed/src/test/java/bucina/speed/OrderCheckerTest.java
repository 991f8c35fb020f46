package bucina.speed;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.job.Demand;
import bucina.core.job.Jobs;
import bucina.core.job.Op;
import bucina.core.log.Logbook;
import bucina.core.order.OrderOfWork;
import bucina.core.stack.Derivation;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Orders of random builds gone through by the checker; and orders that are spoiled, which it must find. */
class OrderCheckerTest {

    /** Rules that the checker sees broken at once. */
    private static final Set<String> PLAIN = Set.of("P1", "P2", "P4", "P10");

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final RandomBuilds builds = new RandomBuilds(catalogue, 20261129);

    @Test
    void a_checker_that_knows_only_the_handbook_finds_nothing_broken() {
        int rings = 0;
        for (int i = 0; i < 60; i++) {
            Derivation derivation = Derivation.of(builds.build(1 + i % 3, 1 + i % 12, 2 + i % 4), catalogue);
            Jobs jobs = OrderRandomTest.jobs(derivation, Logbook.EMPTY);
            OrderOfWork order = OrderOfWork.of(jobs, j -> true);
            rings += order.rings().size();
            assertThat(OrderChecker.broken(derivation, jobs, order)).isEmpty();
        }
        assertThat(rings).isGreaterThan(3);
    }

    @Test
    void the_checker_finds_two_jobs_put_the_wrong_way_round_and_one_left_out() {
        int spoiled = 0;
        for (int i = 0; i < 20; i++) {
            Derivation derivation = Derivation.of(builds.build(2, 3, 3), catalogue);
            Jobs jobs = OrderRandomTest.jobs(derivation, Logbook.EMPTY);
            OrderOfWork order = OrderOfWork.of(jobs, j -> true);
            List<OrderOfWork.Step> free =
                    order.steps().stream().filter(s -> !s.waits()).toList();
            for (OrderOfWork.Step later : free) {
                for (Demand demand : jobs.demands(jobs.place(later.job().id()))) {
                    boolean told = PLAIN.contains(demand.rule());
                    if (told && free.stream().anyMatch(s -> s.job().id().equals(demand.job()))) {
                        assertThat(OrderChecker.broken(derivation, jobs, swapped(order, demand.job(), later)))
                                .as(demand + " " + later.job().id())
                                .isNotEmpty();
                        spoiled++;
                    }
                }
            }
            List<OrderOfWork.Step> fewer = new ArrayList<>(order.steps());
            fewer.removeIf(s -> s.job().op() == Op.SET);
            assertThat(OrderChecker.broken(derivation, jobs, with(order, fewer)))
                    .isNotEmpty();
        }
        assertThat(spoiled).isGreaterThan(100);
    }

    private static OrderOfWork swapped(OrderOfWork order, String early, OrderOfWork.Step later) {
        List<OrderOfWork.Step> steps = new ArrayList<>(order.steps());
        OrderOfWork.Step first = steps.stream()
                .filter(s -> s.job().id().equals(early))
                .findFirst()
                .orElseThrow();
        steps.remove(later);
        steps.add(steps.indexOf(first), later);
        return with(order, steps);
    }

    private static OrderOfWork with(OrderOfWork order, List<OrderOfWork.Step> steps) {
        return new OrderOfWork(steps, order.lost(), order.bound(), order.asDrawn(), order.rings());
    }
}
