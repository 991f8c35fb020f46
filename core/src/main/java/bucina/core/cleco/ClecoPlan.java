package bucina.core.cleco;

import bucina.core.measure.InputException;
import java.util.List;

/**
 * How a row is clecoed and drilled.
 *
 * @param row   what was asked
 * @param waves in order; empty if the stock is too small
 * @param peak  most clecos in use at once
 * @param moves how many times a cleco is placed
 * @param bound no plan of this mode places fewer: every hole gets one, and so many locating clecos are lifted at the
 *     least
 * @param least fewest clecos that the mode can be done with
 */
public record ClecoPlan(Row row, List<Wave> waves, int peak, int moves, int bound, int least) {

    /** The most holes one row may have. */
    public static final int MOST = 20_000;

    /**
     * So many clecos hold two fronts at once: behind and ahead of each, one to go on with at each, one for the hole.
     */
    static final int BOTH_WAYS = 7;

    /**
     * A row to be drilled.
     *
     * @param holes   how many, 1 to {@value #MOST}
     * @param stock   clecos in the bin, at least 0
     * @param nearest a cleco lies within so many holes on each side of the hole being drilled, at least 1
     */
    public record Row(int holes, Mode mode, int stock, int nearest) {
        public Row {
            if (holes < 1 || holes > MOST) {
                throw new InputException(holes + " holes: a row has 1 to " + MOST + ", like 40");
            }
            if (stock < 0) {
                throw new InputException("a stock of " + stock + " clecos: it is 0 or more, like 12");
            }
            if (nearest < 1) {
                throw new InputException("a cleco within " + nearest + " holes: it is 1 or more, like 2");
            }
        }
    }

    /**
     * One step at the bench: place, then drill, then lift.
     *
     * @param why the reason in a few words
     */
    public record Wave(List<Integer> place, List<Integer> drill, List<Integer> remove, String why) {
        public Wave {
            place = List.copyOf(place);
            drill = List.copyOf(drill);
            remove = List.copyOf(remove);
        }
    }

    public ClecoPlan {
        waves = List.copyOf(waves);
    }

    /** Plans a row; {@link #fits} says whether the stock was enough. Time grows with the holes. */
    public static ClecoPlan of(Row row) {
        int least = least(row);
        int bound = row.holes + Locators.of(row).size();
        return row.stock < least
                ? new ClecoPlan(row, List.of(), 0, 0, bound, least)
                : new Progression(row).plan(bound, least);
    }

    /** True if the stock was enough. */
    public boolean fits() {
        return !waves.isEmpty();
    }

    private static int least(Row row) {
        if (row.mode == Mode.EVERY_HOLE) {
            return row.holes;
        }
        if (row.mode == Mode.ENDS_IN) {
            return Math.min(BOTH_WAYS, row.holes);
        }
        // A hole between others wants one on each side; of two holes one serves the other.
        return Math.min(2, Math.max(1, row.holes - 1));
    }
}
