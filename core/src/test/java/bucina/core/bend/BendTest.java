package bucina.core.bend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One bend, and the flat of a profile, against figures worked by hand. */
class BendTest {

    private static Bend bend(double r, double t, double a, String k) {
        return new Bend(Length.in(r), Length.in(t), Angle.degrees(a), NeutralLine.parse(k));
    }

    /*
     * By hand: 90° is 1.570796 rad.
     * .250 + .5 x .051 = .2755, x 1.570796 = .43275.   .250 + .446 x .051 = .272746, x 1.570796 = .42843.
     * .01743 x .25 + .0078 x .051 = .0043575 + .0003978 = .0047553, x 90 = .42798.
     * .125 + .446 x .040 = .14284, x 1.570796 = .22437.   45° is half of it: .11219.   135°: .33656.   180°: .44875.
     * .160 + .5 x .040 = .180, x 1.570796 = .28274.   0 + .5 x .032 = .016, x 1.570796 = .02513.
     * .01743 x .125 + .0078 x .040 = .00217875 + .000312 = .00249075, x 60 = .14945.
     * .0625 + .33 x .025 = .07075, x 1.570796 = .11113.   30° is .523599 rad: .125 + .4 x .063 = .1502, x .523599 =
     * .07864.
     */
    @ParameterizedTest
    @CsvSource({
        ".250,.051,90,0.5,.43275",
        ".250,.051,90,0.446,.42843",
        ".250,.051,90,empirical,.42798",
        ".125,.040,90,0.446,.22437",
        ".125,.040,45,0.446,.11219",
        ".125,.040,-135,0.446,.33656",
        ".125,.040,180,0.446,.44875",
        ".160,.040,90,0.5,.28274",
        "0,.032,90,0.5,.02513",
        ".125,.040,60,empirical,.14945",
        ".0625,.025,90,0.33,.11113",
        ".125,.063,30,0.4,.07864"
    })
    void the_allowance_agrees_to_the_last_digit(double r, double t, double a, String k, double expected) {
        assertThat(bend(r, t, a, k).allowance().in()).isCloseTo(expected, within(.000005));
    }

    /*
     * By hand: tan 45° = 1, .165. tan 22.5° = .414214, x .165 = .06835. tan 60° = 1.732051, x .165 = .28579. BD 90°:
     * .33 - .22437 = .10563.
     */
    @ParameterizedTest
    @CsvSource({"90,.16500,.10563", "45,.06835,.02451", "120,.28579,.27242"})
    void setback_and_deduction(double a, double setback, double deduction) {
        Bend bend = bend(.125, .040, a, "0.446");
        assertThat(bend.setback().orElseThrow().in()).isCloseTo(setback, within(.000005));
        assertThat(bend.deduction().orElseThrow().in()).isCloseTo(deduction, within(.00001));
    }

    @Test
    void a_hem_has_no_setback() {
        assertThat(bend(.032, .025, 180, "0.5").setback()).isEmpty();
        assertThat(bend(.032, .025, -180, "0.5").deduction()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "-.1|.04|90|0.5|radius",
                ".1|0|90|0.5|thickness",
                ".1|.04|0|0.5|over 0°",
                ".1|.04|180.5|0.5|up to 180°",
                ".1|.04|90|0|share",
                ".1|.04|90|1|share",
                ".1|.04|90|NaN|share",
                ".1|.04|90|soft|empirical"
            })
    void what_no_sheet_can_be_bent_to_is_refused(double r, double t, double a, String k, String expected) {
        assertThatThrownBy(() -> bend(r, t, a, k))
                .isInstanceOf(InputException.class)
                .hasMessageContaining(expected);
    }

    private static List<Length> legs(double... legs) {
        return Arrays.stream(legs).mapToObj(Length::in).toList();
    }

    /* By hand: flats 1 - .2 = .8, 2 - .4 = 1.6, .8; two bands of .28274: .8 + 1.6 + .8 + .56549 = 3.76549. */
    @Test
    void the_flat_of_a_channel_over_mould_lines() {
        Bend up = bend(.160, .040, 90, "0.5");
        FlatPattern flat = FlatPattern.of(legs(1, 2, 1), List.of(up, up), MeasuredTo.MOULD);
        assertThat(flat.flats())
                .extracting(Length::in)
                .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1)
                .containsExactly(.8, 1.6, .8);
        assertThat(flat.developed().in()).isCloseTo(3.76549, within(.000005));
        assertThat(flat.bands().get(1).from().in()).isCloseTo(.8 + .28274 + 1.6, within(.000005));
        assertThat(flat.sightLines(FlatPattern.Clamp.FIRST).getFirst().in()).isCloseTo(.96, within(1e-9));
        assertThat(flat.sightLines(FlatPattern.Clamp.LAST).getFirst().in())
                .isCloseTo(.8 + .28274 - .16, within(.000005));
    }

    /* By hand at 90°: outside like mould, 1 - .2; inside 1 - .16; a hem at 180° to the outside: 1 - .2. */
    @Test
    void legs_are_measured_as_asked() {
        Bend square = bend(.160, .040, 90, "0.5");
        Bend hem = bend(.160, .040, 180, "0.5");
        assertThat(FlatPattern.of(legs(1, 1), List.of(square), MeasuredTo.OUTSIDE)
                        .flats()
                        .getFirst()
                        .in())
                .isCloseTo(.8, within(1e-9));
        assertThat(FlatPattern.of(legs(1, 1), List.of(square), MeasuredTo.INSIDE)
                        .flats()
                        .getFirst()
                        .in())
                .isCloseTo(.84, within(1e-9));
        assertThat(FlatPattern.of(legs(1, 1), List.of(square), MeasuredTo.FLAT)
                        .flats()
                        .getFirst()
                        .in())
                .isCloseTo(1, within(1e-9));
        assertThat(FlatPattern.of(legs(1, 1), List.of(hem), MeasuredTo.OUTSIDE)
                        .flats()
                        .getFirst()
                        .in())
                .isCloseTo(.8, within(1e-9));
    }

    @Test
    void a_profile_that_cannot_be_is_refused_with_the_leg_and_what_is_missing() {
        Bend square = bend(.160, .040, 90, "0.5");
        Bend sharp = bend(.160, .040, 160, "0.5");
        assertThatThrownBy(() -> FlatPattern.of(legs(1, .3, 1), List.of(square, square), MeasuredTo.MOULD))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("Leg 2")
                .hasMessageContaining("too short by .1 in");
        assertThatThrownBy(() -> FlatPattern.of(legs(1, 1), List.of(sharp), MeasuredTo.MOULD))
                .hasMessageContaining("Bend 1")
                .hasMessageContaining("no apex");
        assertThatThrownBy(() -> FlatPattern.of(legs(1, 1), List.of(bend(.1, .04, 180, "0.5")), MeasuredTo.INSIDE))
                .hasMessageContaining("no apex");
        assertThatThrownBy(() -> FlatPattern.of(legs(1, 1, 1), List.of(square), MeasuredTo.MOULD))
                .hasMessageContaining("one leg more");
        assertThatThrownBy(() -> FlatPattern.of(legs(1, -1), List.of(square), MeasuredTo.MOULD))
                .hasMessageContaining("Leg 2");
    }
}
