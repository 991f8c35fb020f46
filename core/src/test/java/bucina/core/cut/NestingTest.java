package bucina.core.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.measure.Length;
import bucina.core.sheet.Box;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

class NestingTest {

    private static Nesting.Blank blank(double l, double w, boolean grain) {
        return new Nesting.Blank("", Length.in(l), Length.in(w), grain);
    }

    private static Nesting.SheetStock sheets(double l, double w, int count) {
        return new Nesting.SheetStock(Length.in(l), Length.in(w), count);
    }

    @Test
    void random_pieces_lie_on_the_sheet_apart_by_the_gap_with_their_grain() {
        Random random = new Random(5);
        double gap = 60_000;
        for (int i = 0; i < 100; i++) {
            List<Nesting.Blank> wanted = new ArrayList<>();
            for (int k = 0; k < 1 + random.nextInt(25); k++) {
                wanted.add(blank(1 + random.nextInt(20), 1 + random.nextInt(12), random.nextBoolean()));
            }
            Nesting nest = Nesting.of(wanted, List.of(sheets(48, 24, 3)), Length.nm(gap));
            int laid = 0;
            for (Nesting.Sheet sheet : nest.sheets()) {
                for (Nesting.Laid a : sheet.pieces()) {
                    laid++;
                    assertThat(a.at().minX()).isNotNegative();
                    assertThat(a.at().maxX()).isLessThanOrEqualTo(sheet.length().nanometres() + 1);
                    assertThat(a.at().maxY()).isLessThanOrEqualTo(sheet.width().nanometres() + 1);
                    assertThat(!a.blank().grain()
                                    || a.at().width() == a.blank().length().nanometres())
                            .isTrue();
                    sheet.pieces().stream()
                            .filter(b -> b != a)
                            .forEach(b -> assertThat(apart(a.at(), b.at())).isGreaterThanOrEqualTo(gap - 1));
                }
            }
            assertThat(laid + nest.missing().size()).isEqualTo(wanted.size());
            assertThat(nest.bound()).isLessThanOrEqualTo(nest.sheets().size());
        }
    }

    private static double apart(Box a, Box b) {
        return Math.max(
                Math.max(a.minX() - b.maxX(), b.minX() - a.maxX()), Math.max(a.minY() - b.maxY(), b.minY() - a.maxY()));
    }

    @Test
    void a_sheet_is_filled_to_the_edge_and_the_last_piece_needs_no_gap() {
        Nesting nest = Nesting.of(
                List.of(blank(11.97, 24, false), blank(11.97, 24, false)), List.of(sheets(24, 24, 1)), Length.in(.06));
        assertThat(nest.missing()).isEmpty();
        assertThat(nest.sheets().getFirst().used()).isCloseTo(.9975, Assertions.within(1e-9));
    }

    @Test
    void grain_forbids_the_turn_that_would_fit() {
        assertThat(Nesting.of(List.of(blank(10, 30, true)), List.of(sheets(36, 12, 1)), Length.ZERO)
                        .missing())
                .hasSize(1);
        assertThat(Nesting.of(List.of(blank(10, 30, false)), List.of(sheets(36, 12, 1)), Length.ZERO)
                        .missing())
                .isEmpty();
        assertThatThrownBy(() -> blank(0, 3, false)).hasMessageContaining("0 in by 3 in");
    }
}
