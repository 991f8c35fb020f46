package bucina.store.dxf;

import bucina.core.measure.InputException;
import bucina.store.drawing.Limits;

/** Pairs of lines of text. */
final class TextPairs extends PairSource {

    private final String text;
    private int at;

    TextPairs(String text) {
        this.text = text;
    }

    @Override
    boolean more() {
        // Empty lines and a Ctrl-Z at the end of a file are common.
        while (at < text.length() && (Character.isWhitespace(text.charAt(at)) || text.charAt(at) == 0x1a)) {
            at++;
        }
        return at < text.length();
    }

    @Override
    int readCode() {
        String digits = line().strip();
        try {
            return Integer.parseInt(digits);
        } catch (NumberFormatException e) {
            throw new InputException(
                    "this is no DXF: \"" + (digits.length() > 40 ? digits.substring(0, 40) + "..." : digits)
                            + "\" stands where a group code such as 0 or 10 must",
                    e);
        }
    }

    @Override
    String readValue(int of) {
        if (at >= text.length()) {
            throw cutOff();
        }
        return DxfText.plain(line().strip());
    }

    private String line() {
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

    @Override
    int peekCode() {
        int from = at;
        try {
            return more() ? readCode() : -1;
        } finally {
            at = from;
        }
    }

    @Override
    double share() {
        return text.isEmpty() ? 1 : (double) at / text.length();
    }
}
