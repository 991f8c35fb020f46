package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Objects;
import java.util.Optional;

/**
 * How the holes of a sheet come.
 *
 * @param state    what it has
 * @param diameter of its holes as they come, over 0; empty if not known or there are none
 */
public record Come(State state, Optional<Length> diameter) {

    /** What a sheet has of the holes of a row before anything is drilled. */
    public enum State {
        /** Nothing says. */
        UNKNOWN("unknown", "not said"),
        /** Punched or drilled, under size. */
        PILOT("pilot", "punched under size"),
        /** At final size. */
        AT_SIZE("at-size", "at final size"),
        /** Without holes: match-drilled through another sheet. */
        BLANK("blank", "blank");

        private final String code;
        private final String word;

        State(String code, String word) {
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

        /** True if the sheet has the holes. */
        public boolean there() {
            return this == PILOT || this == AT_SIZE;
        }
    }

    /** Nothing says. */
    public static final Come UNKNOWN = new Come(State.UNKNOWN, Optional.empty());

    public Come {
        Objects.requireNonNull(state, "state");
        if (diameter.isPresent() && (!diameter.get().positive() || !state.there())) {
            throw new InputException("holes that are " + state.word + " cannot have a diameter of " + diameter.get()
                    + ": give one over 0 like #40 for holes that are there");
        }
    }
}
