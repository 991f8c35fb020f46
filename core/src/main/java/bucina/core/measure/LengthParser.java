package bucina.core.measure;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a length as people type it: {@code 3/32}, {@code 1 5/16}, {@code 1-5/16}, {@code .093}, {@code 0.093 in},
 * {@code 3/32"},
 * {@code 2.4 mm}, {@code 6 ft}, {@code #40}, {@code F} (a letter drill).
 *
 * <p>A bare number takes the unit given to the constructor; a fraction is always inches, a {@code #} always a
 * numbered drill.
 */
public final class LengthParser {

    private static final Pattern DECIMAL = Pattern.compile(
            "([+-]?(?:\\d{1,12}(?:\\.\\d{0,12})?|\\.\\d{1,12}))\\s*(in|inch|inches|\"|″|mm|ft|foot|feet)?");
    private static final Pattern FRACTION =
            Pattern.compile("([+-]?)(?:(\\d{1,9})[\\s-]+)?(\\d{1,9})\\s*/\\s*(\\d{1,9})\\s*(in|inch|inches|\"|″)?");
    private static final String EXAMPLE = "write it like .093, 3/32, 1 5/16, 2.4 mm or #40";

    private final Unit bare;
    private final DrillTable drills;

    /**
     * @param bare   the unit of a number that names none
     * @param drills the table for {@code #40} and letters
     */
    public LengthParser(Unit bare, DrillTable drills) {
        this.bare = Objects.requireNonNull(bare, "bare");
        this.drills = Objects.requireNonNull(drills, "drills");
    }

    /**
     * Reads one length of either sign.
     *
     * @throws InputException if the text is not a length; the message names the text and gives an example
     */
    public Length parse(String text) {
        String clean = text == null ? "" : text.strip();
        if (clean.isEmpty()) {
            throw new InputException("a length is missing: " + EXAMPLE);
        }
        if (clean.startsWith("#") || clean.length() == 1 && Character.isLetter(clean.charAt(0))) {
            return drills.find(clean)
                    .orElseThrow(() -> new InputException("\"" + clean + "\" is no drill in the table ("
                            + drills.range() + "): write it like #40 or give the diameter, .098"))
                    .diameter();
        }
        String lower = clean.toLowerCase(Locale.ROOT);
        Matcher fraction = FRACTION.matcher(lower);
        if (fraction.matches()) {
            return fraction(fraction, clean);
        }
        Matcher decimal = DECIMAL.matcher(lower);
        if (decimal.matches()) {
            return decimal(decimal);
        }
        String comma = clean.indexOf(',') >= 0 ? " (the decimal mark is a point)" : "";
        throw new InputException("\"" + clean + "\" is not a length" + comma + ": " + EXAMPLE);
    }

    private Length decimal(Matcher decimal) {
        String unit = decimal.group(2);
        BigDecimal number = new BigDecimal(decimal.group(1));
        if (unit != null && unit.startsWith("f")) {
            return Length.of(number.multiply(BigDecimal.valueOf(12)), Unit.INCH);
        }
        return Length.of(number, unit == null ? bare : unit.equals("mm") ? Unit.MM : Unit.INCH);
    }

    /**
     * Reads a length that must be over nothing.
     *
     * @param name what it is, for the message: "pitch"
     * @throws InputException if it is no length, or not over 0
     */
    public Length parsePositive(String text, String name) {
        Length length = named(text, name);
        if (!length.positive()) {
            throw new InputException(
                    name + " must be over 0, was " + LengthFormat.exact(length, bare) + ": " + EXAMPLE);
        }
        return length;
    }

    /** Reads a list separated by commas, every part over nothing: {@code .025,.032}. */
    public List<Length> parseList(String text, String name) {
        List<Length> lengths = new ArrayList<>();
        for (String part : (text == null ? "" : text).split(",", -1)) {
            lengths.add(parsePositive(part, name));
        }
        return List.copyOf(lengths);
    }

    private Length named(String text, String name) {
        try {
            return parse(text);
        } catch (InputException e) {
            throw new InputException(name + ": " + e.getMessage(), e);
        }
    }

    private static Length fraction(Matcher m, String clean) {
        long whole = m.group(2) == null ? 0 : Long.parseLong(m.group(2));
        long numerator = Long.parseLong(m.group(3));
        long denominator = Long.parseLong(m.group(4));
        if (denominator == 0) {
            throw new InputException("\"" + clean + "\" divides by nothing: " + EXAMPLE);
        }
        Length magnitude = Length.fraction(whole, 1).plus(Length.fraction(numerator, denominator));
        return m.group(1).equals("-") ? magnitude.times(-1) : magnitude;
    }
}
