package bucina.core.prove;

import static bucina.core.prove.Histories.range;
import static bucina.core.prove.Histories.reading;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.hold.Holds;
import bucina.core.job.Job;
import bucina.core.job.JobDone;
import bucina.core.job.Jobs;
import bucina.core.log.Logbook;
import bucina.core.log.Proof;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.order.OrderOfWork;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.stack.Derivation;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** Proof among the jobs: heads that the sample asks for, after they are set and before a bay is shut. */
class ProofJobsTest {

    private static final String PROVE = "prove:G-1:R1:-";

    private final Histories history = new Histories();

    private static Jobs jobs(Derivation derivation, Logbook log) {
        return Jobs.of(derivation, log, new Holds(derivation, log), LocalDate.parse("2026-11-23"));
    }

    private Jobs jobs() {
        return jobs(Histories.DERIVATION, history.log());
    }

    private Job job() {
        return jobs().job(jobs().place(PROVE));
    }

    private List<Integer> holes() {
        return job().place().orElseThrow().holes().stream()
                .map(h -> Integer.parseInt(h.label().substring(3)))
                .toList();
    }

    private JobDone done(String job, Work.Reading... readings) {
        LocalDateTime at = LocalDateTime.parse("2026-11-22T10:00");
        return JobDone.of(
                jobs(),
                job,
                Histories.DERIVATION,
                history.log(),
                new JobDone.Said("M. Oake", at, 6, "", "", Optional.empty(), List.of(readings)),
                Instant.EPOCH);
    }

    private void log(JobDone made) {
        history.add(made.addition().draft().orElseThrow().deed().orElseThrow());
    }

    @Test
    void before_anything_is_set_the_sample_is_told_as_the_holes_are_filed() {
        assertThat(holes()).containsExactly(1, 2, 3, 4, 5, 15, 25, 35, 45, 55, 60);
        // .3 minutes a head.
        assertThat(job().minutes().mid()).isEqualTo(3.3, Offset.offset(1e-9));
        assertThat(jobs().demands(jobs().place(PROVE)))
                .anyMatch(d -> d.rule().equals("P1") && d.job().startsWith("set:G-1:R1:-"));
    }

    @Test
    void what_is_set_comes_first_in_the_sample_and_the_rest_is_counted_on() {
        history.set("A", Work.Setup.NONE, List.of(), range(31, 40));
        assertThat(holes()).containsExactly(5, 15, 25, 31, 32, 33, 34, 35, 45, 55, 60);
        history.set("A", Work.Setup.NONE, List.of(reading(.15, .04).of("R1.41")), 41);
        assertThat(history.proving().failed()).isEqualTo(1);
        // 1 to 10, then 15, 20 … 60 in setting order: 31 to 40 and 41 are 1 to 11, hole 1 is 12, and so on.
        assertThat(holes()).contains(36, 40, 41, 4, 9).doesNotContain(1, 5);
    }

    @Test
    void it_is_done_when_every_head_asked_for_is_measured_and_left() {
        history.set("A", Work.Setup.NONE, List.of(), range(1, 60));
        assertThat(job().done()).isFalse();
        log(done(PROVE, IntStream.range(0, 11).mapToObj(i -> reading(.19, .06)).toArray(Work.Reading[]::new)));
        Proof proof =
                (Proof) history.log().entries().getLast().labour().orElseThrow().what();
        assertThat(proof.heads()).extracting(h -> h.called()).containsSequence("R1.5", "R1.15");
        assertThat(job().done()).isTrue();
        assertThat(history.proving().done()).isTrue();
    }

    @Test
    void a_head_that_fails_leaves_it_open_and_asks_for_more() {
        history.set("A", Work.Setup.NONE, List.of(), range(1, 60));
        Work.Reading[] readings = IntStream.range(0, 11)
                .mapToObj(i -> reading(.19, i == 4 ? .03 : .06))
                .toArray(Work.Reading[]::new);
        log(done(PROVE, readings));
        assertThat(job().done()).isFalse();
        assertThat(holes()).contains(5, 6, 10, 20).doesNotContain(1, 15);
    }

    @Test
    void readings_that_do_not_fit_the_heads_are_refused_with_the_heads() {
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> done(PROVE, reading(.19, .06)))
                .withMessageContaining("no head of prove:G-1:R1:- is due");
        history.set("A", Work.Setup.NONE, List.of(), range(1, 3));
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> done(PROVE))
                .withMessageContaining("give 3 readings")
                .withMessageContaining("R1.1, R1.2, R1.3")
                .withMessageContaining("there are 0");
        log(done(PROVE, reading(.19, .06), reading(.19, .06), reading(.19, .06)));
        // Six minutes for three heads: the builder's own pace.
        assertThat(job().minutes().mid()).isEqualTo(2 * 8, Offset.offset(1e-9));
    }

    @Test
    void of_a_group_without_geometry_heads_are_counted() {
        assertThat(jobs().job(jobs().place("prove:T-1:-:-")).count()).isEqualTo(6);
        assertThat(jobs().demands(jobs().place("prove:T-1:-:-")))
                .anyMatch(d -> d.job().equals("set:T-1:-:-"));
    }

    @Test
    void heads_are_proved_before_the_bay_is_shut_and_those_that_shut_it_are_left_out() {
        Catalogue catalogue = CatalogueReader.shipped();
        Build plan = Dunlin.build(catalogue.rules());
        Part skin = plan.parts().stream()
                .filter(p -> p.name().equals("Upper skin"))
                .findFirst()
                .orElseThrow();
        Bay bay = new Bay(new Id.Bay(plan.nextId()), "Torque box", List.of(skin.id()), Set.of(), "");
        Jobs jobs = jobs(
                Derivation.of(plan.withWorkshop(plan.workshop().with(bay), plan.nextId() + 1), catalogue),
                Logbook.EMPTY);
        int shuts = jobs.place(jobs.named("set:US-2:R2:-").getFirst().id());
        assertThat(jobs.comesBefore(jobs.place("prove:LS-2:R2:-"), shuts))
                .hasValueSatisfying(d -> assertThat(d.rule()).isEqualTo("P10"));
        assertThat(jobs.comesBefore(jobs.place("prove:US-2:R2:-"), shuts)).isEmpty();
        assertThat(OrderOfWork.of(jobs, j -> true).rings()).isEmpty();
    }
}
