package bucina.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.Edit;
import bucina.core.guard.Guards;
import bucina.core.guard.Owed;
import bucina.core.hold.Holds;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Come;
import bucina.core.plan.Id;
import bucina.core.plan.SheetHoles;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class MatchDrillTest {

    private static final Instant AT = Instant.parse("2026-11-01T10:00:00Z");
    private static final Come BLANK = new Come(Come.State.BLANK, Optional.empty());
    private static final Come PILOT = new Come(Come.State.PILOT, Optional.of(Length.in(.098)));

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build plain = Plans.build(Plans.face(
            List.of(Plans.layer(11, "Skin", .025, 0, 0, 20, 4), Plans.layer(12, "Rib", .032, 0, 1, 20, 3)),
            List.of(Plans.group(
                    20, "G-1", Plans.UNIVERSAL, List.of(Plans.row(1000, "R1", 2, 3), Plans.row(2000, "R2", 2.5, 4))))));

    private static Build come(Build build, long layer, SheetHoles holes) {
        return Edit.layer(build, new Id.Layer(layer), l -> l.with(holes));
    }

    private FaceReading face(Build build) {
        return Derivation.of(build, catalogue).face(new Id.Face(3));
    }

    private List<Operation> owed(Build build, Logbook log, int layer) {
        Derivation derivation = Derivation.of(build, catalogue);
        HoleReading hole = derivation.face(new Id.Face(3)).readings().getFirst();
        return new Guards(derivation, new Id.Face(3), log, new Holds(derivation, log))
                .owed(hole).get(layer).open(log, hole.hole().id()).stream()
                        .map(Owed.Step::operation)
                        .toList();
    }

    @Test
    void where_nothing_says_which_sheet_leads_only_final_size_is_owed() {
        assertThat(MatchDrill.of(face(plain))).isEmpty();
        assertThat(owed(plain, Logbook.EMPTY, 1))
                .startsWith(Operation.FINAL_SIZE)
                .doesNotContain(Operation.MATCH_DRILLED);
    }

    @Test
    void a_blank_rib_is_drilled_through_the_punched_skin_with_the_drill_of_its_holes() {
        Build build = come(come(plain, 11, SheetHoles.NONE.all(PILOT)), 12, SheetHoles.NONE.all(BLANK));
        assertThat(MatchDrill.of(face(build)))
                .singleElement()
                .extracting(m -> m.words(catalogue.drills(), Unit.INCH))
                .isEqualTo("Rib is drilled through Skin with #40: 7 holes in R1, R2.");
        assertThat(owed(build, Logbook.EMPTY, 1)).startsWith(Operation.MATCH_DRILLED, Operation.FINAL_SIZE);
        assertThat(owed(build, Logbook.EMPTY, 0)).doesNotContain(Operation.MATCH_DRILLED);
    }

    @Test
    void marking_final_size_counts_as_match_drilled_and_is_not_kept_waiting_for_it() {
        Build build = come(come(plain, 11, SheetHoles.NONE.all(PILOT)), 12, SheetHoles.NONE.all(BLANK));
        HoleReading hole = face(build).readings().getFirst();
        Task task = Task.of(Operation.FINAL_SIZE);
        Derivation derivation = Derivation.of(build, catalogue);
        Guards guards = new Guards(derivation, new Id.Face(3), Logbook.EMPTY, new Holds(derivation, Logbook.EMPTY));
        assertThat(guards.marking(task, hole, Unit.INCH)).isEmpty();
        Logbook drilled = Logbook.EMPTY.plus(task.marks(Logbook.EMPTY, List.of(hole), true, AT));
        assertThat(owed(build, drilled, 1)).doesNotContain(Operation.MATCH_DRILLED, Operation.FINAL_SIZE);
        Mark only = new Mark(hole.hole().id(), new Id.Layer(12), Mark.Side.BOTH, Operation.MATCH_DRILLED, AT);
        assertThat(owed(build, Logbook.EMPTY.plus(List.of(only)), 1)).startsWith(Operation.FINAL_SIZE);
    }

    @Test
    void a_row_that_comes_otherwise_is_told_apart() {
        Build build = come(
                come(
                        plain,
                        11,
                        SheetHoles.NONE
                                .all(PILOT)
                                .with(new Id.Row(2000), new Come(Come.State.UNKNOWN, Optional.empty()))),
                12,
                SheetHoles.NONE.all(BLANK));
        assertThat(MatchDrill.of(face(build)))
                .singleElement()
                .satisfies(m -> assertThat(m.rows()).containsExactly("R1"));
    }

    @Test
    void a_sheet_that_comes_at_size_owes_no_drilling() {
        Build build = come(plain, 12, SheetHoles.NONE.all(new Come(Come.State.AT_SIZE, Optional.empty())));
        assertThat(owed(build, Logbook.EMPTY, 1)).doesNotContain(Operation.FINAL_SIZE);
        assertThat(owed(build, Logbook.EMPTY, 0)).contains(Operation.FINAL_SIZE);
    }

    @Test
    void holes_that_nobody_calls_for_are_named() {
        Build build = come(
                plain,
                12,
                SheetHoles.NONE.withUncalled(List.of(
                        new SheetHoles.Uncalled(Point.in(1, 2), Length.in(.098)),
                        new SheetHoles.Uncalled(Point.in(9.25, 1.5), Length.in(.19)))));
        assertThat(MatchDrill.uncalled(face(build), Unit.INCH))
                .containsExactly("Rib has 1 hole that nobody calls for: .190 in at 9.250 in, 1.500 in.");
    }
}
