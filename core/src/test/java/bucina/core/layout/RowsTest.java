package bucina.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class RowsTest {

    private static final RuleSet RULES = CatalogueReader.shipped().rules();

    private static Rows.Spacing pitch(double inches) {
        return Rows.Spacing.pitch(Length.in(inches));
    }

    @Test
    void whole_spaces_nearest_the_wished_pitch_and_a_count_as_asked() {
        assertThat(Rows.line(Point.in(.5, 0), Point.in(20, 0), pitch(1))).hasSize(21);
        assertThat(Rows.line(Point.in(0, 0), Point.in(3, 4), Rows.Spacing.count(6))
                        .get(1)
                        .across()
                        .in())
                .isCloseTo(.6, within(1e-9));
        assertThatThrownBy(() -> Rows.line(Point.in(1, 1), Point.in(1, 1), pitch(1)))
                .isInstanceOf(InputException.class);
        assertThatThrownBy(() -> Rows.Spacing.count(1)).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> Rows.line(Point.in(0, 0), Point.in(1, 0), pitch(1e-6)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("larger pitch");
    }

    @Test
    void a_row_is_parted_at_a_keep_out_with_a_hole_at_either_side_of_it() {
        Outline nutPlate = Outline.rectangle(Point.in(4, -1), Point.in(6, 1));
        List<Point> points = Rows.around(Point.in(0, 0), Point.in(10, 0), pitch(1), List.of(nutPlate), Length.in(.25));
        assertThat(points)
                .extracting(p -> Math.round(p.across().in() * 1e4) / 1e4)
                .contains(0.0, 3.75, 6.25, 10.0)
                .noneMatch(x -> x > 3.751 && x < 6.249);
        assertThatThrownBy(() ->
                        Rows.around(Point.in(4.5, 0), Point.in(5.5, 0), pitch(1), List.of(nutPlate), Length.in(.25)))
                .hasMessageContaining("keep-out");
    }

    @Test
    void rows_beside_each_other_stagger_share_stations_and_cross_station_lines() {
        List<Point> row = Rows.line(Point.in(0, 0), Point.in(10, 0), pitch(1));
        assertThat(Rows.staggered(row, Length.in(.75))).hasSize(10).first().isEqualTo(Point.in(.5, .75));
        assertThat(Rows.beside(row, Length.in(.75)).get(3)).isEqualTo(Point.in(3, .75));
        assertThat(Rows.shared(
                        List.of(Length.in(1), Length.in(5), Length.in(99)),
                        new Segment(Point.in(0, 2), Point.in(10, 3))))
                .extracting(p -> Math.round(p.up().in() * 1e6) / 1e6)
                .containsExactly(2.1, 2.5);
    }

    @Test
    void a_bolt_circle_and_a_rectangle_close_on_themselves() {
        List<Point> circle = Rows.circle(Point.in(1, 1), Length.in(3), 8, 0);
        assertThat(circle)
                .hasSize(8)
                .allSatisfy(p -> assertThat(p.to(Point.in(1, 1)).in()).isCloseTo(1.5, within(1e-6)));
        assertThat(circle.get(2).up().in()).isCloseTo(2.5, within(1e-6));
        assertThat(Rows.rectangle(Point.in(0, 0), Point.in(6, 4), pitch(1)))
                .hasSize(20)
                .contains(Point.in(0, 0), Point.in(6, 0), Point.in(6, 4), Point.in(0, 4));
        assertThatThrownBy(() -> Rows.circle(Point.in(0, 0), Length.ZERO, 8, 0)).isInstanceOf(InputException.class);
    }

    @Test
    void running_dimensions_start_at_the_first_hole() {
        assertThat(Rows.running(List.of(Point.in(2, 1), Point.in(3, 1), Point.in(3, 3))))
                .extracting(Length::in)
                .containsExactly(0.0, 1.0, 3.0);
    }

    /** Whatever is asked for: a layout called good breaks neither the pitch nor the edge rule. */
    @Property(tries = 500)
    void a_layout_called_good_breaks_no_rule(
            @ForAll @DoubleRange(min = .05, max = 6) double from,
            @ForAll @DoubleRange(min = 6.5, max = 19.95) double to,
            @ForAll @DoubleRange(min = .05, max = 4) double wished,
            @ForAll @DoubleRange(min = .05, max = 1.95) double y) {
        Length shank = Length.fraction(3, 32);
        EdgeRule edge = EdgeRule.of(RULES, shank, true);
        Outline sheet = Outline.rectangle(Point.in(0, 0), Point.in(20, 2));
        Rows rows = Rows.judged(
                Rows.around(
                        Point.in(from, y),
                        Point.in(to, y),
                        pitch(wished),
                        List.of(Outline.rectangle(Point.in(9, 0), Point.in(10, 2))),
                        Length.in(.1)),
                edge,
                Optional.of(Length.in(.04)),
                List.of(sheet),
                RULES);
        boolean breaks = false;
        for (int i = 0; i < rows.points().size(); i++) {
            Point p = rows.points().get(i);
            double e =
                    Math.min(Math.min(p.across().in(), 20 - p.across().in()), Math.min(p.up().in(), 2 - p.up().in()));
            breaks |= e < 2.5 * 3 / 32 - 1e-9;
            if (i > 0) {
                double d = rows.points().get(i - 1).to(p).in();
                breaks |= d < 9.0 / 32 - 1e-9 || d > .96 + 1e-9;
            }
        }
        assertThat(rows.good()).isEqualTo(!breaks);
    }
}
