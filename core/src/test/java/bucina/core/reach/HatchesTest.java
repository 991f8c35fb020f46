package bucina.core.reach;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.SheetEdits;
import bucina.core.measure.Length;
import bucina.core.plan.Bolting;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Flange;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.plan.SheetHoles;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Segment;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Arms through openings: a skin 100 in long and 20 wide, a strip along its lower edge, bolts through both. */
class HatchesTest {

    private static final Fastener BOLT =
            new Fastener.Hardware("AN4", Length.in(.25), Length.in(.25), false, Bolting.NONE);

    private final Catalogue catalogue = CatalogueReader.shipped();

    private static Build bolts(double... x) {
        List<Hole> holes = new ArrayList<>();
        for (double at : x) {
            holes.add(new Hole(new Id.Hole(1001 + holes.size()), holes.size() + 1, Point.in(at, 1), Optional.empty()));
        }
        return Plans.build(Plans.face(
                List.of(Plans.layer(11, "Skin", .040, 0, 0, 100, 20), Plans.layer(12, "Strip", .125, 0, 0, 100, 2)),
                List.of(Plans.group(
                        20, "G-1", BOLT, List.of(new Row(new Id.Row(1000), "R1", holes.size() + 1, holes))))));
    }

    private Hatches hatches(Build build) {
        return Hatches.of(Derivation.of(build, catalogue).face(new Id.Face(3)), build.rules(), Hatches.For.BOLTS)
                .orElseThrow();
    }

    private static Build wall(Build build, double x, double high) {
        Layer wall = new Layer(
                new Id.Layer(15),
                new Id.Part(1),
                "Rib",
                Length.in(.032),
                Outline.rectangle(Point.in(x, 3), Point.in(x + .7, 19)),
                new Flange(List.of(new Segment(Point.in(x, 0), Point.in(x, 20))), Flange.Stands.FAR, Length.in(high)),
                SheetHoles.NONE);
        return SheetEdits.addLayer(build, new Id.Face(3), 2, wall);
    }

    @Test
    void one_hatch_serves_two_arms_lengths_and_no_more() {
        // The lowest place for a hatch has its middle 2 + 1.82 + .75 = 4.57 in up. Places stand on half inches: 5.5,
        // that
        // is 4.5 above the bolts, so that the arm reaches sqrt(28² - 4.5²) = 27.64 along.
        assertThat(hatches(bolts(20, 75)).hatches()).hasSize(1);
        assertThat(hatches(bolts(20, 75.6)).hatches()).hasSize(2);
        Hatches none = hatches(bolts());
        assertThat(none.hatches()).isEmpty();
        assertThat(none.wanted()).isEmpty();
    }

    @Test
    void an_arm_does_not_go_through_a_wall_unless_the_wall_is_lower_than_a_hand() {
        assertThat(hatches(wall(bolts(40, 60), 50, 0)).hatches()).hasSize(2);
        assertThat(hatches(wall(bolts(40, 60), 50, 2.5)).hatches()).hasSize(2);
        assertThat(hatches(wall(bolts(40, 60), 50, 2.4)).hatches()).hasSize(1);
    }

    @Test
    void what_an_opening_brings_within_reach_needs_no_hatch() {
        Build open = SheetEdits.cut(bolts(20, 75.6), new Id.Layer(11), Ring.circle(Point.in(22, 10), Length.in(2.7)));
        Hatches is = hatches(open);
        assertThat(is.out()).extracting(HoleReading::label).containsExactly("R1.2");
        assertThat(is.hatches()).hasSize(1);
    }

    @Test
    void a_hand_goes_through_what_its_corners_go_through() {
        // A hand of 4 x 2.5 has a diagonal of 4.717, one with a bar, 4 x 3.5, of 5.315.
        for (double d : new double[] {4.7, 4.73, 5.3, 5.33}) {
            Build open = SheetEdits.cut(bolts(20), new Id.Layer(11), Ring.circle(Point.in(50, 10), Length.in(d / 2)));
            HandHole way = hatches(open).ways().getFirst();
            assertThat(way.hand()).as(d + "").isEqualTo(d > 4.717);
            assertThat(way.bar()).as(d + "").isEqualTo(d > 5.315);
        }
        Build slot = SheetEdits.cut(
                bolts(20),
                new Id.Layer(11),
                Outline.rectangle(Point.in(40, 8), Point.in(43.5, 12)).outer());
        assertThat(hatches(slot).ways().getFirst().bar()).isTrue();
    }

