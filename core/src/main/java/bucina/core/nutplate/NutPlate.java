package bucina.core.nutplate;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A two-lug nut plate.
 *
 * @param size   of its screw, {@code 8}
 * @param hole   clearance hole of the screw
 * @param drill  that makes it
 * @param lug    from the screw to each lug rivet, over 0
 * @param rivet  diameter D of the lug rivets
 * @param source where the figures stand
 */
public record NutPlate(String size, Length hole, String drill, Length lug, Length rivet, String source) {

    public NutPlate {
        if (!(hole.positive() && rivet.positive() && lug.minus(hole.times(0.5)).positive())) {
            throw new IllegalArgumentException("the lug rivets of a nut plate lie beyond its screw hole, was " + lug + " with a hole of " + hole);
        }
    }

    /**
     * The plate for a screw size.
     *
     * @throws InputException if the catalogue lacks it; the message lists those it has
     */
    public static NutPlate of(List<NutPlate> table, String size) {
        String clean = size.strip().replace("#", "");
        return table.stream().filter(p -> p.size.equals(clean)).findFirst().orElseThrow(() -> new InputException("\"" + size.strip()
                + "\" is no screw size with a two-lug plate in the catalogue: it has " + table.stream().map(NutPlate::size).collect(Collectors.joining(", "))
                + "; enter other patterns from the drawing"));
    }
}
