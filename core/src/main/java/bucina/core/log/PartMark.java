package bucina.core.log;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Id;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;

/**
 * Something owed to a part that was done, or a mark of it taken back. Marks are only added; the last one counts.
 *
 * @param part    the part
 * @param task    a code such as {@code deburr-edges}, or the builder's own words; not blank
 * @param at      when it was marked
 * @param on      true for done, false for taken back
 * @param reading what was measured afterwards, such as the gap under a straight edge; at least 0
 * @param note    may be empty
 */
public record PartMark(Id.Part part, String task, Instant at, boolean on, Optional<Length> reading, String note) {

    private static final int LONGEST = 500;

    /** Done, with nothing to add. */
    public PartMark(Id.Part part, String task, Instant at) {
        this(part, task, at, true, Optional.empty(), "");
    }

    public PartMark {
        Objects.requireNonNull(part, "part");
        Objects.requireNonNull(at, "at");
        if (task.isBlank() || task.length() > LONGEST || note.length() > LONGEST) {
            throw new InputException("a mark on a part needs what was done, such as deburr-edges, and up to " + LONGEST
                    + " characters of note");
        }
        if (reading.isPresent() && reading.get().nanometres() < 0) {
            throw new InputException("a reading must be at least 0, was " + reading.get());
        }
    }

    /** This mark taken back, or done again. */
    public PartMark turned(Instant when) {
        return new PartMark(part, task, when, !on, Optional.empty(), "");
    }
}
