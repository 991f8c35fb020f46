package bucina.core.rivet;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The name of a solid rivet: {@code MS20426AD3-3.5} is standard, alloy letters, diameter in 1/32 in, length in 1/16 in.
 *
 * @param head     the manufactured head
 * @param alloy    alloy letters, {@code AD} for 2117-T4; 1 to 2 capitals
 * @param diameter the diameter dash, 1/32 in each; 2 to 12
 * @param length   the length dash, 1/16 in each, over 0 and at most 64, to the half
 */
public record RivetDesignation(HeadStyle head, String alloy, int diameter, BigDecimal length) {

    private static final Pattern FORM =
            Pattern.compile("(MS20|MS 20|AN|NAS|MS)?[ -]?(470|426|1097)[ -]?([A-Z]{1,2})[ -]?(\\d{1,2})[ "
                    + "-](\\d{1,2}(?:[.]0|[.-]5)?)(?:\\s*[(]?\\d{1,4}\\s*[X×][)]?)?");
    private static final Map<String, HeadStyle> BY_NUMBER =
            Map.of("470", HeadStyle.UNIVERSAL, "426", HeadStyle.FLUSH, "1097", HeadStyle.REDUCED);
    private static final String EXAMPLE = "write it like MS20426AD3-3.5 or AN470AD4-6";

    public RivetDesignation {
        Objects.requireNonNull(head, "head");
        Objects.requireNonNull(alloy, "alloy");
        length = length.stripTrailingZeros();
        if (diameter < 2 || diameter > 12) {
            throw new InputException("diameter dash must be 2 to 12, was " + diameter);
        }
        if (length.signum() <= 0 || length.compareTo(BigDecimal.valueOf(64)) > 0) {
            throw new InputException("length dash must be over 0 and at most 64, was " + length.toPlainString());
        }
    }

    /**
     * Reads any spelling in use: {@code MS20426AD3-3.5}, {@code AN426AD3-3.5}, {@code 426AD-3-4}, {@code an470 ad4-6},
     * {@code 470AD4-5 (9X)} (the count is dropped), {@code AN426AD3-3-5} (half sizes with a dash).
     *
     * @throws InputException if it is no solid rivet; the message shows the text and an example
     */
    public static RivetDesignation parse(String text) {
        String clean = text == null ? "" : text.strip().toUpperCase(Locale.ROOT);
        Matcher m = FORM.matcher(clean);
        if (!m.matches()) {
            throw new InputException("\"" + (text == null ? "" : text.strip()) + "\" is not a solid rivet: " + EXAMPLE);
        }
        int diameter = Integer.parseInt(m.group(4));
        BigDecimal length = new BigDecimal(m.group(5).replace('-', '.'));
        if (diameter < 2 || diameter > 12 || length.signum() <= 0 || length.compareTo(BigDecimal.valueOf(64)) > 0) {
            throw new InputException(
                    "\"" + text.strip() + "\" has a diameter or length dash that no solid rivet has: " + EXAMPLE);
        }
        String prefix = m.group(1);
        boolean named = m.group(2).equals("1097");
        if (prefix != null && named != prefix.equals("NAS")) {
            throw new InputException("\"" + text.strip()
                    + "\" mixes two standards (NAS1097, MS20426 and MS20470 are known): " + EXAMPLE);
        }
        return new RivetDesignation(Objects.requireNonNull(BY_NUMBER.get(m.group(2))), m.group(3), diameter, length);
    }

    /** The one way it is printed: {@code MS20426AD3-3.5}. */
    public String code() {
        return family() + "-" + length.toPlainString();
    }

    /** Without the length: {@code MS20426AD3}. */
    public String family() {
        return head.standard() + alloy + diameter;
    }

    /** The dash alone, as people say it: {@code -3.5}. */
    public String dash() {
        return "-" + length.toPlainString();
    }

    /** Nominal shank diameter D. */
    public Length shank() {
        return Length.fraction(diameter, 32);
    }

    /** Nominal length L: under the head for universal, over all for flush. */
    public Length nominalLength() {
        return Length.nm(length.multiply(BigDecimal.valueOf(1_587_500)).doubleValue());
    }

    @Override
    public String toString() {
        return code();
    }
}
