package bucina.speed;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.PartEdits;
import bucina.core.guard.LogCheck;
import bucina.core.hold.Holds;
import bucina.core.job.Demand;
import bucina.core.job.Job;
import bucina.core.job.JobDone;
import bucina.core.job.Jobs;
import bucina.core.job.Op;
import bucina.core.job.Setup;
import bucina.core.log.Addition;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.order.OrderOfWork;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.prove.Proving;
import bucina.core.stack.Derivation;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/**
 * Orders of random builds, judged by going through them: every job is done as the order says, with marks and entries
 * that the guards of the log refuse where P1 or P2 are broken. Lost time is counted anew. The planner is not used.
 */
class OrderRandomTest {

    private static final LocalDateTime NOW = LocalDateTime.parse("2026-11-23T10:00");
    private static final JobDone.Said SAID = new JobDone.Said("M. Oake", NOW.minusDays(1), 5, "", "");

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final RandomBuilds builds = new RandomBuilds(catalogue, 20261128);
    private final Random random = new Random(5);
    private int done;
    private int waiting;

    static Jobs jobs(Derivation derivation, Logbook log) {
        return Jobs.of(derivation, log, new Holds(derivation, log), LocalDate.parse("2026-11-23"));
    }

    @Test
    void an_order_can_be_worked_through_from_first_to_last_and_leaves_nothing_open_but_what_waits() {
        for (int i = 0; i < 26; i++) {
            Build build = builds.build(1 + random.nextInt(3), 1 + random.nextInt(6), 2 + random.nextInt(4));
            Derivation derivation = Derivation.of(build, catalogue);
            Jobs jobs = jobs(derivation, Logbook.EMPTY);
            OrderOfWork order = OrderOfWork.of(jobs, j -> true);
            everyOpenJobOnce(jobs, order);
            demandsMet(jobs, order);
            worked(derivation, order);
            assertThat(order.lost())
                    .isCloseTo(
                            lost(order.steps().stream()
                                    .map(OrderOfWork.Step::job)
                                    .toList()),
                            within());
            assertThat(order.lost()).isGreaterThanOrEqualTo(order.bound() - 1e-6);
            assertThat(order.asDrawn()).isGreaterThanOrEqualTo(order.bound() - 1e-6);
            order.rings().forEach(r -> assertThat(ring(jobs)).isTrue());
        }
        assertThat(done).isGreaterThan(300);
        assertThat(waiting).isGreaterThan(30);
    }

    private static Offset<Double> within() {
        return Offset.offset(1e-6);
    }

    private static void everyOpenJobOnce(Jobs jobs, OrderOfWork order) {
        assertThat(order.steps().stream().map(s -> s.job().id()).toList())
                .doesNotHaveDuplicates()
                .containsExactlyInAnyOrderElementsOf(
                        jobs.all().stream().filter(j -> !j.done()).map(Job::id).toList());
    }

    private static void demandsMet(Jobs jobs, OrderOfWork order) {
        Set<String> before = new HashSet<>();
        boolean ringed = !order.rings().isEmpty();
        for (OrderOfWork.Step step : order.steps()) {
            if (!step.waits() || !ringed) {
                assertThat(before)
                        .as(step.job().id())
                        .containsAll(jobs.demands(jobs.place(step.job().id())).stream()
                                .map(Demand::job)
                                .toList());
            }
            before.add(step.job().id());
        }
    }

