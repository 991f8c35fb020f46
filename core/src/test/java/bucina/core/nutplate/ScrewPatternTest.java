package bucina.core.nutplate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Where the screws are and which way their edge runs: x, y in inches, then degrees. */
class ScrewPatternTest {

    private static ScrewPattern parse(String text) {
        return ScrewPattern.parse(
                text, new LengthParser(Unit.INCH, CatalogueReader.shipped().drills()));
    }

    private static void are(ScrewPattern pattern, double[]... screws) {
        assertThat(pattern.screws()).hasSize(screws.length);
        for (int i = 0; i < screws.length; i++) {
            ScrewPattern.Screw screw = pattern.screws().get(i);
            assertThat(screw.at().across().in()).as("x of %d", i).isCloseTo(screws[i][0], within(1e-9));
            assertThat(screw.at().up().in()).as("y of %d", i).isCloseTo(screws[i][1], within(1e-9));
            double off = Math.abs(Math.IEEEremainder(screw.along() - screws[i][2], 180));
            assertThat(off).as("direction of %d", i).isLessThan(1e-9);
        }
    }

    private static double[] s(double x, double y, double along) {
        return new double[] {x, y, along};
    }

    @Test
    void a_circle_of_four_on_two_inches() {
        are(parse("Circle:4:2"), s(1, 0, 90), s(0, 1, 0), s(-1, 0, 90), s(0, -1, 0));
        // A third of the way round: 120° is at (−.5, .866), and its edge runs at 210°, which is 30°.
        ScrewPattern.Screw third = ScrewPattern.circle(3, Length.in(2)).screws().get(1);
        assertThat(third.at().across().in()).isCloseTo(-.5, within(1e-9));
        assertThat(third.at().up().in()).isCloseTo(Math.sqrt(3) / 2, within(1e-9));
        assertThat(third.along()).isCloseTo(30, within(1e-9));
    }

    /* Counterclockwise from the lower left corner; in the corners plates lie across: 135° at 0, 0 and at 6, 4. */
    @Test
    void a_rectangle_of_three_by_four_on_six_by_four_and_a_half() {
        are(
                parse("rect:3x4:6x4.5"),
                s(0, 0, 135),
                s(3, 0, 0),
                s(6, 0, 45),
                s(6, 1.5, 90),
                s(6, 3, 90),
                s(6, 4.5, 135),
                s(3, 4.5, 0),
                s(0, 4.5, 45),
                s(0, 3, 90),
                s(0, 1.5, 90));
    }

    @Test
    void a_row_runs_along_x() {
        are(parse("row:3:1.25"), s(0, 0, 0), s(1.25, 0, 0), s(2.5, 0, 0));
        assertThat(parse("row:1:1").screws()).hasSize(1);
        assertThat(parse("row:2000:1").screws()).hasSize(2000);
    }

    @ParameterizedTest
    @CsvSource({
        "circle:1:3, 1 screws: there are 2 to 2000 here",
        "rect:1x3:6x4, 1 screws: there are 2 to 2000 here",
        "rect:3x1:6x4, 1 screws: there are 2 to 2000 here",
        "row:0:1, 0 screws: there are 1 to 2000 here",
        "row:2001:1, 2001 screws: there are 1 to 2000 here"
    })
    void too_few_and_too_many_are_refused_with_the_count(String text, String sentence) {
        assertThatThrownBy(() -> parse(text)).isInstanceOf(InputException.class).hasMessageStartingWith(sentence);
    }

    @Test
    void a_pattern_has_at_least_one_screw() {
        assertThatThrownBy(() -> new ScrewPattern(List.of())).hasMessageStartingWith("0 screws");
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 10, 179.5, 180, 190, -10, -180, -350, 720})
    void a_direction_is_from_0_up_to_180(double degrees) {
        double t = ScrewPattern.turn(degrees);
        assertThat(t).isGreaterThanOrEqualTo(0).isLessThan(180);
        assertThat(Math.abs(Math.IEEEremainder(t - degrees, 180))).isLessThan(1e-9);
    }
}
