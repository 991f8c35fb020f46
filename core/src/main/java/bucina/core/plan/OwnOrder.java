package bucina.core.plan;

import bucina.core.measure.InputException;
import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;

/**
 * What the builder says about when a job is done: before another, or not before a day.
 *
 * @param id     its id
 * @param job    name of the job, as {@code jobs} lists it; not blank
 * @param before name of the job it comes before; empty where a day is given
 * @param until  the day from which it may be done; empty where another job is given
 * @param reason why, not blank
 */
public record OwnOrder(Id.Order id, String job, String before, Optional<LocalDate> until, String reason)
        implements Kept {

    private static final int LONGEST = 400;

    public OwnOrder {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(until, "until");
        if (job.isBlank() || job.length() > LONGEST || before.length() > LONGEST) {
            throw new InputException("what is said about the order names a job of up to " + LONGEST
                    + " characters, such as off:Main rib 3, was \"" + job + "\"");
        }
        if (before.isBlank() == until.isEmpty()) {
            throw new InputException("what is said about the order of " + job
                    + " names either the job it comes before or a day, such as 2026-12-01");
        }
        if (reason.isBlank() || reason.length() > LONGEST) {
            throw new InputException("what is said about the order of " + job + " needs a reason of up to " + LONGEST
                    + " characters, such as \"the paint is wet\"");
        }
    }

    @Override
    public String called() {
        return "order of " + job;
    }
}
