package bucina.core.evening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.PracticeBox;
import bucina.core.edit.Edit;
import bucina.core.hold.Holds;
import bucina.core.job.Demand;
import bucina.core.job.Jobs;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Operation;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.order.OrderOfWork;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.rule.RuleKey;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class TonightTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Derivation derivation = Derivation.of(
            PracticeBox.build(catalogue
                    .rules()
                    .with(RuleKey.HOLES_COME, "under", "test")
                    .with(RuleKey.DEBURR_MARKED, "marked", "test")),
            catalogue);
    private final Jobs jobs =
            Jobs.of(derivation, Logbook.EMPTY, new Holds(derivation, Logbook.EMPTY), LocalDate.parse("2026-11-23"));
    private final OrderOfWork order = OrderOfWork.of(jobs, j -> true);

    private Tonight tonight(double hours, boolean helper) {
        return Tonight.of(jobs, order, derivation, Logbook.EMPTY, hours, helper);
    }

    @Test
    void what_fits_is_allowed_in_its_order_and_is_no_longer_than_the_evening() {
        for (double hours : List.of(.5, 1.0, 2.5, 6.0)) {
            Tonight tonight = tonight(hours, true);
            assertThat(tonight.minutes()).isLessThanOrEqualTo(hours * 60 + 1e-6);
            Set<String> done = new HashSet<>();
            for (Tonight.Stint stint : tonight.stints()) {
                assertThat(done)
                        .as(stint.job().id())
                        .containsAll(jobs.demands(jobs.place(stint.job().id())).stream()
                                .map(Demand::job)
                                .toList());
                done.add(stint.job().id());
            }
            assertThat(tonight.stints()).isNotEmpty();
            assertThat(tonight.stops()).contains(tonight.stints().size() - 1);
        }
    }

    @Test
    void what_is_set_wet_is_begun_only_if_all_of_its_batch_fits_and_is_never_cut() {
        Build wet = derivation.build();
        for (Group group :
                wet.faces().stream().flatMap(f -> f.face().groups().stream()).toList()) {
            wet = Edit.group(wet, group.id(), g -> g.withHoles(g.holes().with(true)));
        }
        Derivation sealed = Derivation.of(wet, catalogue);
        Jobs all = Jobs.of(sealed, Logbook.EMPTY, new Holds(sealed, Logbook.EMPTY), LocalDate.parse("2026-11-23"));
        OrderOfWork wetOrder = OrderOfWork.of(all, j -> true);
        int begun = 0;
        int cut = 0;
        for (double hours = .5; hours < 12; hours += .25) {
            Tonight evening = Tonight.of(all, wetOrder, sealed, Logbook.EMPTY, hours, true);
            List<Tonight.Stint> stints = evening.stints();
            for (int i = 0; i < stints.size(); i++) {
                int then = all.then(all.place(stints.get(i).job().id()));
                if (then >= 0) {
                    assertThat(stints.get(i + 1).job()).isEqualTo(all.job(then));
                }
                begun += stints.get(i).job().id().startsWith("set:") ? 1 : 0;
                cut += stints.get(i).cut() ? 1 : 0;
                assertThat(stints.get(i).cut() && stints.get(i).job().id().startsWith("set:"))
                        .isFalse();
            }
        }
        assertThat(begun).isGreaterThan(0);
        assertThat(cut).isGreaterThan(0);
    }

    @Test
    void one_rivet_is_laid_out_for_each_hole_that_is_set() {
        Tonight all = tonight(24, true);
        long holes = all.stints().stream()
                .filter(s -> s.job().id().startsWith("set:"))
                .mapToLong(s -> s.holes().size())
                .sum();
        assertThat(holes).isPositive();
        assertThat(all.layOut().fasteners().values().stream()
                        .mapToInt(Integer::intValue)
                        .sum())
                .isEqualTo((int) holes);
    }

    @Test
    void alone_nothing_is_planned_that_wants_two_people() {
        Tonight alone = tonight(24, false);
        assertThat(alone.stints()).allSatisfy(s -> assertThat(s.job().people()).isEqualTo(1));
        assertThat(tonight(24, true).helper()).isEmpty();
    }

    @Test
    void the_last_job_of_holes_is_cut_at_a_hole() {
        boolean cut = false;
        for (double hours = .3; hours < 3; hours += .1) {
            Tonight tonight = tonight(hours, true);
            for (Tonight.Stint stint : tonight.stints()) {
                if (stint.cut()) {
                    cut = true;
                    assertThat(stint.holes()).hasSize(stint.count());
                    assertThat(stint.job().place().orElseThrow().holes())
                            .startsWith(stint.holes().toArray(HoleReading[]::new));
                    assertThat(stint.words())
                            .contains(stint.count() + " of " + stint.job().count());
                }
            }
        }
        assertThat(cut).isTrue();
    }

    @Test
    void hours_out_of_range_are_refused_with_an_example() {
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> tonight(0, false))
                .withMessageContaining("such as 2.5, were 0.0");
    }

    @Test
    void a_slip_is_judged_by_the_edge_two_sizes_up() {
        Derivation dunlin = Derivation.of(Dunlin.build(catalogue.rules()), catalogue);
        PartHours none = new PartHours(dunlin, Logbook.EMPTY);
        int replaced = 0;
        for (var ref : dunlin.build().faces()) {
            for (HoleReading hole : dunlin.face(ref.face().id()).readings()) {
                if (!(hole.solution().fastener() instanceof Fastener.SolidRivet rivet)) {
                    continue;
                }
                Slip slip = Slip.of(hole, "final-size", dunlin.build().rules(), none);
                double least = dunlin.build()
                        .rules()
                        .times(
                                rivet.flush() ? RuleKey.EDGE_LEAST_FLUSH : RuleKey.EDGE_LEAST_PROTRUDING,
                                Length.fraction(rivet.dash() + 2, 32))
                        .nanometres();
                boolean fails = false;
                for (int i = 0; i < hole.layers().size(); i++) {
                    fails |= hole.edge(i).nanometres() < least - 1;
                }
                assertThat(slip.undo()).as(hole.label()).isEqualTo(fails ? Slip.Undo.REPLACE : Slip.Undo.NO);
                assertThat(Slip.of(hole, "set", dunlin.build().rules(), none).undo())
                        .isEqualTo(Slip.Undo.YES);
                replaced += fails ? 1 : 0;
            }
        }
        assertThat(replaced).isPositive();
    }

    @Test
    void minutes_of_an_entry_are_shared_evenly_between_the_parts_it_was_on() {
        HoleReading hole = derivation
                .face(derivation.build().faces().getFirst().face().id())
                .reading(0);
        Labour worked = new Labour(
                new Labour.Holes(List.of(new Labour.Sweep(
                        Operation.DEBURRED,
                        hole.group().id(),
                        hole.group().code(),
                        List.of(new Work.LoggedHole(hole.hole().id(), hole.label()))))),
                "",
                "M. Oake",
                LocalDateTime.parse("2026-11-20T19:30"),
                60,
                "",
                "",
                List.of());
        Logbook log = Logbook.EMPTY.plus(LogEntry.Draft.install(worked).numbered(1, Instant.EPOCH));
        PartHours hours = new PartHours(derivation, log);
        assertThat(hole.layers())
                .allSatisfy(l -> assertThat(hours.hours(l.part()))
                        .isEqualTo(1.0 / hole.layers().size()));
    }
}
