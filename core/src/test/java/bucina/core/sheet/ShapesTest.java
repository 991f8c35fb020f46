package bucina.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Outlines as polygons, held against points thrown at random. */
class ShapesTest {

    private static final double IN2 = 25.4e6 * 25.4e6;
    private final Random random = new Random(19);

    /** A star of straight and curved edges about a place. */
    private Outline star(double x, double y, double least, double most) {
        int n = 3 + random.nextInt(7);
        List<Corner> corners = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double r = least + (most - least) * random.nextDouble();
            double a = 2 * Math.PI * i / n;
            corners.add(new Corner(
                    Point.in(x + r * Math.cos(a), y + r * Math.sin(a)),
                    random.nextInt(3) == 0 ? random.nextDouble() * .6 - .1 : 0));
        }
        return Outline.of(new Ring(corners));
    }

    @Test
    void areas_are_those_of_the_rings_they_were_made_of() {
        for (int i = 0; i < 300; i++) {
            Outline outline = star(random.nextInt(40) - 20, random.nextInt(40) - 20, 2, 9);
            double edge = 2 * Math.PI * 10;
            assertThat(Shapes.of(outline).getArea() / IN2)
                    .isCloseTo(outline.outer().area() / IN2, within(.001 * edge));
        }
    }

    /**
     * Where a point lies in both, they overlap; where they overlap, many points thrown at the common box find such a
     * place unless it is tiny.
     */
    @Test
    void two_outlines_overlap_if_some_point_lies_in_both() {
        int together = 0;
        for (int i = 0; i < 400; i++) {
            Outline a = star(0, 0, 1, 4);
            Outline b = star(random.nextInt(10) - 5, random.nextInt(10) - 5, 1, 4);
            boolean overlap = Shapes.overlap(a, b);
            assertThat(Shapes.overlap(b, a)).isEqualTo(overlap);
            double common = overlap ? Shapes.of(a).intersection(Shapes.of(b)).getArea() / IN2 : 0;
            boolean seen = false;
            for (int k = 0; k < 400; k++) {
                Point p = Point.in(random.nextDouble() * 20 - 10, random.nextDouble() * 20 - 10);
                seen |= a.covers(p) && b.covers(p);
            }
            assertThat(overlap || !seen).isTrue();
            assertThat(seen || common < 14).as("common area %f", common).isTrue();
            together += overlap ? 1 : 0;
        }
        assertThat(together).isBetween(50, 390);
    }

    @Test
    void outlines_that_only_touch_do_not_overlap_and_an_opening_is_no_metal() {
        Outline left = Outline.rectangle(Point.in(0, 0), Point.in(2, 2));
        assertThat(Shapes.overlap(left, Outline.rectangle(Point.in(2, 0), Point.in(4, 2))))
                .isFalse();
        assertThat(Shapes.overlap(left, Outline.rectangle(Point.in(1.999, 0), Point.in(4, 2))))
                .isTrue();
        assertThat(Shapes.overlap(left, Outline.rectangle(Point.in(5, 5), Point.in(6, 6))))
                .isFalse();
        Outline ring = new Outline(
                Ring.circle(Point.in(0, 0), Length.in(3)), List.of(Ring.circle(Point.in(0, 0), Length.in(2))));
        assertThat(Shapes.overlap(ring, Outline.of(Ring.circle(Point.in(0, 0), Length.in(1.9)))))
                .isFalse();
        assertThat(Shapes.overlap(ring, Outline.of(Ring.circle(Point.in(0, 0), Length.in(2.1)))))
                .isTrue();
    }

    @Test
    void a_hull_holds_every_point_and_no_smaller_outline_without_a_notch_does() {
        for (int i = 0; i < 300; i++) {
            List<Point> points = new ArrayList<>();
            for (int k = 0; k < 3 + random.nextInt(30); k++) {
                points.add(Point.in(random.nextDouble() * 10, random.nextDouble() * 10));
            }
            Outline hull = Shapes.hull(points);
            List<Point> corners =
                    hull.outer().corners().stream().map(Corner::at).toList();
            // Each corner is one of the points, and each point is a corner or lies inside.
            assertThat(points).containsAll(corners);
            points.stream()
                    .filter(p -> !corners.contains(p))
                    .forEach(p -> assertThat(
                                    hull.covers(p) || hull.outer().distance(p).in() < 1e-6)
                            .isTrue());
            // Every turn goes the same way.
            double way = 0;
            for (int k = 0; k < corners.size(); k++) {
                Point a = corners.get(k);
                Point b = corners.get((k + 1) % corners.size());
                Point c = corners.get((k + 2) % corners.size());
                double turn = (b.x() - a.x()) * (c.y() - b.y()) - (b.y() - a.y()) * (c.x() - b.x());
                assertThat(way == 0 || Math.signum(turn) == Math.signum(way)).isTrue();
                way = turn;
            }
        }
    }
}
