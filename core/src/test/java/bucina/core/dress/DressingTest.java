package bucina.core.dress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.Length;
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
}
