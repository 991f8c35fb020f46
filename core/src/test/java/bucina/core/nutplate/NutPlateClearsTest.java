package bucina.core.nutplate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.rule.Finding;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * What a plate must clear, one thing at a time. A #8 plate: hole .166, lug rivets of 3/32 at .344, metal to .474 along
 * and .16 across. Rivets 3 D apart are .28125; from a rivet to the next screw half the hole and 2 D are .2705.
 */
class NutPlateClearsTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final NutPlate eight = NutPlate.of(catalogue.nutPlates(), "8");

    private NutPlateLayout lay(List<ScrewPattern.Screw> screws, List<Point> taken, NutPlateLayout.Behind... behind) {
        return NutPlateLayout.of(
                new ScrewPattern(screws), eight, catalogue.rules(), Optional.empty(), taken, List.of(behind));
    }

    private static ScrewPattern.Screw screw(double x, double y, double along) {
        return new ScrewPattern.Screw(Point.in(x, y), along);
    }

    private static void is(Finding f, String code, String screw, double measured, double required, String message) {
        assertThat(f.rule().code()).isEqualTo(code);
        assertThat(f.place()).isEqualTo(new Finding.Place("", "", screw, ""));
        assertThat(f.measured().orElseThrow().in()).isCloseTo(measured, within(1e-6));
        assertThat(f.required().orElseThrow().in()).isCloseTo(required, within(1e-6));
        assertThat(f.message().in(Unit.INCH)).isEqualTo(message);
    }

    @Test
    void heads_that_meet_are_named_pair_by_pair() {
        NutPlateLayout row = lay(List.of(screw(0, 0, 90), screw(.3, 0, 90), screw(.6, 0, 90)), List.of());
        List<Finding> heads = row.findings().stream()
                .filter(f -> f.rule().code().equals("screw-heads-meet"))
                .toList();
        assertThat(heads).hasSize(2);
        is(
                heads.get(0),
                "screw-heads-meet",
                "1",
                .3,
                .332,
                "Screws 1 and 2 are .300 in apart, and their heads are .332 in across.");
        is(
                heads.get(1),
                "screw-heads-meet",
                "2",
                .3,
                .332,
                "Screws 2 and 3 are .300 in apart, and their heads are .332 in across.");
        // Exactly as far apart as they are wide they do not meet.
        assertThat(lay(List.of(screw(0, 0, 90), screw(.332, 0, 90)), List.of()).findings())
                .noneMatch(f -> f.rule().code().equals("screw-heads-meet"));
    }

    /* Rivets every 15° on the ring of the lugs about the second screw: whichever way, one lies on one. */
    @Test
    void rivets_that_are_there_are_kept_clear_of() {
        List<Point> taken = new ArrayList<>();
        for (int a = 0; a < 360; a += 15) {
            taken.add(Point.in(5 + .4 * Math.cos(Math.toRadians(a)), .4 * Math.sin(Math.toRadians(a))));
        }
        NutPlateLayout two = lay(List.of(screw(0, 0, 0), screw(5, 0, 0)), taken);
        assertThat(two.plates()).extracting(NutPlateLayout.Laid::turn).containsExactly(0.0, 0.0);
        assertThat(two.findings()).hasSize(1);
        // From the lug at 180° the first on the list that is too near lies at 150°:
        // √(.344² + .4² − 2 × .344 × .4 cos 30°) = .200.
        is(
                two.findings().getFirst(),
                "lug-rivets-too-near",
                "2",
                Math.sqrt(.344 * .344 + .4 * .4 - 2 * .344 * .4 * Math.cos(Math.PI / 6)),
                .28125,
                "At screw 2 a lug rivet is .200 in from another rivet; .2813 in is the least, whichever way "
                        + "the plate is turned.");
    }

    /* Screws every 15° at .6: along one of them a lug rivet at .344 is .256 from it. */
    @Test
    void the_next_screw_is_kept_clear_of() {
        List<ScrewPattern.Screw> screws = new ArrayList<>(List.of(screw(0, 0, 0)));
        for (int a = 0; a < 360; a += 15) {
            screws.add(screw(.6 * Math.cos(Math.toRadians(a)), .6 * Math.sin(Math.toRadians(a)), a));
        }
        List<Finding> first = lay(screws, List.of()).findings().stream()
                .filter(f -> f.place().hole().equals("1"))
                .toList();
        assertThat(first).hasSize(1);
        is(
                first.getFirst(),
                "lug-rivet-near-screw",
                "1",
                .256,
                .2705,
                "At screw 1 a lug rivet is .256 in from the next screw; .2705 in is the least, whichever way "
                        + "the plate is turned.");
    }

    /*
     * Side by side at .3 the rivets are .3 apart and the next screw .456 away: both clear. The bodies, .32 wide, lie
     * .02 over each other; turned any other way a rivet comes near the first screw or its rivet. At .335 they clear.
     */
    @Test
    void plates_do_not_lie_over_each_other() {
        NutPlateLayout near = lay(List.of(screw(0, 0, 90), screw(.3, 0, 90)), List.of());
        assertThat(near.plates()).extracting(NutPlateLayout.Laid::turn).containsExactly(90.0, 90.0);
        Finding over = near.findings().getLast();
        assertThat(over.rule().code()).isEqualTo("plates-overlap");
        assertThat(over.place()).isEqualTo(new Finding.Place("", "", "2", ""));
        assertThat(over.message().in(Unit.INCH))
                .isEqualTo("At screw 2 the plate lies over that of screw 1, whichever way it is turned.");
        assertThat(lay(List.of(screw(0, 0, 90), screw(.335, 0, 90)), List.of()).findings())
                .isEmpty();
    }

    @Test
    void the_plate_that_hits_a_part_is_the_one_named() {
        NutPlateLayout.Behind rib =
                new NutPlateLayout.Behind("Rib 3 flange", Outline.rectangle(Point.in(1, -3), Point.in(3, 3)));
        NutPlateLayout two = lay(List.of(screw(0, 0, 0), screw(2, 0, 0)), List.of(), rib);
        assertThat(two.findings()).hasSize(1);
        assertThat(two.findings().getFirst().place()).isEqualTo(new Finding.Place("", "", "2", "Rib 3 flange"));
        assertThat(two.findings().getFirst().message().in(Unit.INCH))
                .startsWith("At screw 2 the plate lies over Rib 3");
    }

    @Test
    void the_metal_of_a_plate_goes_round_its_screw_and_its_lugs() {
        double c = Math.sqrt(.5);
        NutPlateLayout.Laid turned =
                lay(List.of(screw(1, 2, 45)), List.of()).plates().getFirst();
        for (int side : new int[] {-1, 1}) {
            assertThat(covers(turned, 1 + side * .47 * c, 2 + side * .47 * c)).isTrue();
            assertThat(covers(turned, 1 + side * .48 * c, 2 + side * .48 * c)).isFalse();
            assertThat(covers(turned, 1 - side * .155 * c, 2 + side * .155 * c)).isTrue();
            assertThat(covers(turned, 1 - side * .165 * c, 2 + side * .165 * c)).isFalse();
        }
        // One lug: the metal ends .16 behind the screw, with both its corners.
        NutPlateLayout.Laid one =
                new NutPlateLayout.Laid(Point.in(1, 2), 0, List.of(Point.in(1.344, 2), Point.in(1.64, 2)));
        for (int side : new int[] {-1, 1}) {
            assertThat(covers(one, 1 - .155, 2 + side * .155)).isTrue();
            assertThat(covers(one, 1 - .165, 2 + side * .05)).isFalse();
            assertThat(covers(one, 1.64 + .125, 2 + side * .155)).isTrue();
            assertThat(covers(one, 1.64 + .135, 2 + side * .05)).isFalse();
            assertThat(covers(one, 1.3, 2 + side * .165)).isFalse();
        }
    }

    private static boolean covers(NutPlateLayout.Laid plate, double x, double y) {
        return plate.body().covers(Point.in(x, y));
    }

    private NutPlateLayout.Laid cornered(double along) {
        NutPlate corner = eight.shaped(".344, 0; 0, .344", new LengthParser(Unit.INCH, catalogue.drills()));
        ScrewPattern one = new ScrewPattern(List.of(screw(1, 1, along)));
        return NutPlateLayout.of(one, corner, catalogue.rules(), Optional.empty(), List.of(), List.of())
                .plates()
                .getFirst();
    }

    /* Turned by 30° the place .344, 0 is at .298, .172, and 0, .344 at −.172, .298. */
    @Test
    void a_plate_that_is_not_even_keeps_its_side_when_it_is_turned() {
        NutPlateLayout.Laid laid = cornered(30);
        assertThat(laid.turn()).isCloseTo(30, within(1e-9));
        assertThat(laid.rivets().get(0).across().in()).isCloseTo(1.29791, within(1e-4));
        assertThat(laid.rivets().get(0).up().in()).isCloseTo(1.172, within(1e-4));
        assertThat(laid.rivets().get(1).across().in()).isCloseTo(.828, within(1e-4));
        assertThat(laid.rivets().get(1).up().in()).isCloseTo(1.29791, within(1e-4));
        NutPlateLayout.Laid back = cornered(-400);
        assertThat(back.turn()).isCloseTo(320, within(1e-9));
    }

    @Test
    void a_plate_is_even_only_if_every_lug_has_one_straight_across() {
        LengthParser lengths = new LengthParser(Unit.INCH, catalogue.drills());
        assertThat(eight.shaped(".3, .1; -.3, -.1", lengths).even()).isTrue();
        assertThat(eight.shaped(".3, .1; -.3, .1", lengths).even()).isFalse();
        assertThat(eight.shaped(".3, .1; .3, -.1", lengths).even()).isFalse();
        assertThat(eight.shaped(".3, .1; -.3, -.1; .3, -.1; -.3, .1", lengths).places())
                .hasSize(4);
        assertThat(eight.lug()).isEqualTo(Length.in(.344));
    }
}
