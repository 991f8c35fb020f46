package bucina.core.plan;

import bucina.core.measure.InputException;

/** The one rule for names: something is there to be read, and it fits on a label. */
final class Names {
    private Names() {}

    static void check(String what, String name) {
        if (name == null || name.isBlank() || name.length() > 120) {
            throw new InputException(what + " needs a name of 1 to 120 characters, was "
                    + (name == null
                            ? "none"
                            : "\"" + (name.length() > 30 ? name.substring(0, 30) + "..." : name) + "\""));
        }
        if (name.contains("{}")) {
            throw new InputException(
                    what + " cannot have {} in its name, as in \"" + name + "\": those stand for figures in sentences");
        }
    }

    /** A text that may be empty. */
    static void text(String what, String text) {
        if (text.length() > 120 || text.contains("{}")) {
            throw new InputException(what + " has up to 120 characters and no {}, was \""
                    + text.substring(0, Math.min(30, text.length())) + "\"");
        }
    }
}
