package bucina.core.spare;

import bucina.core.measure.InputException;

/**
 * What to order of one kind of fastener, with a spare for those that will be rejected.
 *
 * @param rejectShare share of those driven that is reckoned to be rejected
 * @param need        how many are wanted in all, spare among them
 * @param order       how many to order, as they are sold
 */
public record Spare(double rejectShare, int need, int order) {

    private static final int MOST = 1_000_000;
    /** A fastener of which nothing is known is rejected once in twenty. */
    private static final int BEFORE = 20;

    /**
     * Works it out in whole numbers: need = m + ⌈m (r + 1) / (n + 20)⌉. Source: handbook, section 16.
     *
     * @param left     m, still to be set: 0 to 1 000 000
     * @param driven   n, good and rejected: 0 to 1 000 000
     * @param rejected r, of those driven
     * @param onHand   0 to 1 000 000
     * @param pack     how many are sold together: 1 to 1 000 000
     * @throws InputException if a number is out of range, or more are rejected than were driven
     */
    public static Spare of(int left, int driven, int rejected, int onHand, int pack) {
        within("still to be set", left, 0);
        within("driven", driven, 0);
        within("rejected", rejected, 0);
        within("on hand", onHand, 0);
        within("sold together", pack, 1);
        if (rejected > driven) {
            throw new InputException(
                    "of " + driven + " driven at most " + driven + " can be rejected, was " + rejected);
        }
        long share = Math.ceilDiv((long) left * (rejected + 1), driven + BEFORE);
        long need = left + share;
        long order = Math.max(0, need - onHand);
        return new Spare(
                (rejected + 1.0) / (driven + BEFORE), (int) need, (int) (Math.ceilDiv(order, pack) * (long) pack));
    }

    private static void within(String what, int count, int least) {
        if (count < least || count > MOST) {
            throw new InputException(
                    "the number " + what + " is " + least + " to " + MOST + ", such as 120, was " + count);
        }
    }
}
