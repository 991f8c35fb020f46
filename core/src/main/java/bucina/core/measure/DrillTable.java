package bucina.core.measure;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The numbered and letter drills in use, small to large. Immutable. */
public final class DrillTable {

    private final List<DrillSize> sizes;

    /** A table of the given sizes in any order; may be empty. */
    public DrillTable(List<DrillSize> sizes) {
        this.sizes =
                sizes.stream().sorted(Comparator.comparing(DrillSize::diameter)).toList();
    }

    /** All sizes, small to large. */
    public List<DrillSize> sizes() {
        return sizes;
    }

    /** The drill called so; letters in either case. Empty if the table has none. */
    public Optional<DrillSize> find(String name) {
        String wanted = name.strip().toUpperCase(Locale.ROOT).replaceAll("^#\\s+", "#");
        return sizes.stream().filter(s -> s.name().equals(wanted)).findFirst();
    }

    /** The drill of exactly this diameter, if there is one: to print {@code .098 in} as {@code #40}. */
    public Optional<DrillSize> named(Length diameter) {
        return sizes.stream().filter(s -> s.diameter().same(diameter)).findFirst();
    }

    /** First to last name, for messages. */
    public String range() {
        return sizes.isEmpty()
                ? "the table is empty"
                : sizes.getFirst().name() + " to " + sizes.getLast().name();
    }
}
