package bucina.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.edit.PartEdits;
import bucina.core.hold.Holds;
import bucina.core.log.Logbook;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.order.OrderOfWork;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.OwnOrder;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.rule.RuleKey;
import bucina.core.stack.Derivation;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One row of 19 universal -4 rivets through a skin and a rib, all on dry, nothing drilled. */
class JobsTest {

    private static final JobDone.Said SAID =
            new JobDone.Said("M. Oake", LocalDateTime.parse("2026-11-20T19:30"), 5, "", "");

    private final Catalogue catalogue = CatalogueReader.shipped();

    private Build build() {
        Build one = Plans.build(20);
        Part rib = new Part(new Id.Part(3), "Rib", Material.parse("2024-T3"), 2, true);
        Build build = PartEdits.give(
                one.withParts(List.of(one.parts().getFirst(), rib), one.nextId()),
                one.faces().getFirst().face().layers().getLast().id(),
                rib.id());
        return build.withRules(
                build.rules().with(RuleKey.HOLES_COME, "under", "test").with(RuleKey.DEBURR_MARKED, "marked", "test"));
    }

    private Jobs jobs(Build build) {
        Derivation derivation = Derivation.of(build, catalogue);
        return Jobs.of(derivation, Logbook.EMPTY, new Holds(derivation, Logbook.EMPTY), LocalDate.parse("2026-11-23"));
    }

    private static Job job(Jobs jobs, String id) {
        return jobs.job(jobs.place(id));
    }

    private static List<String> before(Jobs jobs, String id) {
        return jobs.demands(jobs.place(id)).stream()
                .map(d -> d.rule() + " " + d.job())
                .toList();
    }

    @Test
    void a_row_is_drilled_through_everything_then_deburred_sheet_by_sheet_with_the_part_off_then_set() {
        Jobs jobs = jobs(build());
        Part first = build().parts().getFirst();
        String deburr = "deburr:G-1:R1:" + first.name();
        assertThat(job(jobs, "final:G-1:R1:-").count()).isEqualTo(19);
        // 19 holes of .2 minutes; both sides of a hole take .1 each.
        assertThat(job(jobs, "final:G-1:R1:-").minutes().mid()).isEqualTo(3.8, Offset.offset(1e-9));
        assertThat(job(jobs, deburr).minutes().mid()).isEqualTo(3.8, Offset.offset(1e-9));
        assertThat(before(jobs, deburr)).contains("P1 final:G-1:R1:-", "P2 off:" + first.name());
        assertThat(before(jobs, "off:" + first.name())).contains("P2 final:G-1:R1:-");
        assertThat(before(jobs, "on:" + first.name())).contains("P2 " + deburr, "P2 off:" + first.name());
        assertThat(jobs.named("set:G-1:R1:-"))
                .isNotEmpty()
                .allSatisfy(j -> assertThat(before(jobs, j.id())).contains("P2 on:" + first.name()));
        // 3 minutes and .1 for each cleco, one to four holes.
        assertThat(job(jobs, "off:" + first.name()).lost()).isEqualTo(3.5, Offset.offset(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"20 in,1", "19.9 in,2", "507.9 mm,2", "508 mm,1"})
    void how_long_a_part_of_20_inches_is_handled_by_two_is_the_builders_to_say(String longer, int people) {
        Build build = build();
        assertThat(build.faces()
                        .getFirst()
                        .face()
                        .layers()
                        .getFirst()
                        .outline()
                        .box()
                        .width())
                .isEqualTo(20 * 25.4e6);
        Jobs jobs = jobs(build.withRules(build.rules().with(RuleKey.PART_TWO, longer, "test")));
        Part first = build.parts().getFirst();
        assertThat(job(jobs, "off:" + first.name()).people()).isEqualTo(people);
        assertThat(job(jobs, "on:" + first.name()).people()).isEqualTo(people);
    }

    @Test
    void a_part_that_is_not_on_is_clecoed_on_first_and_one_that_is_out_holds_only_what_needs_it() {
        Build build = build();
        Part last = build.parts().getLast();
        Jobs crate = jobs(build.with(last.with(Standing.HERE)));
        assertThat(before(crate, "final:G-1:R1:-")).contains("P3 fit:" + last.name());
        Jobs out = jobs(build.with(last.with(Standing.OUT)));
        assertThat(out.holds(out.place("final:G-1:R1:-"))).singleElement().satisfies(h -> {
            assertThat(h.rule()).isEqualTo("P9");
            assertThat(h.text()).contains(last.name() + " is out");
        });
        Part first = build.parts().getFirst();
        assertThat(out.holds(out.place("deburr-edges:" + first.name()))).isEmpty();
    }

    @Test
    void a_job_that_was_done_is_no_longer_open_and_its_marks_are_there() {
        Derivation derivation = Derivation.of(build(), catalogue);
        Logbook log = Logbook.EMPTY;
        Jobs jobs = Jobs.of(derivation, log, new Holds(derivation, log), LocalDate.parse("2026-11-23"));
        JobDone done = JobDone.of(jobs, "final:G-1:R1:-", derivation, log, SAID, Instant.EPOCH);
        assertThat(done.stands()).isEmpty();
        Logbook next = log.plus(done.addition().draft().orElseThrow().numbered(1, Instant.EPOCH))
                .plus(done.addition().marks());
        Jobs after = Jobs.of(derivation, next, new Holds(derivation, next), LocalDate.parse("2026-11-23"));
        assertThat(job(after, "final:G-1:R1:-").done()).isTrue();
        // The builder's own pace from then on: five minutes for 19 holes.
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> JobDone.of(after, "final:G-1:R1:-", derivation, next, SAID, Instant.EPOCH))
                .withMessageContaining("nothing is left to be done of final:G-1:R1:-");
    }

