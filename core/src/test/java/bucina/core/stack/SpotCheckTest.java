package bucina.core.stack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Preparation;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Acceptance;
import bucina.core.plan.Build;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hold;
import bucina.core.plan.Hole;
import bucina.core.plan.HolePlan;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.plan.Zone;
import bucina.core.rivet.HeadStyle;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Checks of where a hole is, against distances worked out by hand. D is 1/8 for the universal rivet of {@link Plans},
 * 3/32 for the flush one.
 */
class SpotCheckTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();

    private static Row holes(long id, String name, double... xy) {
        List<Hole> list = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            list.add(new Hole(new Id.Hole(id + 1 + i), i / 2 + 1, Point.in(xy[i], xy[i + 1]), Optional.empty()));
        }
        return new Row(new Id.Row(id), name, list.size() + 1, list);
    }

    /*
     * The doubler lies between skin and flange and ends at y 1.4. Universal -4: hole .1285, radius .06425. At y 1.34
     * its
     * edge is .06 away and cuts the hole; at y 1.335 it is .065 away.
     */
    @Test
    void a_middle_sheet_whose_edge_runs_through_the_hole_is_an_error() {
        Face through = Plans.face(
                List.of(
                        Plans.layer(11, "Skin", .032, 0, 0, 20, 4),
                        Plans.layer(12, "Doubler", .063, 0, 1.4, 20, 2.6),
                        Plans.layer(13, "Flange", .040, 0, 1, 20, 2.5)),
                List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 3, 1.34, 6, 1.335)))));
        assertThat(findings(through))
                .filteredOn(f -> f.rule().code().equals("edge-through-hole"))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.place().hole()).isEqualTo("R1.1");
                    assertThat(f.place().layer()).isEqualTo("Doubler");
                    assertThat(f.level()).isEqualTo(Level.ERROR);
                    assertThat(f.measured().orElseThrow().in()).isCloseTo(.06, within(1e-9));
                    assertThat(f.required().orElseThrow().in()).isCloseTo(.06425, within(1e-9));
                });
    }

    private static Face face(Group... groups) {
        return Plans.face(Plans.layers(8.5), List.of(groups));
    }

    private static List<Finding> findings(Face face) {
        return Derivation.of(Plans.build(face), CATALOGUE).findings(() -> false).stream()
                .filter(f -> !f.rule().code().equals("pitch-most"))
                .toList();
    }

    private static Finding only(Face face, String rule) {
        return findings(face).stream()
                .filter(f -> f.rule().code().equals(rule))
                .findFirst()
                .orElseThrow(() -> new AssertionError(findings(face).toString()));
    }

    @Test
    void two_holes_of_a_row_nearer_than_three_diameters_are_an_error_at_both() {
        List<Finding> found = findings(
                face(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 10, 2, 10.37, 2, 11, 2)))));
        assertThat(found).extracting(x -> x.rule().code()).containsExactly("pitch-least", "pitch-least");
        assertThat(found.getFirst().measured().orElseThrow().in()).isCloseTo(.37, Assertions.within(1e-9));
        assertThat(found.getFirst().required()).contains(Length.in(.375));
        assertThat(found.getFirst().message().in(Unit.INCH)).startsWith("R1.1 is .370 in from R1.2; 3 D = .375 in");
        assertThat(findings(
                        face(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 10, 2, 10.375, 2))))))
                .isEmpty();
    }

    @Test
    void rivets_of_two_rows_keep_two_and_a_half_diameters_of_the_larger() {
        Group large = Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 10, 1.9)));
        Group small = Plans.group(21, "G-2", Plans.FLUSH, List.of(holes(2000, "R2", 10, 2.2)));
        Finding f = only(face(large, small), "gauge-least");
        assertThat(f.required()).contains(Length.in(.3125));
        assertThat(f.place().layer()).isEqualTo("R2.1");
        assertThat(f.level()).isEqualTo(Level.ERROR);
    }

    @Test
    void the_head_of_a_bolt_and_a_rivet_must_not_meet() {
        // A bolt's head reaches one diameter (.25), the universal head .125: .375 is the least; .36 is too near, though
        // it is no rivet's gauge.
        Group bolt = Plans.group(
                20,
                "G-1",
                new Fastener.Hardware("AN4-5A", Length.in(.25), Length.in(.25), false),
                List.of(holes(1000, "R1", 12, 2)));
        Group rivet = Plans.group(21, "G-2", Plans.UNIVERSAL, List.of(holes(2000, "R2", 12.36, 2)));
        Finding f = only(face(bolt, rivet), "head-interference");
        assertThat(f.required().orElseThrow().in()).isCloseTo(.375, Assertions.within(1e-9));
        Group far = Plans.group(21, "G-2", Plans.UNIVERSAL, List.of(holes(2000, "R2", 12.38, 2)));
        assertThat(findings(face(bolt, far))).extracting(x -> x.rule().code()).doesNotContain("head-interference");
    }

    @Test
    void a_head_keeps_its_radius_and_thirty_thousandths_from_a_bend_tangent() {
        // Universal -4: head .250 across. .125 + .030 = .155; the hole is .150 from the tangent.
        List<Layer> layers = new ArrayList<>(Plans.layers(8.5));
        Layer flange = layers.get(2);
        layers.set(
                2,
                new Layer(
                        flange.id(),
                        flange.part(),
                        flange.name(),
                        flange.thickness(),
                        flange.outline(),
                        List.of(new Segment(Point.in(0, 1.85), Point.in(20, 1.85)))));
        Finding f = only(
                Plans.face(layers, List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 10, 2))))),
                "bend-tangent");
        assertThat(f.measured().orElseThrow().in()).isCloseTo(.15, Assertions.within(1e-9));
        assertThat(f.required().orElseThrow().in()).isCloseTo(.155, Assertions.within(1e-9));
        assertThat(f.place().layer()).isEqualTo("Flange");
    }

    @Test
    void a_head_does_not_stand_on_the_edge_of_a_sheet_it_misses() {
        // A strap over the skin ends at 9.9; the head at 10 reaches .125 to 9.875.
        List<Layer> layers = new ArrayList<>(Plans.layers(8.5));
        layers.addFirst(Plans.layer(14, "Strap", .032, 5, 1, 9.9, 3));
        Finding f = only(
                Plans.face(layers, List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 10, 2))))),
                "head-on-edge");
        assertThat(f.place().layer()).isEqualTo("Strap");
        assertThat(f.required()).contains(Length.in(.125));
        List<Layer> between = new ArrayList<>(Plans.layers(8.5));
        between.add(1, Plans.layer(14, "Strap", .032, 5, 1, 9.9, 3));
        assertThat(findings(Plans.face(
                        between, List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 10, 2)))))))
                .isEmpty();
    }

    @Test
    void a_hole_keeps_out_of_a_keep_out_with_its_whole_width() {
        Zone zone = new Zone(
                new Id.Zone(90),
                "Nut plate",
                Zone.Kind.KEEP_OUT,
                Outline.rectangle(Point.in(10.06, 1), Point.in(11, 3)),
                Length.ZERO);
        Face face = face(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 10, 2))))
                .withZones(List.of(zone));
        assertThat(only(face, "keep-out").message().in(Unit.INCH)).isEqualTo("R1.1 lies in the keep-out Nut plate.");
        Face clear = face(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 9.9, 2))))
                .withZones(List.of(zone));
        assertThat(findings(clear)).isEmpty();
    }

    @Test
    void dies_of_another_angle_than_the_head_do_not_seat_it() {
        Group group = Plans.group(20, "G-1", Plans.FLUSH, List.of(holes(1000, "R1", 10, 2)));
        Group wrong = group.withHoles(new HolePlan(Optional.empty(), Hold.AUTO, "", Optional.of(120)));
        assertThat(only(face(wrong), "die-angle").message().in(Unit.INCH)).contains("100°", "120°");
        Group pulled = Plans.group(
                20,
                "G-1",
                new Fastener.PulledRivet("iso15978", Length.mm(3.2), false),
                List.of(holes(1000, "R1", 10, 2)));
        assertThat(findings(face(pulled.withHoles(new HolePlan(Optional.empty(), Hold.AUTO, "", Optional.of(120))))))
                .extracting(x -> x.rule().code())
                .doesNotContain("die-angle");
        assertThat(only(
                                face(pulled.withHoles(new HolePlan(Optional.empty(), Hold.AUTO, "", Optional.of(100)))),
                                "die-angle")
                        .level())
                .isEqualTo(Level.ERROR);
    }

    @Test
    void a_rivet_of_one_kind_in_a_row_of_another_is_pointed_at() {
        Row row = holes(1000, "R1", 10, 2, 11, 2);
        Hole odd = new Hole(
                row.holes().getLast().id(),
                2,
                row.holes().getLast().at(),
                Optional.of(new Deviation(
                        Optional.empty(),
                        Optional.of(new Fastener.SolidRivet(HeadStyle.FLUSH, "AD", 4)),
                        Optional.of(Preparation.AUTO),
                        "cowl rubs here")));
        Finding f = only(
                face(Plans.group(
                        20,
                        "G-1",
                        Plans.UNIVERSAL,
                        List.of(row.withHoles(List.of(row.holes().getFirst(), odd))))),
                "kind-in-row");
        assertThat(f.message().in(Unit.INCH))
                .isEqualTo("R1.2 takes MS20426AD4 in a row of MS20470AD4 (cowl rubs here).");
    }

    @Test
    void the_tail_of_a_pulled_rivet_keeps_its_radius_from_a_wall_behind_and_needs_its_room() {
        Fastener pulled = new Fastener.PulledRivet("iso15977", Length.mm(3.2), false);
        Zone wall = new Zone(
                new Id.Zone(90),
                "Web",
                Zone.Kind.BEHIND,
                Outline.rectangle(Point.in(10.09, 1), Point.in(10.13, 3)),
                Length.ZERO);
        Face face = face(Plans.group(20, "G-1", pulled, List.of(holes(1000, "R1", 10, 2))))
                .withZones(List.of(wall));
        Finding f = only(face, "tail-at-wall");
        assertThat(f.level()).isEqualTo(Level.WARNING);
        assertThat(f.required().orElseThrow().mm()).isCloseTo(2.4, Assertions.within(1e-9));
        // Grip .032 + .040 = 1.829 mm; 3.2 x 6 needs 6 - 1.829 + 3.5 = 7.671 mm behind; 7 mm are free: cut by .671.
        Zone hinge = new Zone(
                new Id.Zone(91),
                "Hinge",
                Zone.Kind.BEHIND,
                Outline.rectangle(Point.in(9, 1), Point.in(11, 3)),
                Length.mm(7));
        Face cut = face(Plans.group(20, "G-1", pulled, List.of(holes(1000, "R1", 10, 2))))
                .withZones(List.of(hinge));
        HoleReading r =
                Derivation.of(Plans.build(cut), CATALOGUE).face(cut.id()).reading(0);
        assertThat(r.solution().blind().orElseThrow().cutTo().orElseThrow().mm())
                .isCloseTo(6 - .6712, Assertions.within(1e-4));
        assertThat(only(cut, "length-cut").level()).isEqualTo(Level.WARNING);
    }

    @Test
    void a_flush_pulled_rivet_is_punched_under_size_and_cleared_after_dimpling() {
        Fastener flush = new Fastener.PulledRivet("iso15978", Length.mm(3.2), false);
        List<Layer> thin =
                List.of(Plans.layer(11, "Skin", .025, 0, 0, 20, 4), Plans.layer(12, "Flange", .040, 0, 1, 20, 3));
        HoleReading r = Derivation.of(
                        Plans.build(Plans.face(
                                thin, List.of(Plans.group(20, "G-1", flush, List.of(holes(1000, "R1", 10, 2)))))),
                        CATALOGUE)
                .face(new Id.Face(3))
                .reading(0);
        assertThat(r.solution().hole().mm()).isCloseTo(3.3, Assertions.within(1e-9));
        assertThat(r.solution().punchFirst(CATALOGUE.rules()).orElseThrow().mm())
                .isCloseTo(2.9, Assertions.within(1e-9));
        assertThat(r.solution().designation()).contains("ISO 15978 3.2 × 6");
    }

    @Test
    void a_finding_accepted_with_a_reason_stays_on_record_and_comes_back_when_it_gets_worse() {
        Face face = face(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 10, 1.72))));
        Build build = Plans.build(face);
        Derivation before = Derivation.of(build, CATALOGUE);
        Finding finding = before.findings(() -> false).getFirst();
        assertThat(finding.rule().code()).isEqualTo("edge-distance-least");
        Acceptance acceptance = new Acceptance(
                new Id.Acceptance(build.nextId()),
                new Id.Hole(1001),
                finding.rule(),
                finding.place().layer(),
                finding.measured(),
                finding.required(),
                "drawing shows it so",
                "M. Oake",
                LocalDate.of(2026, 11, 1));
        Build accepted = build.withPapers(build.papers().with(acceptance), build.nextId() + 1);
        Derivation after = before.after(accepted);
        assertThat(after.face(face.id()).reading(0).worst()).isEmpty();
        assertThat(after.findings(() -> false).getFirst().accepted())
                .contains("drawing shows it so (M. Oake, 2026-11-01)");
        Build worse = accepted.with(
                face(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 10, 1.71)))), accepted.nextId());
        assertThat(after.after(worse).face(face.id()).reading(0).worst()).contains(Level.ERROR);
        Build better = accepted.with(
                face(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 10, 1.73)))), accepted.nextId());
        assertThat(after.after(better).face(face.id()).reading(0).worst()).isEmpty();
    }

    /*
     * A strap behind the flange ends at 9.9, .100 from the hole at 10. On its side stands the shop head, 1.5 D across:
     * radius .09375, clear of the edge; with the heads turned over the universal head, radius .125, stands on it.
     */
    @Test
    void which_head_stands_on_the_edge_of_a_strap_behind_goes_by_the_side_of_the_heads() {
        List<Layer> layers = new ArrayList<>(Plans.layers(8.5));
        layers.add(Plans.layer(14, "Strap", .032, 5, 1, 9.9, 3));
        Group near = Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 10, 2)));

        assertThat(findings(Plans.face(layers, List.of(near))))
                .extracting(x -> x.rule().code())
                .doesNotContain("head-on-edge");
        Finding f = only(Plans.face(layers, List.of(near.withHeadFar(true))), "head-on-edge");
        assertThat(f.place().layer()).isEqualTo("Strap");
        assertThat(f.measured().orElseThrow().in()).isCloseTo(.1, within(1e-9));
        assertThat(f.required()).contains(Length.in(.125));
    }

    @Test
    void a_hole_in_the_middle_of_a_keep_out_is_found_too_far_from_its_edge_though_it_is() {
        Zone zone = new Zone(
                new Id.Zone(90),
                "Nut plate",
                Zone.Kind.KEEP_OUT,
                Outline.rectangle(Point.in(9, 1), Point.in(11, 3)),
                Length.ZERO);
        Face face = face(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(holes(1000, "R1", 10, 2))))
                .withZones(List.of(zone));
        assertThat(only(face, "keep-out").place().layer()).isEqualTo("Nut plate");
    }

    @ParameterizedTest
    @MethodSource
    void only_more_than_another_diameter_makes_another_kind(Fastener row, Fastener hole, boolean another) {
        Row plain = holes(1000, "R1", 10, 2);
        Hole odd = new Hole(
                plain.holes().getFirst().id(),
                1,
                plain.holes().getFirst().at(),
                Optional.of(new Deviation(Optional.empty(), Optional.of(hole), Optional.empty(), "opened up")));
        Face face = face(Plans.group(20, "G-1", row, List.of(plain.withHoles(List.of(odd)))));
        assertThat(findings(face).stream().anyMatch(f -> f.rule().code().equals("kind-in-row")))
                .isEqualTo(another);
    }

    static Stream<Arguments> only_more_than_another_diameter_makes_another_kind() {
        Fastener pulled = new Fastener.PulledRivet("iso15977", Length.mm(3.2), false);
        Fastener bolt = new Fastener.Hardware("AN4-5A", Length.in(.25), Length.in(.25), false);
        return Stream.of(
                Arguments.of(Plans.UNIVERSAL, new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 5), false),
                Arguments.of(Plans.UNIVERSAL, new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "A", 4), true),
                Arguments.of(Plans.UNIVERSAL, new Fastener.SolidRivet(HeadStyle.FLUSH, "AD", 4), true),
                Arguments.of(pulled, new Fastener.PulledRivet("iso15977", Length.mm(4), false), false),
                Arguments.of(pulled, new Fastener.PulledRivet("iso15978", Length.mm(3.2), false), true),
                Arguments.of(pulled, new Fastener.PulledRivet("iso15977", Length.mm(3.2), true), true),
                Arguments.of(Plans.UNIVERSAL, pulled, true),
                Arguments.of(bolt, new Fastener.Hardware("AN5-5A", Length.in(.3125), Length.in(.3125), false), false));
    }
}
