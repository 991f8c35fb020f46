package bucina.core.plan;

import bucina.core.measure.InputException;
import java.time.LocalDate;
import java.util.Objects;

/**
 * What an assembly weighed on the scale.
 *
 * @param id       its id
 * @param assembly which
 * @param grams    over 0, up to {@link #MOST}
 * @param day      when
 * @param with     what was on it that the plan has not, or not yet on; may be empty
 */
public record Weighing(Id.Weighing id, Id.Assembly assembly, double grams, LocalDate day, String with) implements Kept {

    /** The heaviest that is read, in grams: two tonnes. */
    public static final double MOST = 2_000_000;

    public Weighing {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(assembly, "assembly");
        Objects.requireNonNull(day, "day");
        if (!(grams > 0 && grams <= MOST)) {
            throw new InputException(
                    "what the scale says is over 0 and up to " + MOST / 1000 + " kg, like 4.2 kg, was " + grams + " g");
        }
        Names.text("what was on the scale besides", with);
    }

    @Override
    public String called() {
        return "weighing of " + day;
    }
}
