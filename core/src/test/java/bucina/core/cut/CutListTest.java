package bucina.core.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class CutListTest {

    private static Piece piece(double length, int count) {
        return new Piece("", Length.in(length), count);
    }

    private static Stock stock(double length, int count) {
        return new Stock(Length.in(length), count);
    }

    /* By hand below: 60, 48 and 30 hold all, 138 in. */
    @Test
    void a_small_list_takes_the_least_stock_there_is() {
        List<Piece> wanted = List.of(
                piece(36, 1), piece(24, 1), piece(23, 1), piece(17.5, 1), piece(11, 1), piece(9.25, 1), piece(6, 1));
        List<Stock> stock = List.of(stock(48, 2), stock(60, 2), stock(30, 1));
        CutList list = CutList.of(wanted, stock, Length.in(.063));
        sound(list, wanted, stock, .063);
        // 36 + 23 = 59.126 on the 60; 24 + 17.5 + 6 = 47.689 on the 48; 11 + 9.25 = 20.376 on the 30: 138 in.
        assertThat(list.missing()).isEmpty();
        assertThat(list.used().in()).isCloseTo(138, within(1e-9));
    }

    @Test
    void a_count_behind_a_unit_is_a_count_and_what_cannot_be_read_is_refused() {
        CutText text = new CutText(
                new LengthParser(Unit.INCH, CatalogueReader.shipped().drills()));
        assertThat(text.pieces("610 mm x2, 6 ft x1, 24 in x2 clip, 11 1/4 x6, 7.5 hinge shim"))
                .containsExactly(
                        new Piece("", Length.mm(610), 2),
                        new Piece("", Length.in(72), 1),
                        new Piece("clip", Length.in(24), 2),
                        new Piece("", Length.in(11.25), 6),
                        new Piece("hinge shim", Length.in(7.5), 1));
        for (String bad : List.of("610 km x2", "24 in clip x2", "24 x", "24 2x", "x2")) {
            assertThatThrownBy(() -> text.pieces(bad))
                    .as(bad)
                    .isInstanceOf(InputException.class)
                    .hasMessageContaining("like");
        }
    }

    /** What sawing takes of a bar in inches: a kerf a piece, one fewer where the last ends flush. */
    private static double taken(List<Double> pieces, double kerf, double bar) {
        double sum = pieces.stream().mapToDouble(x -> x).sum();
        double flush = sum + kerf * (pieces.size() - 1);
        return Math.abs(flush - bar) < 1e-9 ? flush : sum + kerf * pieces.size();
    }

    private static void sound(CutList list, List<Piece> wanted, List<Stock> stock, double kerf) {
        List<Length> all = new ArrayList<>();
        for (CutList.Bar bar : list.bars()) {
            double taken = taken(
                    bar.pieces().stream().map(p -> p.length().in()).toList(),
                    kerf,
                    bar.stock().in());
            assertThat(taken).isLessThanOrEqualTo(bar.stock().in() + 1e-9);
            assertThat(bar.left().in()).isCloseTo(bar.stock().in() - taken, within(1e-9));
            bar.pieces().forEach(p -> all.add(p.length()));
        }
        list.missing().forEach(p -> all.add(p.length()));
        List<Length> asked = new ArrayList<>();
        wanted.forEach(p -> asked.addAll(Collections.nCopies(p.count(), p.length())));
        assertThat(all).containsExactlyInAnyOrderElementsOf(asked);
        for (Stock s : stock) {
            assertThat(list.bars().stream()
                            .filter(b -> b.stock().equals(s.length()))
                            .count())
                    .isLessThanOrEqualTo(stock.stream()
                            .filter(o -> o.length().equals(s.length()))
                            .mapToInt(Stock::count)
                            .sum());
        }
        assertThat(list.bound())
                .isBetween(list.bars().isEmpty() ? 0 : 1, list.bars().size());
    }

    /**
     * First-fit-decreasing, written apart: longest piece first, on the first bar it goes on, bars in the order given.
     */
    private static double[] firstFit(List<Piece> wanted, List<Stock> stock, double kerf) {
        List<Double> pieces = new ArrayList<>();
        wanted.forEach(
                p -> pieces.addAll(Collections.nCopies(p.count(), p.length().in())));
        pieces.sort(Comparator.reverseOrder());
        List<Double> bars = new ArrayList<>();
        stock.forEach(s -> bars.addAll(Collections.nCopies(s.count(), s.length().in())));
        List<List<Double>> on = new ArrayList<>();
        bars.forEach(b -> on.add(new ArrayList<>()));
        double missing = 0;
        for (double p : pieces) {
            boolean laid = false;
            for (int i = 0; i < bars.size() && !laid; i++) {
                on.get(i).add(p);
                laid = taken(on.get(i), kerf, bars.get(i)) <= bars.get(i) + 1e-9;
                if (!laid) {
                    on.get(i).removeLast();
                }
            }
            missing += laid ? 0 : p;
        }
        return new double[] {missing, on.stream().filter(b -> !b.isEmpty()).count()};
    }

    @Test
    void no_random_case_is_worse_than_first_fit_and_every_bound_holds() {
        Random random = new Random(200);
        int better = 0;
        for (int i = 0; i < 200; i++) {
            List<Piece> wanted = new ArrayList<>();
            for (int k = 0; k < 1 + random.nextInt(6); k++) {
                wanted.add(piece(3 + random.nextInt(300) / 10.0, 1 + random.nextInt(6)));
            }
            List<Stock> stock = new ArrayList<>(List.of(stock(48 + 12 * random.nextInt(3), 3 + random.nextInt(12))));
            if (random.nextInt(3) == 0) {
                stock.add(stock(30 + random.nextInt(20), 1 + random.nextInt(4)));
            }
            double kerf = random.nextInt(4) * 0.03;
            CutList list = CutList.of(wanted, stock, Length.in(kerf));
            sound(list, wanted, stock, kerf);
            double[] plain = firstFit(wanted, stock, kerf);
            double missing =
                    list.missing().stream().mapToDouble(p -> p.length().in()).sum();
            assertThat(missing).isLessThanOrEqualTo(plain[0] + 1e-9);
            if (Math.abs(missing - plain[0]) < 1e-9) {
                assertThat((double) list.bars().size()).isLessThanOrEqualTo(plain[1]);
                better += list.bars().size() < plain[1] ? 1 : 0;
            }
        }
        assertThat(better).isPositive();
    }

    @Test
    void the_best_of_a_small_case_is_found_where_first_fit_wastes_a_bar() {
        // First-fit on bars of 10: 6; 5, 5; 4 goes with the 6; the 3s then take two more. Best is 6+4, 5+5, 3+3+3+1.
        List<Piece> wanted = List.of(piece(4, 2), piece(3, 4), piece(2, 3), piece(6, 1));
        CutList list = CutList.of(wanted, List.of(stock(10, 9)), Length.ZERO);
        // 8 + 12 + 6 + 6 = 32 on bars of 10: four at the least.
        assertThat(list.bars()).hasSize(4);
        assertThat(list.bound()).isEqualTo(4);
    }

    @Test
    void the_bound_never_passes_the_best_that_trying_everything_finds() {
        Random random = new Random(8);
        for (int i = 0; i < 60; i++) {
            List<Double> pieces = new ArrayList<>();
            List<Piece> wanted = new ArrayList<>();
            for (int k = 0; k < 6; k++) {
                double length = 2 + random.nextInt(70) / 10.0;
                pieces.add(length);
                wanted.add(piece(length, 1));
            }
            CutList list = CutList.of(wanted, List.of(stock(10, 6)), Length.in(.1));
            int best = best(pieces, new ArrayList<>(), 0);
            assertThat(list.bound()).isLessThanOrEqualTo(best);
            assertThat(list.bars()).hasSize(best);
        }
    }

    private static int best(List<Double> pieces, List<List<Double>> on, int i) {
        if (i == pieces.size()) {
            return on.size();
        }
        int best = Integer.MAX_VALUE;
        for (List<Double> bar : List.copyOf(on)) {
            bar.add(pieces.get(i));
            if (taken(bar, .1, 10) <= 10 + 1e-9) {
                best = Math.min(best, best(pieces, on, i + 1));
            }
            bar.removeLast();
        }
        on.add(new ArrayList<>(List.of(pieces.get(i))));
        best = Math.min(best, best(pieces, on, i + 1));
        on.removeLast();
        return best;
    }

    @Test
    void the_last_cut_is_saved_only_where_it_ends_flush() {
        // Three of 24 and two kerfs of .06 are 72.12: two go on 72. On 72.12 the third ends flush.
        assertThat(CutList.of(List.of(piece(24, 3)), List.of(stock(72, 1)), Length.in(.06))
                        .missing())
                .hasSize(1);
        CutList flush = CutList.of(List.of(piece(24, 3)), List.of(stock(72.12, 1)), Length.in(.06));
        assertThat(flush.missing()).isEmpty();
        assertThat(flush.bars().getFirst().left()).isEqualTo(Length.ZERO);
        assertThat(CutList.of(List.of(piece(24, 3)), List.of(stock(72.15, 1)), Length.in(.06))
                        .missing())
                .hasSize(1);
    }

    @Test
    void of_two_bars_that_do_the_shorter_is_cut() {
        CutList list = CutList.of(List.of(piece(20, 1)), List.of(stock(72, 1), stock(24, 1)), Length.in(.06));
        assertThat(list.bars())
                .singleElement()
                .satisfies(b -> assertThat(b.stock()).isEqualTo(Length.in(24)));
    }

    @Test
    void what_cannot_be_wanted_is_refused() {
        assertThatThrownBy(() -> piece(-1, 1))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("-1 in long");
        assertThatThrownBy(() -> piece(1, 0)).hasMessageContaining("0 pieces");
        assertThatThrownBy(() -> CutList.of(List.of(), List.of(), Length.ZERO))
                .hasMessageContaining("No piece is wanted");
        assertThatThrownBy(() -> CutList.of(List.of(piece(1, 1)), List.of(), Length.in(-.1)))
                .hasMessageContaining("kerf");
    }

    @Test
    void stock_of_the_wrong_gauge_stops_the_job() {
        GaugeCheck check = new GaugeCheck(Length.in(.050), GaugeCheck.USUAL);
        assertThat(check.judge(Length.in(.080)))
                .get()
                .satisfies(f -> assertThat(f.message().in(Unit.INCH))
                        .isEqualTo("This stock measures .080 in; .050 in is called for."));
        assertThat(check.judge(Length.in(.0535))).isEmpty();
        assertThat(check.judge(Length.in(.054))).isEmpty();
        assertThat(check.judge(Length.in(.0541))).isPresent();
    }
}
