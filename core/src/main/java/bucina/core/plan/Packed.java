package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Objects;
import java.util.Optional;

/**
 * A line of the packing list, and what was found of it.
 *
 * @param id       its id
 * @param number   of the part, or the designation of hardware, as printed; may be empty where there is a name
 * @param name     as printed; may be empty where there is a number
 * @param count    how many the list says, 0 to {@link StoresItem#MOST}
 * @param crate    in which they come; may be empty
 * @param gauge    that the list calls for; empty if it names none
 * @param length   that the list calls for; empty if it names none
 * @param found    what was found; {@link Found#NOT_YET} until somebody looked
 */
public record Packed(
        Id.Packed id,
        String number,
        String name,
        int count,
        String crate,
        Optional<Length> gauge,
        Optional<Length> length,
        Found found)
        implements Kept {

    /**
     * What was found at the crate.
     *
     * @param count  how many; empty until somebody looked
     * @param gauge  as measured; empty if it was not
     * @param length as measured; empty if it was not
     * @param width  as measured across the length; empty if it was not
     * @param inside the part it came nested in; may be empty
     * @param crate  another crate that it came out of; may be empty
     */
    public record Found(
            Optional<Integer> count,
            Optional<Length> gauge,
            Optional<Length> length,
            Optional<Length> width,
            String inside,
            String crate) {

        /** Nobody looked yet. */
        public static final Found NOT_YET =
                new Found(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), "", "");

        public Found {
            if (count.filter(c -> c < 0 || c > StoresItem.MOST).isPresent()) {
                throw new InputException("found are 0 to " + StoresItem.MOST + ", such as 2, were " + count.get());
            }
            positive("the gauge measured", gauge);
            positive("the length measured", length);
            positive("the width measured", width);
            Names.text("the part it came in", inside);
            Names.text("a crate", crate);
        }

        /** With another count. */
        public Found counted(int n) {
            return new Found(Optional.of(n), gauge, length, width, inside, crate);
        }

        /** With a gauge measured. */
        public Found measured(Length as) {
            return new Found(count, Optional.of(as), length, width, inside, crate);
        }
    }

    public Packed {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(found, "found");
        Names.text("a number", number);
        Names.text("a name", name);
        Names.text("a crate", crate);
        if (number.isBlank() && name.isBlank()) {
            throw new InputException("a line of a packing list has a number or a name, such as DS-104");
        }
        if (count < 0 || count > StoresItem.MOST) {
            throw new InputException("a packing list counts 0 to " + StoresItem.MOST + ", such as 4, was " + count);
        }
        positive("the gauge called for", gauge);
        positive("the length called for", length);
    }

    private static void positive(String what, Optional<Length> figure) {
        if (figure.filter(f -> !f.positive()).isPresent()) {
            throw new InputException(what + " is over 0, like .032, was " + figure.get());
        }
    }

    /** The same with what was found. */
    public Packed with(Found is) {
        return new Packed(id, number, name, count, crate, gauge, length, is);
    }

    /** How people call it: the name, else the number. */
    public String title() {
        return name.isBlank() ? number : name;
    }

    @Override
    public String called() {
        return "line " + title() + " of the packing list";
    }
}
