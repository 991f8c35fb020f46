package bucina.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.Plans;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.Length;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/**
 * The edge distance in every layer against one worked out another way: circles through three points, angles by the arc
 * tangent, no bounds, no boxes.
 */
class EdgeDistanceTest {

    /** A billionth of an inch, in nm. */
    private static final double BILLIONTH = 0.0254;

    @Property(tries = 300)
    void the_edge_distance_in_every_layer_is_that_of_brute_force(@ForAll long seed) {
        Random random = new Random(seed);
        List<Layer> layers = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            layers.add(new Layer(new Id.Layer(11 + i), new Id.Part(1), "Sheet " + i, Length.in(.032), outline(random)));
        }
        List<Hole> holes = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            holes.add(new Hole(
                    new Id.Hole(1001 + i),
                    i + 1,
                    Point.in(random.nextDouble() * 8 - 4, random.nextDouble() * 8 - 4),
                    Optional.empty()));
        }
        var face = Plans.face(
                layers,
                List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(new Row(new Id.Row(1000), "R1", 13, holes)))));
        for (HoleReading r : Derivation.of(Plans.build(face), CatalogueReader.shipped())
                .face(face.id())
                .readings()) {
            for (int l = 0; l < r.layers().size(); l++) {
                assertThat(r.edge(l).nanometres())
                        .isCloseTo(brute(r.layers().get(l).outline(), r.hole().at()), within(BILLIONTH));
            }
        }
    }

    /** A star-shaped outline with some arcs, and an opening in it. */
    private static Outline outline(Random random) {
        int n = 3 + random.nextInt(8);
        List<Corner> corners = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * (i + random.nextDouble() * .6) / n;
            double r = 2 + random.nextDouble() * 4;
            double bulge =
                    random.nextInt(3) == 0 ? (random.nextBoolean() ? 1 : -1) * (.05 + random.nextDouble() * .5) : 0;
            corners.add(new Corner(Point.in(r * Math.cos(a), r * Math.sin(a)), bulge));
        }
        return new Outline(
                new Ring(corners),
                List.of(Ring.circle(
                        Point.in(random.nextDouble() - .5, random.nextDouble() - .5),
                        Length.in(.2 + random.nextDouble() * .5))));
    }

    private static double brute(Outline outline, Point p) {
        double best = brute(outline.outer(), p);
        for (Ring opening : outline.openings()) {
            best = Math.min(best, brute(opening, p));
        }
        return best;
    }

    private static double brute(Ring ring, Point p) {
        double best = Double.MAX_VALUE;
        List<Corner> c = ring.corners();
        for (int i = 0; i < c.size(); i++) {
            Point a = c.get(i).at();
            Point b = c.get((i + 1) % c.size()).at();
            best = Math.min(
                    best,
                    c.get(i).bulge() == 0 ? line(a, b, p) : arc(a, b, c.get(i).bulge(), p));
        }
        return best;
    }

    private static double line(Point a, Point b, Point p) {
        double length = Math.hypot(b.x() - a.x(), b.y() - a.y());
        double along = ((p.x() - a.x()) * (b.x() - a.x()) + (p.y() - a.y()) * (b.y() - a.y())) / length;
        if (along <= 0) {
            return Math.hypot(p.x() - a.x(), p.y() - a.y());
        }
        return along >= length
                ? Math.hypot(p.x() - b.x(), p.y() - b.y())
                : Math.abs((b.x() - a.x()) * (p.y() - a.y()) - (b.y() - a.y()) * (p.x() - a.x())) / length;
    }

    private static double arc(Point a, Point b, double bulge, Point p) {
        // The apex of the arc lies half a chord times the bulge to the right of the chord's middle; the circle goes
        // through a, apex and b.
        double mx = (a.x() + b.x()) / 2 + (b.y() - a.y()) / 2 * bulge;
        double my = (a.y() + b.y()) / 2 - (b.x() - a.x()) / 2 * bulge;
        double d = 2 * (a.x() * (my - b.y()) + mx * (b.y() - a.y()) + b.x() * (a.y() - my));
        double aa = a.x() * a.x() + a.y() * a.y();
        double mm = mx * mx + my * my;
        double bb = b.x() * b.x() + b.y() * b.y();
        double cx = (aa * (my - b.y()) + mm * (b.y() - a.y()) + bb * (a.y() - my)) / d;
        double cy = (aa * (b.x() - mx) + mm * (a.x() - b.x()) + bb * (mx - a.x())) / d;
        double from = Math.atan2(a.y() - cy, a.x() - cx);
        double sweep = 4 * Math.atan(bulge);
        double turn = Math.atan2(p.y() - cy, p.x() - cx) - from;
        double round = sweep > 0
                ? (turn % (2 * Math.PI) + 2 * Math.PI) % (2 * Math.PI)
                : -((-turn % (2 * Math.PI) + 2 * Math.PI) % (2 * Math.PI));
        double ends = Math.min(Math.hypot(p.x() - a.x(), p.y() - a.y()), Math.hypot(p.x() - b.x(), p.y() - b.y()));
        return Math.abs(round) <= Math.abs(sweep)
                ? Math.min(ends, Math.abs(Math.hypot(p.x() - cx, p.y() - cy) - Math.hypot(a.x() - cx, a.y() - cy)))
                : ends;
    }
}
