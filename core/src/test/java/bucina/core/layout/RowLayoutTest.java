package bucina.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class RowLayoutTest {

    private static final RuleSet RULES = CatalogueReader.shipped().rules();
    private static final Length THREE = Length.fraction(3, 32);

    private static RowLayout row(double first, double last, double pitch, Optional<Length> thinnest, boolean fixed) {
        return RowLayout.of(Length.in(first), Length.in(last), Length.in(pitch), THREE, thinnest, fixed, RULES);
    }

    @Test
    void whole_spaces_nearest_to_the_wish() {
        // 19.5 long at 1: 19.5 spaces, a tie goes to more: 20 spaces of .975.
        RowLayout row = row(.5, 20, 1, Optional.empty(), false);
        assertThat(row.spaces()).isEqualTo(20);
        assertThat(row.pitch()).isEqualTo(Length.in(.975));
        assertThat(row.stations()).hasSize(21);
        assertThat(row.stations().get(4).in()).isCloseTo(.5 + 4 * .975, within(1e-12));
        assertThat(row.stations().getLast()).isEqualTo(Length.in(20));
        assertThat(row.findings()).isEmpty();
    }

    @Test
    void a_row_may_run_backward() {
        RowLayout row = row(10, 2, 1.9, Optional.empty(), true);
        assertThat(row.spaces()).isEqualTo(4);
        assertThat(row.stations())
                .containsExactly(Length.in(10), Length.in(8), Length.in(6), Length.in(4), Length.in(2));
    }

    @Test
    void limits_of_the_pitch_are_inclusive() {
        // 3 D = .28125; 12 D = 1.125; 24 x .025 = .6 governs where the sheet is thin.
        assertThat(RowLayout.judge(Length.in(.28125), THREE, Optional.empty(), false, RULES))
                .isEmpty();
        assertThat(RowLayout.judge(Length.in(.2812), THREE, Optional.empty(), false, RULES))
                .extracting(Finding::level)
                .containsExactly(Level.ERROR);
        assertThat(RowLayout.judge(Length.in(1.125), THREE, Optional.empty(), false, RULES))
                .isEmpty();
        assertThat(RowLayout.judge(Length.in(1.126), THREE, Optional.empty(), false, RULES))
                .extracting(Finding::level)
                .containsExactly(Level.WARNING);
        assertThat(RowLayout.judge(Length.in(.6), THREE, Optional.of(Length.in(.025)), false, RULES))
                .isEmpty();
        assertThat(RowLayout.judge(Length.in(.61), THREE, Optional.of(Length.in(.025)), false, RULES))
                .extracting(f -> f.required().orElseThrow())
                .containsExactly(Length.in(.6));
    }

    @Test
    void a_row_the_drawing_fixes_is_only_noted() {
        assertThat(row(0, 20, 2, Optional.empty(), true).findings())
                .extracting(Finding::level)
                .containsExactly(Level.NOTE);
    }

    @Test
    void impossible_rows_are_refused() {
        assertThatThrownBy(() -> row(5, 5, 1, Optional.empty(), false))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("both at 5 in");
        assertThatThrownBy(() -> row(0, 5, -1, Optional.empty(), false)).hasMessageContaining("pitch must be over 0");
        assertThatThrownBy(() -> row(0, 900_000, .001, Optional.empty(), false)).hasMessageContaining("100000");
    }

    @Property
    void stations_go_evenly_from_first_to_last(
            @ForAll @DoubleRange(min = -50, max = 50) double first,
            @ForAll @DoubleRange(min = .3, max = 100) double length,
            @ForAll @DoubleRange(min = .2, max = 10) double pitch) {
        RowLayout row = row(first, first + length, pitch, Optional.empty(), false);
        assertThat(row.stations()).hasSize(row.spaces() + 1);
        assertThat(row.stations().getFirst()).isEqualTo(Length.in(first));
        for (int i = 1; i < row.stations().size(); i++) {
            assertThat(row.stations().get(i).minus(row.stations().get(i - 1)).in())
                    .isCloseTo(row.pitch().in(), within(1e-9));
        }
        // No other whole number of spaces comes nearer to the wish in spaces.
        assertThat(Math.abs(row.spaces() - length / pitch))
                .isLessThanOrEqualTo(Math.max(.5 + 1e-6, 1 - length / pitch));
        boolean good = row.findings().stream().noneMatch(f -> f.level() == Level.ERROR);
        assertThat(good).isEqualTo(row.pitch().atLeast(THREE.times(3)));
    }

    private static final List<Point> SHEET = List.of(Point.in(0, 0), Point.in(10, 0), Point.in(10, 4), Point.in(0, 4));

    @Test
    void the_trim_line_lies_the_least_edge_distance_outside_the_holes() {
        // Row at y .6 over the lower edge; 1/8 universal wants .25: the line is at .35, and .35 may be cut off.
        TrimLine trim = TrimLine.of(List.of(Point.in(1, .6), Point.in(5, .6), Point.in(9, .6)), SHEET, Length.in(.25));
        assertThat(trim.largest().in()).isCloseTo(.35, within(1e-12));
        assertThat(trim.line()).allSatisfy(p -> assertThat(p.up().in()).isCloseTo(.35, within(1e-12)));
        assertThat(trim.line().get(1).across().in()).isCloseTo(5, within(1e-12));
    }

    @Test
    void an_edge_too_near_already_has_a_negative_trim() {
        assertThat(TrimLine.of(List.of(Point.in(9.8, 1), Point.in(9.8, 3)), SHEET, Length.in(.25))
                        .largest()
                        .in())
                .isCloseTo(-.05, within(1e-12));
        assertThat(TrimLine.of(List.of(Point.in(5, 3.5)), SHEET, Length.in(.25)).line())
                .containsExactly(Point.in(5, 3.75));
        assertThatThrownBy(() -> TrimLine.of(List.of(Point.in(11, 1)), SHEET, Length.in(.25)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("11 in");
    }

    @Test
    void at_a_bend_of_the_row_the_line_keeps_its_distance() {
        List<Point> holes = List.of(Point.in(1, .5), Point.in(5, .7), Point.in(9, .5));
        TrimLine trim = TrimLine.of(holes, SHEET, Length.in(.25));
        assertThat(trim.largest().in()).isCloseTo(.25, within(1e-9));
        for (Point hole : holes) {
            for (int i = 1; i < trim.line().size(); i++) {
                assertThat(distance(hole, trim.line().get(i - 1), trim.line().get(i)))
                        .isGreaterThanOrEqualTo(.25 * 25.4e6 - 1);
            }
        }
    }

    private static double distance(Point p, Point a, Point b) {
        double dx = b.x() - a.x();
        double dy = b.y() - a.y();
        double t = Math.clamp(((p.x() - a.x()) * dx + (p.y() - a.y()) * dy) / (dx * dx + dy * dy), 0, 1);
        return Math.hypot(p.x() - a.x() - t * dx, p.y() - a.y() - t * dy);
    }

    /* Staggered .2 apart along and .3 across: a line square to the zigzag would pass through the holes behind. */
    @Test
    void no_trim_line_comes_nearer_to_any_hole_than_its_rule_however_tight_the_stagger() {
        Random random = new Random(7);
        List<Point> outline = List.of(Point.in(0, 0), Point.in(12, 0), Point.in(12, 6), Point.in(0, 6));
        for (int n = 0; n < 500; n++) {
            List<Point> holes = new ArrayList<>();
            double pitch = .05 + random.nextDouble();
            double stagger = n == 0 ? .3 : random.nextDouble() * 1.5;
            for (int i = 0; i < 9; i++) {
                holes.add(Point.in(1 + i * (n == 0 ? .2 : pitch), 1.5 + (i % 2) * stagger));
            }
            Length least = Length.in(.25);
            TrimLine trim = TrimLine.of(holes, outline, least);
            for (Point hole : holes) {
                for (int i = 0; i + 1 < trim.line().size(); i++) {
                    double away = new Segment(trim.line().get(i), trim.line().get(i + 1))
                            .distance(hole)
                            .in();
                    assertThat(away).as("line %d of case %d", i, n).isGreaterThanOrEqualTo(.25 - 1e-6);
                }
            }
        }
    }
}
