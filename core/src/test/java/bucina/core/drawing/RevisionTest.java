package bucina.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.Work;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.rivet.HeadStyle;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A drawing brought in again: what moved, came and went, and what of it is taken over. */
class RevisionTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Intake.Choices choices = new Intake.Choices(
            Optional.of(Length.in(.032)),
            false,
            new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 3),
            Material.parse("2024-T3"),
            catalogue);

    private static Drawing drawing(double wide, double... xs) {
        List<Drawing.Shape> shapes = new ArrayList<>();
        shapes.add(new Drawing.Path(
                "PLATE",
                List.of(
                        Corner.of(Point.in(0, 0)),
                        Corner.of(Point.in(wide, 0)),
                        Corner.of(Point.in(wide, 2)),
                        Corner.of(Point.in(0, 2))),
                true));
        for (double x : xs) {
            shapes.add(new Drawing.Circle("H", Point.in(x, 1), Length.in(.098), Optional.empty()));
        }
        return new Drawing(shapes);
    }

    private Build build(double wide, double... xs) {
        Build empty = new Build("New", "", catalogue.rules(), 1, List.of(), List.of(), Map.of());
        return Intake.of(drawing(wide, xs)).asFace(empty, "Face", Unit.INCH, choices);
    }

    private FaceReading reading(Build build) {
        return Derivation.of(build, catalogue).face(id(build));
    }

    private static Id.Face id(Build build) {
        return build.faces().getFirst().face().id();
    }

    private static List<Hole> holes(Build build) {
        return build.faces().getFirst().face().groups().stream()
                .flatMap(g -> g.rows().stream())
                .flatMap(r -> r.holes().stream())
                .toList();
    }

    private List<Change> between(Build build, Logbook log, Drawing drawing) {
        return Revision.between(reading(build), log, Intake.of(drawing));
    }

    @Test
    void nothing_changes_where_the_same_is_drawn() {
        Build build = build(10, 1, 2, 3);
        assertThat(between(build, Logbook.EMPTY, drawing(10, 3, 1, 2))).isEmpty();
        assertThat(between(build, Logbook.EMPTY, drawing(10.0004, 3.0004, 1, 2)))
                .isEmpty();
    }

    @Test
    void what_moved_came_and_went_is_told_each_with_its_place() {
        Build build = build(10, 1, 2, 3, 8);
        List<Change> changes = between(build, Logbook.EMPTY, drawing(10.5, 1, 2.1, 3, 6));
        assertThat(changes)
                .extracting(c -> c.words(Unit.INCH))
                .containsExactly(
                        "The outline of PLATE is another: its edges lie up to .500 in apart.",
                        "R1.2 is drawn .100 in away, at 2.100, 1.000 in.",
                        "R1.4 at 8.000, 1.000 in is not drawn any more.",
                        "A hole of .098 in is drawn at 6.000, 1.000 in where none was.");
    }

    @Test
    void the_nearest_belong_together_and_none_moves_over_half_an_inch() {
        Build build = build(10, 1, 2, 3);
        assertThat(between(build, Logbook.EMPTY, drawing(10, 1.3, 2.3, 3.3)))
                .hasSize(3)
                .allSatisfy(c -> assertThat(c).isInstanceOf(Change.Moved.class));
        assertThat(between(build, Logbook.EMPTY, drawing(10, 1, 2, 3.6)))
                .extracting(c -> c.getClass().getSimpleName())
                .containsExactly("Gone", "Added");
    }

    @Test
    void the_nearest_pair_belongs_together_before_one_that_is_farther() {
        Build build = build(10, 1, 1.4);
        assertThat(between(build, Logbook.EMPTY, drawing(10, 1.3, 1.75)))
                .extracting(c -> c.words(Unit.INCH))
                .containsExactly(
                        "R1.2 is drawn .100 in away, at 1.300, 1.000 in.",
                        "R1.1 at 1.000, 1.000 in is not drawn any more.",
                        "A hole of .098 in is drawn at 1.750, 1.000 in where none was.");
    }

    @Test
    void one_by_one_or_all_are_taken_over_and_the_rest_stays() {
        Build build = build(10, 1, 2, 3, 8);
        List<Change> changes = between(build, Logbook.EMPTY, drawing(10.5, 1, 2.1, 3, 6));
        Build one = Revision.taken(build, id(build), changes.subList(1, 2), choices);
        assertThat(holes(one))
                .extracting(h -> Math.round(h.at().x() / 25_400))
                .containsExactly(1000L, 2100L, 3000L, 8000L);
        assertThat(holes(one))
                .extracting(Hole::id)
                .isEqualTo(holes(build).stream().map(Hole::id).toList());
        Build all = Revision.taken(build, id(build), changes, choices);
        assertThat(holes(all))
                .extracting(h -> Math.round(h.at().x() / 25_400))
                .containsExactly(1000L, 2100L, 3000L, 6000L);
        assertThat(between(all, Logbook.EMPTY, drawing(10.5, 1, 2.1, 3, 6))).isEmpty();
    }

    @Test
    void what_was_done_on_a_hole_is_asked_about() {
        Build build = build(10, 1, 2, 3);
        Hole logged = holes(build).get(1);
        Hole marked = holes(build).get(2);
        Id.Layer layer = build.faces().getFirst().face().layers().getFirst().id();
        Instant now = Instant.parse("2026-03-01T10:00:00Z");
        Mark drilled = new Mark(marked.id(), layer, Mark.Side.BOTH, Operation.PILOT, now, true, "");
        Mark deburred = new Mark(marked.id(), layer, Mark.Side.BOTH, Operation.DEBURRED, now, true, "");
        Mark undone = new Mark(marked.id(), layer, Mark.Side.BOTH, Operation.DEBURRED, now, false, "");
        List<Mark> marks = List.of(drilled, deburred, undone);
        Logbook log = Logbook.of(List.of(entry(build, logged, now)), marks);
        assertThat(between(build, log, drawing(10, 1, 2.1)))
                .extracting(c -> c.words(Unit.INCH))
                .containsExactly(
                        "R1.2 is drawn .100 in away, at 2.100, 1.000 in. It is logged as set in entry 1: tick it"
                                + " only if it was made where it is drawn now.",
                        "R1.3 at 3.000, 1.000 in is not drawn any more. It is marked as pilot: tick it only if it was"
                                + " never made.");
    }

    private static LogEntry entry(Build build, Hole hole, Instant at) {
        Work work = new Work(
                build.faces().getFirst().face().groups().getFirst().id(),
                "H",
                List.of(new Work.LoggedHole(hole.id(), "R1.2")),
                1,
                "MS20470AD3-4",
                Optional.empty(),
                "M. Oake",
                LocalDateTime.parse("2026-02-20T19:30"),
                10,
                Work.Setup.NONE,
                List.of(),
                List.of(),
                "",
                "",
                List.of());
        return new LogEntry(1, at, Optional.empty(), Optional.of(work), "");
    }

    @Test
    void holes_that_carry_their_names_belong_together_however_far_they_move() {
        Build build = build(10, 1, 2, 3);
        Drawing named = new Drawing(List.of(
                new Drawing.Circle("HOLES-R1-H", Point.in(7, 1), Length.in(.098), Optional.of(1)),
                new Drawing.Circle("HOLES-R1-H", Point.in(2, 1), Length.in(.098), Optional.of(2)),
                new Drawing.Circle("HOLES-R1-H", Point.in(3, 1), Length.in(.098), Optional.of(3))));
        assertThat(between(build, Logbook.EMPTY, named))
                .singleElement()
                .satisfies(c -> assertThat(c.words(Unit.INCH)).startsWith("R1.1 is drawn 6.000 in away"));
    }
}
