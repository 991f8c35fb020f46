package bucina.core.plan;

import bucina.core.measure.InputException;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A dated, named change that replaces callouts, parts or rows. While it is in force the plan holds the new values and
 * the bulletin the old
 * ones; switched off it is the other way round, so that nothing is lost by looking at the difference.
 *
 * @param id      its id
 * @param name    as the maker calls it, not blank
 * @param dated   its date
 * @param inForce true if the plan holds the new values
 * @param changes what it replaces
 */
public record Bulletin(Id.Bulletin id, String name, LocalDate dated, boolean inForce, List<Change<?>> changes)
        implements Kept {

    /**
     * One thing replaced; in either state one of the two may be missing, for what is added or dropped.
     *
     * @param <T> the record
     * @param in  the face's group of a row, the face of a group or layer; empty for a part
     * @param was as before the bulletin
     * @param is  as the bulletin has it
     */
    public record Change<T>(Optional<Id> in, Optional<T> was, Optional<T> is) {

        public Change {
            Objects.requireNonNull(in, "in");
            if (was.isEmpty() && is.isEmpty()) {
                throw new InputException("a change needs an old or a new value");
            }
        }

        /** The record in either state, for its id and kind. */
        public T any() {
            return is.or(() -> was).orElseThrow();
        }
    }

    public Bulletin {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(dated, "dated");
        Names.check("a bulletin", name);
        changes = List.copyOf(changes);
    }

    @Override
    public String called() {
        return "bulletin " + name;
    }
}