    /** Does every job that waits for nothing; the guards refuse what comes too early. */
    private void worked(Derivation first, OrderOfWork order) {
        Derivation derivation = first;
        Logbook log = Logbook.EMPTY;
        for (OrderOfWork.Step step : order.steps()) {
            if (step.waits()) {
                waiting++;
                continue;
            }
            Jobs now = jobs(derivation, log);
            int heads = step.job().op() == Op.PROVE ? due(now, step.job().id(), derivation, log) : 0;
            if (step.job().op() == Op.PROVE && heads == 0) {
                // Rows were set in another order than they are filed in: the sample fell on other holes.
                continue;
            }
            JobDone made = JobDone.of(
                    now,
                    step.job().id(),
                    derivation,
                    log,
                    measured(pulled(step.job()) ? 0 : heads),
                    Instant.parse("2026-11-22T10:00:00Z").plusSeconds(done));
            if (made.stands().isPresent()) {
                Build moved = PartEdits.stands(
                        derivation.build(),
                        PartStates.of(derivation, log),
                        made.stands().get().getKey(),
                        made.stands().get().getValue());
                derivation = derivation.after(moved);
            }
            Addition addition = made.addition();
            new LogCheck(derivation, log).accept(addition.draft().orElseThrow(), NOW);
            log = log.plus(addition.draft().orElseThrow().numbered(log.nextId(), Instant.EPOCH));
            log = addition.marks().isEmpty() ? log : log.plus(addition.marks());
            log = addition.parts().isEmpty() ? log : log.plusOnParts(addition.parts());
            done++;
        }
        Set<String> late = order.steps().stream()
                .filter(OrderOfWork.Step::waits)
                .map(s -> s.job().id())
                .collect(Collectors.toSet());
        assertThat(jobs(derivation, log).all().stream()
                        .filter(j -> !j.done() && j.op() != Op.OFF && j.op() != Op.ON && j.op() != Op.FIT)
                        .map(j -> j.id().replaceAll(":\\d+$", ""))
                        .toList())
                .isSubsetOf(late.stream().map(j -> j.replaceAll(":\\d+$", "")).toList());
    }

    /** How many heads of a job are in and not measured. */
    private static int due(Jobs now, String id, Derivation derivation, Logbook log) {
        return now.named(id).stream()
                .filter(j -> !j.done())
                .map(j -> j.place().orElseThrow())
                .mapToInt(p -> (int) Proving.of(derivation, log, p.face().id(), p.group()).due().stream()
                        .filter(l -> p.holes().stream()
                                .anyMatch(h -> l.hole()
                                        .filter(x -> x.id().equals(h.hole().id()))
                                        .isPresent()))
                        .count())
                .sum();
    }

    /** Pulled rivets are looked at, not measured. */
    private static boolean pulled(Job job) {
        return job.op() == Op.PROVE && job.place().orElseThrow().group().fastener() instanceof Fastener.PulledRivet;
    }

    private static JobDone.Said measured(int heads) {
        Work.Reading good = new Work.Reading(Length.in(.25), Length.in(.09));
        return new JobDone.Said(
                SAID.who(),
                SAID.done(),
                SAID.minutes(),
                SAID.because(),
                SAID.note(),
                Optional.empty(),
                Collections.nCopies(heads, good));
    }

    // ---- lost time, counted anew

    static double lost(List<Job> order) {
        Map<String, String> tools = new HashMap<>();
        double minutes = 0;
        for (Job job : order) {
            minutes += job.op() == Op.FIT || job.op() == Op.OFF || job.op() == Op.ON
                    ? job.minutes().mid()
                    : 0;
            for (Setup.Item item : job.setup().items()) {
                if (!item.value().equals(tools.put(item.slot(), item.value()))) {
                    minutes += item.minutes();
                }
            }
            if (!job.setup().side().isEmpty()) {
                String was = tools.put("side", job.setup().side());
                minutes += was == null || was.equals(job.setup().side()) ? 0 : 10;
            }
        }
        return minutes;
    }

    /** True if the open jobs cannot all be done: taking away whatever waits for nothing leaves some. */
    private static boolean ring(Jobs jobs) {
        Set<String> left =
                jobs.all().stream().filter(j -> !j.done()).map(Job::id).collect(Collectors.toSet());
        boolean went = true;
        while (went) {
            went = left.removeIf(id -> jobs.demands(jobs.place(id)).stream()
                    .noneMatch(d -> left.contains(d.job()) && !d.job().equals(id)));
        }
        return !left.isEmpty();
    }

    @Test
    void the_same_build_comes_out_in_the_same_order() {
        Build build = builds.build(2, 4, 4);
        List<String> once = ids(build);
        assertThat(ids(build)).isEqualTo(once);
        assertThat(Arrays.asList(once.toArray())).isNotEmpty();
    }

    private List<String> ids(Build build) {
        return OrderOfWork.of(jobs(Derivation.of(build, catalogue), Logbook.EMPTY), j -> true).steps().stream()
                .map(s -> s.job().id())
                .toList();
    }
}
