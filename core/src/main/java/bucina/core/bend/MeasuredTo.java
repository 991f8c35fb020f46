package bucina.core.bend;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;

/** Where the length of a leg ends at a bend. */
public enum MeasuredTo {
    /** The apex of the outer faces; up to 150°, beyond which the apex runs away. */
    MOULD("mould") {
        @Override
        public Optional<Length> beyondTangent(Bend bend) {
            return bend.size().degrees() > 150 ? Optional.empty() : bend.setback();
        }
    },
    /**
     * The plane across the leg that the outside of the bend touches, R + t beyond the tangent; under 90° there is none:
     * the apex of the outer faces.
     */
    OUTSIDE("outside") {
        @Override
        public Optional<Length> beyondTangent(Bend bend) {
            return bend.size().degrees() < 90
                    ? bend.setback()
                    : Optional.of(bend.radius().plus(bend.thickness()));
        }
    },
    /** The apex of the inner faces; none at 180°. */
    INSIDE("inside") {
        @Override
        public Optional<Length> beyondTangent(Bend bend) {
            return bend.innerSetback();
        }
    },
    /** The tangent: the leg is its flat. */
    FLAT("flat") {
        @Override
        public Optional<Length> beyondTangent(Bend bend) {
            return Optional.of(Length.ZERO);
        }
    };

    private final String code;

    MeasuredTo(String code) {
        this.code = code;
    }

    /** The word in commands and files. */
    public String code() {
        return code;
    }

    /**
     * How much of the leg's given length lies beyond the tangent of the bend; empty if legs cannot be measured so at
     * this bend.
     */
    public abstract Optional<Length> beyondTangent(Bend bend);

    /**
     * Reads the word.
     *
     * @throws InputException if it is none of them
     */
    public static MeasuredTo parse(String text) {
        return Arrays.stream(values())
                .filter(m -> m.code.equals(text))
                .findFirst()
                .orElseThrow(() -> new InputException("\"" + text + "\" is no way to measure a leg: write one of "
                        + Arrays.stream(values()).map(MeasuredTo::code).collect(Collectors.joining(", "))));
    }
}
