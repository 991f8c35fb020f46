package bucina.core.plan;

import bucina.core.measure.InputException;

/**
 * How a bolt is fitted and tightened, as far as its designation does not say it.
 *
 * @param nut       name in the catalogue, or kind and height such as {@code castle:.25}; empty for the one that the
 *     designation asks for: self-locking for an undrilled shank, slotted for a drilled one
 * @param headTurns true if the head is turned, as where the nut is held by its plate
 * @param reamed    true if the hole is reamed to size before the bolt goes in
 */
public record Bolting(String nut, boolean headTurns, boolean reamed) {

    /** As the designation says; the nut is turned; not reamed. */
    public static final Bolting NONE = new Bolting("", false, false);

    public Bolting {
        if (nut.length() > 60 || nut.contains("{}")) {
            throw new InputException(
                    "a nut has a name of up to 60 characters, such as tension-lock, was \"" + nut + "\"");
        }
    }
}
