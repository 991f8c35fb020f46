package bucina.core.spare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.measure.InputException;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** Spares by hand: need = m + ⌈m (r + 1) / (n + 20)⌉. */
class SpareTest {

    @Test
    void of_what_was_driven_the_share_of_rejects_is_taken() {
        // (9 + 1) / (340 + 20) = .02778; 120 of it 3.33, so 4: 124 wanted, 100 there.
        Spare spare = Spare.of(120, 340, 9, 100, 1);
        assertThat(spare.rejectShare()).isEqualTo(10 / 360.0, Offset.offset(1e-12));
        assertThat(spare.need()).isEqualTo(124);
        assertThat(spare.order()).isEqualTo(24);
        assertThat(Spare.of(120, 340, 9, 100, 50).order()).isEqualTo(50);
        assertThat(Spare.of(120, 340, 9, 74, 50).order()).isEqualTo(50);
        assertThat(Spare.of(120, 340, 9, 73, 50).order()).isEqualTo(100);
    }

    @Test
    void one_in_twenty_is_reckoned_until_something_is_known() {
        assertThat(Spare.of(100, 0, 0, 0, 1)).isEqualTo(new Spare(.05, 105, 105));
        assertThat(Spare.of(101, 0, 0, 0, 1).need()).isEqualTo(107);
        assertThat(Spare.of(0, 0, 0, 0, 10)).isEqualTo(new Spare(.05, 0, 0));
    }

    @Test
    void whole_numbers_have_no_rest_of_a_sum_in_binary() {
        // 60 · 1 / 20 is 3 and no more; 1 000 000 · 1 000 001 / 1 000 020 is 999 981.0004.
        assertThat(Spare.of(60, 0, 0, 0, 1).need()).isEqualTo(63);
        assertThat(Spare.of(1_000_000, 1_000_000, 1_000_000, 0, 1).need()).isEqualTo(1_999_982);
    }

    @Test
    void there_is_never_less_than_nothing_to_order() {
        assertThat(Spare.of(10, 0, 0, 500, 100).order()).isZero();
    }

    @Test
    void numbers_out_of_range_are_refused_with_an_example() {
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> Spare.of(-1, 0, 0, 0, 1))
                .withMessageContaining("still to be set")
                .withMessageContaining("-1")
                .withMessageContaining("120");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> Spare.of(1, 5, 6, 0, 1))
                .withMessageContaining("of 5 driven at most 5 can be rejected, was 6");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> Spare.of(1, 5, 5, 0, 0))
                .withMessageContaining("sold together");
    }
}
