package bucina.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class PointGridTest {

    @Property(tries = 300)
    void a_box_gives_the_points_in_it_and_no_other(@ForAll long seed) {
        Random random = new Random(seed);
        List<Point> points = new ArrayList<>();
        int n = random.nextInt(120);
        double spread = Math.pow(10, random.nextInt(12));
        for (int i = 0; i < n; i++) {
            points.add(
                    random.nextInt(5) == 0 && i > 0
                            ? points.get(i - 1)
                            : new Point(random.nextGaussian() * spread, random.nextGaussian() * spread / 7));
        }
        PointGrid grid = new PointGrid(points, Math.pow(10, random.nextInt(9)));
        for (int k = 0; k < 10; k++) {
            Box box = Box.around(
                    new Point(random.nextGaussian() * spread, random.nextGaussian() * spread),
                    new Point(random.nextGaussian() * spread, random.nextGaussian() * spread));
            List<Integer> brute = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                if (box.contains(points.get(i))) {
                    brute.add(i);
                }
            }
            assertThat(grid.in(box)).isEqualTo(brute);
        }
    }

    @Test
    void a_point_on_the_border_of_a_box_is_in_it() {
        PointGrid grid = new PointGrid(List.of(Point.in(1, 1), Point.in(2, 2)), 1e6);
        assertThat(grid.in(Box.around(Point.in(1, 1), Point.in(1, 1)))).containsExactly(0);
        assertThat(grid.in(Box.around(Point.in(0, 0), Point.in(2, 2)))).containsExactly(0, 1);
        assertThat(new PointGrid(List.of(), 1).in(Box.around(Point.in(0, 0), Point.in(2, 2))))
                .isEmpty();
    }

    @Test
    void chords_of_an_arc_stray_no_farther_than_they_may() {
        Ring ring = new Ring(List.of(
                new Corner(Point.in(0, 0), .4),
                Corner.of(Point.in(4, 0)),
                Corner.of(Point.in(4, 3)),
                new Corner(Point.in(0, 3), -1.2)));
        for (double stray : new double[] {500, 25_000, 5e6}) {
            List<Point> points = Trace.of(ring, stray);
            for (int i = 0; i < points.size(); i++) {
                Point a = points.get(i);
                Point b = points.get((i + 1) % points.size());
                assertThat(ring.distance(a).nanometres()).isLessThan(1);
                assertThat(ring.distance(new Point((a.x() + b.x()) / 2, (a.y() + b.y()) / 2))
                                .nanometres())
                        .isLessThan(stray * 1.01);
            }
        }
        assertThat(Trace.of(ring, 500).size())
                .isGreaterThan(Trace.of(ring, 25_000).size());
        assertThatExceptionOfType(IllegalArgumentException.class)
                .isThrownBy(() -> Trace.of(ring, 0))
                .withMessageContaining("0 nm");
    }

    @Test
    void a_segment_measures_to_its_nearest_place() {
        Segment s = new Segment(Point.in(0, 0), Point.in(4, 0));
        assertThat(s.distance(Point.in(2, 1)).in()).isCloseTo(1, within(1e-12));
        assertThat(s.distance(Point.in(7, 4)).in()).isCloseTo(5, within(1e-12));
        assertThat(s.length()).isEqualTo(Length.in(4));
    }
}
