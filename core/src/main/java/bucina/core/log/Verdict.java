package bucina.core.log;

import bucina.core.measure.InputException;
import java.util.Arrays;

/** What is to be done about a head, from the least to the worst; of several the worst wins. */
public enum Verdict {
    /** It stays as it is. */
    LEAVE("leave", "leave it"),
    /** It has the metal: once more, then measure again. */
    AGAIN("again", "once more"),
    /** Neither may be said from here: the kit's maker is asked. */
    ASK("ask", "ask the kit's maker"),
    /** Drilled out, a new one set. */
    REPLACE("replace", "replace it");

    private final String code;
    private final String words;

    Verdict(String code, String words) {
        this.code = code;
        this.words = words;
    }

    /** The word in files and on the command line. */
    public String code() {
        return code;
    }

    /** In plain words. */
    public String words() {
        return words;
    }

    /** The worse of two. */
    public Verdict or(Verdict other) {
        return compareTo(other) >= 0 ? this : other;
    }

    /**
     * Reads a code.
     *
     * @throws InputException if it is none
     */
    public static Verdict parse(String text) {
        return Arrays.stream(values())
                .filter(v -> v.code.equalsIgnoreCase(text.strip()))
                .findFirst()
                .orElseThrow(() ->
                        new InputException("\"" + text.strip() + "\" is no verdict: use leave, again, ask or replace"));
    }
}
