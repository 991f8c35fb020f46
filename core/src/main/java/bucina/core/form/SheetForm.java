package bucina.core.form;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.plan.SheetHoles;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** What is typed of the holes of one sheet. */
public final class SheetForm {

    private SheetForm() {}

    /**
     * Holes that a sheet has and nobody calls for.
     *
     * @param text x, y and diameter of each like {@code 3.2, 1.5, .098; 4.2, 1.5, #40}; blank for none
     * @throws InputException if a place has not three figures, or the diameter is not over 0
     */
    public static List<SheetHoles.Uncalled> uncalled(String text, LengthParser lengths) {
        List<SheetHoles.Uncalled> holes = new ArrayList<>();
        for (String each : text.split(";", -1)) {
            if (each.isBlank()) {
                continue;
            }
            String[] figures = each.strip().split("\\s*,\\s*", -1);
            if (figures.length != 3) {
                throw new InputException("\"" + each.strip()
                        + "\" is no hole that nobody calls for: write x, y and diameter like 3.2, 1.5, .098");
            }
            Point at = Point.at(lengths.parse(figures[0]), lengths.parse(figures[1]));
            Length diameter = lengths.parsePositive(figures[2], "the diameter of a hole that nobody calls for");
            holes.add(new SheetHoles.Uncalled(at, diameter));
        }
        return holes;
    }

    /** The same holes as they would be typed. */
    public static String words(List<SheetHoles.Uncalled> holes, Unit unit) {
        return holes.stream()
                .map(u ->
                        bare(u.at().across(), unit) + ", " + bare(u.at().up(), unit) + ", " + bare(u.diameter(), unit))
                .collect(Collectors.joining("; "));
    }

    private static String bare(Length length, Unit unit) {
        return LengthFormat.exact(length, unit).replaceAll(" (in|mm)$", "");
    }
}
