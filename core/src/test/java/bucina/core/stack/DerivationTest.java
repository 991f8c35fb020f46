package bucina.core.stack;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Preparation;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Query;
import bucina.core.plan.Row;
import bucina.core.rivet.HeadStyle;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.sheet.Point;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

class DerivationTest {

    private final Catalogue catalogue = CatalogueReader.shipped();

    private static HoleReading hole(Derivation derivation, int label) {
        return derivation.face(new Id.Face(3)).readings().stream()
                .filter(r -> r.hole().label() == label)
                .findFirst()
                .orElseThrow();
    }

    private Derivation derive(Build build) {
        return Derivation.of(build, catalogue);
    }

    @Test
    void the_stack_is_what_covers_the_hole() {
        Derivation derivation = derive(Plans.build(8.5));
        assertThat(hole(derivation, 8).layers()).extracting(Layer::name).containsExactly("Skin", "Doubler", "Flange");
        assertThat(hole(derivation, 9).layers()).extracting(Layer::name).containsExactly("Skin", "Flange");
        assertThat(hole(derivation, 8).solution().grip()).isEqualTo(Length.in(.135));
        assertThat(hole(derivation, 9).solution().grip()).isEqualTo(Length.in(.072));
    }

    @Test
    void longer_rivet_where_the_doubler_starts() {
        Derivation derivation = derive(Plans.build(8.5));
        assertThat(hole(derivation, 8).solution().dash()).isEqualTo("-5");
        assertThat(hole(derivation, 9).solution().dash()).isEqualTo("-4");
    }

