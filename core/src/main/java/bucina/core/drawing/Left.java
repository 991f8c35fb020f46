package bucina.core.drawing;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.sheet.Point;
import java.util.Optional;

/**
 * Something in a drawing that does not come in.
 *
 * @param kind  what it is, as its format calls it
 * @param many  how many, 1 or more
 * @param layer the layer it is on; empty where there are no layers
 * @param why   the reason, as the end of a sentence: {@code its layer is frozen}
 * @param at    where the first is, as far as that can be told
 */
public record Left(String kind, int many, String layer, String why, Optional<Point> at) {

    /** What is left out and why, one sentence. */
    public String words() {
        return many + " " + kind + (layer.isEmpty() ? "" : " on layer \"" + layer + "\"")
                + (many == 1 ? " is" : " are") + " left out: " + why
                + at.map(p -> (many == 1 ? ", at " : ", the first at ") + mm(p.x()) + ", " + mm(p.y()) + " mm")
                        .orElse("")
                + ".";
    }

    private static String mm(double nm) {
        return LengthFormat.figure(Length.nm(nm), Unit.MM, 3);
    }
}
