package bucina.core.refit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SwingTest {

    @Test
    void byHand() {
        // .003 x 9 / .75 = .036
        assertThat(Swing.of(Length.in(.75), Length.in(.003), Length.in(9))
                        .most()
                        .orElseThrow()
                        .in())
                .isCloseTo(.036, within(1e-12));
    }

    @Test
    void nearTheHolesItStillShifts() {
        assertThat(Swing.of(Length.in(4), Length.in(.004), Length.in(1))
                        .most()
                        .orElseThrow()
                        .in())
                .isCloseTo(.002, within(1e-12));
    }

    @Test
    void onOneHoleItTurnsFreely() {
        Swing free = Swing.of(Length.ZERO, Length.in(.003), Length.in(9));
        assertThat(free.most()).isEmpty();
        assertThat(free.says().pattern()).contains("turns freely");
    }

    @Test
    void figuresUnderNoughtAreRefused() {
        assertThatThrownBy(() -> Swing.of(Length.in(1), Length.in(-.003), Length.in(9)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("slop");
    }

    /** Every shift of the two ends of a stick inside their clearance, tried one by one. */
    @Test
    void noShiftOfTheTwoHolesMovesItFarther() {
        Random random = new Random(3);
        for (int i = 0; i < 200; i++) {
            double b = .5 + 6 * random.nextDouble();
            double s = .001 + .01 * random.nextDouble();
            double a = 12 * random.nextDouble();
            double most = 0;
            for (int p = 0; p < 40; p++) {
                for (int q = 0; q < 40; q++) {
                    double left = s / 2 * Math.sin(2 * Math.PI * p / 40);
                    double right = s / 2 * Math.sin(2 * Math.PI * q / 40);
                    most = Math.max(most, Math.abs((left + right) / 2 + (right - left) / b * a));
                }
            }
            assertThat(Swing.of(Length.in(b), Length.in(s), Length.in(a))
                            .most()
                            .orElseThrow()
                            .in())
                    .isCloseTo(most, within(1e-9));
        }
    }
}
