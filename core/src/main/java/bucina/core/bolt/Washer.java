package bucina.core.bolt;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;

/**
 * A kind of washer.
 *
 * @param name      {@code regular}, {@code thin} or {@code large-area}
 * @param thickness over 0
 * @param source    where it stands
 */
public record Washer(String name, Length thickness, String source) {

    public Washer {
        if (!thickness.positive()) {
            throw new InputException("a washer must be thicker than 0, was " + thickness);
        }
    }
}
