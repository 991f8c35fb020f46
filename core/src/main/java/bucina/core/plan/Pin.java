package bucina.core.plan;

import bucina.core.measure.InputException;
import java.time.LocalDateTime;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * Where a photograph belongs, and what it shows.
 *
 * @param id      its id
 * @param photo   SHA-256 of its content, lower-case hex
 * @param name    of the file it came from; not blank
 * @param says    what it shows; may be empty
 * @param taken   when, by the camera; empty where it does not say
 * @param holes   it shows
 * @param shown   parts it shows
 * @param bays    it shows
 * @param entries of the log it belongs to
 */
public record Pin(
        Id.Pin id,
        String photo,
        String name,
        String says,
        Optional<LocalDateTime> taken,
        Set<Id.Hole> holes,
        Set<Id.Part> shown,
        Set<Id.Bay> bays,
        Set<Integer> entries)
        implements Kept {

    private static final int LONGEST = 1000;

    public Pin {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(taken, "taken");
        Names.check("a photograph", name);
        holes = Set.copyOf(holes);
        shown = Set.copyOf(shown);
        bays = Set.copyOf(bays);
        entries = Set.copyOf(entries);
        if (!photo.matches("[0-9a-f]{64}")) {
            throw new InputException("a photograph is named by the SHA-256 of its content, was " + photo);
        }
        if (says.length() > LONGEST) {
            throw new InputException("what a photograph shows is said in up to " + LONGEST + " characters");
        }
    }

    @Override
    public String called() {
        return "photograph " + name;
    }
}
