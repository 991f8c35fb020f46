package bucina.core.blind;

import bucina.core.dress.FlushHead;
import bucina.core.measure.Angle;
import bucina.core.measure.Length;
import java.util.Optional;

/**
 * What a pulled rivet measures whatever its length.
 *
 * @param family   {@code iso15977}
 * @param diameter of the body
 * @param head     across the head, over the diameter
 * @param cone     height of a flush head; nought for a domed one
 * @param mandrel  diameter of the mandrel: the nosepiece follows it
 * @param source   where the figures come from
 */
public record PulledSize(String family, Length diameter, Length head, Length cone, Length mandrel, String source) {

    /** Included angle of a flush head, degrees. */
    public static final int ANGLE = 120;

    public PulledSize {
        if (!(head.compareTo(diameter) > 0 && mandrel.positive())) {
            throw new IllegalArgumentException(
                    "a pulled rivet has a head wider than its body and a mandrel, was " + head + " on " + diameter);
        }
    }

    /** The cone of a flush head; empty for a domed one. */
    public Optional<FlushHead> flush() {
        return cone.positive() ? Optional.of(new FlushHead(head, cone, Angle.degrees(ANGLE / 2.0))) : Optional.empty();
    }
}
