package bucina.store.drawing;

import bucina.core.measure.InputException;
import java.util.Locale;

/**
 * A sheet of paper, upright.
 *
 * @param name   {@code A4}
 * @param width  mm
 * @param height mm
 */
public record Paper(String name, double width, double height) {

    /** 210 by 297 mm. */
    public static final Paper A4 = new Paper("A4", 210, 297);
    /** 8 1/2 by 11 in. */
    public static final Paper LETTER = new Paper("Letter", 215.9, 279.4);

    /** The paper with this name. */
    public static Paper of(String name) {
        return switch (name.toLowerCase(Locale.ROOT)) {
            case "a4" -> A4;
            case "letter" -> LETTER;
            default -> throw new InputException("\"" + name + "\" is no paper known here: write a4 or letter");
        };
    }
}
