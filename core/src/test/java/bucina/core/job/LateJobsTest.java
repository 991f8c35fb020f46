package bucina.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.Plans;
import bucina.core.bulletin.Bulletins;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.Edit;
import bucina.core.guard.LogCheck;
import bucina.core.hold.Holds;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.PartMark;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.order.OrderOfWork;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.plan.OwnOrder;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.Standing;
import bucina.core.rule.RuleKey;
import bucina.core.stack.Derivation;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Sealant, bulletins, what is put off and the side of the heads: rows of pulled rivets through one part that is on. */
class LateJobsTest {

    private static final LocalDate TODAY = LocalDate.parse("2026-11-29");
    private static final LocalDateTime NOW = LocalDateTime.parse("2026-11-29T20:00");

    private static final Fastener PULLED = new Fastener.PulledRivet("iso15977", Length.mm(3.2), false);

    private final Catalogue catalogue = CatalogueReader.shipped();

    /** Rows of so many rivets; nothing is drilled nor deburred. */
    private Build rows(int... holes) {
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < holes.length; i++) {
            rows.add(Plans.row(1000 * (i + 1), "R" + (i + 1), 2 + 1.5 * i, holes[i]));
        }
        Build build = Plans.build(Plans.face(
                List.of(Plans.layer(11, "Skin", .032, 0, 0, 900, 40), Plans.layer(12, "Flange", .063, 0, 0, 900, 40)),
                List.of(Plans.group(20, "G-1", PULLED, rows))));
        Part part = build.parts().getFirst();
        return build.with(part.with(part.particulars().notOwing("deburr-edges")))
                .withRules(build.rules()
                        .with(RuleKey.HOLES_COME, "final", "test")
                        .with(RuleKey.DEBURR_MARKED, "not-marked", "test"));
    }

    private static Build wet(Build build) {
        return Edit.group(build, new Id.Group(20), g -> g.withHoles(g.holes().with(true)));
    }

    private Jobs jobs(Build build, Logbook log) {
        Derivation derivation = Derivation.of(build, catalogue);
        return Jobs.of(derivation, log, new Holds(derivation, log), TODAY);
    }

    private static int set(Jobs jobs, String row) {
        return jobs.place("set:G-1:" + row + ":-");
    }

    // ---- sealant

    @Test
    void rows_set_wet_follow_one_another_and_what_one_waits_for_comes_before_the_first() {
        Build build = wet(rows(5, 5, 5));
        Build ordered = build.withWorkshop(
                build.workshop()
                        .with(new OwnJob(new Id.Own(900), "Lift it", "", Optional.empty(), List.of(), ""))
                        .with(new OwnOrder(
                                new Id.Order(901), "own:900", "set:G-1:R3:-", Optional.empty(), "to see under it")),
                902);
        Jobs jobs = jobs(ordered, Logbook.EMPTY);
        assertThat(jobs.then(set(jobs, "R1"))).isEqualTo(set(jobs, "R2"));
        assertThat(jobs.then(set(jobs, "R2"))).isEqualTo(set(jobs, "R3"));
        assertThat(jobs.demands(set(jobs, "R1")))
                .anyMatch(d -> d.rule().equals("P8") && d.job().equals("own:900"));
        List<String> order = OrderOfWork.of(jobs, j -> true).steps().stream()
                .map(s -> s.job().id())
                .toList();
        assertThat(order.subList(0, 4)).containsExactly("own:900", "set:G-1:R1:-", "set:G-1:R2:-", "set:G-1:R3:-");
        assertThat(order.subList(4, 7))
                .as("what is set wet in one go is not stopped to prove it")
                .containsExactlyInAnyOrder("prove:G-1:R1:-", "prove:G-1:R2:-", "prove:G-1:R3:-");
        Jobs dry = jobs(rows(5, 5, 5), Logbook.EMPTY);
        assertThat(dry.then(set(dry, "R1"))).isEqualTo(-1);
    }

    @Test
    void a_block_ends_at_a_rows_end_where_the_sealant_would_and_says_so() {
        // .15 minutes a rivet: 53 take 7.95; fifteen rows 119.25, sixteen 127.2, over the 120 of class B-2.
        int[] rows = new int[16];
        Arrays.fill(rows, 53);
        Jobs jobs = jobs(wet(rows(rows)), Logbook.EMPTY);
        assertThat(jobs.then(set(jobs, "R14"))).isEqualTo(set(jobs, "R15"));
        assertThat(jobs.then(set(jobs, "R15"))).isEqualTo(-1);
        assertThat(jobs.job(set(jobs, "R15")).setup().setting()).endsWith("wet, batch 1 of 2");
        assertThat(jobs.job(set(jobs, "R16")).setup().setting()).endsWith("wet, batch 2 of 2");
    }

    @Test
    void one_row_that_takes_longer_than_the_sealant_lives_says_so() {
        Jobs jobs = jobs(wet(rows(801)), Logbook.EMPTY);
        assertThat(jobs.all())
                .anyMatch(j -> j.setup().setting().contains("the sealant is worked for 120: mix again on the way"));
    }

    // ---- bulletins

    private Work set(String designation, String because, int... holes) {
        return Plans.set(rows(5).group("G-1").orElseThrow().group(), designation, because, holes);
    }

    private final Logbook twoIn = Logbook.EMPTY.plus(
            LogEntry.Draft.install(set("ISO 15977 3.2 × 6", "", 1, 2)).numbered(1, Instant.EPOCH));

    /** The bulletin SL-4 asks for 4 mm where the row was planned in 3.2 mm. */
    private Build thickerBySl4() {
        Build begun = Bulletins.begin(rows(5), "SL-4", LocalDate.parse("2026-11-20"));
        Fastener thicker = new Fastener.PulledRivet("iso15977", Length.mm(4), false);
        return Bulletins.recorded(
                begun,
                Edit.group(begun, new Id.Group(20), g -> g.withFastener(thicker, "")),
                begun.papers().bulletins().getFirst().id());
    }

    @Test
    void more_of_what_a_bulletin_changed_is_refused_until_what_is_in_is_looked_at() {
        Build changed = thickerBySl4();
        Jobs held = jobs(changed, twoIn);
        assertThat(held.holds(set(held, "R1")))
                .singleElement()
                .satisfies(h -> assertThat(h.rule() + " " + h.text())
                        .startsWith("P9 SL-4: 2 are in as they were before: look at them"));
        Derivation derivation = Derivation.of(changed, catalogue);
        String wanted = derivation
                .face(new Id.Face(3))
                .readings()
                .getLast()
                .solution()
                .designation()
                .orElseThrow();
        LogCheck check = new LogCheck(derivation, twoIn);
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> check.accept(LogEntry.Draft.install(set(wanted, "", 5)), NOW))
                .withMessageContaining("called \"Review SL-4\"");
        check.accept(LogEntry.Draft.install(set(wanted, "looked at by eye", 5)), NOW);
    }

    @Test
    void a_review_as_a_job_of_its_own_is_waited_for_and_frees_the_rest() {
        Build changed = thickerBySl4();
        OwnJob review = new OwnJob(new Id.Own(90_000), "Review SL-4", "", Optional.empty(), List.of(), "");
        Build asked = changed.withWorkshop(changed.workshop().with(review), Math.max(changed.nextId(), 90_001));
        Jobs waiting = jobs(asked, twoIn);
        assertThat(waiting.holds(set(waiting, "R1"))).isEmpty();
        assertThat(waiting.demands(set(waiting, "R1")))
                .anyMatch(d -> d.rule().equals("P9") && d.job().equals("own:90000"));
        Labour looked = new Labour(
                new Labour.Own(review.id(), "Review SL-4"), "", "M. Oake", NOW.minusHours(1), 0, "", "", List.of());
        Jobs free = jobs(asked, twoIn.plus(LogEntry.Draft.install(looked).numbered(2, Instant.EPOCH)));
        assertThat(free.holds(set(free, "R1"))).isEmpty();
        assertThat(free.demands(set(free, "R1"))).noneMatch(d -> d.rule().equals("P9"));
    }

    // ---- not before

    @Test
    void a_job_is_not_before_the_day_it_was_put_off_to_a_part_is_due_or_its_primer_is_dry() {
        Build build = rows(5);
        Build off = build.withWorkshop(
                build.workshop()
                        .with(new OwnOrder(
                                new Id.Order(901),
                                "set:G-1:R1:-",
                                "",
                                Optional.of(LocalDate.parse("2026-12-03")),
                                "the paint is wet")),
                902);
        Jobs put = jobs(off, Logbook.EMPTY);
        assertThat(put.notBefore(set(put, "R1"))).contains(LocalDate.parse("2026-12-03"));
        Part part = build.parts().getFirst().with(Standing.OUT);
        Build out = build.with(part.with(part.particulars().withDue(Optional.of(LocalDate.parse("2026-12-04")))));
        Jobs due = jobs(out, Logbook.EMPTY);
        assertThat(due.notBefore(set(due, "R1"))).contains(LocalDate.parse("2026-12-04"));
        Jobs plain = jobs(build, Logbook.EMPTY);
        assertThat(plain.notBefore(set(plain, "R1"))).isEmpty();
        Instant primed = Instant.parse("2026-11-29T19:00:00Z");
        Jobs wet = jobs(build, Logbook.EMPTY.plusOnParts(List.of(new PartMark(part.id(), "prime", primed))));
        // Typically 60 minutes until it is handled.
        assertThat(wet.dry(set(wet, "R1"), primed.plusSeconds(600))).contains(primed.plusSeconds(3600));
        assertThat(wet.dry(set(wet, "R1"), primed.plusSeconds(3600))).isEmpty();
    }

    // ---- heads

    @Test
    void why_the_heads_are_where_they_are_goes_into_the_entry() {
        Build build = Edit.group(
                rows(5),
                new Id.Group(20),
                g -> g.withHeadFar(true).withHoles(g.holes().because("the gun gets there")));
        Derivation derivation = Derivation.of(build, catalogue);
        Jobs jobs = jobs(build, Logbook.EMPTY);
        JobDone done = JobDone.of(
                jobs,
                "set:G-1:R1:-",
                derivation,
                Logbook.EMPTY,
                new JobDone.Said("M. Oake", NOW.minusHours(1), 5, "", ""),
                Instant.EPOCH);
        Work work = done.addition().draft().orElseThrow().work().orElseThrow();
        assertThat(work.setup().tool()).endsWith("heads far: the gun gets there");
        assertThat(work.note()).isEmpty();
        Group group = build.faces().getFirst().face().groups().getFirst();
        assertThat(group.setUp(group.setUp("gun"))).isEqualTo("gun; heads far: the gun gets there");
    }
}
