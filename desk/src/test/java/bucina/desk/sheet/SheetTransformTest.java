package bucina.desk.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.measure.Unit;
import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** From the face to the screen and back, and where a ruler has its ticks. */
class SheetTransformTest {

    private final Random random = new Random(31);

    private Box box() {
        double x = (random.nextDouble() - .5) * 4e9;
        double y = (random.nextDouble() - .5) * 4e9;
        return new Box(x, y, x + 1e7 + random.nextDouble() * 2e9, y + 1e7 + random.nextDouble() * 2e9);
    }

    @Test
    void what_is_fitted_lies_within_its_margin_and_touches_it_one_way() {
        for (int i = 0; i < 1000; i++) {
            Box box = box();
            double w = 200 + random.nextInt(1500);
            double h = 200 + random.nextInt(900);
            SheetTransform t = SheetTransform.fit(box, w, h, 20);
            double left = t.toX(box.minX());
            double right = t.toX(box.maxX());
            double top = t.toY(box.maxY());
            double bottom = t.toY(box.minY());
            assertThat(left).isGreaterThanOrEqualTo(20 - 1e-6).isLessThan(right);
            assertThat(right).isLessThanOrEqualTo(w - 20 + 1e-6);
            assertThat(top).isGreaterThanOrEqualTo(20 - 1e-6).isLessThan(bottom);
            assertThat(bottom).isLessThanOrEqualTo(h - 20 + 1e-6);
            assertThat(Math.min(left - 20, top - 20)).isCloseTo(0, within(1e-6));
            // In the middle both ways.
            assertThat(left + right).isCloseTo(w, within(1e-6));
            assertThat(top + bottom).isCloseTo(h, within(1e-6));
        }
    }

    @Test
    void there_and_back_is_where_one_was_and_zooming_keeps_the_place_under_the_pointer() {
        for (int i = 0; i < 1000; i++) {
            SheetTransform t =
                    SheetTransform.fit(box(), 900, 600, 10).moved(random.nextInt(200) - 100, random.nextInt(200) - 100);
            double x = random.nextInt(900);
            double y = random.nextInt(600);
            Point at = t.toFace(x, y);
            assertThat(t.toX(at.x())).isCloseTo(x, within(1e-6));
            assertThat(t.toY(at.y())).isCloseTo(y, within(1e-6));
            SheetTransform zoomed = t.zoomed(Math.pow(2, random.nextDouble() * 4 - 2), x, y);
            assertThat(zoomed.toX(at.x())).isCloseTo(x, within(1e-3));
            assertThat(zoomed.toY(at.y())).isCloseTo(y, within(1e-3));
            // y is up on the face and down on the screen.
            assertThat(t.toY(at.y() + 1e7)).isLessThan(y);
            Box seen = t.visible(900, 600, 0);
            assertThat(seen.contains(at)).isTrue();
            assertThat(t.visible(900, 600, 30).contains(t.toFace(-29, 629))).isTrue();
            assertThat(seen.contains(t.toFace(-2, 300))).isFalse();
        }
    }

    @Test
    void zooming_ends_somewhere_both_ways() {
        SheetTransform t = SheetTransform.fit(new Box(0, 0, 1e9, 1e9), 900, 600, 10);
        SheetTransform in = t;
        SheetTransform out = t;
        for (int i = 0; i < 200; i++) {
            in = in.zoomed(1.4, 450, 300);
            out = out.zoomed(1 / 1.4, 450, 300);
        }
        assertThat(in.scale() * 25.4e6).isCloseTo(2400, within(1e-6));
        assertThat(out.scale() * 25.4e6).isCloseTo(.2, within(1e-9));
        assertThatThrownBy(() -> new SheetTransform(0, 0, 0))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("over 0, was 0");
    }

    @Test
    void labels_are_as_near_as_they_may_be_and_stand_at_round_figures() {
        for (int i = 0; i < 2000; i++) {
            double px = Math.pow(10, random.nextDouble() * 6 - 2);
            double room = 40 + random.nextInt(60);
            RulerScale scale = RulerScale.of(px, room);
            assertThat(scale.step() * px).isGreaterThanOrEqualTo(room - 1e-6).isLessThanOrEqualTo(room * 2.5 + 1e-6);
            double lead = scale.step() / Math.pow(10, Math.floor(Math.log10(scale.step()) + 1e-9));
            assertThat(Math.round(lead * 1e6) / 1e6).isIn(1.0, 2.0, 5.0, 10.0);
            // What the label says is where the tick is.
            for (long m : new long[] {-7, 0, 3, 12}) {
                assertThat(Double.parseDouble(scale.label(m, Unit.MM)))
                        .isCloseTo(m * scale.step(), within(scale.step() * 1e-6));
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"62, 62, 1, 0, 1", "100, 50, .5, 1, .5", "7, 62, 10, 0, 10", "700, 62, .1, 1, .1", "4, 62, 20, 0, 20"})
    void steps_are_those_of_a_rule(double px, double room, double step, int decimals, String label) {
        RulerScale scale = RulerScale.of(px, room);
        assertThat(scale.step()).isCloseTo(step, within(1e-12));
        assertThat(scale.decimals()).isEqualTo(decimals);
        assertThat(scale.label(1, Unit.INCH)).isEqualTo(label);
        assertThat(scale.label(-1, Unit.MM)).isEqualTo(decimals == 0 ? "-" + label : "-0" + label);
    }
}
