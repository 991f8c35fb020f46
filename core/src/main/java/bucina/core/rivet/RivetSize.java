package bucina.core.rivet;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import java.math.BigDecimal;
import java.util.List;
import java.util.Objects;

/**
 * One row of the rivet catalogue: a head in a diameter.
 *
 * @param head       manufactured head
 * @param dash       diameter in 1/32 in
 * @param hole       final hole diameter, over D
 * @param drill      name of the final drill, {@code #40}
 * @param headDiameter across the manufactured head, over D
 * @param headHeight of the manufactured head, over 0
 * @param cupDepth   recess of a usual rivet set for this head; 0 for flush. Typical: the builder measures the set in
 *     hand
 * @param stocked    length dashes that are stocked, 1/16 in each, ascending, never empty
 * @param source     where the figures come from
 */
public record RivetSize(
        HeadStyle head,
        int dash,
        Length hole,
        String drill,
        Length headDiameter,
        Length headHeight,
        Length cupDepth,
        List<BigDecimal> stocked,
        String source) {
    public RivetSize {
        Objects.requireNonNull(head, "head");
        Objects.requireNonNull(drill, "drill");
        Objects.requireNonNull(source, "source");
        stocked = stocked.stream().sorted().toList();
        check(stocked, head, dash, hole, headDiameter, headHeight);
    }

    private static void check(
            List<BigDecimal> stocked, HeadStyle head, int dash, Length hole, Length headDiameter, Length headHeight) {
        if (stocked.isEmpty()) {
            throw new IllegalArgumentException("no stocked length for " + head.standard() + " -" + dash);
        }
        Length shank = Length.fraction(dash, 32);
        if (!(hole.nanometres() > shank.nanometres()
                && headDiameter.nanometres() > hole.nanometres()
                && headHeight.positive())) {
            throw new IllegalArgumentException(
                    "hole " + hole + ", head " + headDiameter + " x " + headHeight + " do not fit a shank of " + shank);
        }
    }

    /** Nominal shank diameter D. */
    public Length shank() {
        return Length.fraction(dash, 32);
    }

    /** The rivet of this size in a given length. */
    public RivetDesignation designation(String alloy, BigDecimal lengthDash) {
        return new RivetDesignation(head, alloy, dash, lengthDash);
    }

    /** Title of the size, {@code 3/32 flush}. */
    public String title() {
        return LengthFormat.fraction(shank()).replace(" in", "") + " " + head.word();
    }
}
