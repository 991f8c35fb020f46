package bucina.core.guard;

/**
 * What speaks against setting holes now: the form asks for a word about it, an entry without one is refused.
 *
 * @param what what is missing, without a full stop
 * @param then what to do, as the rest of the sentence
 */
public record Against(String what, String then) {

    /** The whole sentence. */
    public String sentence() {
        return what + then;
    }
}
