package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;

/**
 * Something that is measured, as often as the assembly is moved: a clearance swung through, squareness, twist, planned
 * washout, an angle, the centre line by string.
 *
 * @param id     its id
 * @param name   what is measured, not blank
 * @param kind   which reading it is
 * @param unit   of its figures
 * @param wanted the value wanted, nanometres or degrees; empty where only limits count
 * @param least  lower limit; empty for none
 * @param most   upper limit; empty for none. One of the two is there
 * @param bay    that may not be closed before it holds; empty for none
 * @param notes  may be empty
 */
public record Gaging(
        Id.Gaging id,
        String name,
        Kind kind,
        In unit,
        Optional<Double> wanted,
        Optional<Double> least,
        Optional<Double> most,
        Optional<Id.Bay> bay,
        String notes)
        implements Kept {

    private static final int LONGEST = 4000;

    /** What is measured. */
    public enum Kind {
        CLEARANCE("clearance"),
        SQUARE("square"),
        TWIST("twist"),
        WASHOUT("washout"),
        ANGLE("angle"),
        CENTRE_LINE("centre line"),
        OTHER("other");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        /** In plain words. */
        public String word() {
            return word;
        }

        /** The word in files. */
        public String code() {
            return word.replace(' ', '-');
        }
    }

    /** What the figures are. */
    public enum In {
        LENGTH,
        DEGREES;

        /** A figure in words, lengths in a unit. */
        public String words(double value, Unit lengths) {
            return this == DEGREES
                    ? String.format(Locale.ROOT, "%.2f°", value)
                    : LengthFormat.trade(Length.nm(value), lengths);
        }

        /** The word in files. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public Gaging {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(unit, "unit");
        Objects.requireNonNull(bay, "bay");
        Names.check("a reading", name);
        if (least.isEmpty() && most.isEmpty()) {
            throw new InputException(name + " has no limit: give the least or the most it may be, such as least .125");
        }
        if (least.isPresent() && most.isPresent() && least.get() > most.get()) {
            throw new InputException(name + ": the least is over the most: give the smaller figure first");
        }
        if (notes.length() > LONGEST) {
            throw new InputException("notes have up to " + LONGEST + " characters, were " + notes.length());
        }
    }

    /** True if a value is within its limits; on the limit passes. */
    public boolean holds(double value) {
        double slack = unit == In.LENGTH ? 0.01 : 1e-9;
        return least.map(l -> value >= l - slack).orElse(true)
                && most.map(m -> value <= m + slack).orElse(true);
    }

    @Override
    public String called() {
        return "reading " + name;
    }
}
