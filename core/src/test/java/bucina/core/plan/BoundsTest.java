package bucina.core.plan;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.Plans;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What no sheet has is refused wherever a build comes from; the limits are good themselves. */
class BoundsTest {

    private static Build skin(Length thickness) {
        Layer skin = Plans.layers(8.5).getFirst().withThickness(thickness);
        return Plans.build(Plans.face(List.of(skin), List.of()));
    }

    @Test
    void a_sheet_is_a_hundredth_of_a_millimetre_to_a_hundred_millimetres_thick() {
        assertThatCode(() -> skin(Length.mm(.01))).doesNotThrowAnyException();
        assertThatCode(() -> skin(Length.mm(100))).doesNotThrowAnyException();
        assertThatThrownBy(() -> skin(Length.mm(.0099)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("layer Skin of face Top");
        assertThatThrownBy(() -> skin(Length.mm(100.1))).hasMessageContaining("thick");
    }

    private static Build hole(double mm) {
        Row row = new Row(
                new Id.Row(1000),
                "R1",
                2,
                List.of(new Hole(new Id.Hole(1001), 1, new Point(mm * 1e6, 0), Optional.empty())));
        return Plans.build(
                Plans.face(Plans.layers(8.5), List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(row)))));
    }

    @Test
    void nothing_is_farther_than_a_hundred_metres() {
        assertThatCode(() -> hole(-100_000)).doesNotThrowAnyException();
        assertThatThrownBy(() -> hole(100_001)).hasMessageContaining("hole R1.1 of face Top");
        assertThatThrownBy(() -> hole(-1e20)).hasMessageContaining("hole R1.1 of face Top");
    }

    @Test
    void twenty_holes_at_one_place_are_the_most() {
        assertThatCode(() -> crowd(20)).doesNotThrowAnyException();
        assertThatThrownBy(() -> crowd(21)).hasMessageContaining("R1.21").hasMessageContaining("20 others");
    }

    private static Build crowd(int many) {
        List<Hole> holes = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            holes.add(new Hole(new Id.Hole(1001 + i), i + 1, Point.in(1, 2), Optional.empty()));
        }
        Row row = new Row(new Id.Row(1000), "R1", many + 1, holes);
        return Plans.build(
                Plans.face(Plans.layers(8.5), List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(row)))));
    }

    @ParameterizedTest
    @ValueSource(longs = {1_000_000_000_001L, Long.MAX_VALUE})
    void ids_do_not_run_out(long next) {
        assertThatThrownBy(() -> Plans.build(8.5).withNextId(next).checked())
                .isInstanceOf(InputException.class)
                .hasMessageContaining("" + next);
    }
}
