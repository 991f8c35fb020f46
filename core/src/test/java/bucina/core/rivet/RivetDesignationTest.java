package bucina.core.rivet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RivetDesignationTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "AN426AD3-3.5|MS20426AD3-3.5", "MS20470AD4-6|MS20470AD4-6", "426AD-3-4|MS20426AD3-4",
                        "470AD4-5 (9X)|MS20470AD4-5", "an470ad4-6|MS20470AD4-6",
                "MS20426AD3-3-5|MS20426AD3-3.5", "AN 426 AD 3-4|MS20426AD3-4", "NAS1097AD4-5|NAS1097AD4-5",
                        "470AD4-5 9x|MS20470AD4-5", "MS20426AD3-4.0|MS20426AD3-4",
                "MS20426DD6-10|MS20426DD6-10"
            })
    void reads_every_spelling_and_prints_one(String text, String code) {
        assertThat(RivetDesignation.parse(text).code()).isEqualTo(code);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "rivet",
                "AN426",
                "AN426AD3",
                "MS20426AD3-",
                "AN426AD1-4",
                "AN426AD3-0",
                "AN425AD3-4",
                "NAS426AD3-4",
                "AN1097AD4-4",
                "AN426AD3-3.7",
                "AN426AD99-4"
            })
    void refuses_what_is_no_solid_rivet_with_an_example(String text) {
        assertThatThrownBy(() -> RivetDesignation.parse(text))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("write it like");
    }

    @Test
    void knows_its_shank_and_length() {
        RivetDesignation rivet = RivetDesignation.parse("MS20426AD3-3.5");
        assertThat(rivet.shank()).isEqualTo(Length.fraction(3, 32));
        assertThat(rivet.nominalLength()).isEqualTo(Length.fraction(7, 32));
        assertThat(rivet.dash()).isEqualTo("-3.5");
        assertThat(rivet.family()).isEqualTo("MS20426AD3");
    }
}
