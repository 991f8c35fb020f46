package bucina.core.dress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.rule.CountersinkSchool;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DressingTest {

    private static final FlushHead THREE = FlushHead.of100(Length.in(.179), Length.in(.036));
    private static final FlushHead FOUR = FlushHead.of100(Length.in(.225), Length.in(.042));
    private final RuleSet full = CatalogueReader.shipped().rules();
    private final RuleSet twoThirds = full.with(RuleKey.COUNTERSINK_SCHOOL, "two-thirds", "test");

    private static List<Length> layers(double... inches) {
        return Arrays.stream(inches).mapToObj(Length::in).toList();
    }

    private static List<Dress> dresses(Dressing dressing) {
        return dressing.plies().stream().map(Dressing.Ply::dress).toList();
    }

    @Test
    void the_nest_of_a_dimpled_skin_is_wider_and_deeper() {
        // .179 + .728 x .032 = .2023; .0098 deeper (.032), .0076 deeper (.025).
        assertThat(THREE.nestDiameter(Length.in(.032)).in()).isCloseTo(.2023, within(.0001));
        assertThat(THREE.extraDepth(Length.in(.032)).in()).isCloseTo(.0098, within(.00005));
        assertThat(THREE.extraDepth(Length.in(.025)).in()).isCloseTo(.0076, within(.00005));
    }

    @Test
    void a_thin_skin_is_dimpled_into_a_nest_and_what_lies_below_stays_plain() {
        assertThat(dresses(Dressing.workOut(layers(.025, .050, .063), THREE, full)))
                .containsExactly(Dress.DIMPLE, Dress.COUNTERSINK, Dress.PLAIN);
    }

    @Test
    void a_nest_too_deep_for_its_sheet_is_dimpled_on() {
        // .036 + .0076 = .0436 is over .040.
        assertThat(dresses(Dressing.workOut(layers(.025, .040), THREE, full)))
                .containsExactly(Dress.DIMPLE, Dress.DIMPLE);
    }

    @ParameterizedTest
    @CsvSource({".063, COUNTERSINK", ".0629, IMPOSSIBLE", ".050, DIMPLE", ".0501, IMPOSSIBLE"})
    void two_thirds_of_the_sheet_exactly_is_allowed_and_so_is_the_thickest_cold_dimple(double t, Dress dress) {
        // -4: .042 is two thirds of .063.
        assertThat(dresses(Dressing.workOut(layers(t), FOUR, twoThirds))).containsExactly(dress);
    }

    @ParameterizedTest
    @CsvSource({".0361, COUNTERSINK", ".036, DIMPLE", ".040, COUNTERSINK", ".032, DIMPLE"})
    void the_full_school_wants_the_sheet_thicker_than_the_head(double t, Dress dress) {
        assertThat(dresses(Dressing.workOut(layers(t), THREE, full))).containsExactly(dress);
    }

    @Test
    void a_thick_sheet_the_plan_wants_dimpled_is_impossible() {
        Dressing dressing = Dressing.dimpled(layers(.025, .063), full);
        assertThat(dresses(dressing)).containsExactly(Dress.DIMPLE, Dress.IMPOSSIBLE);
        assertThat(dressing.impossible()).isTrue();
        assertThat(dressing.grip()).isEqualTo(Length.in(.088));
    }

    @Test
    void what_cannot_be_dimpled_says_up_to_where_it_could_and_what_can_is_possible() {
        assertThat(Dressing.dimpled(layers(.025, .032), full).impossible()).isFalse();
        Dressing soft = Dressing.dimpled(layers(.063), full);
        assertThat(soft.plies().getFirst().reason().in(Unit.INCH))
                .isEqualTo(".063 in is over .050 in, the most that is dimpled cold.");
        Dressing hard = Dressing.dimpled(layers(.040), List.of(Material.parse("7075-T6")), full);
        assertThat(hard.plies().getFirst().reason().in(Unit.INCH))
                .isEqualTo(".040 in is 7075-T6, which wants heat from .040 in.");
    }

    @Test
    void only_what_is_dimpled_above_makes_a_nest_of_a_head() {
        assertThat(Dressing.workOut(layers(.025, .063), THREE, full).plies())
                .extracting(p -> p.reason().in(Unit.INCH))
                .satisfiesExactly(
                        skin -> assertThat(skin).startsWith(".025 in is too thin for a head "),
                        spar -> assertThat(spar).startsWith("Nest "));
        assertThat(Dressing.workOut(layers(.063), THREE, full)
                        .plies()
                        .getFirst()
                        .reason()
                        .in(Unit.INCH))
                .startsWith("Head ");
    }

    /*
     * -3 over .032: nest .2023 wide, .036 + .0098 = .0458 deep; cut down to a hole of .098:
     * (.2023 - .098) / 2 / tan 50° = .0438. In .050 it fits, in .045 the school forbids it, in .043 the cutter comes
     * out.
     */
    @ParameterizedTest
    @CsvSource({".050, true, false", ".045, false, false", ".043, false, true"})
    void a_nest_fits_if_the_school_lets_it_and_the_cutter_stays_in_the_sheet(double sub, boolean fits, boolean out) {
        Nest nest = new Nest(THREE, Length.in(.032), Length.in(sub), Length.in(.098), CountersinkSchool.FULL);
        assertThat(nest.fits()).isEqualTo(fits);
        assertThat(nest.comesOut()).isEqualTo(out);
        Nest wide = new Nest(THREE, Length.in(.032), Length.in(sub), Length.in(.1), CountersinkSchool.FULL);
        assertThat(wide.cutterDepth().in()).isLessThan(nest.cutterDepth().in());
    }
}
