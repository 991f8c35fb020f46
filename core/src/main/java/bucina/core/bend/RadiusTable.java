package bucina.core.bend;

import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Least inside radii for 90° bends, as multiples of the thickness.
 *
 * @param rows by material and thickness
 */
public record RadiusTable(List<Row> rows) {

    /**
     * One figure of the table.
     *
     * @param material  alloy and temper
     * @param thickness of the column
     * @param practical least radius in thicknesses
     * @param safe      radius in thicknesses that is safe
     * @param source    where it stands
     */
    public record Row(Material material, Length thickness, double practical, double safe, String source) {}

    /**
     * What is read from the table for one sheet.
     *
     * @param practical least radius
     * @param safe      radius that is safe, not less
     * @param source    where it stands
     */
    public record Least(Length practical, Length safe, String source) {}

    public RadiusTable {
        rows = rows.stream().sorted(Comparator.comparing(Row::thickness)).toList();
    }

    /**
     * The least radii for a sheet: the multiple is interpolated between the table's thicknesses; under the first the
     * first is taken.
     *
     * @param thickness over 0
     * @throws InputException if the table lacks the material, or the sheet is thicker than its last column
     */
    public Least at(Material material, Length thickness) {
        List<Row> mine = rows.stream().filter(r -> r.material.equals(material)).toList();
        check(mine, material, thickness);
        return between(mine, thickness);
    }

    private static Least between(List<Row> mine, Length thickness) {
        Row above = mine.stream()
                .filter(r -> thickness.atMost(r.thickness))
                .findFirst()
                .orElseThrow();
        Row below = mine.get(Math.max(0, mine.indexOf(above) - 1));
        double share = share(above, below, thickness);
        return new Least(
                thickness.times(below.practical + share * (above.practical - below.practical)),
                thickness.times(below.safe + share * (above.safe - below.safe)),
                above.source);
    }

    private static double share(Row above, Row below, Length thickness) {
        return above == below || thickness.atMost(below.thickness)
                ? 1
                : thickness.minus(below.thickness).per(above.thickness.minus(below.thickness));
    }

    private void check(List<Row> mine, Material material, Length thickness) {
        if (mine.isEmpty()) {
            throw new InputException("No least radius is known for " + material.code() + ": the table has "
                    + rows.stream()
                            .map(r -> r.material.code())
                            .distinct()
                            .sorted()
                            .collect(Collectors.joining(", ")));
        }
        if (!thickness.atMost(mine.getLast().thickness)) {
            throw new InputException("A sheet of " + thickness + " is thicker than the table's last column, "
                    + mine.getLast().thickness + ": ask the kit's maker");
        }
    }
}
