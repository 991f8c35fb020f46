package bucina.core.rule;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import java.util.Objects;
import java.util.Optional;

/**
 * What a check found.
 *
 * @param rule     code of the rule: {@code edge-distance-least}
 * @param level    how much it matters
 * @param place    where; never null
 * @param measured the figure; empty where nothing is measured
 * @param required the limit; empty where there is none
 * @param source   the standard or practice behind the rule
 * @param message  one sentence that names the hole, the part and the number
 * @param remedy   what to do, one sentence
 * @param accepted why and by whom it was accepted; empty if it was not
 */
public record Finding(
        RuleCode rule,
        Level level,
        Place place,
        Optional<Length> measured,
        Optional<Length> required,
        String source,
        Sentence message,
        Sentence remedy,
        Optional<String> accepted) {
    public Finding {
        Objects.requireNonNull(rule, "rule");
        Objects.requireNonNull(level, "level");
        Objects.requireNonNull(place, "place");
        Objects.requireNonNull(measured, "measured");
        Objects.requireNonNull(required, "required");
        Objects.requireNonNull(message, "message");
        Objects.requireNonNull(remedy, "remedy");
        Objects.requireNonNull(accepted, "accepted");
    }

    /** A finding that nobody accepted. */
    public Finding(
            RuleCode rule,
            Level level,
            Place place,
            Optional<Length> measured,
            Optional<Length> required,
            String source,
            Sentence message,
            Sentence remedy) {
        this(rule, level, place, measured, required, source, message, remedy, Optional.empty());
    }

    /** This finding, accepted. */
    public Finding acceptedBecause(String reason) {
        return new Finding(rule, level, place, measured, required, source, message, remedy, Optional.of(reason));
    }

    /** This finding at a place, its sentence begun with the words that name it. */
    public Finding at(Place where, String words) {
        return new Finding(rule, level, where, measured, required, source, message.after(words), remedy, accepted);
    }

    /**
     * The place of a finding in words; each part may be empty.
     *
     * @param face  name of the face
     * @param group code of the group
     * @param hole  row and label, {@code R3.14}
     * @param layer name of the layer
     */
    public record Place(String face, String group, String hole, String layer) {
        /** No place: the check was of typed figures. */
        public static final Place NONE = new Place("", "", "", "");
    }
}
