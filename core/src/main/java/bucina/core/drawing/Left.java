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

    /** What is left out and why, one sentence with its place in a unit. */
    public String words(Unit unit) {
        return many + " " + kind + (layer.isEmpty() ? "" : " on layer \"" + layer + "\"")
                + (many == 1 ? " is" : " are") + " left out: " + why
                + at.map(p -> (many == 1 ? ", at " : ", the first at ") + figure(p.x(), unit) + ", "
                                + figure(p.y(), unit) + " " + unit.symbol())
                        .orElse("")
                + ".";
    }

    private static String figure(double nm, Unit unit) {
        return LengthFormat.figure(Length.nm(nm), unit, 3);
    }
}
