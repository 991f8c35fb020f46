package bucina.core.bend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.rule.Finding;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class BracketTest {

    private static final Bracket.Sheet SHEET =
            new Bracket.Sheet(Length.in(.040), Length.in(.125), new NeutralLine.Factor(0.446));
    private static final RuleSet RULES = CatalogueReader.shippedRules();

    private static Bracket.Flange flange(int side, double height, double turn) {
        return new Bracket.Flange(side, Length.in(height), Angle.degrees(turn));
    }

    private static Bracket box(List<Bracket.Hole> holes) {
        return new Bracket(
                Bracket.rectangle(Length.in(3), Length.in(2)),
                SHEET,
                List.of(flange(0, .75, 90), flange(1, .75, 90), flange(2, .75, 90), flange(3, .75, 90)),
                holes,
                Optional.empty(),
                Bracket.Grain.UNKNOWN);
    }

    private static Bracket.Hole onFlange(int flange, double along, double up) {
        return new Bracket.Hole(Optional.of(flange), Length.in(along), Length.in(up), Length.in(.098));
    }

    @Test
    void a_tray_comes_from_a_blank_that_is_the_mould_lines_less_two_deductions() {
        BracketFlat flat = BracketFlat.of(box(List.of()));
        // SB .165, BA .2243725, BD .1056275: 3 + 2 × .75 − 2 × .1056275 = 4.288745 by 3.288745.
        assertThat(flat.blank().get(0).in()).isCloseTo(4.288745, within(1e-6));
        assertThat(flat.blank().get(1).in()).isCloseTo(3.288745, within(1e-6));
    }

    @Test
    void relief_holes_stand_where_the_inside_tangents_meet_as_wide_as_two_radii() {
        BracketFlat flat = BracketFlat.of(box(List.of()));
        assertThat(flat.reliefs())
                .hasSize(4)
                .allSatisfy(r -> assertThat(r.diameter().in()).isCloseTo(.25, within(1e-12)));
        assertThat(flat.reliefs().getFirst().at().across().in()).isCloseTo(.165, within(1e-9));
        assertThat(flat.reliefs().getFirst().at().up().in()).isCloseTo(.165, within(1e-9));
        // 2.67 × 1.67 + 2 × (2.67 + 1.67) × .809372 = 11.484249, less 4 × 3/4 of a hole of .25: .147262. Left:
        // 11.336987.
        assertThat(flat.area()).isCloseTo(11.336987, within(2e-5));
    }

    @Test
    void a_tight_radius_still_gets_a_hole_of_an_eighth() {
        Bracket.Sheet tight = new Bracket.Sheet(Length.in(.032), Length.in(.032), new NeutralLine.Factor(0.4));
        Bracket bracket = new Bracket(
                Bracket.rectangle(Length.in(2), Length.in(2)),
                tight,
                List.of(flange(0, .5, 90), flange(1, .5, 90)),
                List.of(),
                Optional.empty(),
                Bracket.Grain.UNKNOWN);
        assertThat(BracketFlat.of(bracket).reliefs())
                .singleElement()
                .satisfies(r -> assertThat(r.diameter().in()).isCloseTo(.125, within(1e-12)));
    }

    @Test
    void a_hole_up_a_flange_moves_in_by_the_deduction() {
        BracketFlat flat = BracketFlat.of(box(List.of(onFlange(0, 1.5, .5))));
        // .5 up less BD .105628 = .394372 below the mould line of the lower side.
        assertThat(flat.holes().getFirst().across().in()).isCloseTo(1.5, within(1e-9));
        assertThat(flat.holes().getFirst().up().in()).isCloseTo(-.394372, within(1e-6));
    }

    @Test
    void random_holes_on_random_brackets_come_back_where_they_were() {
        Random random = new Random(4);
        for (int i = 0; i < 500; i++) {
            int sides = 3 + random.nextInt(4);
            List<Point> corners = new ArrayList<>();
            for (int k = 0; k < sides; k++) {
                double a = 2 * Math.PI * (k + 0.3 * random.nextDouble()) / sides;
                corners.add(Point.in(4 * Math.cos(a), 4 * Math.sin(a)));
            }
            int side = random.nextInt(sides);
            double turn = (random.nextBoolean() ? 1 : -1) * (30 + random.nextInt(110));
            Bracket.Flange flange = flange(side, 1.6, turn);
            Length up = Length.in(1.2 + random.nextDouble() * 0.3);
            Length along = corners.get(side).to(corners.get((side + 1) % sides)).times(0.4 + 0.2 * random.nextDouble());
            Bracket.Hole hole = new Bracket.Hole(Optional.of(0), along, up, Length.in(.098));
            Bracket bracket = new Bracket(
                    corners, SHEET, List.of(flange), List.of(hole), Optional.empty(), Bracket.Grain.UNKNOWN);
            BracketFlat flat = BracketFlat.of(bracket);
            Bracket.Hole back = flat.fold(flat.holes().getFirst(), Length.in(.098));
            assertThat(back.flange()).contains(0);
            assertThat(back.along().in()).isCloseTo(along.in(), within(1e-9));
            assertThat(back.up().in()).isCloseTo(up.in(), within(1e-9));
        }
    }

    private static List<Finding> findings(Bracket bracket) {
        return BracketCheck.of(
                BracketFlat.of(bracket),
                RULES,
                d -> new BracketCheck.HeadSize(Length.fraction(3, 32), Length.in(.0935)));
    }

    @Test
    void a_hole_too_near_a_tangent_says_how_far_to_move_it() {
        // Head radius .0935 + .03 = .1235 needed; .26 up is .095 above the tangent at .165.
        assertThat(findings(box(List.of(onFlange(0, 1.5, .26)))))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.rule().code()).isEqualTo("hole-near-tangent");
                    assertThat(f.measured().orElseThrow().in()).isCloseTo(.095, within(1e-9));
                    assertThat(f.required().orElseThrow().in()).isCloseTo(.1235, within(1e-9));
                });
        assertThat(findings(box(List.of(onFlange(0, 1.5, .45))))).isEmpty();
    }

    @Test
    void a_hole_near_the_free_edge_is_found_too() {
        // .60 up leaves .15 to the edge at .75, .1875 is 2 D.
        assertThat(findings(box(List.of(onFlange(2, 1.5, .60)))))
                .extracting(x -> x.rule().code())
                .containsExactly("edge-distance-least");
    }

    @Test
    void bends_along_the_grain_are_warned_of() {
        Bracket across = new Bracket(
                Bracket.rectangle(Length.in(3), Length.in(2)),
                SHEET,
                List.of(flange(0, .75, 90), flange(1, .75, 90)),
                List.of(),
                Optional.empty(),
                Bracket.Grain.ACROSS);
        assertThat(findings(across))
                .singleElement()
                .satisfies(f -> assertThat(f.message().pattern()).contains("side 1"));
    }

    @Test
    void what_cannot_be_bent_is_refused_by_side_and_figure() {
        assertThatThrownBy(() -> BracketFlat.of(new Bracket(
                        Bracket.rectangle(Length.in(3), Length.in(2)),
                        SHEET,
                        List.of(flange(0, .15, 90)),
                        List.of(),
                        Optional.empty(),
                        Bracket.Grain.UNKNOWN)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("side 1 is .15 in high, too short by .015 in");
        assertThatThrownBy(() -> BracketFlat.of(new Bracket(
                        Bracket.rectangle(Length.in(.3), Length.in(2)),
                        SHEET,
                        List.of(flange(0, .75, 90), flange(1, .75, 90), flange(3, .75, 90)),
                        List.of(),
                        Optional.empty(),
                        Bracket.Grain.UNKNOWN)))
                .hasMessageContaining("Side 1 of the base is .3 in");
        assertThatThrownBy(() -> BracketFlat.of(box(List.of(onFlange(0, 1.5, .1)))))
                .hasMessageContaining("lies in the bend, .065 in below the tangent");
        Bracket small = new Bracket(
                Bracket.rectangle(Length.in(3), Length.in(2)),
                SHEET,
                List.of(flange(0, .75, 90), flange(1, .75, 90)),
                List.of(),
                Optional.of(Length.in(.125)),
                Bracket.Grain.UNKNOWN);
        assertThatThrownBy(() -> BracketFlat.of(small)).hasMessageContaining("A relief hole of .125 in is too small");
        assertThatThrownBy(() -> new Bracket(
                        Bracket.rectangle(Length.in(3), Length.in(2)).reversed(),
                        SHEET,
                        List.of(flange(0, .75, 90)),
                        List.of(),
                        Optional.empty(),
                        Bracket.Grain.UNKNOWN))
                .hasMessageContaining("counter-clockwise");
    }

    @Test
    void a_corner_that_points_inward_takes_no_two_flanges() {
        List<Point> ell =
                List.of(Point.in(0, 0), Point.in(4, 0), Point.in(4, 2), Point.in(2, 2), Point.in(2, 4), Point.in(0, 4));
        Bracket both = new Bracket(
                ell,
                SHEET,
                List.of(flange(2, .75, 90), flange(3, .75, 90)),
                List.of(),
                Optional.empty(),
                Bracket.Grain.UNKNOWN);
        assertThatThrownBy(() -> BracketFlat.of(both)).hasMessageContaining("Corner 4 of the base points inward");
    }

    @Test
    void places_in_a_bend_or_off_the_sheet_fold_nowhere() {
        BracketFlat flat = BracketFlat.of(box(List.of()));
        assertThatThrownBy(() -> flat.fold(Point.in(1.5, .1), Length.in(.1)))
                .hasMessageContaining("lies in the bend of side 1");
        assertThatThrownBy(() -> flat.fold(Point.in(-5, 0), Length.in(.1))).hasMessageContaining("off the flat");
        assertThat(flat.fold(Point.in(1.5, 1), Length.in(.1)).flange()).isEmpty();
    }
}
