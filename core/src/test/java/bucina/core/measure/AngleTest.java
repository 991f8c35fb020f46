package bucina.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class AngleTest {

    @ParameterizedTest
    @CsvSource({"100, 100, 100°", "100°, 100, 100°", "88.5 deg, 88.5, 88.5°", "-90, -90, -90°"})
    void is_read_and_printed(String text, double degrees, String printed) {
        assertThat(Angle.parse(text).degrees()).isEqualTo(degrees);
        assertThat(Angle.parse(text)).hasToString(printed);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "flat", "1 rad", "NaN"})
    void refuses_the_rest(String text) {
        assertThatThrownBy(() -> Angle.parse(text))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("write degrees");
    }

    @Test
    void knows_its_functions() {
        // tan 50 degrees is 1.19175, sin 50 degrees .76604.
        assertThat(Angle.degrees(100).half().tan()).isCloseTo(1.19175, within(.00001));
        assertThat(Angle.degrees(50).sin()).isCloseTo(.76604, within(.00001));
        assertThatExceptionOfType(InputException.class).isThrownBy(() -> Angle.degrees(Double.NaN));
    }
}
