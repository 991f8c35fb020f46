package bucina.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OutlineTest {

    @Test
    void a_circle_holds_its_centre_its_diameter_and_not_its_corners() {
        Ring circle = Ring.circle(Point.in(3, 2), Length.in(1));
        for (double x = 2.01; x < 4; x += .11) {
            assertThat(circle.contains(Point.in(Math.round(x * 100) / 100.0, 2)))
                    .as("on the diameter at %s", x)
                    .isTrue();
        }
        assertThat(circle.contains(Point.in(2.25, 2.75))).isFalse();
        assertThat(circle.distance(Point.in(3, 2)).in()).isCloseTo(1, within(1e-12));
        assertThat(circle.distance(Point.in(3.25, 2)).in()).isCloseTo(.75, within(1e-12));
        assertThat(circle.distance(Point.in(5, 2)).in()).isCloseTo(1, within(1e-12));
        assertThat(circle.area() / 25.4e6 / 25.4e6).isCloseTo(Math.PI, within(1e-12));
    }

    @Test
    void edge_distance_counts_openings() {
        Outline ring = new Outline(
                Ring.circle(Point.in(0, 0), Length.in(3)), List.of(Ring.circle(Point.in(0, 0), Length.in(2))));
        assertThat(ring.covers(Point.in(2.4, 0))).isTrue();
        assertThat(ring.covers(Point.in(1, 0))).isFalse();
        assertThat(ring.edgeDistance(Point.in(2.4, 0)).in()).isCloseTo(.4, within(1e-12));
        assertThat(ring.edgeDistance(Point.in(0, -2.75)).in()).isCloseTo(.25, within(1e-12));
    }

    @Test
    void a_hole_at_a_dimension_is_exactly_there() {
        Outline sheet = Outline.rectangle(Point.in(0, .22), Point.in(10, 5));
        assertThat(sheet.edgeDistance(Point.in(5, .5))).isEqualTo(Length.in(.28));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void random_outlines_with_arcs_agree_with_a_brute_force_of_fine_chords(long seed) {
        Random random = new Random(seed);
        List<Corner> corners = new ArrayList<>();
        int n = 3 + random.nextInt(7);
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * i / n;
            double r = 2 + 3 * random.nextDouble();
            corners.add(new Corner(
                    Point.in(r * Math.cos(a), r * Math.sin(a)),
                    random.nextBoolean() ? 0 : random.nextDouble() * .4 - .1));
        }
        Ring ring = new Ring(corners);
        List<Point> chords = chords(corners);
        Ring fine = Ring.polygon(chords);
        for (int i = 0; i < 400; i++) {
            Point p = Point.in(random.nextDouble() * 14 - 7, random.nextDouble() * 14 - 7);
            double brute = brute(chords, p);
            assertThat(ring.distance(p).nanometres()).isCloseTo(brute, within(25_400.0 * .02));
            if (brute > 25_400) {
                assertThat(ring.contains(p)).as("%s in outline %d", p, seed).isEqualTo(fine.contains(p));
            }
        }
    }

    private static List<Point> chords(List<Corner> corners) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            Corner a = corners.get(i);
            Point b = corners.get((i + 1) % corners.size()).at();
            points.add(a.at());
            if (a.bulge() != 0) {
                double angle = 4 * Math.atan(a.bulge());
                for (int k = 1; k < 2000; k++) {
                    // A point of the arc by its inscribed angle: turn and scale the chord about its first end.
                    double t = angle * k / 2000;
                    double turn = (angle - t) / 2;
                    double scale = Math.sin(t / 2) / Math.sin(angle / 2);
                    double dx = (b.x() - a.at().x()) * scale;
                    double dy = (b.y() - a.at().y()) * scale;
                    points.add(new Point(
                            a.at().x() + dx * Math.cos(-turn) - dy * Math.sin(-turn),
                            a.at().y() + dx * Math.sin(-turn) + dy * Math.cos(-turn)));
                }
            }
        }
        return points;
    }

    private static double brute(List<Point> points, Point p) {
        double best = Double.MAX_VALUE;
        for (int i = 0; i < points.size(); i++) {
            Point a = points.get(i);
            Point b = points.get((i + 1) % points.size());
            double dx = b.x() - a.x();
            double dy = b.y() - a.y();
            double t = Math.clamp(((p.x() - a.x()) * dx + (p.y() - a.y()) * dy) / (dx * dx + dy * dy), 0, 1);
            best = Math.min(best, Math.hypot(p.x() - a.x() - t * dx, p.y() - a.y() - t * dy));
        }
        return best;
    }

    @Test
    void too_few_corners_and_wild_bulges_are_refused() {
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> Ring.polygon(List.of(Point.in(0, 0), Point.in(1, 0))))
                .withMessageContaining("at least 3");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> new Corner(Point.in(0, 0), Double.NaN))
                .withMessageContaining("bulge");
        assertThatExceptionOfType(InputException.class).isThrownBy(() -> new Point(Double.POSITIVE_INFINITY, 0));
    }

    @Test
    void the_index_finds_what_meets_a_box() {
        BoxIndex<Point> index =
                new BoxIndex<>(List.of(Point.in(1, 1), Point.in(2, 2), Point.in(9, 9)), p -> Box.around(p, p));
        assertThat(index.in(Box.around(Point.in(0, 0), Point.in(2, 2))))
                .containsExactlyInAnyOrder(Point.in(1, 1), Point.in(2, 2));
        assertThat(new BoxIndex<Point>(List.of(), p -> Box.around(p, p)).in(Box.around(Point.in(0, 0), Point.in(2, 2))))
                .isEmpty();
    }
}
