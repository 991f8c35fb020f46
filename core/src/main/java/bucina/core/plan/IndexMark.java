package bucina.core.plan;

import bucina.core.measure.InputException;
import java.time.Instant;
import java.util.Objects;

/**
 * A mark made on a part so that it goes back one way only.
 *
 * @param id   its id
 * @param part the part
 * @param how  what was written on it, and where; up to 500 characters
 * @param at   when it was made
 */
public record IndexMark(Id.Index id, Id.Part part, String how, Instant at) implements Kept {

    public IndexMark {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(part, "part");
        Objects.requireNonNull(at, "at");
        if (how.isBlank() || how.length() > 500) {
            throw new InputException(
                    "an index mark says what was written on the part in 1 to 500 characters, was " + how.length());
        }
    }

    @Override
    public String called() {
        return "index mark " + id.n();
    }
}
