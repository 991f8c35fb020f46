package bucina.core.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.measure.InputException;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SampleTest {

    @Test
    void the_handbook_s_holes_by_how_many_failed() {
        assertThat(Sample.of(47, 0)).containsExactly(1, 2, 3, 4, 5, 15, 25, 35, 45, 47);
        assertThat(Sample.of(47, 1)).containsExactly(1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 15, 20, 25, 30, 35, 40, 45, 47);
        assertThat(Sample.of(47, 2))
                .isEqualTo(IntStream.rangeClosed(1, 47).boxed().toList());
    }

    @Test
    void small_groups_are_measured_whole_and_the_last_is_named_once() {
        assertThat(Sample.of(0, 0)).isEmpty();
        assertThat(Sample.of(3, 0)).containsExactly(1, 2, 3);
        assertThat(Sample.of(6, 0)).containsExactly(1, 2, 3, 4, 5, 6);
        assertThat(Sample.of(15, 0)).containsExactly(1, 2, 3, 4, 5, 15);
        assertThat(Sample.of(8, 1)).containsExactly(1, 2, 3, 4, 5, 6, 7, 8);
        for (int n = 0; n < 300; n++) {
            List<Integer> none = Sample.of(n, 0);
            assertThat(Sample.of(n, Math.min(n, 1))).containsAll(none);
            assertThat(none).doesNotHaveDuplicates().isSorted();
        }
    }

    @Test
    void counts_that_cannot_be_are_refused() {
        assertThatExceptionOfType(InputException.class).isThrownBy(() -> Sample.of(-1, 0));
        assertThatExceptionOfType(InputException.class).isThrownBy(() -> Sample.of(3, 4));
        assertThatExceptionOfType(InputException.class).isThrownBy(() -> Sample.of(3, -1));
    }
}
