package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Segment;
import java.util.List;
import java.util.Objects;

/**
 * What of a sheet is bent away from its face.
 *
 * @param bends  tangents of its bends on the face, where the flat part ends; empty for a flat sheet
 * @param stands the side of the face it stands up on
 * @param height how high it stands, at least 0; nought while nobody has said
 */
public record Flange(List<Segment> bends, Stands stands, Length height) {

    /** The side of a face that something stands up on. */
    public enum Stands {
        /** Nobody has said: it counts on either side. */
        UNSAID("unsaid", "not said, so on both"),
        /** The side the face is seen from. */
        NEAR("near", "on the near side"),
        /** The side away from who looks at the face. */
        FAR("far", "on the far side");

        private final String code;
        private final String word;

        Stands(String code, String word) {
            this.code = code;
            this.word = word;
        }

        /** The word in files. */
        public String code() {
            return code;
        }

        /** In plain words. */
        public String word() {
            return word;
        }

        /** True if it is in the way on one side; on either for what nobody has said. */
        public boolean on(Stands side) {
            return this == UNSAID || this == side;
        }
    }

    /** A flat sheet. */
    public static final Flange NONE = at(List.of());

    public Flange {
        bends = List.copyOf(bends);
        Objects.requireNonNull(stands, "stands");
        if (!(height.nanometres() >= 0)) {
            throw new InputException("a flange stands at least 0 high, was " + height);
        }
    }

    /** Bends of which nobody has said how they stand. */
    public static Flange at(List<Segment> bends) {
        return new Flange(bends, Stands.UNSAID, Length.ZERO);
    }

    /** The same bends elsewhere. */
    public Flange with(List<Segment> other) {
        return new Flange(other, stands, height);
    }

    /** The same bends, standing so. */
    public Flange with(Stands side, Length high) {
        return new Flange(bends, side, high);
    }
}