    @Test
    void heads_on_the_far_side_turn_the_stack_round() {
        Group near = Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(Plans.row(1000, "R1", 2, 3)));
        Group far = new Group(
                near.id(),
                near.code(),
                near.name(),
                near.fastener(),
                true,
                near.preparation(),
                "",
                near.rows(),
                Optional.empty(),
                Set.of(),
                Set.of());
        Derivation derivation = derive(Plans.build(Plans.face(Plans.layers(8.5), List.of(far))));
        assertThat(hole(derivation, 1).layers()).extracting(Layer::name).containsExactly("Flange", "Doubler", "Skin");
    }

    @Test
    void edge_distance_is_judged_in_the_worst_layer() {
        // Hole 8 is .5 from the doubler's end at 8.5; 2 D is .25. With the doubler ending at 8.2 it is .2: too short.
        assertThat(hole(derive(Plans.build(8.5)), 8).worst()).isEmpty();
        Derivation derivation = derive(Plans.build(8.2));
        HoleReading reading = hole(derivation, 8);
        assertThat(reading.layers().get(reading.nearestEdge().orElseThrow()).name())
                .isEqualTo("Doubler");
        List<Finding> findings = derivation.findings(() -> false).stream()
                .filter(f -> !f.rule().code().equals("pitch-most"))
                .toList();
        assertThat(findings).singleElement().satisfies(f -> {
            assertThat(f.rule().code()).isEqualTo("edge-distance-least");
            assertThat(f.level()).isEqualTo(Level.ERROR);
            assertThat(f.place()).isEqualTo(new Finding.Place("Top", "G-1", "R1.8", "Doubler"));
            assertThat(f.measured().orElseThrow().in()).isEqualTo(.2, Assertions.within(1e-12));
            assertThat(f.required()).contains(Length.in(.25));
        });
    }

    @Test
    void a_deviation_overrides_its_group_and_is_judged_with_its_own_diameter() {
        Row row = Plans.row(1000, "R1", 2, 3);
        List<Hole> holes = new ArrayList<>(row.holes());
        Hole first = holes.getFirst();
        holes.set(
                0,
                new Hole(
                        first.id(),
                        1,
                        Point.in(.3, 2),
                        Optional.of(new Deviation(
                                Optional.empty(),
                                Optional.of(new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 5)),
                                Optional.empty(),
                                "egged"))));
        Derivation derivation = derive(Plans.build(Plans.face(
                Plans.layers(8.5),
                List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(new Row(row.id(), "R1", 4, holes)))))));
        assertThat(hole(derivation, 1).solution().fastener().name()).isEqualTo("MS20470AD5");
        // .3 is 1.92 x 5/32: under 2 D, though it would do for 1/8.
        assertThat(derivation.findings(() -> false))
                .extracting(f -> f.place().hole())
                .contains("R1.1");
    }

    /** Catches skin and doubler, clears the flange, says the drawing. */
    private static Group expecting() {
        Group g = Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(Plans.row(1000, "R1", 2, 10)));
        return new Group(
                g.id(),
                g.code(),
                g.name(),
                g.fastener(),
                false,
                Preparation.NONE,
                "",
                g.rows(),
                Optional.empty(),
                Set.of(new Id.Layer(11), new Id.Layer(12)),
                Set.of(new Id.Layer(13)));
    }

    @Test
    void what_a_group_must_catch_and_clear_is_checked() {
        List<Finding> findings = derive(Plans.build(Plans.face(Plans.layers(8.5), List.of(expecting()))))
                .findings(() -> false);
        assertThat(findings)
                .filteredOn(f -> f.place().hole().equals("R1.8"))
                .extracting(x -> x.rule().code())
                .containsExactly("catches-cleared-layer");
        assertThat(findings)
                .filteredOn(f -> f.place().hole().equals("R1.9"))
                .extracting(x -> x.rule().code())
                .containsExactlyInAnyOrder("misses-layer", "catches-cleared-layer");
    }

    @Test
    void wrong_pairs_of_head_and_hole_are_errors() {
        Group g = Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(Plans.row(1000, "R1", 2, 1)));
        Group dome = new Group(
                g.id(),
                g.code(),
                g.name(),
                g.fastener(),
                false,
                Preparation.DIMPLE,
                "",
                g.rows(),
                Optional.empty(),
                Set.of(),
                Set.of());
        assertThat(rules(dome)).contains("dome-in-a-dimple");
        Group flush = new Group(
                g.id(),
                g.code(),
                g.name(),
                Plans.FLUSH,
                false,
                Preparation.NONE,
                "",
                g.rows(),
                Optional.empty(),
                Set.of(),
                Set.of());
        assertThat(rules(flush)).contains("flush-in-plain-hole");
        Group deep = new Group(
                g.id(),
                g.code(),
                g.name(),
                Plans.FLUSH,
                false,
                Preparation.COUNTERSINK,
                "",
                g.rows(),
                Optional.empty(),
                Set.of(),
                Set.of());
        assertThat(rules(deep)).contains("countersink-too-deep");
    }

    private List<String> rules(Group group) {
        return derive(Plans.build(Plans.face(Plans.layers(8.5), List.of(group)))).findings(() -> false).stream()
                .map(x -> x.rule().code())
                .toList();
    }

    @Test
    void a_hole_through_one_sheet_or_none_joins_nothing() {
        Row row = new Row(
                new Id.Row(1000),
                "R1",
                3,
                List.of(
                        new Hole(new Id.Hole(1001), 1, Point.in(5, .6), Optional.empty()),
                        new Hole(new Id.Hole(1002), 2, Point.in(5, 9), Optional.empty())));
        List<Finding> findings = derive(Plans.build(
                        Plans.face(Plans.layers(8.5), List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(row))))))
                .findings(() -> false);
        assertThat(findings)
                .extracting(x -> x.rule().code())
                .containsExactly("too-few-layers", "too-few-layers", "pitch-most");
    }

    @Test
    void a_typed_stack_is_solved_without_geometry() {
        Solution solution = derive(Plans.build(8.5)).typed(new Id.Group(21)).orElseThrow();
        assertThat(solution.designation()).contains("MS20470AD4-4");
    }

    @Test
    void moving_an_edge_works_out_only_the_holes_near_it_and_agrees_with_a_full_derive() {
        Random random = new Random(5);
        Build build = Plans.build(8.5);
        Derivation derivation = derive(build);
        for (int i = 0; i < 200; i++) {
            Face face = build.face("Top").orElseThrow().face();
            double end = Math.round(random.nextDouble() * 1900) / 100.0 + .5;
            Layer moved = Plans.layer(12, "Doubler", .063, 0, 1.4, end, 2.6);
            Build next = build.with(face.with(moved), build.nextId());
            derivation = derivation.after(next);
            assertThat(derivation.face(face.id()).workedOut()).isLessThanOrEqualTo(19);
            assertSame(derivation, derive(next));
            build = next;
        }
        Face face = build.face("Top").orElseThrow().face();
        Layer tiny = Plans.layer(12, "Doubler", .063, 0, 1.4, 2.5, 2.6);
        derivation = derivation.after(build.with(face.with(tiny), build.nextId()));
        Layer stillTiny = Plans.layer(12, "Doubler", .063, 0, 1.4, 3.5, 2.6);
        Build last = build.with(face.with(stillTiny), build.nextId());
        assertThat(derivation.after(last).face(face.id()).workedOut()).isEqualTo(3);
    }

    @Test
    void layers_in_another_order_or_thickness_are_worked_out_again() {
        Build build = Plans.build(8.5);
        Derivation derivation = derive(build);
        Face face = build.face("Top").orElseThrow().face();
        Face turned = new Face(
                face.id(),
                face.name(),
                face.viewed(),
                face.xToward(),
                face.yToward(),
                face.layers().reversed(),
                face.groups());
        Build next = build.with(turned, build.nextId());
        assertSame(derivation.after(next), derive(next));
        assertThat(derivation.after(build.with(face, build.nextId())).face(face.id()))
                .isSameAs(derivation.face(face.id()));
    }

    private static void assertSame(Derivation a, Derivation b) {
        List<HoleReading> left = a.face(new Id.Face(3)).readings();
        List<HoleReading> right = b.face(new Id.Face(3)).readings();
        assertThat(left).hasSameSizeAs(right);
        for (int i = 0; i < left.size(); i++) {
            assertThat(left.get(i).same(right.get(i)))
                    .as("%s", left.get(i).label())
                    .isTrue();
        }
    }

    @Test
    void a_check_can_be_cancelled() {
        assertThat(derive(Plans.build(8.2)).findings(() -> true)).isEmpty();
    }

    @Test
    void what_the_drawing_lists_is_named_with_its_sheet() {
        List<Finding> ninth =
                derive(Plans.build(Plans.face(Plans.layers(8.5), List.of(expecting())))).findings(() -> false).stream()
                        .filter(f -> f.place().hole().equals("R1.9"))
                        .toList();
        assertThat(ninth)
                .extracting(f -> f.place().layer(), f -> f.message().in(Unit.INCH))
                .containsExactlyInAnyOrder(
                        Assertions.tuple("Doubler", "R1.9 misses Doubler, which the drawing says it catches."),
                        Assertions.tuple("Flange", "R1.9 catches Flange, which it must clear."));
    }

    @Test
    void a_check_that_is_cancelled_on_its_way_keeps_what_it_found() {
        Derivation two = derive(Plans.build(8.2));
        int[] asked = {0};
        // Hole 8 is the one that is wrong: the tenth question comes after it.
        assertThat(two.findings(() -> ++asked[0] > 9))
                .extracting(f -> f.place().hole())
                .containsExactly("R1.8");
    }

    @Test
    void what_is_wrong_with_a_typed_stack_is_said_of_its_group_and_so_is_an_open_query() {
        // .6 in of metal: no length of a -4 reaches through.
        Build build = Plans.build(Plans.face(
                Plans.layers(8.5),
                List.of(Plans.typed(21, "T-1", 10, .3, .3), Plans.typed(22, "T-2", 10, .032, .040))));
        assertThat(derive(build).findings(() -> false)).singleElement().satisfies(f -> {
            assertThat(f.rule().code()).isEqualTo("no-length-does");
            assertThat(f.place()).isEqualTo(new Finding.Place("Top", "T-1", "", ""));
            assertThat(f.message().in(Unit.INCH)).startsWith("T-1: ");
        });
        Query open = new Query(
                new Id.Query(500),
                new Id.Group(22),
                LocalDate.of(2026, 11, 2),
                "10 or 12?",
                Optional.empty(),
                Optional.empty());
        Query answered = new Query(
                new Id.Query(501),
                new Id.Group(22),
                LocalDate.of(2026, 11, 3),
                "which rivet?",
                Optional.empty(),
                Optional.of(new Query.Answer("-4", "Sheet 31 rev D", LocalDate.of(2026, 11, 4))));
        Build asked = build.withPapers(build.papers().with(open).with(answered), build.nextId() + 1);
        assertThat(derive(asked).findings(() -> false))
                .filteredOn(f -> f.rule().code().equals("query-open"))
                .extracting(f -> f.message().in(Unit.INCH))
                .containsExactly("T-2 waits for an answer: 10 or 12?");
    }

    @Test
    void the_sheets_over_a_point_are_told_from_the_near_side() {
        Face face = Plans.face(Plans.layers(8.5), List.of());
        assertThat(Derivation.covering(face, Point.in(8, 2)))
                .extracting(Layer::name)
                .containsExactly("Skin", "Doubler", "Flange");
        assertThat(Derivation.covering(face, Point.in(9, 2)))
                .extracting(Layer::name)
                .containsExactly("Skin", "Flange");
        assertThat(Derivation.covering(face, Point.in(9, 9))).isEmpty();
    }
}
