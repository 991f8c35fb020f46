package bucina.core.refit;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import java.util.Optional;

/**
 * How far a part can swing that hangs on a few holes: each cleco stands in two holes that are larger than it.
 *
 * @param spread the largest distance between two of the holes it hangs on; nought for one hole
 * @param slop   hole less cleco, both sheets added; at least 0
 * @param reach  how far from the middle of those holes it is looked at; at least 0
 * @param most   how far it moves there to each side; empty where it turns freely
 */
public record Swing(Length spread, Length slop, Length reach, Optional<Length> most) {

    private static final Length FINE = Length.in(.001);
    private static final Length COARSE = Length.in(.05);

    /**
     * {@code slop · reach / spread}, never less than half the slop (handbook 13).
     *
     * @throws InputException if a figure is under nought
     */
    public static Swing of(Length spread, Length slop, Length reach) {
        check("the spread of the holes", spread, "like .75, or 0 for one hole");
        check("the slop", slop, "hole less cleco of both sheets added, like .003");
        check("the reach", reach, "from the middle of the holes, like 9");
        if (spread.same(Length.ZERO)) {
            return new Swing(spread, slop, reach, Optional.empty());
        }
        Length arm = slop.times(reach.per(spread));
        Length least = slop.times(0.5);
        return new Swing(spread, slop, reach, Optional.of(arm.atLeast(least) ? arm : least));
    }

    /** As near as anybody measures it. */
    private static Length rounded(Length length, Length to) {
        double n = Math.max(1, Math.rint(length.per(to)));
        return to.times(n);
    }

    private static void check(String what, Length length, String example) {
        if (length.nanometres() < 0) {
            throw new InputException(what + " must be at least 0, was " + length + ": " + example);
        }
    }

    /** What that means, and what to measure. */
    public Sentence says() {
        return most.map(m -> Sentence.of(
                        "It can swing {} to each side {} from the middle of its holes: measure there from an edge, "
                                + "and clamp it, before the first hole is drilled.",
                        rounded(m, FINE),
                        rounded(reach, COARSE)))
                .orElseGet(() -> Sentence.of("On one hole it turns freely: put in a second cleco as far away as "
                        + "there is one, or measure both ends from an edge and clamp them."));
    }
}
