package bucina.core.rivet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Dressing;
import bucina.core.dress.FlushHead;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.rule.RuleKey;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Figures worked by hand; each test says how. */
class RivetChooserTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final RivetChooser chooser = new RivetChooser(catalogue.rules());

    private static List<Length> layers(double... inches) {
        return Arrays.stream(inches).mapToObj(Length::in).toList();
    }

    private RivetChoice universal(int dash, double... inches) {
        RivetSize size = catalogue.rivet(HeadStyle.UNIVERSAL, dash).orElseThrow();
        return chooser.choose(size, "AD", size.hole(), Dressing.plain(layers(inches)), Optional.empty());
    }

    private RivetChoice flush(HeadStyle head, int dash, Dressing dressing) {
        RivetSize size = catalogue.rivet(head, dash).orElseThrow();
        return chooser.choose(size, "AD", size.hole(), dressing, Optional.empty());
    }

    private static Candidate candidate(RivetChoice choice, String dash) {
        return choice.candidates().stream()
                .filter(c -> c.designation().dash().equals(dash))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void universal_3_32_in_two_thin_sheets_takes_a_3() {
        // G .057, ideal .057 + 1.5 x .09375 = .1976. -3 is .1875: (.1875 - .057) / .09375 = 1.392 D.
        // V = pi/4 [.0087891 x .1305 - (.009604 - .0087891) x .057] = pi/4 x .0011005; d = sqrt(.0011005 / .046875) =
        // .1532 = 1.634 D.
        RivetChoice choice = universal(3, .025, .032);
        assertThat(choice.pick().designation().orElseThrow().code()).isEqualTo("MS20470AD3-3");
        assertThat(choice.idealLength().in()).isCloseTo(.1976, within(.0001));
        assertThat(candidate(choice, "-3").protrusion()).isCloseTo(1.392, within(.001));
        assertThat(candidate(choice, "-3").headAcross()).isCloseTo(1.634, within(.001));
    }

    @Test
    void universal_1_8_in_032_and_040_takes_a_4() {
        // G .072; -4 is .250: .178 / .125 = 1.424 D. V = pi/4 [.015625 x .178 - .00088725 x .072] = pi/4 x .0027174; d
        // = sqrt(.0027174 / .0625) = .2085.
        RivetChoice choice = universal(4, .032, .040);
        assertThat(choice.pick().designation().orElseThrow().dash()).isEqualTo("-4");
        assertThat(candidate(choice, "-4").headAcross()).isCloseTo(1.668, within(.001));
    }

    @Test
    void longer_rivet_where_the_doubler_starts() {
        // With a .063 doubler G .135: -4 stands .115 proud, V = pi/4 [.015625 x .115 - .00088725 x .135], d = .1637 =
        // 1.31 D: short. -5 is good.
        RivetChoice choice = universal(4, .032, .040, .063);
        assertThat(candidate(choice, "-4").headAcross()).isCloseTo(1.31, within(.005));
        assertThat(candidate(choice, "-4").grade()).isEqualTo(Grade.SHORT);
        assertThat(candidate(choice, "-4").reachesProcessMinimum()).isTrue();
        assertThat(choice.pick().designation().orElseThrow().dash()).isEqualTo("-5");
    }

    @Test
    void dimpled_through_reaches_further_than_the_flat_sum() {
        // zc = (.179 - .098) / (2 tan 50) = .03398; Ge = .03398 + sin 50 x .057 = .07765, not .057.
        RivetChoice choice = flush(HeadStyle.FLUSH, 3, Dressing.dimpled(layers(.025, .032), catalogue.rules()));
        assertThat(choice.head().effectiveGrip().in()).isCloseTo(.07765, within(.00001));
        assertThat(choice.head().estimated()).isTrue();
        assertThat(choice.pick().designation().orElseThrow().dash()).isEqualTo("-3.5");
        // V = pi/4 [.0087891 (.21875 - .036) - .009604 (.07765 - .03398)] = pi/4 x .0011868; d = sqrt(.0011868 /
        // .046875) = .1591 = 1.697 D.
        assertThat(candidate(choice, "-3.5").headAcross()).isCloseTo(1.697, within(.002));
    }

    @Test
    void a_nest_keeps_the_flat_grip_and_swells_only_below_the_head() {
        // Skin .025 dimpled into .063: Ge = G = .088. -3.5: V = pi/4 [.0087891 x .13075 - .0008149 x (.088 - .036)] =
        // pi/4 x .0011068; d = .15366.
        Dressing nest = Dressing.workOut(
                layers(.025, .063), FlushHead.of100(Length.in(.179), Length.in(.036)), catalogue.rules());
        RivetChoice choice = flush(HeadStyle.FLUSH, 3, nest);
        assertThat(choice.head().effectiveGrip()).isEqualTo(Length.in(.088));
        assertThat(choice.pick().designation().orElseThrow().dash()).isEqualTo("-3.5");
        assertThat(candidate(choice, "-3.5").headAcross()).isCloseTo(1.639, within(.001));
    }

    @Test
    void reduced_heads_are_chosen_with_their_own_height() {
        // NAS1097 -4 countersunk in .050 over .040: Ge .090, ideal .2775. -4 stands 1.28 D, -5 1.78 D; .2775 is nearer
        // to .25 than to .3125 by .0275 to .035.
        RivetChoice choice = flush(HeadStyle.REDUCED, 4, Dressing.countersunk(layers(.050, .040)));
        assertThat(choice.pick().designation().orElseThrow().code()).isEqualTo("NAS1097AD4-4");
    }

    @Test
    void squeezer_gap_is_grip_and_half_a_diameter_and_for_universal_what_the_cup_leaves() {
        // Flush: .088 + .046875. Universal -4: .072 + .0625 + .054 - .045.
        Dressing nest = Dressing.workOut(
                layers(.025, .063), FlushHead.of100(Length.in(.179), Length.in(.036)), catalogue.rules());
        assertThat(flush(HeadStyle.FLUSH, 3, nest).squeezerGap().in()).isCloseTo(.134875, within(1e-9));
        assertThat(universal(4, .032, .040).head().squeezerGap(Length.in(.045)).in())
                .isCloseTo(.1435, within(1e-9));
    }

    @Test
    void a_stack_too_thin_for_every_stocked_length_gets_the_next_longer_one_cut() {
        // G .012: -2.5 (.15625) stands 1.539 D ... good; so take 1/8, shortest stocked -3 (.1875): G .016 gives 1.37 D
        // good too; 3/16, shortest -5 (.3125):
        // G .016: .2965 / .1875 = 1.58 good. Only a list without short ones needs the cut: here -6 and longer for 1/8.
        RivetSize size = catalogue.rivet(HeadStyle.UNIVERSAL, 4).orElseThrow();
        RivetSize longOnes = new RivetSize(
                size.head(),
                size.dash(),
                size.hole(),
                size.drill(),
                size.headDiameter(),
                size.headHeight(),
                size.cupDepth(),
                List.of(BigDecimal.valueOf(6), BigDecimal.valueOf(8)),
                size.source());
        RivetChoice choice =
                chooser.choose(longOnes, "AD", size.hole(), Dressing.plain(layers(.032, .040)), Optional.empty());
        RivetChoice.Pick pick = choice.pick();
        assertThat(pick.designation().orElseThrow().dash()).isEqualTo("-6");
        assertThat(pick.cutFrom()).contains(Length.in(.375));
        assertThat(pick.cutTo().orElseThrow().in()).isCloseTo(.072 + .1875, within(1e-9));
        assertThat(pick.length()).isEqualTo(pick.cutTo());
        assertThat(pick.grade()).isEqualTo(Grade.GOOD);
        assertThat(pick.why().in(Unit.INCH)).contains("cut -6 from .375 in to .2595 in");
    }

    @Test
    void a_stack_over_every_length_gets_no_rivet_and_a_reason() {
        RivetChoice.Pick pick = universal(3, .3, .3).pick();
        assertThat(pick.usable()).isFalse();
        assertThat(pick.cutFrom()).isEmpty();
        assertThat(pick.why().in(Unit.INCH)).contains("No stocked length reaches");
        // G 1.0: a head 1.4 D across wants (.98 D³ + .0008149 x 1) / D² = .185 proud, over 1.8 D = .169.
        assertThat(universal(3, .5, .5).pick().why().in(Unit.INCH)).contains("No length does");
    }

    @Test
    void no_metal_is_no_head_and_never_nan() {
        ShopHead head = universal(3, .25, .25).head();
        assertThat(head.volume(Length.in(.25))).isNegative();
        assertThat(head.headDiameter(Length.in(.25), Length.in(.05))).isEqualTo(Length.ZERO);
    }

    @Test
    void a_tie_goes_to_the_shorter() {
        // -3 and -3.5 are .1875 and .21875; the middle, .203125, is wanted where G = .203125 - .140625 = .0625.
        assertThat(universal(3, .03125, .03125)
                        .pick()
                        .designation()
                        .orElseThrow()
                        .dash())
                .isEqualTo("-3");
    }

    @Test
    void a_coupon_reading_replaces_the_estimate() {
        RivetSize size = catalogue.rivet(HeadStyle.FLUSH, 3).orElseThrow();
        Dressing dimpled = Dressing.dimpled(layers(.025, .032), catalogue.rules());
        RivetChoice choice = chooser.choose(size, "AD", size.hole(), dimpled, Optional.of(Length.in(.07)));
        assertThat(choice.head().effectiveGrip()).isEqualTo(Length.in(.07));
        assertThat(choice.squeezerGap().in()).isCloseTo(.116875, within(1e-9));
    }

    @Test
    void a_hole_under_the_shank_is_our_mistake() {
        RivetSize size = catalogue.rivet(HeadStyle.FLUSH, 3).orElseThrow();
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new ShopHead(size, Length.in(.09), Dressing.plain(layers(.03)), Optional.empty()));
    }

    @Property
    void a_thicker_stack_never_takes_a_shorter_rivet(
            @ForAll @DoubleRange(min = .02, max = .2) double grip,
            @ForAll @DoubleRange(min = 0, max = .1) double more,
            @ForAll @IntRange(min = 3, max = 6) int dash) {
        RivetChoice thin = universal(dash, grip);
        RivetChoice thick = universal(dash, grip + more);
        if (thin.pick().usable()
                && thick.pick().usable()
                && thin.pick().cutTo().isEmpty()
                && thick.pick().cutTo().isEmpty()) {
            assertThat(thick.pick().length().orElseThrow())
                    .isGreaterThanOrEqualTo(thin.pick().length().orElseThrow());
        }
    }

    @Property
    void what_is_picked_is_good_and_makes_the_head_it_says(
            @ForAll @DoubleRange(min = .02, max = .3) double grip, @ForAll @IntRange(min = 3, max = 6) int dash) {
        RivetChoice choice = universal(dash, grip);
        choice.pick().length().ifPresent(length -> {
            Length d = choice.size().shank();
            Length half = d.times(.5);
            Length across = choice.head().headDiameter(length, half);
            assertThat(across.atLeast(d.times(1.4))).isTrue();
            assertThat(choice.head().protrusion(length).atMost(d.times(1.8))).isTrue();
            assertThat(choice.head().lengthFor(across, half).in()).isCloseTo(length.in(), within(1e-9));
        });
    }

    @Test
    void a_head_is_left_alone_between_the_schools_and_replaced_outside() {
        ShopHeadLimits limits = ShopHeadLimits.of(catalogue.rules(), Length.fraction(1, 8));
        assertThat(limits.judge(Length.in(.19), Length.in(.06))).isEqualTo(ShopHeadLimits.Verdict.GOOD);
        assertThat(limits.judge(Length.in(.1625), Length.in(.05))).isEqualTo(ShopHeadLimits.Verdict.LEAVE);
        assertThat(limits.judge(Length.in(.162), Length.in(.05))).isEqualTo(ShopHeadLimits.Verdict.REPLACE);
        assertThat(limits.judge(Length.in(.19), Length.in(.03))).isEqualTo(ShopHeadLimits.Verdict.REPLACE);
        ShopHeadLimits process = ShopHeadLimits.of(
                catalogue.rules().with(RuleKey.SHOP_SCHOOL, "process", "the kit says so"), Length.fraction(1, 8));
        assertThat(process.judge(Length.in(.19), Length.in(.049))).isEqualTo(ShopHeadLimits.Verdict.REPLACE);
    }

    @Test
    void every_flush_head_in_the_catalogue_has_the_height_of_its_cone() {
        for (RivetSize size : catalogue.rivets()) {
            if (size.head() == HeadStyle.FLUSH) {
                double height = size.headDiameter().minus(size.shank()).in() / (2 * FlushHead.HALF_OF_100.tan());
                assertThat(size.headHeight().in()).as(size.title()).isCloseTo(height, within(.001));
            }
        }
    }
}
