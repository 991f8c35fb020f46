package bucina.core.opening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.rule.Finding;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class OpeningTest {

    private static final RuleSet RULES = CatalogueReader.shippedRules();
    private static final StepDrill DRILL = new StepDrill(
            "Bench",
            List.of(
                    Length.fraction(1, 8),
                    Length.fraction(1, 4),
                    Length.fraction(3, 8),
                    Length.fraction(1, 2),
                    Length.fraction(5, 8)));

    @Test
    void the_step_to_stop_at_is_counted_from_the_tip() {
        assertThat(DRILL.stop(Length.fraction(1, 2))).contains(new StepDrill.Stop(4, Length.fraction(1, 2)));
        assertThat(DRILL.stop(Length.in(.49))).contains(new StepDrill.Stop(3, Length.fraction(3, 8)));
        assertThat(DRILL.stop(Length.in(2))).contains(new StepDrill.Stop(5, Length.fraction(5, 8)));
        assertThat(DRILL.stop(Length.in(.1))).isEmpty();
        assertThatThrownBy(() -> new StepDrill("Bent", List.of(Length.in(.2), Length.in(.1))))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("Step 2");
        assertThatThrownBy(() -> new StepDrill("None", List.of())).hasMessageContaining("no steps");
    }

    @Test
    void an_opening_keeps_its_distance_from_bend_and_rivet() {
        Opening hole = new Opening(Length.in(1), Optional.empty(), Length.in(.032));
        // Land 3 t = .096: centre .596 from the tangent. Rivet 1/8 universal: 2 D = .25: centre .75 away.
        assertThat(hole.tangentNearest(RULES).in()).isCloseTo(.596, within(1e-9));
        assertThat(hole.rivetNearest(RULES, Length.fraction(1, 8), false).in()).isCloseTo(.75, within(1e-9));
        assertThat(hole.findings(
                        RULES,
                        Optional.of(Length.in(.596)),
                        Optional.empty(),
                        Optional.of(new Opening.Rivet(Length.in(.75), Length.fraction(1, 8), false))))
                .isEmpty();
        assertThat(hole.findings(
                        RULES,
                        Optional.of(Length.in(.595)),
                        Optional.of(Length.in(.5)),
                        Optional.of(new Opening.Rivet(Length.in(.75), Length.fraction(1, 8), true))))
                .extracting(x -> x.rule().code())
                .containsExactly("opening-near-tangent", "opening-near-edge", "opening-near-rivet");
    }

    @Test
    void sharp_corners_are_found_and_impossible_ones_refused() {
        assertThat(new Opening(Length.in(2), Optional.of(Length.in(.06)), Length.in(.032))
                        .findings(RULES, Optional.empty(), Optional.empty(), Optional.empty()))
                .extracting(x -> x.rule().code())
                .containsExactly("corner-too-sharp");
        assertThatThrownBy(() -> new Opening(Length.in(1), Optional.of(Length.in(.6)), Length.in(.032)))
                .hasMessageContaining("corner radius is .6 in");
        assertThatThrownBy(() -> new Opening(Length.ZERO, Optional.empty(), Length.in(.032)))
                .hasMessageContaining("0 in across");
    }

    @Test
    void a_hole_as_small_as_the_tip_stops_at_the_first_step_and_steps_begin_over_nothing() {
        assertThat(DRILL.stop(Length.fraction(1, 8))).contains(new StepDrill.Stop(1, Length.fraction(1, 8)));
        assertThatThrownBy(() -> new StepDrill("Flat", List.of(Length.ZERO, Length.in(.1))))
                .hasMessageContaining("Step 1");
        assertThatThrownBy(() -> new StepDrill("Even", List.of(Length.in(.1), Length.in(.1))))
                .hasMessageContaining("Step 2");
    }

    @Test
    void the_rule_named_is_that_of_the_rivet_s_head_and_a_round_enough_corner_is_none() {
        Opening hole = new Opening(Length.in(1), Optional.of(Length.fraction(1, 8)), Length.in(.032));
        assertThat(near(hole, false).source())
                .isEqualTo(RULES.rule(RuleKey.EDGE_LEAST_PROTRUDING).source());
        assertThat(near(hole, true).source())
                .isEqualTo(RULES.rule(RuleKey.EDGE_LEAST_FLUSH).source());
        assertThat(near(hole, false).required().orElseThrow().in()).isCloseTo(.25, within(1e-9));
        assertThat(near(hole, true).required().orElseThrow().in()).isCloseTo(.3125, within(1e-9));
    }

    private static Finding near(Opening hole, boolean flush) {
        List<Finding> found = hole.findings(
                RULES,
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Opening.Rivet(Length.in(.6), Length.fraction(1, 8), flush)));
        assertThat(found).hasSize(1);
        return found.getFirst();
    }
}
