package bucina.core.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.measure.InputException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TightenedTest {

    @ParameterizedTest
    @CsvSource({"60 + 8, 60, 8", "60+8, 60, 8", "62.5 + 0, 62.5, 0", "'62,5 + 8,25 in-lb', 62.5, 8.25"})
    void torque_and_drag_are_read_as_people_write_them(String typed, double torque, double drag) {
        assertThat(Tightened.parse(typed, true)).isEqualTo(new Tightened(torque, drag));
    }

    @Test
    void a_nut_that_drags_has_its_drag_said_one_that_does_not_need_not() {
        assertThat(Tightened.parse("60", false)).isEqualTo(new Tightened(60, 0));
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> Tightened.parse("60", true))
                .withMessageContaining("the running drag is not given");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "tight", "60 + ", "+ 8", "0 + 8", "-60 + 8", "60 + 8 + 1", "1e3", "999999"})
    void what_is_no_torque_is_refused_with_an_example(String typed) {
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> Tightened.parse(typed, true))
                .withMessageMatching(".*(like 60|is not given).*");
    }
}
