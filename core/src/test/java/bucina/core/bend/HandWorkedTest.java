package bucina.core.bend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.material.Material;
import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Figures worked with a pocket calculator, to the last digit printed. */
class HandWorkedTest {

    private static Bend bend(double r, double t, double a, String k) {
        return new Bend(Length.in(r), Length.in(t), Angle.degrees(a), NeutralLine.parse(k));
    }

    /*
     * BA = π/180 · A · (R + K t); SB = tan(A/2) (R + t); BD = 2 SB − BA.
     *  90°: 1.570796 × (.125 + .446 × .040 = .14284) = .224372; SB = .165; BD = .330 − .224372 = .105628
     *  45°: .785398 × (.1875 + .0315 = .219) = .172002; SB = .414214 × .2505 = .103761; BD = .035519
     * 120°: 2.094395 × (.090 + .014272 = .104272) = .218387; SB = 1.732051 × .122 = .211310; BD = .204233
     *  30°: .523599 × (.0625 + .016 = .0785) = .041102; SB = .267949 × .0945 = .025321; BD = .009540
     *  88°: 1.535890 × (.063 + .33 × .063 = .08379) = .128692; SB = .965689 × .126 = .121677; BD = .114662
     *  92°: 1.605703 × (.160 + .020 = .180) = .289027; SB = 1.035530 × .200 = .207106; BD = .125185
     * 150°: 2.617994 × (.032 + .016 = .048) = .125664; SB = 3.732051 × .064 = .238851; BD = .352038
     * empirical, 90°: (.01743 × .125 + .0078 × .040) × 90 = (.00217875 + .000312) × 90 = .224168
     * empirical, 60°: (.01743 × .1875 + .0078 × .050) × 60 = (.003268125 + .00039) × 60 = .219488
     */
    @ParameterizedTest
    @CsvSource({
        ".125,.040,90,0.446,.224372,.165000,.105628",
        ".1875,.063,45,0.5,.172002,.103761,.035519",
        ".090,.032,120,0.446,.218387,.211310,.204233",
        ".0625,.032,30,0.5,.041102,.025321,.009540",
        ".063,.063,88,0.33,.128692,.121677,.114662",
        ".160,.040,92,0.5,.289027,.207106,.125185",
        ".032,.032,150,0.5,.125664,.238851,.352038",
        ".125,.040,90,empirical,.224168,.165000,.105833",
        ".1875,.050,60,empirical,.219488,.137121,.054754"
    })
    void allowance_setback_and_deduction(
            double r, double t, double a, String k, double allowance, double setback, double deduction) {
        Bend bend = bend(r, t, a, k);
        assertThat(bend.allowance().in()).isCloseTo(allowance, within(6e-7));
        assertThat(bend.setback().orElseThrow().in()).isCloseTo(setback, within(6e-7));
        assertThat(bend.deduction().orElseThrow().in()).isCloseTo(deduction, within(1.1e-6));
    }

    @Test
    void a_closed_hem_takes_half_a_circle_of_the_neutral_line() {
        // 3.141593 × (0 + .33 × .032 = .01056) = .033175; there is no setback.
        assertThat(bend(0, .032, 180, "0.33").allowance().in()).isCloseTo(.033175, within(6e-7));
        assertThat(bend(0, .032, 180, "0.33").setback()).isEmpty();
    }

    @Test
    void a_hat_of_five_legs_measured_to_the_outside() {
        // R .09, t .032, K .446: outside takes R + t = .122 at each end of a leg; BA 90° = 1.570796 × .104272 =
        // .163790.
        // Flats .5 − .122 = .378; .75 − .244 = .506; 1 − .244 = .756; .506; .378. Sum 2.524, and 4 BA = .655160:
        // 3.179160.
        Bend up = bend(.09, .032, 90, "0.446");
        Bend down = bend(.09, .032, -90, "0.446");
        FlatPattern hat = FlatPattern.of(
                List.of(Length.in(.5), Length.in(.75), Length.in(1), Length.in(.75), Length.in(.5)),
                List.of(up, down, down, up),
                MeasuredTo.OUTSIDE);
        assertThat(hat.developed().in()).isCloseTo(3.179160, within(3e-6));
        // Sight line of the second bend, first leg clamped: .378 + .163790 + .506 + .09 = 1.137790.
        assertThat(hat.sightLines(FlatPattern.Clamp.FIRST).get(1).in()).isCloseTo(1.137790, within(2e-6));
    }

