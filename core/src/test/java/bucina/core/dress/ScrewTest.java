package bucina.core.dress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ScrewTest {

    private static Screw screw(double shank, double sharp, double typical, double hole) {
        return new Screw("8", Length.in(shank), Length.in(sharp), Length.in(typical), "#19", Length.in(hole), "test");
    }

    /* A 100° cone from .332 down to .164: (.332 − .164) / (2 tan 50°) = .168 / 2.38351 = .07048. */
    @Test
    void a_head_is_as_high_as_its_cone() {
        FlushHead head = screw(.164, .332, .312, .166).head();
        assertThat(head.diameter()).isEqualTo(Length.in(.332));
        assertThat(head.height().in()).isCloseTo(.07048, within(1e-5));
    }

    @ParameterizedTest
    @CsvSource({".164, .312, .332, .166", ".164, .332, .166, .166", "0, .332, .312, .166"})
    void a_head_that_is_no_wider_than_its_hole_or_its_own_edge_is_refused(
            double shank, double sharp, double typical, double hole) {
        assertThatThrownBy(() -> screw(shank, sharp, typical, hole)).isInstanceOf(InputException.class);
    }

    @Test
    void a_head_as_wide_as_made_as_its_sharp_edge_is_one() {
        assertThat(screw(.164, .332, .332, .166).size()).isEqualTo("8");
    }
}
