package bucina.core.nutplate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Shapes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class NutPlateLayoutTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final NutPlate eight = NutPlate.of(catalogue.nutPlates(), "8");

    private NutPlateLayout lay(ScrewPattern pattern) {
        return NutPlateLayout.of(pattern, eight, catalogue.rules(), Optional.empty(), List.of(), List.of());
    }

    @Test
    void a_ring_has_its_lugs_tangential() {
        NutPlateLayout ring = lay(ScrewPattern.circle(8, Length.in(3)));
        assertThat(ring.findings()).isEmpty();
        assertThat(ring.plates()).hasSize(8);
        // Screw 1 at (1.5, 0): lugs at (1.5, ±.344). Screw 2 at 45°: its lugs run at 135°.
        NutPlateLayout.Laid first = ring.plates().getFirst();
        assertThat(first.turn()).isCloseTo(90, within(1e-9));
        assertThat(first.rivets().get(1).across().in()).isCloseTo(1.5, within(1e-9));
        assertThat(first.rivets().get(1).up().in()).isCloseTo(.344, within(1e-9));
        assertThat(ring.plates().get(1).turn()).isCloseTo(135, within(1e-9));
    }

    @Test
    void a_rectangle_of_four_by_three_has_ten_screws_and_plates_across_its_corners() {
        NutPlateLayout rect = lay(ScrewPattern.rectangle(4, 3, Length.in(6), Length.in(4)));
        assertThat(rect.plates()).hasSize(10);
        assertThat(rect.plates())
                .extracting(NutPlateLayout.Laid::turn)
                .containsExactly(135.0, 0.0, 0.0, 45.0, 90.0, 135.0, 0.0, 0.0, 45.0, 90.0);
        assertThat(rect.plates().get(1).screw().across().in()).isCloseTo(2, within(1e-9));
    }

    @Test
    void plates_that_would_meet_are_turned_until_they_clear() {
        // Pitch .75: in line the lug rivets of neighbours are .75 − .688 = .062 apart, 3 D is .281. Across the row
        // they are .75 apart, and so all are turned alike.
        NutPlateLayout row = lay(ScrewPattern.row(6, Length.in(.75)));
        assertThat(row.findings()).isEmpty();
        assertThat(row.plates()).extracting(NutPlateLayout.Laid::turn).containsOnly(90.0);
        List<Point> rivets = new ArrayList<>();
        row.plates()
                .forEach(p -> p.rivets().forEach(r -> {
                    rivets.forEach(o -> assertThat(r.to(o).in()).isGreaterThanOrEqualTo(.28125 - 1e-9));
                    rivets.add(r);
                }));
    }

    @Test
    void screws_too_close_for_any_turn_are_a_finding() {
        assertThat(lay(ScrewPattern.row(6, Length.in(.25))).findings())
                .anySatisfy(f -> assertThat(f.message().in(Unit.INCH)).contains("whichever way"))
                .anySatisfy(f -> assertThat(f.message().in(Unit.INCH))
                        .isEqualTo("Screws 1 and 2 are .250 in apart, and their heads are .332 in across."));
    }

    /*
     * 14 on 3 in: the chord is 3 sin(180/14) = .668. Tangential lug rivets of neighbours meet; radial ones stand on a
     * ring of 1.156, 2 × 1.156 sin(180/14) = .514 apart, and the bodies, .32 wide, .514 − .32 clear.
     */
    @Test
    void a_ring_that_one_turn_clears_has_all_its_plates_turned_alike() {
        ScrewPattern pattern = ScrewPattern.circle(14, Length.in(3));
        NutPlateLayout ring = lay(pattern);
        assertThat(ring.findings()).isEmpty();
        for (int i = 0; i < 14; i++) {
            double by = ring.plates().get(i).turn() - pattern.screws().get(i).along();
            assertThat(Math.abs(Math.IEEEremainder(by - 90, 180))).isLessThan(1e-6);
        }
    }

    /* A corner plate with rivets .344 along and .344 across covers its neighbour at a pitch of .36 however it lies. */
    @Test
    void plates_of_any_pattern_that_lie_over_each_other_are_found() {
        NutPlate corner = new NutPlate(
                "8", Length.in(.166), "#19", List.of(Point.in(.344, 0), Point.in(0, .344)), Length.in(.09375), "test");
        NutPlateLayout row = NutPlateLayout.of(
                ScrewPattern.row(4, Length.in(.36)), corner, catalogue.rules(), Optional.empty(), List.of(), List.of());
        assertThat(row.findings()).isNotEmpty();
        NutPlateLayout wide = NutPlateLayout.of(
                ScrewPattern.row(4, Length.in(1.5)), corner, catalogue.rules(), Optional.empty(), List.of(), List.of());
        assertThat(wide.findings()).isEmpty();
        for (int i = 0; i < 4; i++) {
            for (int k = 0; k < i; k++) {
                assertThat(Shapes.overlap(
                                wide.plates().get(i).body(),
                                wide.plates().get(k).body()))
                        .isFalse();
            }
        }
    }

    @Test
    void an_edge_near_by_turns_the_plate_along_it() {
        // The sheet ends .3 below the row of one: a plate across it would stand .044 outside; along it there is .3, 2.5
        // D is .234.
        Outline sheet = Outline.rectangle(Point.in(-2, -.3), Point.in(2, 2));
        NutPlateLayout one = NutPlateLayout.of(
                new ScrewPattern(List.of(new ScrewPattern.Screw(Point.in(0, 0), 90))),
                eight,
                catalogue.rules(),
                Optional.of(sheet),
                List.of(),
                List.of());
        assertThat(one.findings()).isEmpty();
        assertThat(one.plates().getFirst().turn()).isZero();
        NutPlateLayout none = NutPlateLayout.of(
                new ScrewPattern(List.of(new ScrewPattern.Screw(Point.in(0, 0), 90))),
                eight,
                catalogue.rules(),
                Optional.of(Outline.rectangle(Point.in(-.2, -.2), Point.in(.2, .2))),
                List.of(),
                List.of());
        assertThat(none.findings()).extracting(x -> x.rule().code()).containsExactly("edge-distance-least");
    }

    @Test
    void a_quarter_inch_plate_has_its_lugs_half_an_inch_out() {
        assertThat(NutPlate.of(catalogue.nutPlates(), "1/4").lug()).isEqualTo(Length.in(.5));
        assertThat(NutPlate.of(catalogue.nutPlates(), "#10").hole()).isEqualTo(Length.in(.1935));
        assertThatThrownBy(() -> NutPlate.of(catalogue.nutPlates(), "12"))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("6, 8, 10, 1/4");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "ring:8:3",
                "circle:8",
                "circle:1:3",
                "rect:4x3:6",
                "row:0:1",
                "row:6:-1",
                "row:99999:1",
                "circle:8:x"
            })
    void what_is_no_pattern_is_refused_with_an_example(String text) {
        assertThatThrownBy(() -> ScrewPattern.parse(text, new LengthParser(Unit.INCH, catalogue.drills())))
                .isInstanceOf(InputException.class)
                .hasMessageMatching("(?s).*(like|write).*");
    }

    private NutPlateLayout one(NutPlate plate, NutPlateLayout.Behind... behind) {
        return NutPlateLayout.of(
                new ScrewPattern(List.of(new ScrewPattern.Screw(Point.in(0, 0), 0))),
                plate,
                catalogue.rules(),
                Optional.of(Outline.rectangle(Point.in(-3, -3), Point.in(3, 3))),
                List.of(),
                List.of(behind));
    }

    /**
     * A plate lies .474 along and .16 across its screw: beside a rib from x .4 on it is turned, under one all round it
     * cannot lie.
     */
    @Test
    void a_part_behind_turns_the_plate_until_it_clears_or_is_named() {
        NutPlateLayout.Behind rib =
                new NutPlateLayout.Behind("Rib 3 flange", Outline.rectangle(Point.in(.4, -3), Point.in(1, 3)));
        assertThat(one(eight).plates().getFirst().turn()).isZero();
        assertThat(one(eight, rib).plates().getFirst().turn()).isEqualTo(90);
        assertThat(one(
                                eight,
                                new NutPlateLayout.Behind(
                                        "Rib 3 flange", Outline.rectangle(Point.in(.48, -3), Point.in(1, 3))))
                        .plates()
                        .getFirst()
                        .turn())
                .isZero();
        NutPlateLayout.Behind above =
                new NutPlateLayout.Behind("Spar", Outline.rectangle(Point.in(-3, .2), Point.in(3, 1)));
        NutPlateLayout caught = one(eight, rib, above);
        assertThat(caught.findings()).extracting(x -> x.rule().code()).containsExactly("plate-hits-part");
        assertThat(caught.findings().getFirst().message().in(Unit.INCH))
                .isEqualTo("At screw 1 the plate lies over Rib 3 flange, whichever way it is turned.");
    }

    @Test
    void a_one_lug_plate_from_the_drawing_is_turned_right_round_and_a_corner_plate_keeps_its_corner() {
        LengthParser lengths = new LengthParser(Unit.INCH, catalogue.drills());
        NutPlate oneLug = eight.shaped(".344, 0; .640, 0", lengths);
        assertThat(oneLug.even()).isFalse();
        assertThat(eight.even()).isTrue();
        assertThat(oneLug.lug()).isEqualTo(Length.in(.64));
        NutPlateLayout.Behind rib =
                new NutPlateLayout.Behind("Rib 3 flange", Outline.rectangle(Point.in(.4, -3), Point.in(1, 3)));
        NutPlateLayout.Laid turned = one(oneLug, rib).plates().getFirst();
        assertThat(turned.turn()).isEqualTo(180);
        assertThat(turned.rivets().get(1).across().in()).isCloseTo(-.64, within(1e-9));
        NutPlate corner = eight.shaped("0.344, 0; 0, 0.344", lengths);
        NutPlateLayout.Behind above =
                new NutPlateLayout.Behind("Spar", Outline.rectangle(Point.in(-3, .2), Point.in(3, 1)));
        NutPlateLayout.Laid at = one(corner, above).plates().getFirst();
        assertThat(one(corner, above).findings()).isEmpty();
        assertThat(at.rivets()).allSatisfy(r -> assertThat(r.up().in()).isLessThan(1e-6));
        assertThat(at.rivets().get(0).to(at.rivets().get(1)).in()).isCloseTo(.344 * Math.sqrt(2), within(1e-9));
        // The body is the metal round both lugs and the screw, without the far corner.
        assertThat(one(corner).plates().getFirst().body().covers(Point.in(.4, .4)))
                .isFalse();
        assertThat(one(corner).plates().getFirst().body().covers(Point.in(.2, .2)))
                .isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "1", ".05, 0", ".344, 0; .344, 0", "a, b", ".3,0;.4,0;.5,0;.6,0;.7,0", ".344, 0;"})
    void lug_rivets_that_cannot_be_are_refused_with_an_example(String text) {
        assertThatThrownBy(() -> eight.shaped(text, new LengthParser(Unit.INCH, catalogue.drills())))
                .isInstanceOf(InputException.class)
                .hasMessageMatching("(?s).*(like|write|beyond its screw hole).*");
    }
}
