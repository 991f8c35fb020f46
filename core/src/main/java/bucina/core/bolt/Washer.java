package bucina.core.bolt;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Map;

/**
 * A kind of washer.
 *
 * @param name      {@code regular}, {@code thin} or {@code large-area}
 * @param thickness over 0
 * @param outside   its diameter by the thread it goes on, {@code 1/4-28}, each over 0
 * @param source    where it stands
 */
public record Washer(String name, Length thickness, Map<String, Length> outside, String source) {

    public Washer {
        outside = Map.copyOf(outside);
        if (!thickness.positive()) {
            throw new InputException("a washer must be thicker than 0, was " + thickness);
        }
    }
}