    @Test
    void springback_of_hard_and_of_softer_sheet() {
        List<SheetStrength> table = CatalogueReader.shipped().sheets();
        // x = .125 × 50 / (10600 × .040) = .0147406; 4x³ = .0000128; ratio = 1 − .0442217 + .0000128 = .9557911;
        // Rf = .1307817; 90 × (6.25 + 1) / (6.5390835 + 1) = 86.5492; bend to 90 × 7.5390835 / 7.25 = 93.5886.
        Springback hard =
                Springback.of(bend(.125, .040, 90, "0.446"), SheetStrength.of(table, Material.parse("2024-T3")));
        assertThat(hard.ratio()).isCloseTo(.9557911, within(1e-7));
        assertThat(hard.finalRadius().in()).isCloseTo(.1307817, within(1e-7));
        assertThat(hard.finalAngle().degrees()).isCloseTo(86.549, within(5e-4));
        assertThat(hard.bendTo().degrees()).isCloseTo(93.589, within(5e-4));
        // x = .0625 × 40 / (10000 × .032) = .0078125; ratio = 1 − .0234375 + .0000019 = .9765644; Ri/t 1.953125, Rf/t
        // 1.9999962;
        // 90 × 4.90625 / 4.9999924 = 88.3126.
        Springback soft =
                Springback.of(bend(.0625, .032, 90, "0.446"), SheetStrength.of(table, Material.parse("6061-T6")));
        assertThat(soft.finalAngle().degrees()).isCloseTo(88.3126, within(5e-4));
        assertThat(Springback.tweakable(Angle.degrees(-2))).isTrue();
        assertThat(Springback.tweakable(Angle.degrees(2.01))).isFalse();
    }

    @Test
    void a_radius_too_wide_to_set_is_refused_with_the_radius_that_would() {
        List<SheetStrength> table = CatalogueReader.shipped().sheets();
        // x = .5 at R = .5 × 10600 × .016 / 50 = 1.696.
        assertThatThrownBy(() ->
                        Springback.of(bend(2, .016, 90, "0.446"), SheetStrength.of(table, Material.parse("2024-T3"))))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("springs back flat")
                .hasMessageContaining("1.696 in");
        assertThatThrownBy(() -> SheetStrength.of(table, Material.parse("3003-H14")))
                .hasMessageContaining("2024-T3, 5052-H32");
    }

    @Test
    void flanges_of_a_rib_close_toward_a_thinner_tip() {
        // Heights 6 and 4 over a span of 48, half each side: the skin falls 1 in 48, atan(.0208333) = 1.1935°.
        Taper taper = new Taper(
                new Taper.Section(
                        Length.ZERO, Length.ZERO, Length.in(20), Taper.Heights.even(Length.in(6), Length.in(6))),
                new Taper.Section(
                        Length.in(48), Length.ZERO, Length.in(20), Taper.Heights.even(Length.in(4), Length.in(4))));
        Taper.Flange out = taper.rib(Length.in(12), Taper.Faces.OUTBOARD).getFirst();
        assertThat(out.front().degrees()).isCloseTo(88.8065, within(5e-5));
        assertThat(out.turnFront().degrees()).isCloseTo(91.1935, within(5e-5));
        assertThat(taper.rib(Length.in(12), Taper.Faces.INBOARD).get(1).rear().degrees())
                .isCloseTo(91.1935, within(5e-5));
        assertThatThrownBy(() -> taper.rib(Length.in(60), Taper.Faces.INBOARD))
                .hasMessageContaining("60 in lies outside the sections at 0 in and 48 in");
    }