    @Test
    void an_opening_grows_for_a_socket_until_a_bolt_is_at_its_edge_distance() {
        // Middle 2 in from the bolt, .5 in radius: 1.5 to its edge, of which 2 D = .5 stay. The lower edge: 3 - .5 -
        // .12.
        Build open = SheetEdits.cut(bolts(20), new Id.Layer(11), Ring.circle(Point.in(20, 3), Length.in(.5)));
        HandHole way = hatches(open).ways().getFirst();
        assertThat(way.grow().in()).isCloseTo(1, within(1e-3));
        assertThat(way.stop()).isEqualTo("the edge distance of R1.1");
        assertThat(way.passes(Length.in(2.99))).isTrue();
        assertThat(way.passes(Length.in(3.02))).isFalse();
        Build edge = SheetEdits.cut(bolts(20), new Id.Layer(11), Ring.circle(Point.in(60, 19), Length.in(.5)));
        // .5 in to the edge, of which 3 t = .12 stay.
        assertThat(hatches(edge).ways().getFirst().grow().in()).isCloseTo(.38, within(1e-3));
        assertThat(hatches(edge).ways().getFirst().stop()).isEqualTo("the metal to the edge");
    }

    @Test
    void no_fewer_of_the_places_would_do() {
        Random random = new Random(9);
        for (int n = 0; n < 30; n++) {
            double[] x = random.doubles(1 + random.nextInt(7), 1, 99).sorted().toArray();
            Hatches is = hatches(bolts(x));
            // Along one line the fewest are found from the left: each hatch as far right of the first bolt as it may
            // be.
            int least = 0;
            double reached = -1;
            for (double bolt : x) {
                if (bolt > reached) {
                    least++;
                    double last = 0;
                    for (double at = 3; at <= 97; at += .5) {
                        // Places stand at half inches: .5, 1.5 and so on, 2.82 from either end.
                        boolean place = at - Math.floor(at) > .4 && at >= 2.83 && at <= 97.17;
                        last = place && Math.hypot(at - bolt, 4.5) <= 28 ? at : last;
                    }
                    reached = last + Math.sqrt(28 * 28 - 4.5 * 4.5);
                }
            }
            assertThat(is.hatches()).as(List.of(x[0], x[x.length - 1]) + "").hasSize(least);
            assertThat(is.fewest()).isTrue();
            for (HoleReading bolt : is.wanted()) {
                assertThat(is.hatches()).anyMatch(h -> h.to(bolt.hole().at()).in() <= 28);
            }
        }
    }

    @Test
    void what_is_proposed_can_be_cut_and_serves() {
        Build build = bolts(10, 90);
        Hatches is = hatches(build);
        for (Point at : is.hatches()) {
            build = SheetEdits.cut(build, new Id.Layer(11), Hatches.opening(at, build.rules()));
        }
        Hatches then = hatches(build);
        assertThat(then.out()).isEmpty();
        assertThat(then.ways()).hasSize(2).allMatch(HandHole::bar);
    }

    @Test
    void two_hatches_beside_a_wall_do_not_overlap() {
        // The wall is a line with no metal of its own over the skin: only the hatches themselves keep apart.
        Layer wall = new Layer(
                new Id.Layer(15),
                new Id.Part(1),
                "Rib",
                Length.in(.032),
                Outline.rectangle(Point.in(0, 0), Point.in(.5, .5)),
                new Flange(List.of(new Segment(Point.in(50, 0), Point.in(50, 20))), Flange.Stands.FAR, Length.ZERO),
                SheetHoles.NONE);
        Build build = SheetEdits.addLayer(bolts(48, 52), new Id.Face(3), 2, wall);
        List<Point> at = hatches(build).hatches();
        assertThat(at).hasSize(2);
        for (Point p : at) {
            build = SheetEdits.cut(build, new Id.Layer(11), Hatches.opening(p, build.rules()));
        }
        assertThat(Math.abs(at.getFirst().x() - at.getLast().x()) / 25.4e6 > 5.6
                        || Math.abs(at.getFirst().y() - at.getLast().y()) / 25.4e6 > 5.1)
                .isTrue();
    }
}
