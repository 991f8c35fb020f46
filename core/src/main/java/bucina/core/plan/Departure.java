package bucina.core.plan;

import bucina.core.measure.InputException;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;

/**
 * A departure from the drawing: another washer, a screw instead of a rivet, a different gauge, a hole moved.
 *
 * @param id     its id
 * @param where  in words: part, group, hole; not blank
 * @param what   what is otherwise, not blank
 * @param reason why, not blank
 * @param dated  when it was decided
 * @param source who said that it may be, such as the kit's maker by letter; not blank
 * @param parts  it is about; may be empty
 */
public record Departure(
        Id.Departure id, String where, String what, String reason, LocalDate dated, String source, List<Id.Part> parts)
        implements Kept {

    private static final int LONGEST = 1000;

    public Departure {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(dated, "dated");
        parts = List.copyOf(parts);
        need(where, "where it is, such as Main rib 3, US-1");
        need(what, "what is otherwise, such as a thin washer for a regular one");
        need(reason, "its reason, such as the bolt ran out of thread");
        need(source, "who said that it may be, such as the kit's maker by letter");
    }

    private static void need(String text, String what) {
        if (text.isBlank() || text.length() > LONGEST) {
            throw new InputException(
                    "a departure from the drawing needs " + what + ", in up to " + LONGEST + " characters");
        }
    }

    @Override
    public String called() {
        return "departure at " + where;
    }
}
