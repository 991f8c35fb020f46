package bucina.desk.stores;

import bucina.core.measure.InputException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Optional;

/** What is typed in this room. */
final class Typed {

    private Typed() {}

    /**
     * A whole number, 0 or more.
     *
     * @param what it counts
     * @throws InputException if it is none
     */
    static int count(String text, String what) {
        if (!text.strip().matches("\\d{1,7}")) {
            throw new InputException(what + " is a whole number like 420, was \"" + text.strip() + "\"");
        }
        return Integer.parseInt(text.strip());
    }

    /**
     * A day; none where nothing is typed.
     *
     * @param what it is
     * @throws InputException if it is none
     */
    static Optional<LocalDate> day(String text, String what) {
        try {
            return text.isBlank() ? Optional.empty() : Optional.of(LocalDate.parse(text.strip()));
        } catch (DateTimeParseException e) {
            throw new InputException(what + " is a day like 2027-06-01, was \"" + text.strip() + "\"", e);
        }
    }
}
