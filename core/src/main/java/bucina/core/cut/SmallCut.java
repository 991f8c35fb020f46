package bucina.core.cut;

import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/*
 * Design. Every set of pieces is a number of bits. Bars are taken one after another; for each set that earlier bars may
 * hold, the cheapest way to hold it is kept (fewest bars, then least stock). With n pieces and m bars that are m · 3ⁿ
 * steps.
 */

/** The best cutting list of a few pieces, by trying everything. */
final class SmallCut {

    /** Up to so many pieces; one more costs three times as long. */
    private static final int PIECES = 11;

    private static final int BARS = 12;

    private SmallCut() {}

    /**
     * The fillings that leave least length missing, and for that take the fewest bars, then the least stock; empty if
     * there are too many pieces or bars to try everything.
     *
     * @param pieces lengths wanted
     * @param stock  lengths on hand
     */
    static Optional<List<Fillings.Filling>> solve(List<Length> pieces, List<Stock> stock, Length kerf) {
        List<Length> bars = new ArrayList<>();
        for (Stock s : stock) {
            for (int i = 0; i < Math.min(s.count(), pieces.size()); i++) {
                bars.add(s.length());
            }
        }
        if (pieces.size() > PIECES || bars.size() > BARS) {
            return Optional.empty();
        }
        int sets = 1 << pieces.size();
        Length[] sum = new Length[sets];
        sum[0] = Length.ZERO;
        for (int set = 1; set < sets; set++) {
            int last = Integer.numberOfTrailingZeros(set);
            sum[set] = sum[set & (set - 1)].plus(pieces.get(last)).plus(kerf);
        }
        int[][] taken = new int[bars.size()][sets];
        double[] cost = new double[sets];
        Arrays.fill(cost, Double.POSITIVE_INFINITY);
        cost[0] = 0;
        double dear = bars.stream().mapToDouble(Length::nanometres).sum() * 2 + 1;
        for (int b = 0; b < bars.size(); b++) {
            cost = next(
                    cost, fitting(sum, bars.get(b), kerf), dear + bars.get(b).nanometres(), taken[b]);
        }
        int best = 0;
        for (int set = 1; set < sets; set++) {
            if (cost[set] < Double.POSITIVE_INFINITY && better(set, best, sum, kerf, cost)) {
                best = set;
            }
        }
        List<Fillings.Filling> fillings = new ArrayList<>();
        for (int b = bars.size() - 1, left = best; b >= 0; b--) {
            int mine = taken[b][left];
            if (mine != 0) {
                fillings.add(new Fillings.Filling(bars.get(b), chosen(pieces, mine)));
            }
            left &= ~mine;
        }
        return Optional.of(fillings.reversed());
    }

    private static boolean better(int set, int best, Length[] sum, Length kerf, double[] cost) {
        Length mine = sum[set].minus(kerf.times(Integer.bitCount(set)));
        Length other = sum[best].minus(kerf.times(Integer.bitCount(best)));
        return mine.same(other) ? cost[set] < cost[best] : mine.atLeast(other);
    }

    private static double[] next(double[] cost, boolean[] fits, double price, int[] taken) {
        double[] after = cost.clone();
        for (int set = 1; set < after.length; set++) {
            for (int mine = set; mine != 0; mine = (mine - 1) & set) {
                if (fits[mine] && cost[set & ~mine] + price < after[set]) {
                    after[set] = cost[set & ~mine] + price;
                    taken[set] = mine;
                }
            }
        }
        return after;
    }

    /** Sets that go on a bar: the last cut is saved only where it ends flush. */
    private static boolean[] fitting(Length[] sum, Length bar, Length kerf) {
        boolean[] fits = new boolean[sum.length];
        for (int set = 1; set < sum.length; set++) {
            fits[set] = sum[set].atMost(bar) || sum[set].minus(kerf).same(bar);
        }
        return fits;
    }

    private static List<Length> chosen(List<Length> pieces, int set) {
        List<Length> mine = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            if ((set >> i & 1) != 0) {
                mine.add(pieces.get(i));
            }
        }
        return mine;
    }
}
