package bucina.core.log;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Objects;

/**
 * A gauge held against a known piece.
 *
 * @param gauge which, not blank
 * @param known size of the piece, over 0
 * @param read  what the gauge said, over 0
 */
public record GaugeCheck(String gauge, Length known, Length read) implements Labour.What {

    public GaugeCheck {
        Objects.requireNonNull(gauge, "gauge");
        if (gauge.isBlank()) {
            throw new InputException("which gauge was checked is missing, such as caliper 2");
        }
        if (!known.positive() || !read.positive()) {
            throw new InputException("a known piece and its reading are over 0, such as .250 and .2495");
        }
    }

    /** How far it is out, at least 0. */
    public Length off() {
        return read.minus(known).abs();
    }

    @Override
    public String words() {
        return "checked " + gauge;
    }

    @Override
    public String kind() {
        return "gauge-check";
    }
}
