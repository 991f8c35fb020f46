package bucina.core.refit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.Locker;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.FitReading;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.rule.RuleKey;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Segment;
import bucina.core.stack.Derivation;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OtherWaysTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Instant AT = Instant.parse("2026-11-25T10:00:00Z");

    private static Layer sheet(long part, Outline outline, Segment... bends) {
        return new Layer(
                new Id.Layer(100 + part), new Id.Part(part), "Sheet " + part, Length.in(.040), outline, List.of(bends));
    }

    private static Row row(long id, List<Point> at) {
        List<Hole> holes = new ArrayList<>();
        for (int i = 0; i < at.size(); i++) {
            holes.add(new Hole(new Id.Hole(id + 1 + i), i + 1, at.get(i), Optional.empty()));
        }
        return new Row(new Id.Row(id), "R" + id, at.size() + 1, holes);
    }

    /** Parts 1 and on, a sheet each, all on one face with one row of holes. */
    private static List<OtherWays> of(List<Layer> sheets, Point... holes) {
        Face face = new Face(
                new Id.Face(50),
                "Top",
                "from above, outside",
                "outboard",
                "forward",
                sheets,
                List.of(Plans.group(60, "G-1", Plans.UNIVERSAL, List.of(row(1000, List.of(holes))))));
        List<Part> parts = sheets.stream()
                .map(l -> new Part(l.part(), "Part " + l.part().n(), Material.parse("2024-T3"), 1, true))
                .distinct()
                .toList();
        Build build = new Build(
                        "Test",
                        "Dunlin",
                        CATALOGUE.rules(),
                        100_000,
                        parts,
                        List.of(new Assembly(new Id.Assembly(40), "A", Hand.LEFT, Unit.INCH, List.of(), List.of(face))),
                        Map.of())
                .checked();
        return OtherWays.of(Derivation.of(build, CATALOGUE), build.assemblies().getFirst());
    }

    private static Point p(double x, double y) {
        return Point.in(x, y);
    }

    private static List<String> ways(Outline outline, Point... holes) {
        return of(List.of(sheet(1, outline)), holes).stream()
                .flatMap(o -> o.ways().stream())
                .toList();
    }

    @Test
    void a_rectangle_goes_on_three_other_ways_if_its_holes_do_and_fewer_if_they_do_not() {
        Outline plate = Outline.rectangle(p(0, 0), p(6, 2));
        assertThat(ways(plate, p(1, .5), p(5, .5), p(1, 1.5), p(5, 1.5)))
                .containsExactlyInAnyOrder("turned end for end", "turned over end for end", "turned over sideways");
        assertThat(ways(plate, p(1, .5), p(5, 1.5))).containsExactly("turned end for end");
        assertThat(ways(plate, p(1, .5), p(5, .5))).containsExactly("turned over end for end");
        assertThat(ways(plate, p(1, .5), p(1, 1.5))).containsExactly("turned over sideways");
        assertThat(ways(plate, p(1, .5), p(5, 1.4))).isEmpty();
        assertThat(ways(plate)).isEmpty();
    }

    @Test
    void a_square_goes_on_seven_other_ways_and_a_disc_as_often_as_its_holes() {
        Outline square = Outline.rectangle(p(0, 0), p(4, 4));
        assertThat(ways(square, p(1, 1), p(3, 1), p(3, 3), p(1, 3)))
                .containsExactlyInAnyOrder(
                        "turned by 90°",
                        "turned end for end",
                        "turned by 270°",
                        "turned over sideways",
                        "turned over about a line at 45°",
                        "turned over end for end",
                        "turned over about a line at 135°");
        Outline disc = Outline.of(Ring.circle(p(5, 5), Length.in(3)));
        Point[] five = new Point[5];
        for (int i = 0; i < 5; i++) {
            five[i] = p(5 + 2 * Math.cos(Math.PI * 2 * i / 5), 5 + 2 * Math.sin(Math.PI * 2 * i / 5));
        }
        assertThat(ways(disc, five)).hasSize(9).contains("turned by 72°", "turned by 288°");
        assertThat(ways(disc, p(5, 7), p(6, 5))).isEmpty();
        assertThat(ways(disc, p(5, 7), p(5, 3))).hasSize(3);
    }

    @Test
    void an_arc_or_an_opening_that_does_not_come_over_its_like_keeps_a_part_to_one_way() {
        Outline rounded = Outline.of(
                new Ring(List.of(Corner.of(p(0, 0)), new Corner(p(6, 0), .4), Corner.of(p(6, 2)), Corner.of(p(0, 2)))));
        assertThat(ways(rounded, p(1, .5), p(5, .5), p(1, 1.5), p(5, 1.5))).containsExactly("turned over sideways");
        Outline both = Outline.of(new Ring(
                List.of(Corner.of(p(0, 0)), new Corner(p(6, 0), .4), Corner.of(p(6, 2)), new Corner(p(0, 2), .4))));
        assertThat(ways(both, p(1, .5), p(5, .5), p(1, 1.5), p(5, 1.5))).hasSize(3);
        Outline in = Outline.of(new Ring(
                List.of(Corner.of(p(0, 0)), new Corner(p(6, 0), .4), Corner.of(p(6, 2)), new Corner(p(0, 2), -.2))));
        assertThat(ways(in, p(1, .5), p(5, .5), p(1, 1.5), p(5, 1.5))).containsExactly("turned over sideways");
        Outline opened =
                new Outline(Outline.rectangle(p(0, 0), p(6, 2)).outer(), List.of(Ring.circle(p(2, 1), Length.in(.5))));
        assertThat(ways(opened, p(1, .5), p(5, .5), p(1, 1.5), p(5, 1.5))).containsExactly("turned over sideways");
    }

    /** The limit is .03 in, inclusive; a hole of another size meets none. */
    @ParameterizedTest
    @CsvSource({"0, 1", ".02, 1", ".0299, 1", ".0302, 0"})
    void holes_a_little_out_still_let_a_part_go_on_wrongly(double off, int ways) {
        List<OtherWays> found = of(List.of(sheet(1, Outline.rectangle(p(0, 0), p(6, 2)))), p(1, .5), p(5, 1.5 + off));
        assertThat(found).hasSize(ways);
        if (ways == 1) {
            assertThat(found.getFirst().out().in()).isCloseTo(off, within(1e-6));
            assertThat(found.getFirst().sentence().in(Unit.INCH))
                    .contains(off == 0 ? "every hole meets another" : "holes are out by");
            assertThat(found.getFirst().mark())
                    .isEqualTo("\"Part 1\" and an arrow outboard, on the side seen from above");
        }
    }

    @Test
    void a_bent_part_is_not_turned_over_and_its_bend_must_come_over_its_bend() {
        Outline plate = Outline.rectangle(p(0, 0), p(6, 2));
        Point[] holes = {p(1, .5), p(5, .5), p(1, 1.5), p(5, 1.5)};
        Segment one = new Segment(p(0, .1), p(6, .1));
        Segment two = new Segment(p(0, 1.9), p(6, 1.9));
        assertThat(of(List.of(sheet(1, plate, one)), holes)).isEmpty();
        assertThat(of(List.of(sheet(1, plate, one, two)), holes).getFirst().ways())
                .containsExactly("turned end for end");
    }

    @Test
    void two_parts_alike_change_places_and_a_part_and_its_mirror_do_not() {
        Outline a = Outline.of(Ring.polygon(List.of(p(0, 0), p(3, 0), p(0, 1))));
        Outline b = Outline.of(Ring.polygon(List.of(p(10, 0), p(13, 0), p(10, 1))));
        Outline mirrored = Outline.of(Ring.polygon(List.of(p(13, 0), p(10, 0), p(13, 1))));
        List<OtherWays> alike = of(List.of(sheet(1, a), sheet(2, b)), p(.5, .3), p(1.5, .2), p(10.5, .3), p(11.5, .2));
        assertThat(alike)
                .extracting(o -> o.part().name() + " " + o.ways())
                .containsExactly("Part 1 [in the place of Part 2]", "Part 2 [in the place of Part 1]");
        assertThat(of(List.of(sheet(1, a), sheet(2, mirrored)), p(.5, .3), p(1.5, .2), p(12.5, .3), p(11.5, .2)))
                .isEmpty();
    }

    /** Random polygons with random holes lie on themselves moved anyhow, and in no other way. */
    @Test
    void a_shape_moved_anyhow_is_found_again_and_only_so() {
        Random random = new Random(11);
        for (int i = 0; i < 500; i++) {
            int n = 5 + random.nextInt(5);
            List<Corner> corners = new ArrayList<>();
            for (int k = 0; k < n; k++) {
                double r = 3 + 4 * random.nextDouble();
                double a = 2 * Math.PI * k / n;
                corners.add(new Corner(
                        p(r * Math.cos(a), r * Math.sin(a)), random.nextInt(3) == 0 ? random.nextDouble() - .5 : 0));
            }
            boolean over = random.nextBoolean();
            double turn = random.nextDouble() * 7;
            Isometry by = new Isometry(
                    Math.cos(turn), Math.sin(turn), over, random.nextInt(2_000_000_000), random.nextInt(2_000_000_000));
            List<Corner> moved = new ArrayList<>(corners.stream()
                    .map(c -> new Corner(by.of(c.at()), over ? -c.bulge() : c.bulge()))
                    .toList());
            Collections.rotate(moved, random.nextInt(n));
            SheetShape one = new SheetShape(sheet(1, Outline.of(new Ring(corners))), List.of());
            SheetShape two = new SheetShape(sheet(2, Outline.of(new Ring(moved))), List.of());
            List<SheetShape.Onto> onto = one.onto(two, Length.in(.0005));
            assertThat(onto).hasSize(1);
            assertThat(onto.getFirst().by().over()).isEqualTo(over);
            assertThat(onto.getFirst().by().of(p(1, 2)).to(by.of(p(1, 2))).in()).isCloseTo(0, within(1e-4));
            assertThat(one.onto(one, Length.in(.0005))).hasSize(1).allMatch(o -> one.still(o.by(), Length.in(.0005)));
        }
    }

    @Test
    void ribs_of_an_even_section_go_in_upside_down_but_not_those_whose_holes_differ() {
        Build build = Dunlin.build(CATALOGUE.rules());
        List<OtherWays> found =
                OtherWays.of(Derivation.of(build, CATALOGUE), build.assemblies().getFirst());
        List<String> names = found.stream().map(o -> o.part().name()).toList();
        assertThat(names).contains("Nose rib 1", "Main rib 9", "Hinge plate", "Access ring");
        // One hole of main rib 4 is a -4 on the upper side; nose rib 8 is short there; spars and skins taper.
        assertThat(names)
                .doesNotContain("Main rib 4", "Nose rib 8", "Main spar", "Upper skin", "Lower skin", "Root cuff");
        // 20 rivets from 9 degrees on and 8 screws from 22.5: alike every quarter turn, and as often turned over.
        assertThat(found.stream()
                        .filter(o -> o.part().name().equals("Access ring"))
                        .findFirst()
                        .orElseThrow()
                        .ways())
                .hasSize(7);
    }

    private static FitCheck check(Build build, String face, FitReading.Kind kind) {
        return FitCheck.of(build.assemblies().getFirst()).stream()
                .filter(c -> c.face().name().equals(face) && c.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    private static FitReading reading(FitCheck check, boolean after, double... values) {
        return new FitReading(
                new Id.Fit(9),
                check.face().id(),
                check.kind(),
                after,
                Arrays.stream(values)
                        .map(v -> check.kind().angle() ? v : Length.in(v).nanometres())
                        .boxed()
                        .toList(),
                AT);
    }

    /**
     * The upper skin by hand: corners (0,-9) (58,-6) (58,14) (0,21): 0,-9 to 58,14 is the root of 58² + 23² = 62.3939;
     * 0,21 to 58,-6 of 58²
     * + 27² = 63.9766. */
    @Test
    void diagonals_are_judged_against_those_of_the_plan_not_against_each_other() {
        Build build = Dunlin.build(CATALOGUE.rules());
        FitCheck square = check(build, "Upper skin", FitReading.Kind.SQUARE);
        assertThat(Length.nm(square.expected().get(0)).in()).isCloseTo(Math.sqrt(58 * 58 + 23 * 23), within(1e-6));
        assertThat(Length.nm(square.expected().get(1)).in()).isCloseTo(Math.sqrt(58 * 58 + 27 * 27), within(1e-6));
        assertThat(square.verdict(reading(square, false, 62.39, 63.97), build.rules())
                        .good())
                .isTrue();
        FitCheck.Verdict out = square.verdict(reading(square, false, 62.46, 63.94), build.rules());
        assertThat(out.good()).isFalse();
        assertThat(out.words().in(Unit.INCH))
                .startsWith(".1026 in out of square, .060 in at most. The first diagonal is long");
        assertThat(square.verdict(reading(square, false, 60, 63.94), build.rules())
                        .words()
                        .in(Unit.INCH))
                .contains("measure corner to corner");
        assertThat(square.change(
                                reading(square, false, 62.39, 63.97),
                                reading(square, true, 62.41, 63.97),
                                build.rules())
                        .good())
                .isTrue();
        assertThat(square.change(
                                reading(square, false, 62.39, 63.97),
                                reading(square, true, 62.43, 63.97),
                                build.rules())
                        .words()
                        .in(Unit.INCH))
                .startsWith("Changed by .040 in, .030 in at most. Look for a part");
    }

    @Test
    void limits_of_twist_level_and_straightness_are_inclusive_and_follow_the_rules() {
        Build build = Dunlin.build(CATALOGUE.rules());
        FitCheck twist = check(build, "Upper skin", FitReading.Kind.TWIST);
        assertThat(twist.verdict(reading(twist, false, .1, .3), build.rules()).good())
                .isTrue();
        assertThat(twist.verdict(reading(twist, false, -.1, .11), build.rules()).good())
                .isFalse();
        assertThat(twist.change(reading(twist, false, .1, .3), reading(twist, true, .5, .6), build.rules())
                        .good())
                .isTrue();
        assertThat(twist.change(reading(twist, false, .1, .3), reading(twist, true, .5, .58), build.rules())
                        .good())
                .isFalse();
        FitCheck straight = check(build, "Main spar web", FitReading.Kind.STRAIGHT);
        assertThat(straight.verdict(reading(straight, false, .03), build.rules())
                        .good())
                .isTrue();
        assertThat(straight.verdict(reading(straight, false, .0301), build.rules())
                        .good())
                .isFalse();
        assertThat(straight.verdict(
                                reading(straight, false, .05),
                                build.rules().with(RuleKey.FIT_STRAIGHT, "1/16 in", "sheet 32 note 2"))
                        .good())
                .isTrue();
        FitCheck level = check(build, "Upper skin", FitReading.Kind.LEVEL);
        assertThat(level.verdict(reading(level, false, -.25), build.rules())
                        .words()
                        .in(Unit.MM))
                .startsWith("0.25° out of level, 0.20° at most.");
    }

    @Test
    void a_square_face_in_millimetres_has_equal_diagonals() {
        Build build = Locker.build(CATALOGUE.rules());
        FitCheck lid = check(build, "Lid", FitReading.Kind.SQUARE);
        assertThat(lid.expected().get(0)).isCloseTo(lid.expected().get(1), within(1.0));
    }
}
