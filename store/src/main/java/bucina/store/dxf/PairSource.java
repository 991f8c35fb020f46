package bucina.store.dxf;

import bucina.core.measure.InputException;
import bucina.store.drawing.LayerNames;
import java.util.HashMap;
import java.util.Map;

/** The pairs of a DXF, one after another: a group code and its value. */
abstract sealed class PairSource permits TextPairs, BinaryPairs {

    private final Map<String, String> names = new HashMap<>();
    private int code;
    private String value = "";

    static PairSource of(byte[] bytes) {
        return BinaryPairs.is(bytes) ? new BinaryPairs(bytes) : new TextPairs(DxfText.of(bytes));
    }

    static PairSource of(String text) {
        return new TextPairs(text);
    }

    /** Moves to the next pair; false at the end. */
    final boolean next() {
        if (!more()) {
            return false;
        }
        code = readCode();
        value = readValue(code);
        if (code == 999 && value.startsWith(LayerNames.COMMENT)) {
            String[] words = value.split(" ", 3);
            if (words.length == 3) {
                names.put(words[1], words[2]);
            }
        }
        return true;
    }

    /** What a layer was called before its name was made to fit, as comments of our own tell. */
    final String before(String layer) {
        return names.getOrDefault(layer, layer);
    }

    /** True if anything follows. */
    abstract boolean more();

    abstract int readCode();

    /** The value of a code, without blanks around it. */
    abstract String readValue(int of);

    /** The group code of the pair that comes next; -1 at the end. */
    abstract int peekCode();

    /** How much is read, 0 to 1. */
    abstract double share();

    static InputException cutOff() {
        return new InputException("the DXF ends in the middle of a pair: it was cut off");
    }

    /** Passes over the rest of a section. */
    final void skip() {
        while (next()) {
            if (code == 0 && value.equals("ENDSEC")) {
                return;
            }
        }
    }

    final int code() {
        return code;
    }

    final String value() {
        return value;
    }
}
