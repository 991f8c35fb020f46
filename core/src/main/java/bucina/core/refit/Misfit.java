package bucina.core.refit;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Point;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;

/**
 * Why a part's holes do not meet those they lie under, from a few of them (handbook 13).
 *
 * @param verdict   what is the matter
 * @param shift     where the part sits, less where it should; of the fit without the bad hole where there is one
 * @param turn      how it is turned, degrees anticlockwise about {@code about}
 * @param about     the middle of the holes that were fitted
 * @param residuals what is left of each offset once shift and turn are taken off, in order
 * @param pull      number, from 0, of the hole whose cleco comes out first; empty where none need
 */
public record Misfit(Verdict verdict, Point shift, double turn, Point about, List<Length> residuals, OptionalInt pull) {

    /** What is the matter. */
    public enum Verdict {
        FITS,
        MOVED,
        PITCH,
        BOWED,
        ONE_HOLE,
        UNCLEAR;

        /** The word in answers. */
        public String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    private static final int FEWEST = 3;

    public Misfit {
        residuals = List.copyOf(residuals);
    }

    /**
     * What is the matter with a part.
     *
     * @param holes   where its holes should be; three or more, not all in one place
     * @param offsets where each is, less where it should be
     * @param within  how much a hole may be off, over 0
     * @throws InputException if that cannot be answered
     */
    public static Misfit of(List<Point> holes, List<Point> offsets, Length within) {
        check(holes, offsets, within);
        Fitted rigid = Fitted.of(holes, offsets, -1);
        if (offsets.stream().allMatch(o -> new Point(0, 0).to(o).atMost(within))) {
            return rigid.says(Verdict.FITS, OptionalInt.empty());
        }
        if (rigid.within(within)) {
            return rigid.says(Verdict.MOVED, OptionalInt.of(largest(offsets)));
        }
        return odd(holes, offsets, rigid, within);
    }

    private static Misfit odd(List<Point> holes, List<Point> offsets, Fitted rigid, Length within) {
        OptionalInt worst = OptionalInt.of(largest(rigid.left()));
        double best = Double.MAX_VALUE;
        Misfit found = rigid.says(Verdict.UNCLEAR, OptionalInt.empty());
        Fitted stretched = rigid.plus(Fitted.Shape.STRETCH);
        if (stretched.within(within)) {
            best = stretched.perFreedom();
            found = rigid.says(Verdict.PITCH, worst);
        }
        Fitted curved = rigid.plus(Fitted.Shape.PARABOLA);
        if (curved.within(within) && curved.perFreedom() < best) {
            best = curved.perFreedom();
            // Through three holes a parabola always goes: it may as well be one bad hole.
            found = holes.size() == FEWEST
                    ? rigid.says(Verdict.UNCLEAR, OptionalInt.empty())
                    : rigid.says(Verdict.BOWED, worst);
        }
        for (int i = 0; i < holes.size() && holes.size() > FEWEST; i++) {
            Fitted without = Fitted.of(holes, offsets, i);
            if (without.within(within) && without.perFreedom() < best) {
                best = without.perFreedom();
                found = without.says(Verdict.ONE_HOLE, OptionalInt.of(i));
            }
        }
        return found;
    }

    private static int largest(List<Point> vectors) {
        double[] lengths =
                vectors.stream().mapToDouble(v -> Math.hypot(v.x(), v.y())).toArray();
        double most = Arrays.stream(lengths).max().orElseThrow();
        int at = 0;
        while (lengths[at] < most) {
            at++;
        }
        return at;
    }

    private static void check(List<Point> holes, List<Point> offsets, Length within) {
        if (holes.size() < FEWEST || holes.size() != offsets.size()) {
            throw new InputException("a misfit is judged at three holes or more with an offset each, was "
                    + holes.size() + " holes and " + offsets.size()
                    + " offsets: holes like 0,0;4,0;8,0 and offsets like .01,0;.012,0;.011,.001");
        }
        if (!within.positive()) {
            throw new InputException("what a hole may be off must be over 0, was " + within + ": usual is .006 in");
        }
        if (holes.stream().distinct().count() < holes.size()) {
            throw new InputException("two of the holes lie in one place: measure at holes apart from each other");
        }
    }

    /** How far the part sits from its place, without its turn. */
    public Length moved() {
        return new Point(0, 0).to(shift);
    }
}
