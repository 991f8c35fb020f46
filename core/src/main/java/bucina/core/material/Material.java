package bucina.core.material;

import bucina.core.measure.InputException;
import java.util.Locale;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An alloy in a temper: {@code 2024-T3}.
 *
 * @param alloy  as stamped, {@code 2024}; never blank
 * @param temper as stamped, {@code T3}; empty when unknown
 */
public record Material(String alloy, String temper) {

    private static final Pattern FORM = Pattern.compile("([0-9]{3,4}|[A-Z][A-Z0-9 ]{1,23})(?:-([A-Z][A-Z0-9]{0,5}))?");

    public Material {
        Objects.requireNonNull(temper, "temper");
        if (!FORM.matcher(temper.isEmpty() ? alloy : alloy + "-" + temper).matches()) {
            throw new IllegalArgumentException(
                    "a material is capitals like 2024-T3, was " + alloy + " in temper " + temper);
        }
    }

    /**
     * Reads {@code 2024-T3}, {@code 6061-t6} or a plain name such as {@code steel}.
     *
     * @throws InputException if it is none of these
     */
    public static Material parse(String text) {
        Matcher m = FORM.matcher(text.strip().toUpperCase(Locale.ROOT));
        if (!m.matches()) {
            throw new InputException("\"" + text + "\" is not a sheet material: write alloy and temper like 2024-T3");
        }
        return new Material(m.group(1), m.group(2) == null ? "" : m.group(2));
    }

    /** Alloy and temper in one word, as {@link #parse} reads it. */
    public String code() {
        return temper.isEmpty() ? alloy : alloy + "-" + temper;
    }
}
