package bucina.core.plan;

import bucina.core.measure.InputException;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A job of the builder's own: {@code press the bushing}, {@code read section 7 twice}.
 *
 * @param id       its id
 * @param name     what is to be done, not blank
 * @param page     of the manual; may be empty
 * @param assembly what it belongs to; empty for the whole build
 * @param parts    parts it is about
 * @param notes    what to remember; may be empty
 */
public record OwnJob(
        Id.Own id, String name, String page, Optional<Id.Assembly> assembly, List<Id.Part> parts, String notes)
        implements Kept {

    private static final int LONGEST = 4000;

    public OwnJob {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(assembly, "assembly");
        Objects.requireNonNull(page, "page");
        parts = List.copyOf(parts);
        Names.check("a job", name);
        if (notes.length() > LONGEST) {
            throw new InputException(
                    "the notes of a job have up to " + LONGEST + " characters, were " + notes.length());
        }
    }

    @Override
    public String called() {
        return "job " + name;
    }
}
