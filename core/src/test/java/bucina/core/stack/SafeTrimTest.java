package bucina.core.stack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.Plans;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.SheetEdits;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SafeTrimTest {

    private static List<SafeTrim> trims(Build build, int layer) {
        Face face = build.faces().getFirst().face();
        return SafeTrim.of(
                face.layers().get(layer),
                Derivation.of(build, CatalogueReader.shipped()).face(face.id()));
    }

    @Test
    void the_largest_trim_is_what_lies_beyond_the_least_edge_distance() {
        // Skin 20 x 4, holes at y 2 from x 1 to 19, D 1/8: 2 D = .25. Sides: 2 - .25 and 1 - .25.
        List<SafeTrim> trims = trims(Plans.build(8.5), 0);
        assertThat(trims)
                .extracting(t -> Math.round(t.largest().in() * 1e6) / 1e6)
                .containsExactly(1.75, .75, 1.75, .75);
        assertThat(trims.get(1).hole().label()).isEqualTo("R1.19");
        assertThat(trims)
                .extracting(t -> t.looks(Plans.build(8.5).faces().getFirst().face()))
                .containsExactly("away from forward", "toward outboard", "toward forward", "away from outboard");
    }

    @Test
    void trimmed_by_just_that_much_every_edge_still_holds_and_by_more_one_does_not() {
        Build build = Plans.build(8.5);
        for (SafeTrim trim : trims(build, 0)) {
            var skin = build.faces().getFirst().face().layers().getFirst().id();
            Derivation cut = Derivation.of(
                    SheetEdits.moveEdge(
                            build, skin, trim.edge(), -trim.largest().nanometres()),
                    CatalogueReader.shipped());
            assertThat(cut.findings(() -> false)).noneMatch(f -> f.rule().code().equals("edge-distance-least"));
            Derivation more = Derivation.of(
                    SheetEdits.moveEdge(
                            build, skin, trim.edge(), -trim.largest().nanometres() - 1000),
                    CatalogueReader.shipped());
            assertThat(more.findings(() -> false)).anyMatch(f -> f.rule().code().equals("edge-distance-least"));
        }
    }

    @Test
    void an_edge_too_near_already_has_a_negative_trim() {
        // The doubler ends at 8.2, .2 from hole 8: .05 short.
        assertThat(trims(Plans.build(8.2), 1))
                .anySatisfy(t -> assertThat(t.largest().in()).isCloseTo(-.05, within(1e-9)));
    }

    /*
     * A sheet 20 x 4 whose lower right corner is cut at 45 degrees from (16, 0) to (20, 4). Lower edge from 0 to 16; a
     * hole at (16.6, 1.0): beyond the end by .6, over 2 D = .25. Cut 1.0 up the lower edge runs to x 17.0, so that hole
     * sets the trim: 1.0 - .25 = .75, although nothing lies within the edge nearer than 2.
     */
    @Test
    void a_hole_beyond_an_obtuse_end_counts_since_the_cut_runs_on() {
        Layer skin = new Layer(
                new Id.Layer(11),
                new Id.Part(1),
                "Skin",
                Length.in(.032),
                Outline.of(Ring.polygon(
                        List.of(Point.in(0, 0), Point.in(16, 0), Point.in(20, 4), Point.in(20, 6), Point.in(0, 6)))));
        Row far = new Row(
                new Id.Row(1000),
                "R1",
                3,
                List.of(
                        new Hole(new Id.Hole(1001), 1, Point.in(5, 2), Optional.empty()),
                        new Hole(new Id.Hole(1002), 2, Point.in(16.6, 1.0), Optional.empty())));
        Build build =
                Plans.build(Plans.face(List.of(skin), List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(far)))));
        SafeTrim lower = trims(build, 0).getFirst();
        assertThat(lower.hole().label()).isEqualTo("R1.2");
        assertThat(lower.largest().in()).isCloseTo(.75, within(1e-9));
    }

    /*
     * Judged by cutting: the edge is moved in by the trim and every hole measured. The sheets are convex, five to eight
     * corners, turned any way, so that no edge is square to another.
     */
    @Test
    void of_random_sheets_no_trim_leaves_a_hole_nearer_than_its_rule_and_most_could_not_be_larger() {
        Random random = new Random(31);
        int all = 0;
        int largest = 0;
        for (int round = 0; round < 200; round++) {
            Layer skin = new Layer(new Id.Layer(11), new Id.Part(1), "Skin", Length.in(.032), convex(random));
            Build build = Plans.build(Plans.face(
                    List.of(skin), List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(inside(skin, random))))));
            for (SafeTrim trim : trims(build, 0)) {
                if (trim.largest().in() > room(skin, trim.edge()) - .01) {
                    continue;
                }
                all++;
                double by = trim.largest().nanometres();
                assertThat(holds(build, skin, trim.edge(), by))
                        .as("round %d, edge %d, trim %s", round, trim.edge(), trim.largest())
                        .isTrue();
                largest += holds(build, skin, trim.edge(), by + 2000) ? 0 : 1;
            }
        }
        assertThat(all).isGreaterThan(500);
        assertThat(largest).isGreaterThan(all * 9 / 10);
    }

    private static Outline convex(Random random) {
        int n = 5 + random.nextInt(4);
        double turned = random.nextDouble() * 2 * Math.PI;
        List<Point> corners = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double a = turned + (i + random.nextDouble() * .4) * 2 * Math.PI / n;
            corners.add(Point.in(10 + 4 * Math.cos(a), 10 + 4 * Math.sin(a)));
        }
        return Outline.of(Ring.polygon(corners));
    }

    private static Row inside(Layer skin, Random random) {
        List<Hole> holes = new ArrayList<>();
        while (holes.size() < 12) {
            Point at = Point.in(6 + random.nextDouble() * 8, 6 + random.nextDouble() * 8);
            if (skin.outline().covers(at) && skin.outline().edgeDistance(at).in() > .3) {
                holes.add(new Hole(new Id.Hole(1001 + holes.size()), holes.size() + 1, at, Optional.empty()));
            }
        }
        return new Row(new Id.Row(1000), "R1", 13, holes);
    }

    /** How deep the nearer of the two corners beside an edge lies, in: a deeper cut takes more than that edge away. */
    private static double room(Layer skin, int edge) {
        List<Corner> corners = skin.outline().outer().corners();
        int n = corners.size();
        Point a = corners.get(edge).at();
        Point b = corners.get((edge + 1) % n).at();
        return Math.min(
                depth(a, b, corners.get((edge + n - 1) % n).at()),
                depth(a, b, corners.get((edge + 2) % n).at()));
    }

    private static double depth(Point a, Point b, Point p) {
        double cross = (b.x() - a.x()) * (p.y() - a.y()) - (b.y() - a.y()) * (p.x() - a.x());
        return Math.abs(cross) / Math.hypot(b.x() - a.x(), b.y() - a.y()) / 25.4e6;
    }

    private static boolean holds(Build build, Layer skin, int edge, double by) {
        return Derivation.of(SheetEdits.moveEdge(build, skin.id(), edge, -by), CatalogueReader.shipped())
                .findings(() -> false)
                .stream()
                .noneMatch(f -> f.rule().code().equals("edge-distance-least"));
    }
}
