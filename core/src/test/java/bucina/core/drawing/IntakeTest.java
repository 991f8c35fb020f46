package bucina.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Row;
import bucina.core.rivet.HeadStyle;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** What is understood of a drawing, and what is made of it. */
class IntakeTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build empty = new Build("New", "", catalogue.rules(), 1, List.of(), List.of(), Map.of());

    private Intake.Choices choices(Fastener fastener) {
        return new Intake.Choices(Optional.of(Length.in(.025)), false, fastener, Material.parse("2024-T3"), catalogue);
    }

    private static Drawing.Circle hole(String layer, double x, double diameter) {
        return new Drawing.Circle(layer, Point.in(x, 1), Length.in(diameter), Optional.empty());
    }

    private static Drawing.Path box(String layer, double x1, double y1, double x2, double y2) {
        return new Drawing.Path(
                layer,
                List.of(
                        Corner.of(Point.in(x1, y1)),
                        Corner.of(Point.in(x2, y1)),
                        Corner.of(Point.in(x2, y2)),
                        Corner.of(Point.in(x1, y2))),
                true);
    }

    private static Drawing drawing(Drawing.Shape... shapes) {
        return new Drawing(List.of(shapes));
    }

    private Build made(Drawing drawing, Fastener fastener) {
        return Intake.of(drawing).asFace(empty, "Face", Unit.INCH, choices(fastener));
    }

    private static List<Group> groups(Build build) {
        return build.faces().getFirst().face().groups();
    }

    @Test
    void the_fastener_follows_the_size_of_most_holes_of_a_group() {
        Build build = made(
                drawing(
                        box("SKIN", 0, 0, 9, 2),
                        hole("A", 1, .098),
                        hole("A", 2, .098),
                        hole("A", 3, .1285),
                        hole("B", 4, .159)),
                Plans.FLUSH);
        assertThat(groups(build)).extracting(g -> g.fastener().name()).containsExactly("MS20426AD3", "MS20426AD5");
        Row odd = groups(build).getFirst().rows().get(1);
        assertThat(odd.holes())
                .singleElement()
                .satisfies(h -> assertThat(h.deviation()
                                .orElseThrow()
                                .fastener()
                                .orElseThrow()
                                .name())
                        .isEqualTo("MS20426AD4"));
        assertThat(build.faces().getFirst().face().layers())
                .singleElement()
                .satisfies(l -> assertThat(l.thickness()).isEqualTo(Length.in(.025)));
    }

    @Test
    void punched_holes_are_what_the_holes_have_now_and_large_ones_are_for_hardware() {
        Build build = made(
                drawing(hole("A", 1, .067), hole("B", 4, .3)), new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 4));
        assertThat(groups(build).getFirst().holes().present()).contains(Length.in(.067));
        assertThat(groups(build).getFirst().fastener().name()).isEqualTo("MS20470AD4");
        assertThat(groups(build).get(1).fastener()).isInstanceOf(Fastener.Hardware.class);
        Build pulled = made(
                drawing(new Drawing.Circle("A", Point.in(1, 1), Length.mm(4.1), Optional.empty())),
                new Fastener.PulledRivet("iso15977", Length.mm(3.2), false));
        assertThat(groups(pulled).getFirst().fastener().name()).isEqualTo("ISO 15977 4");
    }

    @Test
    void labels_are_kept_where_all_are_there_and_differ() {
        Drawing own = drawing(
                new Drawing.Circle("HOLES-R7-US_1", Point.in(1, 1), Length.in(.098), Optional.of(12)),
                new Drawing.Circle("HOLES-R7-US_1", Point.in(2, 1), Length.in(.098), Optional.of(3)));
        Row row = groups(made(own, Plans.FLUSH)).getFirst().rows().getFirst();
        assertThat(row.name()).isEqualTo("R7");
        assertThat(row.holes()).extracting(h -> h.label()).containsExactly(12, 3);
        assertThat(row.nextLabel()).isEqualTo(13);
        Drawing twice = drawing(
                new Drawing.Circle("A", Point.in(1, 1), Length.in(.098), Optional.of(1)),
                new Drawing.Circle("A", Point.in(2, 1), Length.in(.098), Optional.of(1)));
        assertThat(groups(made(twice, Plans.FLUSH)).getFirst().rows().getFirst().holes())
                .extracting(h -> h.label())
                .containsExactly(1, 2);
    }

    @Test
    void holes_come_onto_a_face_as_rows_and_groups_with_names_of_their_own() {
        Build build = Plans.build(8.5);
        Intake in = Intake.of(drawing(box("SKIN", 0, 0, 9, 2), hole("G-1", 1, .098), hole("G-1", 2, .098)));
        Build more = in.onto(build, new Id.Face(3), choices(Plans.FLUSH), false);
        var face = more.faces().getFirst().face();
        assertThat(face.layers()).isEqualTo(build.faces().getFirst().face().layers());
        assertThat(face.groups().getLast().code()).isEqualTo("G-1-2");
        assertThat(face.groups().getLast().rows().getFirst().name()).isEqualTo("R2");
        assertThat(in.onto(build, new Id.Face(3), choices(Plans.FLUSH), true)
                        .faces()
                        .getFirst()
                        .face()
                        .layers())
                .hasSize(4);
    }

    @Test
    void what_is_in_an_opening_is_a_sheet_again() {
        Intake in = Intake.of(drawing(
                box("A", 4, 4, 5, 5),
                box("A", 4.3, 4.3, 4.6, 4.6),
                box("A", 0, 0, 20, 20),
                box("A", 3, 3, 9, 9),
                box("A", 12, 12, 15, 15),
                box("A", 30, 0, 31, 1)));
        assertThat(in.asked()).isEmpty();
        assertThat(in.sheets())
                .extracting(
                        s -> Math.round(s.outline().outer().area() / 645.16e12),
                        s -> s.outline().openings().size())
                .containsExactly(tuple(400L, 2), tuple(1L, 1), tuple(1L, 0));
    }

    @Test
    void lines_of_another_layer_in_a_sheet_are_asked_about_and_taken_as_said() {
        Drawing drawing = drawing(box("SKIN", 0, 0, 20, 20), box("CUT", 3, 3, 9, 9), hole("CUT", 15, .75));
        Intake in = Intake.of(drawing);
        assertThat(in.asked()).hasValueSatisfying(q -> {
            assertThat(q.code()).isEqualTo("inside");
            assertThat(q.sentence()).contains("SKIN", "2 on layer \"CUT\"");
            assertThat(q.answers()).containsExactly("openings", "sheets");
        });
        Intake openings = Intake.of(drawing, Optional.of(Intake.Inside.OPENINGS));
        assertThat(openings.asked()).isEmpty();
        assertThat(openings.sheets())
                .singleElement()
                .satisfies(s -> assertThat(s.outline().openings()).hasSize(2));
        Intake sheets = Intake.of(drawing, Optional.of(Intake.Inside.SHEETS));
        assertThat(sheets.asked()).isEmpty();
        assertThat(sheets.sheets())
                .hasSize(3)
                .allSatisfy(s -> assertThat(s.outline().openings()).isEmpty());
    }

    @Test
    void sheets_that_a_drawing_of_ours_names_lie_on_each_other_unasked() {
        Intake in = Intake.of(drawing(
                box("SHEET-01-T635000-SKIN", 0, 0, 20, 20),
                box("SHEET-02-T635000-RIB", 3, 3, 9, 9),
                box("SHEET-02-T635000-RIB", 4, 4, 5, 5)));
        assertThat(in.asked()).isEmpty();
        assertThat(in.sheets()).extracting(s -> s.outline().openings().size()).containsExactly(0, 1);
    }

    @Test
    void holes_without_a_size_are_for_the_rivet_that_is_chosen_and_those_of_another_are_said() {
        Drawing drawing = drawing(
                new Drawing.Spot("P", Point.in(1, 1)),
                new Drawing.Spot("P", Point.in(2, 1)),
                hole("Q", 3, .098),
                hole("Q", 4, .159),
                hole("R", 5, .11),
                hole("S", 6, .3));
        Fastener chosen = new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 4);
        Build build = made(drawing, chosen);
        Group untold = groups(build).stream()
                .filter(g -> g.code().equals("P"))
                .findFirst()
                .orElseThrow();
        assertThat(untold.fastener()).isEqualTo(chosen);
        assertThat(untold.rows().getFirst().holes())
                .allSatisfy(h -> assertThat(h.deviation()).isEmpty());
        assertThat(Intake.of(drawing).others(choices(chosen), Unit.INCH))
                .containsExactly(
                        "1 hole of .098 in is for MS20470AD3, not MS20470AD4.",
                        "1 hole of .110 in is no size of a rivet in the tables: planned as MS20470AD4, and to be opened"
                                + " up or looked at.",
                        "1 hole of .159 in is for MS20470AD5, not MS20470AD4.",
                        "1 hole of .300 in is for hardware that is not named, not MS20470AD4.");
    }

    @Test
    void a_point_where_a_hole_is_counts_once() {
        Intake in = Intake.of(drawing(
                hole("A", 1, .098), new Drawing.Spot("MARKS", Point.in(1, 1)), new Drawing.Spot("A", Point.in(2, 1))));
        assertThat(in.count()).isEqualTo(2);
        assertThat(in.left())
                .singleElement()
                .satisfies(l -> assertThat(l.kind()).isEqualTo("point"));
    }

    private static Drawing.Path closed(String layer, double... xy) {
        List<Corner> corners = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            corners.add(Corner.of(Point.in(xy[i], xy[i + 1])));
        }
        return new Drawing.Path(layer, corners, true);
    }

    @Test
    void an_outline_drawn_twice_counts_once_but_its_mirror_image_in_the_same_place_does_not_pass_for_it() {
        Drawing.Path wedge = closed("A", 0, 0, 4, 0, 4, 2, 1, 2);
        Intake twice = Intake.of(drawing(wedge, closed("A", 4, 2, 4, 1, 4, 0, 0, 0, 1, 2)));
        assertThat(twice.sheets())
                .singleElement()
                .satisfies(s -> assertThat(s.outline().openings()).isEmpty());
        assertThat(twice.left())
                .singleElement()
                .satisfies(l -> assertThat(l.why()).contains("one is already"));
        assertThat(Intake.of(drawing(wedge, closed("A", 4, 0, 0, 0, 0, 2, 3, 2)))
                        .left())
                .isEmpty();
    }

    @Test
    void what_is_left_out_is_said() {
        List<Corner> open = List.of(Corner.of(Point.in(0, 0)), Corner.of(Point.in(1, 1)));
        Intake in = Intake.of(new Drawing(
                List.of(
                        new Drawing.Path("A", open, false),
                        new Drawing.Words("A", Point.in(0, 0), Length.mm(2), "NOTE"),
                        hole("A", 1, .098),
                        new Drawing.Spot("B", Point.in(3, 3)),
                        hole("C", 5, .8)),
                List.of(new Left("SPLINE", 1, "A", "its knots do not fit its control points", Optional.empty())),
                List.of("2 lines with 36 even sides are taken for round.")));
        assertThat(in.sentences(Unit.INCH))
                .containsExactly(
                        "1 sheet, 2 holes in 2 rows.",
                        "Sheet C: .800 in by .800 in, 0.50 in².",
                        "1 hole: 1 of .098 in.",
                        "1 hole tells no diameter: planned for the rivet that is chosen.",
                        "2 lines with 36 even sides are taken for round.",
                        "1 SPLINE on layer \"A\" is left out: its knots do not fit its control points.",
                        "1 line on layer \"A\" is left out: it does not close, so it is no outline, at .000, .000 in.",
                        "1 text on layer \"A\" is left out: words are no line of a sheet.");
    }

    @Test
    void nothing_that_can_be_used_and_a_name_that_is_taken_are_refused() {
        assertThatThrownBy(() -> made(drawing(), Plans.FLUSH))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("closed outline or circles");
        Build once = made(drawing(hole("A", 1, .098)), Plans.FLUSH);
        assertThatThrownBy(() ->
                        Intake.of(drawing(hole("A", 1, .098))).asFace(once, "Face", Unit.INCH, choices(Plans.FLUSH)))
                .hasMessageContaining("already");
    }

    @Test
    void a_template_says_hand_face_and_directions_where_there_are_no_pages() {
        Build build = Plans.build(8.5);
        Build.FaceRef ref = build.faces().getFirst();
        var reading = Derivation.of(build, catalogue).face(ref.face().id());
        List<String> words = new ArrayList<>();
        Template.face(ref, reading).marked().shapes().forEach(s -> {
            if (s instanceof Drawing.Words w) {
                words.add(w.text());
            }
        });
        assertThat(words)
                .contains(
                        "Top, LEFT HAND",
                        "This side up: seen from above",
                        "to the right: outboard. up: forward",
                        "the bars are 100 mm long",
                        "R1.7");
        Template strip =
                Template.strip(ref, ref.face().groups().getFirst().rows().getFirst(), reading);
        assertThat(strip.xToward()).isEqualTo("R1.19, outboard");
        assertThat(strip.drawing().box().orElseThrow().width() / 25.4e6)
                .isCloseTo(18 + 2 * 12 / 25.4, Assertions.within(1e-6));
    }
}