    @Test
    void where_the_planform_tapers_too_the_slope_along_the_rib_counts() {
        // Upper skin 3 and 1 high at 0 and 20 (root), 1.5 and .5 at 5 and 15 (tip): a plane, falling .1 an inch aft.
        // Front: (−1.5 − (−.1 × 5)) / 48 = −1/48; rear: (−.5 − (−.1 × −5)) / 48 = −1/48. Both 88.8065°.
        Length z = Length.ZERO;
        Taper taper = new Taper(
                new Taper.Section(z, z, Length.in(20), Taper.Heights.even(Length.in(6), Length.in(2))),
                new Taper.Section(
                        Length.in(48), Length.in(5), Length.in(15), Taper.Heights.even(Length.in(3), Length.in(1))));
        Taper.Flange flange = taper.rib(Length.in(30), Taper.Faces.OUTBOARD).getFirst();
        assertThat(flange.front().degrees()).isCloseTo(88.8065, within(5e-5));
        assertThat(flange.rear().degrees()).isCloseTo(88.8065, within(5e-5));
        assertThat(flange.change().degrees()).isCloseTo(-1.1935, within(5e-5));
    }

    @Test
    void flutes_lie_between_holes_and_flatten_the_bow() {
        // s .10, c 12, f .75: two flutes. The line is bent back by 8 × .1 / 12 / 2 = .033333 at each.
        List<Length> holes =
                IntStream.rangeClosed(0, 12).mapToObj(i -> Length.in(i)).toList();
        Length s = Length.in(.1);
        Length c = Length.in(12);
        FluteLine line = FluteLine.of(
                Flutes.of(s, c, Length.in(.75), Length.in(.08), Length.in(.35)), s, c, holes, Length.in(.35));
        assertThat(line.between()).containsExactly(3, 9);
        assertThat(line.gaps()).containsExactly(Length.in(2.5), Length.in(8.5));
        // At 6: before .1; off 12 × .033333 × (2.5/12 × .5 + .5 × 3.5/12) = .4 × .25 = .1: nothing left.
        assertThat(line.before(Length.in(6)).in()).isCloseTo(.1, within(1e-12));
        assertThat(line.after(Length.in(6)).in()).isCloseTo(0, within(1e-12));
        assertThat(line.worstAfter(holes).in()).isLessThan(.04);
        assertThat(FluteLine.taken(List.of(Length.in(.1), Length.in(.02)), List.of(Length.in(.1)))
                        .orElseThrow())
                .isCloseTo(.8, within(1e-12));
    }

    @Test
    void flutes_that_have_no_room_are_refused() {
        Length s = Length.in(.1);
        Length c = Length.in(12);
        Flutes two = Flutes.of(s, c, Length.in(.75), Length.in(.08), Length.in(.35));
        assertThatThrownBy(() -> FluteLine.of(two, s, c, List.of(Length.in(1), Length.in(11)), Length.in(.35)))
                .hasMessageContaining("only 1 spaces");
        assertThatThrownBy(() -> FluteLine.of(two, s, c, List.of(Length.in(1), Length.in(13)), Length.in(.35)))
                .hasMessageContaining("Hole 2 is at 13 in");
    }

    @Test
    void a_profile_that_folds_into_itself_names_the_legs() {
        Bend up = bend(.125, .040, 90, "0.446");
        List<Length> legs = List.of(Length.in(2), Length.in(1), Length.in(1), Length.in(2));
        assertThat(Fold.of(FlatPattern.of(legs, List.of(up, up, up), MeasuredTo.MOULD))
                        .clash())
                .containsExactly(1, 4);
        assertThat(Fold.of(FlatPattern.of(legs, List.of(up, bend(.125, .040, -90, "0.446"), up), MeasuredTo.MOULD))
                        .clash())
                .isEmpty();
    }

    @Test
    void a_channel_folds_up_as_wide_and_high_as_its_mould_lines() {
        Bend up = bend(.16, .04, 90, "0.5");
        Fold fold = Fold.of(
                FlatPattern.of(List.of(Length.in(1), Length.in(2), Length.in(1)), List.of(up, up), MeasuredTo.MOULD));
        assertThat(fold.size().get(0).in()).isCloseTo(1, within(1e-9));
        assertThat(fold.size().get(1).in()).isCloseTo(2, within(1e-9));
    }
}
