package bucina.core.bolt;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Washers that fill a gap between two parts.
 *
 * @param gap      measured, over 0
 * @param washers  thickest first
 * @param left     gap less washers; negative where they stand proud
 */
public record GapFill(Length gap, List<Washer> washers, Length left) {

    /** More washers than this are a bushing. */
    public static final int MOST = 6;

    public GapFill {
        washers = List.copyOf(washers);
    }

    /**
     * Every stack of washers, nearest to the gap first, fewer washers before more where two are as near.
     *
     * @throws InputException if the gap is not over 0, or more than {@value #MOST} of the thickest washer do not
     *     reach it
     */
    public static List<GapFill> of(Length gap, List<Washer> kinds) {
        if (!gap.positive()) {
            throw new InputException("The gap is " + gap + ": it is over 0, like .095");
        }
        List<Washer> thick = kinds.stream()
                .sorted(Comparator.comparing(Washer::thickness).reversed())
                .toList();
        checkGap(gap, thick);
        List<GapFill> fills = new ArrayList<>();
        stack(gap, thick, 0, new ArrayList<>(), fills);
        fills.sort(Comparator.comparing((GapFill f) -> Math.round(f.left.abs().nanometres()))
                .thenComparing(f -> f.washers.size()));
        return fills;
    }

    private static void checkGap(Length gap, List<Washer> thick) {
        if (gap.minus(thick.getFirst().thickness().times(MOST))
                .minus(thick.getFirst().thickness())
                .positive()) {
            throw new InputException("A gap of " + gap + " takes more than " + MOST + " washers of "
                    + thick.getFirst().thickness() + ": make a bushing or a spacer of that length");
        }
    }

    private static void stack(Length gap, List<Washer> kinds, int from, List<Washer> so, List<GapFill> fills) {
        if (!so.isEmpty()) {
            fills.add(new GapFill(
                    gap, so, gap.minus(so.stream().map(Washer::thickness).reduce(Length.ZERO, Length::plus))));
        }
        for (int i = from; i < kinds.size() && so.size() < MOST; i++) {
            so.add(kinds.get(i));
            stack(gap, kinds, i, so, fills);
            so.removeLast();
        }
    }
}
