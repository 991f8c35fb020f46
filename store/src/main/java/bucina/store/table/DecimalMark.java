package bucina.store.table;

import bucina.core.measure.InputException;

/** What stands before the decimals of a figure; the other one parts thousands. */
public enum DecimalMark {
    POINT,
    COMMA;

    /** The mark of this name. */
    public static DecimalMark of(String name) {
        return switch (name) {
            case "point" -> POINT;
            case "comma" -> COMMA;
            default -> throw new InputException("\"" + name + "\" is no decimal mark: write point or comma");
        };
    }
}
