package bucina.core.bend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Least radii and flutes against figures worked by hand. */
class FormingTest {

    private final RadiusTable table = CatalogueReader.shipped().radii();

    /*
     * By hand: 2024-T3 .040 lies a quarter of the way from .032 to .064: 2 + .25 = 2.25 t = .090, 4 + .25 = 4.25 t =
     * .170.
     * .020 in 6061-T6 lies a quarter from .016 to .032: .125 t = .0025, 1.125 t = .0225. Under .016 the first column:
     * .012 x 2 = .024, x 4 = .048.
     * .096 in 5052-H34 lies half way from .064 to .128: 1 t = .096, 2 t = .192.
     */
    @ParameterizedTest
    @CsvSource({
        "2024-T3,.040,.090,.170",
        "2024-T3,.032,.064,.128",
        "2024-T3,.016,.024,.048",
        "6061-T6,.020,.0025,.0225",
        "7075-T6,.012,.024,.048",
        "5052-H34,.096,.096,.192",
        "6061-T4,.128,.128,.256",
        "5052-H32,.025,0,0"
    })
    void radii_are_interpolated_between_the_columns(String material, double t, double practical, double safe) {
        RadiusTable.Least least = table.at(Material.parse(material), Length.in(t));
        assertThat(least.practical().in()).isCloseTo(practical, within(1e-9));
        assertThat(least.safe().in()).isCloseTo(safe, within(1e-9));
        assertThat(least.source()).contains("AC 43.13-1B");
    }

    @Test
    void what_the_table_does_not_hold_is_refused() {
        assertThatThrownBy(() -> table.at(Material.parse("2024-T3"), Length.in(.129)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining(".128 in");
        assertThatThrownBy(() -> table.at(Material.parse("2024-O"), Length.in(.04)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("6061-T6");
    }

    /* By hand: 8 x .1 x .75 / 12 = .050. 9.8696 x .0064 / 1.4 = .04512. Two: sqrt(4 x .35 x .05 / 19.739) = .05955. */
    @Test
    void two_flutes_for_a_tenth_of_bow() {
        Flutes f = Flutes.of(Length.in(.10), Length.in(12), Length.in(.75), Length.in(.08), Length.in(.35));
        assertThat(f.excess().in()).isCloseTo(.050, within(1e-9));
        assertThat(f.takeUp().in()).isCloseTo(.04512, within(.000005));
        assertThat(f.count()).isEqualTo(2);
        assertThat(f.depthEach().in()).isCloseTo(.05955, within(.000005));
        // The true arc at d/w .17 is about 5 % shorter than the formula's.
        assertThat(f.residualSagitta().in()).isBetween(.003, .007);
    }

    /*
     * At d/w .23 the slope is .7226: with m its square, m/4 - 3 m²/64 + 5 m³/256 - 175 m⁴/16384 = .13054 - .01278 +
     * .00278 - .00079 = .1198.
     */
    @Test
    void the_true_arc_is_eight_per_cent_under_the_formula_at_a_depth_of_23_hundredths() {
        double formula = Math.pow(Math.PI * .23, 2) / 4;
        assertThat(formula / Flutes.arcExcess(Length.in(.23), Length.in(1)).in())
                .isCloseTo(1.085, within(.006));
    }

    @Test
    void a_straight_flange_needs_none_and_nonsense_is_refused() {
        assertThat(Flutes.of(Length.ZERO, Length.in(12), Length.in(.75), Length.in(.08), Length.in(.35))
                        .count())
                .isZero();
        assertThatThrownBy(
                        () -> Flutes.of(Length.in(-.1), Length.in(12), Length.in(.75), Length.in(.08), Length.in(.35)))
                .hasMessageContaining("bow");
        assertThatThrownBy(() -> Flutes.of(Length.in(.1), Length.in(0), Length.in(.75), Length.in(.08), Length.in(.35)))
                .hasMessageContaining("chord");
        assertThatThrownBy(
                        () -> Flutes.of(Length.in(1), Length.in(12), Length.in(.75), Length.in(.0001), Length.in(.35)))
                .hasMessageContaining("deeper");
    }
}
