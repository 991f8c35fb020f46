package bucina.core.weight;

import bucina.core.measure.InputException;
import bucina.core.plan.Assembly;
import bucina.core.plan.Weighing;
import bucina.core.stack.Derivation;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An assembly by its drawing against the scale.
 *
 * @param assembly which
 * @param pounds   by its drawing: parts, fasteners, primer
 * @param scale    as weighed last; empty where it was not
 */
public record OnTheScale(Assembly assembly, double pounds, Optional<Weighing> scale) {

    private static final double OUNCES = 16;
    private static final Pattern MASS =
            Pattern.compile("(\\d{0,7}(?:\\.\\d{1,6})?) ?(kg|g|lb|lbs|oz)?", Pattern.CASE_INSENSITIVE);

    /** Every assembly of a build. */
    public static List<OnTheScale> of(Derivation derivation) {
        List<OnTheScale> all = new ArrayList<>();
        for (Assembly assembly : derivation.build().assemblies()) {
            double pounds = BuildWeight.of(
                            derivation, ref -> ref.assembly().id().equals(assembly.id()))
                    .total();
            Optional<Weighing> scale = derivation.build().workshop().weighings().stream()
                    .filter(w -> w.assembly().equals(assembly.id()))
                    .reduce((a, b) -> b);
            all.add(new OnTheScale(assembly, pounds, scale));
        }
        return all;
    }

    /** What the scale says over the drawing, pounds; empty where it was not weighed. */
    public Optional<Double> over() {
        return scale.map(w -> w.grams() / FastenerWeight.GRAMS - pounds);
    }

    /**
     * Grams as typed: {@code 4.2 kg}, {@code 9.3 lb}, {@code 850 g}, {@code 12 oz}.
     *
     * @param metric what a figure without a unit is: kilograms or pounds
     * @throws InputException if it is none
     */
    public static double grams(String text, boolean metric) {
        Matcher m = MASS.matcher(text.strip());
        if (!m.matches() || !m.group(1).matches(".*\\d.*")) {
            throw new InputException(
                    "\"" + text.strip() + "\" is no weight: write it like 4.2 kg, 9.3 lb, 850 g or 12 oz");
        }
        double value = Double.parseDouble(m.group(1));
        String unit = m.group(2) == null ? metric ? "kg" : "lb" : m.group(2).toLowerCase(Locale.ROOT);
        return switch (unit) {
            case "kg" -> value * 1000;
            case "g" -> value;
            case "oz" -> value * FastenerWeight.GRAMS / OUNCES;
            default -> value * FastenerWeight.GRAMS;
        };
    }
}
