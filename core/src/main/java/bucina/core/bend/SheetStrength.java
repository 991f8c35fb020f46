package bucina.core.bend;

import bucina.core.material.Material;
import bucina.core.measure.InputException;
import java.util.List;
import java.util.stream.Collectors;

/**
 * How strong, stiff and heavy a sheet is: typical figures, for estimates only.
 *
 * @param material alloy and temper
 * @param yield    Y, ksi, over 0
 * @param modulus  E, Msi, over 0
 * @param density  lb/in³, over 0
 * @param source   where the figures stand
 */
public record SheetStrength(Material material, double yield, double modulus, double density, String source) {

    public SheetStrength {
        if (!(yield > 0 && modulus > 0 && density > 0)) {
            throw new IllegalArgumentException("yield, modulus, density must be over 0, was " + yield + " ksi, "
                    + modulus + " Msi, " + density + " lb/in³");
        }
    }

    /**
     * The figures of a material.
     *
     * @throws InputException if the table lacks it; the message lists those it has
     */
    public static SheetStrength of(List<SheetStrength> table, Material material) {
        return table.stream()
                .filter(s -> s.material.equals(material))
                .findFirst()
                .orElseThrow(() ->
                        new InputException("No yield strength is known for " + material.code() + ": the table has "
                                + table.stream().map(s -> s.material.code()).collect(Collectors.joining(", "))));
    }
}