    @Test
    void setting_before_what_comes_before_it_is_refused_and_a_name_that_is_none_is_told() {
        Derivation derivation = Derivation.of(build(), catalogue);
        Jobs jobs = jobs(build());
        Part first = build().parts().getFirst();
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> JobDone.of(
                        jobs, "deburr:G-1:R1:" + first.name(), derivation, Logbook.EMPTY, SAID, Instant.EPOCH))
                .withMessageContaining("not drilled to final size");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> JobDone.of(jobs, "polish:R1", derivation, Logbook.EMPTY, SAID, Instant.EPOCH))
                .withMessageContaining("\"polish:R1\"")
                .withMessageContaining("deburr:US-1:R1:Upper skin");
    }

    @Test
    void moving_a_part_is_a_job_that_says_how_it_stands() {
        Derivation derivation = Derivation.of(build(), catalogue);
        Part first = build().parts().getFirst();
        JobDone off = JobDone.of(jobs(build()), "off:" + first.name(), derivation, Logbook.EMPTY, SAID, Instant.EPOCH);
        assertThat(off.stands().orElseThrow().getKey())
                .isEqualTo(new Id.Part(first.id().n()));
        assertThat(off.stands().orElseThrow().getValue()).isEqualTo(Standing.OFF);
    }

    private static Build with(Build build, OwnOrder... said) {
        Build next = build;
        for (OwnOrder order : said) {
            next = next.withWorkshop(next.workshop().with(order), next.nextId() + 1);
        }
        return next;
    }

    @Test
    void what_the_builder_says_comes_before_and_what_is_put_off_waits_until_its_day() {
        String skin = build().parts().getFirst().name();
        OwnOrder own = new OwnOrder(
                new Id.Order(90), "deburr-edges:Rib", "deburr-edges:" + skin, Optional.empty(), "to see it whole");
        Jobs jobs = jobs(with(build(), own));
        assertThat(before(jobs, "deburr-edges:" + skin)).contains("P11 deburr-edges:Rib");
        assertThat(jobs.comesBefore(jobs.place("final:G-1:R1:-"), jobs.place("off:Rib")))
                .hasValueSatisfying(d -> assertThat(d.rule()).isEqualTo("P2"));
        assertThat(jobs.comesBefore(jobs.place("off:Rib"), jobs.place("final:G-1:R1:-")))
                .isEmpty();
        OwnOrder later = new OwnOrder(
                new Id.Order(91), "off:Rib", "", Optional.of(LocalDate.parse("2026-11-24")), "the paint is wet");
        Jobs put = jobs(with(build(), later));
        assertThat(put.holds(put.place("off:Rib")))
                .singleElement()
                .satisfies(h -> assertThat(h.text()).isEqualTo("not before 2026-11-24: the paint is wet"));
        OwnOrder passed = new OwnOrder(
                new Id.Order(92), "off:Rib", "", Optional.of(LocalDate.parse("2026-11-23")), "the paint is wet");
        Jobs now = jobs(with(build(), passed));
        assertThat(now.holds(now.place("off:Rib"))).isEmpty();
    }

    @Test
    void two_wishes_that_go_round_are_a_ring_that_names_both_and_a_way_out() {
        String skin = build().parts().getFirst().name();
        Build build = with(
                build(),
                new OwnOrder(
                        new Id.Order(90), "deburr-edges:Rib", "deburr-edges:" + skin, Optional.empty(), "first this"),
                new OwnOrder(
                        new Id.Order(91), "deburr-edges:" + skin, "deburr-edges:Rib", Optional.empty(), "first that"));
        OrderOfWork order = OrderOfWork.of(jobs(build), j -> true);
        assertThat(order.rings())
                .singleElement()
                .satisfies(r -> assertThat(r.sentence())
                        .contains("first this")
                        .contains("first that")
                        .contains("P11")
                        .contains("Ways out: take your own \"before\" back."));
        assertThat(order.steps())
                .hasSize((int) jobs(build).all().stream().filter(j -> !j.done()).count());
    }

    @Test
    void an_order_of_ones_own_needs_a_reason_and_one_of_job_and_day() {
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> new OwnOrder(new Id.Order(1), "off:Rib", "on:Rib", Optional.empty(), " "))
                .withMessageContaining("off:Rib")
                .withMessageContaining("such as \"the paint is wet\"");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> new OwnOrder(new Id.Order(1), "off:Rib", "", Optional.empty(), "why"))
                .withMessageContaining("or a day, such as 2026-12-01");
    }

    @Test
    void a_group_without_geometry_is_set_by_its_count() {
        Derivation derivation = Derivation.of(build(), catalogue);
        Jobs jobs = jobs(build());
        assertThat(job(jobs, "set:T-1:-:-").count()).isEqualTo(10);
        JobDone done = JobDone.of(jobs, "set:T-1:-:-", derivation, Logbook.EMPTY, SAID, Instant.EPOCH);
        assertThat(done.addition().draft().orElseThrow().work().orElseThrow().count())
                .isEqualTo(10);
        Logbook log = Logbook.EMPTY.plus(done.addition().draft().orElseThrow().numbered(1, Instant.EPOCH));
        Jobs after = Jobs.of(derivation, log, new Holds(derivation, log), LocalDate.parse("2026-11-23"));
        assertThat(job(after, "set:T-1:-:-").done()).isTrue();
    }

    /** The demo's row R1 takes one rivet at two gaps: named as a whole, no gap is written down for both. */
    @Test
    void one_gap_never_stands_for_two() {
        Derivation dunlin = Derivation.of(Dunlin.build(catalogue.rules()), catalogue);
        Jobs jobs = jobs(dunlin.build());
        int two = 0;
        for (Job job : jobs.all()) {
            List<Job> runs = jobs.named(job.id().replaceAll(":\\d+$", "")).stream()
                    .filter(j -> !j.done())
                    .toList();
            boolean differ =
                    runs.stream().map(j -> j.setup().setting()).distinct().count() > 1;
            if (job.op() != Op.SET || !differ) {
                continue;
            }
            try {
                String row = job.id().replaceAll(":\\d+$", "");
                JobDone done = JobDone.of(jobs, row, dunlin, Logbook.EMPTY, SAID, Instant.EPOCH);
                assertThat(done.addition()
                                .draft()
                                .orElseThrow()
                                .work()
                                .orElseThrow()
                                .setup()
                                .setting())
                        .isEmpty();
                two++;
            } catch (InputException differentRivets) {
                assertThat(differentRivets).hasMessageContaining("log it by its runs");
            }
        }
        assertThat(two).isPositive();
    }

    @Test
    void parts_that_go_on_in_another_order_give_what_would_be_worked_out_from_nothing() {
        Derivation derivation = Derivation.of(Dunlin.build(catalogue.rules()), catalogue);
        LocalDate today = LocalDate.parse("2026-11-23");
        Jobs was = Jobs.of(derivation, Logbook.EMPTY, new Holds(derivation, Logbook.EMPTY), today);
        OrderOfWork order = OrderOfWork.of(was, j -> true);
        int moved = 0;
        for (int p = 0; p < derivation.build().parts().size(); p += 4) {
            Part part = derivation.build().parts().get(p);
            Derivation next = derivation.after(derivation.build().with(part.withFittingOrder(3)));
            Holds holds = new Holds(next, Logbook.EMPTY);
            Jobs quick = Jobs.of(Optional.of(was), next, Logbook.EMPTY, holds, today);
            Jobs fresh = Jobs.of(next, Logbook.EMPTY, holds, today);
            assertThat(quick.askTheSameAs(was)).isTrue();
            assertThat(quick.all()).isEqualTo(fresh.all());
            for (int i = 0; i < fresh.size(); i++) {
                assertThat(quick.holds(i)).isEqualTo(fresh.holds(i));
                assertThat(quick.demands(i)).containsExactlyInAnyOrderElementsOf(fresh.demands(i));
            }
            OrderOfWork kept = OrderOfWork.of(quick, j -> true, Optional.of(order), was);
            assertThat(kept.asDrawn())
                    .isEqualTo(OrderOfWork.of(fresh, j -> true).asDrawn());
            moved += quick.all().equals(was.all()) ? 0 : 1;
        }
        assertThat(moved).isGreaterThan(3);
    }

    @Test
    void where_another_part_would_close_a_bay_last_it_is_worked_out_anew() {
        Build plan = build();
        Id.Part skin = plan.parts().getFirst().id();
        Id.Part rib = plan.parts().getLast().id();
        Build bay = plan.withWorkshop(
                plan.workshop().with(new Bay(new Id.Bay(plan.nextId()), "Bay", List.of(skin, rib), Set.of(), "")),
                plan.nextId() + 1);
        Derivation derivation = Derivation.of(bay, catalogue);
        LocalDate today = LocalDate.parse("2026-11-23");
        Jobs was = Jobs.of(derivation, Logbook.EMPTY, new Holds(derivation, Logbook.EMPTY), today);
        for (int order : List.of(0, 90)) {
            Derivation next = derivation.after(bay.with(bay.part(rib).withFittingOrder(order)));
            Jobs now = Jobs.of(Optional.of(was), next, Logbook.EMPTY, new Holds(next, Logbook.EMPTY), today);
            assertThat(now.askTheSameAs(was)).isEqualTo(order == 90);
        }
    }
}
