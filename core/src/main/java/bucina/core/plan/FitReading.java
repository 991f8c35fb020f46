package bucina.core.plan;

import bucina.core.measure.InputException;
import java.time.Instant;
import java.util.List;
import java.util.Objects;

/**
 * One thing measured about an assembly as it stands in clecos.
 *
 * @param id     its id
 * @param face   the face it was measured on
 * @param kind   what was measured
 * @param after  false before it was taken apart, true once it is together again
 * @param values lengths in nm or angles in degrees, as many as the kind takes; finite
 * @param at     when
 */
public record FitReading(Id.Fit id, Id.Face face, Kind kind, boolean after, List<Double> values, Instant at)
        implements Kept {

    /** What is measured. */
    public enum Kind {
        /** The two diagonals. */
        SQUARE("square", 2, false),
        /** A level across at both ends, degrees. */
        TWIST("twist", 2, true),
        /** A level along, degrees from where it should be. */
        LEVEL("level", 1, true),
        /** The widest gap under a straight-edge or string along the longest row. */
        STRAIGHT("straight", 1, false);

        private final String code;
        private final int figures;
        private final boolean angle;

        Kind(String code, int figures, boolean angle) {
            this.code = code;
            this.figures = figures;
            this.angle = angle;
        }

        /** The word in files. */
        public String code() {
            return code;
        }

        /** How many figures it takes. */
        public int figures() {
            return figures;
        }

        /** True if its figures are degrees, false if they are lengths. */
        public boolean angle() {
            return angle;
        }
    }

    public FitReading {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(face, "face");
        Objects.requireNonNull(at, "at");
        values = List.copyOf(values);
        if (values.size() != kind.figures || values.stream().anyMatch(v -> !Double.isFinite(v))) {
            throw new InputException("a reading of " + kind.code + " has " + kind.figures
                    + (kind.figures == 1 ? " figure" : " figures") + ", was " + values);
        }
    }

    @Override
    public String called() {
        return "reading " + id.n();
    }
}
