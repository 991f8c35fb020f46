package bucina.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.CatalogueReader;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LengthTest {

    private static LengthParser parser(Unit unit) {
        return new LengthParser(unit, CatalogueReader.shipped().drills());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3/32|0.09375",
                "1 5/16|1.3125",
                "1-5/16|1.3125",
                ".093|0.093",
                "0.093 in|0.093",
                "0.093in|0.093",
                "3/32\"|0.09375",
                "2|2",
                "#40|0.098",
                "# 40|0.098",
                "f|0.257",
                "F|0.257",
                "-.47|-0.47",
                "-1 1/2|-1.5",
                "25.4 mm|1",
                "25.4mm|1",
                " .5 |0.5",
                "12.|12"
            })
    void reads_what_people_type(String text, double inches) {
        assertThat(parser(Unit.INCH).parse(text).in()).isEqualTo(inches);
    }

    @Test
    void a_bare_number_takes_the_unit_in_force_but_a_fraction_is_inches() {
        assertThat(parser(Unit.MM).parse("2.4")).isEqualTo(Length.mm(2.4));
        assertThat(parser(Unit.MM).parse("3/32")).isEqualTo(Length.fraction(3, 32));
        assertThat(parser(Unit.MM).parse(".093 in")).isEqualTo(Length.in(.093));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "  ",
                "abc",
                "1/0",
                "3//4",
                "#39",
                "1,5",
                "1e5",
                "NaN",
                "Infinity",
                ".",
                "1 2",
                "mm",
                "5 m",
                "\u0663"
            })
    void refuses_the_rest_with_an_example(String text) {
        assertThatThrownBy(() -> parser(Unit.INCH).parse(text))
                .isInstanceOf(InputException.class)
                .hasMessageMatching("(?s).*(write|give).*");
    }

    @Test
    void says_which_value_must_be_over_nothing() {
        assertThatThrownBy(() -> parser(Unit.INCH).parsePositive("-0.5", "pitch"))
                .hasMessageStartingWith("pitch must be over 0, was -.5 in");
    }

    @Test
    void is_exact_for_sixty_fourths_and_for_hundredths_of_a_millimetre_at_twenty_metres() {
        Length far = Length.mm(20_000);
        assertThat(far.plus(Length.fraction(1, 64)).minus(far)).isEqualTo(Length.fraction(1, 64));
        assertThat(far.plus(Length.mm(.01)).minus(far)).isEqualTo(Length.mm(.01));
    }

    @Test
    void two_thirds_of_063_is_042() {
        Length limit = Length.nm(Length.in(.063).nanometres() * 2 / 3);
        assertThat(Length.in(.042).atMost(limit)).isTrue();
        assertThat(Length.in(.0421).atMost(limit)).isFalse();
    }

    @Test
    void never_is_not_a_number() {
        assertThatExceptionOfType(InputException.class).isThrownBy(() -> Length.nm(Double.NaN));
        assertThatExceptionOfType(InputException.class).isThrownBy(() -> Length.in(Double.POSITIVE_INFINITY));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.063|.063 in|1.60 mm",
                "0.1875|.188 in|4.76 mm",
                "-0.5|-.500 in|-12.70 mm",
                "-0.0001|.000 in|0.00 mm",
                "12|12.000 in|304.80 mm"
            })
    void prints_rounded_in_either_unit(double inches, String inch, String mm) {
        assertThat(LengthFormat.decimal(Length.in(inches), Unit.INCH, 3)).isEqualTo(inch);
        assertThat(LengthFormat.decimal(Length.in(inches), Unit.MM, 3)).isEqualTo(mm);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"0.063|.063 in", "0.1875|.1875 in", "0.0980|.098 in", "0.2344|.2344 in"})
    void prints_a_fourth_place_only_where_it_says_something(double inches, String text) {
        assertThat(LengthFormat.trade(Length.in(inches), Unit.INCH)).isEqualTo(text);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"0.09375|3/32 in", "1.3125|1 5/16 in", "2|2 in", "0.05|~3/64 in", "0.001|~0 in", "-0.5|-1/2 in"})
    void prints_fractions_and_marks_those_that_are_not_exact(double inches, String text) {
        assertThat(LengthFormat.fraction(Length.in(inches))).isEqualTo(text);
    }

    @Property
    void what_is_printed_exactly_is_read_back_as_the_same(
            @ForAll @IntRange(min = -2_000_000, max = 2_000_000) int tenThousandths) {
        Length length = Length.fraction(tenThousandths, 10_000);
        assertThat(parser(Unit.INCH)
                        .parse(LengthFormat.exact(length, Unit.INCH))
                        .same(length))
                .isTrue();
        assertThat(parser(Unit.MM).parse(LengthFormat.exact(length, Unit.MM)).same(length))
                .isTrue();
    }

    @Test
    void a_sentence_is_written_in_either_unit() {
        Sentence sentence =
                Sentence.of("{} is under {}.", Length.in(.25), Length.in(.3125)).after("Hole 3: ");
        assertThat(sentence.in(Unit.INCH)).isEqualTo("Hole 3: .250 in is under .3125 in.");
        assertThat(sentence.in(Unit.MM)).isEqualTo("Hole 3: 6.35 mm is under 7.938 mm.");
        assertThatExceptionOfType(IllegalArgumentException.class).isThrownBy(() -> Sentence.of("{}"));
    }

    /** What is printed says the length to half a step of its last place, in either unit, and is read back so. */
    @Property(tries = 2000)
    void what_is_printed_is_the_length_to_half_its_last_place(
            @ForAll @DoubleRange(min = -4000, max = 4000) double inches) {
        Length length = Length.in(inches);
        LengthParser inch = new LengthParser(Unit.INCH, new DrillTable(List.of()));
        assertThat(inch.parse(LengthFormat.trade(length, Unit.INCH))
                        .minus(length)
                        .abs()
                        .in())
                .isLessThanOrEqualTo(.00005 + 1e-9);
        assertThat(inch.parse(LengthFormat.trade(length, Unit.MM))
                        .minus(length)
                        .abs()
                        .mm())
                .isLessThanOrEqualTo(.0005 + 1e-9);
        assertThat(inch.parse(LengthFormat.decimal(length, Unit.INCH, 3))
                        .minus(length)
                        .abs()
                        .in())
                .isLessThanOrEqualTo(.0005 + 1e-9);
        assertThat(inch.parse(LengthFormat.decimal(length, Unit.MM, 3))
                        .minus(length)
                        .abs()
                        .mm())
                .isLessThanOrEqualTo(.005 + 1e-9);
        String fraction = LengthFormat.fraction(length);
        assertThat(inch.parse(fraction.replace("~", "")).minus(length).abs().in())
                .isLessThanOrEqualTo(1 / 128.0 + 1e-9);
        assertThat(fraction.startsWith("~"))
                .isEqualTo(!inch.parse(fraction.replace("~", "")).same(length));
    }

    @Property(tries = 2000)
    void a_fraction_is_in_lowest_terms_and_exact_where_it_says_so(
            @ForAll @IntRange(min = 1, max = 6400) int sixtyFourths) {
        String text = LengthFormat.fraction(Length.fraction(sixtyFourths, 64));
        assertThat(text).doesNotStartWith("~");
        if (text.contains("/")) {
            String[] parts = text.replace(" in", "").replaceAll(".* ", "").split("/");
            assertThat(Integer.parseInt(parts[0]) % 2).isEqualTo(1);
            assertThat(Integer.parseInt(parts[0])).isLessThan(Integer.parseInt(parts[1]));
        }
        assertThat(new LengthParser(Unit.MM, new DrillTable(List.of())).parse(text))
                .isEqualTo(Length.fraction(sixtyFourths, 64));
    }
}
