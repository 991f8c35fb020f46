package bucina.core.blind;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The pulled rivets known, by family and diameter. Immutable. */
public final class BlindTable {

    /** Diameters of structural blind rivets, in 1/32 in. */
    private static final List<Integer> STRUCTURAL_SIZES = List.of(4, 5, 6, 8);

    /** The family whose dash is the grip in sixteenths of an inch. */
    public static final String STRUCTURAL = "structural-16";

    private static final int MOST_DASH = 12;
    private static final double DASH_ONE_FROM = .025;

    /**
     * One row of the table.
     *
     * @param family   {@code iso15977}
     * @param diameter body diameter
     * @param rivet    the length
     */
    public record Row(String family, Length diameter, BlindRivet rivet) {}

    private final List<Row> rows;

    public BlindTable(List<Row> rows) {
        this.rows = List.copyOf(rows);
    }

    /**
     * The lengths of a family in a diameter, short to long.
     *
     * @throws InputException if the family or the diameter is not there; the message lists those that are
     */
    public List<BlindRivet> lengths(String family, Length diameter) {
        if (family.equals(STRUCTURAL)) {
            if (STRUCTURAL_SIZES.stream().noneMatch(s -> Length.fraction(s, 32).same(diameter))) {
                throw new InputException("no structural-16 rivet of " + LengthFormat.exact(diameter, Unit.INCH)
                        + " is in the table; it has 1/8, 5/32, 3/16 and 1/4 in");
            }
            return structural();
        }
        return inTable(family, diameter);
    }

    private List<BlindRivet> inTable(String family, Length diameter) {
        List<Row> known = rows.stream().filter(r -> r.family().equals(family)).toList();
        if (known.isEmpty()) {
            throw new InputException("--family \"" + family + "\" is not known: write "
                    + rows.stream().map(Row::family).distinct().collect(Collectors.joining(", ")) + " or "
                    + STRUCTURAL);
        }
        List<BlindRivet> found = known.stream()
                .filter(r -> r.diameter().same(diameter))
                .map(Row::rivet)
                .sorted(Comparator.comparing(BlindRivet::gripMin))
                .toList();
        if (found.isEmpty()) {
            throw new InputException(
                    "no " + family + " rivet of " + LengthFormat.exact(diameter, Unit.MM) + " is in the table; it has "
                            + known.stream()
                                    .map(r -> LengthFormat.exact(r.diameter(), Unit.MM))
                                    .distinct()
                                    .collect(Collectors.joining(", "))
                            + ". Add its row with the maker's grip range");
        }
        return found;
    }

    /**
     * Grip dashes of structural blind rivets: dash n covers (n - 1)/16 to n/16 in, dash 1 from about .025 in. Lengths
     * are the maker's.
     */
    private static List<BlindRivet> structural() {
        List<BlindRivet> dashes = new ArrayList<>();
        for (int n = 1; n <= MOST_DASH; n++) {
            dashes.add(new BlindRivet(
                    "grip " + n,
                    Optional.empty(),
                    n == 1 ? Length.in(DASH_ONE_FROM) : Length.fraction(n - 1, 16),
                    Length.fraction(n, 16),
                    Optional.empty(),
                    "grip dash in 1/16 in; length and mandrel from the maker's table"));
        }
        return dashes;
    }
}
