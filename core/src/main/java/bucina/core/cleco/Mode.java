package bucina.core.cleco;

import bucina.core.measure.InputException;
import java.util.Arrays;
import java.util.stream.Collectors;

/** The order in which a row is drilled. Every hole drilled gets a cleco at once. */
public enum Mode {
    /** From the middle to both ends, a hole on either side in turn: slack runs off the ends. */
    MIDDLE_OUT("middle-out", "slack runs off both ends"),
    /** As the clecos stay: in thick, curved and sealed joints every hole drilled keeps its cleco to the end. */
    EVERY_HOLE("every-hole", "every hole drilled keeps its cleco, so that nothing shifts"),
    /** From the nose aft: the nose of a wrapped skin has the least freedom. */
    NOSE_FIRST("nose-first", "the nose has the least freedom; slack runs aft"),
    /** From both ends toward the middle. */
    ENDS_IN("ends-in", "both ends are fixed already; the middle gives");

    private final String code;
    private final String reason;

    Mode(String code, String reason) {
        this.code = code;
        this.reason = reason;
    }

    /** The word in commands. */
    public String code() {
        return code;
    }

    /** Why one works in this order. */
    public String reason() {
        return reason;
    }

    /**
     * Reads the word.
     *
     * @throws InputException if it is none of them
     */
    public static Mode parse(String text) {
        return Arrays.stream(values())
                .filter(m -> m.code.equals(text))
                .findFirst()
                .orElseThrow(() -> new InputException("\"" + text + "\" is no way to cleco a row: write one of "
                        + Arrays.stream(values()).map(Mode::code).collect(Collectors.joining(", "))));
    }
}
