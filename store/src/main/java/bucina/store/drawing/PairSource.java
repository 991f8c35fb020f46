package bucina.store.drawing;

import bucina.core.measure.InputException;
import org.jspecify.annotations.Nullable;

/** The pairs of lines of a DXF, one after another. */
final class PairSource {

    private final String text;
    private int at;
    private int code;
    private String value = "";

    PairSource(String text) {
        this.text = text;
    }

    /** Moves to the next pair; false at the end. */
    boolean next() {
        String digits = "";
        // Empty lines at the end of a file are common.
        while (digits.isEmpty()) {
            String first = line();
            if (first == null) {
                return false;
            }
            digits = first.strip();
        }
        try {
            code = Integer.parseInt(digits);
        } catch (NumberFormatException e) {
            throw new InputException(
                    "this is no DXF: \"" + (digits.length() > 40 ? digits.substring(0, 40) + "..." : digits)
                            + "\" stands where a group code such as 0 or 10 must",
                    e);
        }
        String second = line();
        if (second == null) {
            throw new InputException("the DXF ends in the middle of a pair: it was cut off");
        }
        value = second.strip();
        return true;
    }

    private @Nullable String line() {
        if (at >= text.length()) {
            return null;
        }
        int end = text.indexOf('\n', at);
        int to = end < 0 ? text.length() : end;
        if (to - at > Limits.LINE) {
            throw new InputException(
                    "a line of the DXF has over " + Limits.LINE + " characters: no drawing has such a line");
        }
        String line = text.substring(at, to);
        at = end < 0 ? text.length() : end + 1;
        return line;
    }

    /** The group code of the pair that comes next; -1 at the end or where it is none. */
    int peekCode() {
        int from = at;
        String line = line();
        at = from;
        try {
            return line == null ? -1 : Integer.parseInt(line.strip());
        } catch (NumberFormatException e) {
            return -1;
        }
    }

    /** Passes over the rest of a section. */
    void skip() {
        while (next()) {
            if (code == 0 && value.equals("ENDSEC")) {
                return;
            }
        }
    }

    int code() {
        return code;
    }

    String value() {
        return value;
    }

    double share() {
        return text.isEmpty() ? 1 : (double) at / text.length();
    }
}
