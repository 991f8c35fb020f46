package bucina.core.dress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CouponTest {

    private static List<Length> in(double... inches) {
        return Arrays.stream(inches).mapToObj(Length::in).toList();
    }

    private static Coupon coupon(List<Length> scrap, List<Length> checks) {
        return new Coupon(Length.in(.179), Length.in(.004), Length.in(.001), FlushHead.HALF_OF_100, scrap, checks, 25);
    }

    @Test
    void the_limits_are_good_themselves() {
        Coupon c = coupon(List.of(), List.of());
        assertThat(c.judge(Length.in(.175))).isEqualTo(Coupon.Verdict.GOOD);
        assertThat(c.judge(Length.in(.18))).isEqualTo(Coupon.Verdict.GOOD);
        assertThat(c.judge(Length.in(.1749))).isEqualTo(Coupon.Verdict.SHALLOW);
        assertThat(c.judge(Length.in(.1801))).isEqualTo(Coupon.Verdict.DEEP);
    }

    @Test
    void creeping_up_goes_deeper_by_half_the_missing_width_over_the_tangent() {
        assertThat(coupon(List.of(), List.of()).state()).isEqualTo(Coupon.State.BEGIN);
        Coupon c = coupon(in(.165), List.of());
        assertThat(c.state()).isEqualTo(Coupon.State.CREEP);
        // .014 / (2 tan 50°) = .014 / 2.3835 = .005874.
        assertThat(c.deeper().orElseThrow().in()).isCloseTo(.005874, within(1e-6));
        Coupon deep = coupon(in(.165, .183), List.of());
        assertThat(deep.state()).isEqualTo(Coupon.State.BACK_OFF);
        // −.004 / 2.3835.
        assertThat(deep.deeper().orElseThrow().in()).isCloseTo(-.001678, within(1e-6));
        assertThat(coupon(in(.165, .183, .178), List.of()).state()).isEqualTo(Coupon.State.CUT);
        assertThatThrownBy(() -> coupon(in(.165), in(.178)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("on scrap first");
    }

    @Test
    void a_drift_by_hand_and_the_hole_where_it_leaves_the_limits() {
        // .178, .177, .176 at holes 0, 25, 50: down .001 in 25. The limit .175 is at hole 75, the next check too.
        Coupon c = coupon(in(.178), in(.177, .176));
        assertThat(Length.nm(c.drift().orElseThrow() * 25).in()).isCloseTo(-.001, within(1e-9));
        assertThat(c.crossing()).contains(75);
        assertThat(c.next()).isEqualTo(75);
        // Twice as fast: .179, .1775, .176 leaves .175 at 66 and two thirds.
        assertThat(coupon(in(.179), in(.1775, .176)).next()).isEqualTo(66);
        assertThat(coupon(in(.178), in(.178, .178)).crossing()).isEmpty();
        assertThat(coupon(in(.178), in(.177)).drift()).isEmpty();
    }

    @Test
    void too_deep_stops_and_names_the_holes_since_the_last_good_check() {
        Coupon c = coupon(in(.178), in(.179, .181));
        assertThat(c.state()).isEqualTo(Coupon.State.STOP);
        assertThat(c.suspect()).isEqualTo(25);
        assertThat(coupon(in(.178), in(.179, .181, .182)).suspect()).isEqualTo(50);
        assertThat(coupon(in(.178), in(.174)).state()).isEqualTo(Coupon.State.CUT_AGAIN);
        assertThat(coupon(in(.178), in(.174, .178)).suspect()).isZero();
    }

    @Test
    void a_straight_drift_is_found_whatever_it_is_and_the_next_check_never_lies_past_the_limit_or_behind() {
        Random random = new Random(7);
        for (int i = 0; i < 1000; i++) {
            double slope = (random.nextDouble() - .5) * 1e-4;
            int n = 2 + random.nextInt(6);
            int every = 1 + random.nextInt(40);
            double[] checks = new double[n];
            for (int k = 0; k < n; k++) {
                checks[k] = .178 + slope * every * (k + 1);
            }
            Coupon c = new Coupon(
                    Length.in(.179),
                    Length.in(.004),
                    Length.in(.001),
                    FlushHead.HALF_OF_100,
                    in(.178),
                    in(checks),
                    every);
            assertThat(Length.nm(c.drift().orElseThrow()).in()).isCloseTo(slope, within(1e-9));
            assertThat(c.next()).isBetween(c.cut() + 1, c.cut() + every);
            if (c.state() == Coupon.State.CUT && c.next() > c.cut() + 1) {
                assertThat(.178 + slope * c.next()).isBetween(.175 - 1e-9, .18 + 1e-9);
            }
        }
    }

    /*
     * Holes 0, 25, 50: .178, .179, .177. Mean .178, slope (−25 × .178 + 25 × .177) / 1250 = −.00002 a hole. At hole 0
     * .178 + 25 × .00002 = .1785, at 50 .1775; the limit .175 is at 25 + .003 / .00002 = 175.
     */
    @Test
    void the_line_through_uneven_readings_goes_through_their_middle() {
        Coupon c = coupon(in(.178), in(.179, .177));
        assertThat(Length.nm(c.drift().orElseThrow()).in()).isCloseTo(-.00002, within(1e-12));
        assertThat(c.line(0).orElseThrow().in()).isCloseTo(.1785, within(1e-9));
        assertThat(c.line(25).orElseThrow().in()).isCloseTo(.178, within(1e-9));
        assertThat(c.line(50).orElseThrow().in()).isCloseTo(.1775, within(1e-9));
        assertThat(c.crossing()).contains(175);
        assertThat(coupon(in(.178), in(.179)).line(0)).isEmpty();
        // Up: .176, .176, .179: slope .003 / 50, mean .177; the limit .180 at 25 + .003 / .00006 = 75.
        assertThat(coupon(in(.176), in(.176, .179)).crossing()).contains(75);
        assertThat(coupon(in(.178), in(.179, .181)).crossing()).isEmpty();
    }

    @Test
    void where_every_check_is_out_all_holes_are_suspect_deep_or_shallow() {
        assertThat(coupon(in(.178), in(.182, .181)).suspect()).isEqualTo(50);
        assertThat(coupon(in(.178), in(.178, .174)).suspect()).isEqualTo(25);
        assertThat(coupon(in(.178), in(.178, .179)).suspect()).isZero();
        assertThat(coupon(List.of(), List.of()).suspect()).isZero();
        assertThat(coupon(in(.181), List.of()).suspect()).isZero();
    }

    @ParameterizedTest
    @CsvSource({"0, 0, 0", ".179, -.001, .001", ".179, .001, -.001", ".179, .179, .001"})
    void a_target_is_over_nothing_and_over_its_lower_limit(double target, double under, double over) {
        assertThatThrownBy(() -> new Coupon(
                        Length.in(target),
                        Length.in(under),
                        Length.in(over),
                        FlushHead.HALF_OF_100,
                        List.of(),
                        List.of(),
                        25))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("like .179 with .004 and .001");
    }
}
