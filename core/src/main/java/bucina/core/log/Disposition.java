package bucina.core.log;

import bucina.core.measure.InputException;
import java.util.Arrays;
import java.util.stream.Collectors;

/** What was done about a rejected fastener. */
public enum Disposition {
    /** Left as it is: outside the gauge, inside the process limits. */
    LEFT("left", "left as it is", true),
    /** Drilled out, same rivet again. */
    REPLACED("replaced", "drilled out, same rivet", true),
    /** Drilled out, next diameter. */
    OVERSIZE("oversize", "drilled out, next diameter", true),
    /** Drilled out, the hole is still open. */
    OPEN("open", "drilled out, hole open", false),
    /** Waiting for an answer from the kit's maker. */
    QUERY("query", "waiting for an answer", false);

    private final String code;
    private final String words;
    private final boolean filled;

    Disposition(String code, String words, boolean filled) {
        this.code = code;
        this.words = words;
        this.filled = filled;
    }

    /** The word in files and on the command line. */
    public String code() {
        return code;
    }

    /** In plain words. */
    public String words() {
        return words;
    }

    /** True if a sound fastener is in the hole afterwards. */
    public boolean filled() {
        return filled;
    }

    /**
     * Reads a code.
     *
     * @throws InputException if it is none
     */
    public static Disposition parse(String text) {
        return Arrays.stream(values())
                .filter(d -> d.code.equalsIgnoreCase(text.strip()))
                .findFirst()
                .orElseThrow(
                        () -> new InputException("\"" + text + "\" is not something done about a reject: use one of "
                                + Arrays.stream(values()).map(Disposition::code).collect(Collectors.joining(", "))
                                + ", as in 1:replaced"));
    }
}
