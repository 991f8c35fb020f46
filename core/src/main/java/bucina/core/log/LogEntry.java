package bucina.core.log;

import bucina.core.measure.InputException;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;

/**
 * One entry.
 *
 * @param id       running number in its build, 1 to 999 999 999
 * @param entered  when it was written down
 * @param corrects the entry this one puts right; empty for a first entry
 * @param work     what was installed; empty if this entry only withdraws the one it corrects
 * @param reason   why it was corrected; empty for a first entry
 */
public record LogEntry(int id, Instant entered, Optional<Integer> corrects, Optional<Work> work, String reason) {

    private static final int MOST = 999_999_999;

    public LogEntry {
        Objects.requireNonNull(entered, "entered");
        Objects.requireNonNull(reason, "reason");
        if (id < 1 || id > MOST) {
            throw new InputException("an entry's number lies between 1 and " + MOST + ", was " + id);
        }
        if (corrects.isEmpty() && work.isEmpty()) {
            throw new InputException("entry " + id + " neither installs anything nor corrects an entry");
        }
        if (corrects.isPresent() && corrects.get() >= id) {
            throw new InputException(
                    "entry " + id + " corrects entry " + corrects.get() + ", which does not come before it");
        }
    }

    /** This entry with a reason for what was set although it was not ready; one that installs nothing as it is. */
    public LogEntry explained(String because) {
        return new LogEntry(id, entered, corrects, work.map(w -> w.explained(because)), reason);
    }

    /** An entry before it has a number: what the builder asks to have written down. */
    public record Draft(Optional<Integer> corrects, Optional<Work> work, String reason) {

        /** A first entry. */
        public static Draft install(Work work) {
            return new Draft(Optional.empty(), Optional.of(work), "");
        }

        /** An entry that only withdraws another. */
        public static Draft withdraw(int id, String reason) {
            return new Draft(Optional.of(id), Optional.empty(), reason);
        }

        /** An entry that stands in the place of another. */
        public static Draft replace(int id, Work work, String reason) {
            return new Draft(Optional.of(id), Optional.of(work), reason);
        }

        /** The entry this becomes. */
        public LogEntry numbered(int id, Instant entered) {
            return new LogEntry(id, entered, corrects, work, reason);
        }
    }
}
