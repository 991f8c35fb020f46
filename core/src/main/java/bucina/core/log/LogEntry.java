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
 * @param deed     what was done; empty if this entry only withdraws the one it corrects
 * @param reason   why it was corrected; empty for a first entry
 */
public record LogEntry(int id, Instant entered, Optional<Integer> corrects, Optional<Deed> deed, String reason) {

    private static final int MOST = 999_999_999;

    public LogEntry {
        Objects.requireNonNull(entered, "entered");
        Objects.requireNonNull(reason, "reason");
        if (id < 1 || id > MOST) {
            throw new InputException("an entry's number lies between 1 and " + MOST + ", was " + id);
        }
        if (corrects.isEmpty() && deed.isEmpty()) {
            throw new InputException("entry " + id + " neither does anything nor corrects an entry");
        }
        if (corrects.isPresent() && corrects.get() >= id) {
            throw new InputException(
                    "entry " + id + " corrects entry " + corrects.get() + ", which does not come before it");
        }
    }

    /** The fasteners it says were set; empty for other work, and for an entry that only withdraws another. */
    public Optional<Work> work() {
        return work(deed);
    }

    /** The work it says was done that set no fastener. */
    public Optional<Labour> labour() {
        return deed.filter(Labour.class::isInstance).map(Labour.class::cast);
    }

    private static Optional<Work> work(Optional<Deed> deed) {
        return deed.filter(Work.class::isInstance).map(Work.class::cast);
    }

    /** This entry with a reason for what was done although it was not ready; one that does nothing as it is. */
    public LogEntry explained(String because) {
        return new LogEntry(id, entered, corrects, deed.map(d -> d.explained(because)), reason);
    }

    /** An entry before it has a number: what the builder asks to have written down. */
    public record Draft(Optional<Integer> corrects, Optional<Deed> deed, String reason) {

        /** A first entry. */
        public static Draft install(Deed deed) {
            return new Draft(Optional.empty(), Optional.of(deed), "");
        }

        /** An entry that only withdraws another. */
        public static Draft withdraw(int id, String reason) {
            return new Draft(Optional.of(id), Optional.empty(), reason);
        }

        /** An entry that stands in the place of another. */
        public static Draft replace(int id, Deed deed, String reason) {
            return new Draft(Optional.of(id), Optional.of(deed), reason);
        }

        /** The fasteners it says were set. */
        public Optional<Work> work() {
            return LogEntry.work(deed);
        }

        /** The entry this becomes. */
        public LogEntry numbered(int id, Instant entered) {
            return new LogEntry(id, entered, corrects, deed, reason);
        }
    }
}
