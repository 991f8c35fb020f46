package bucina.core.measure;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An angle. Finite, of either sign.
 *
 * @param degrees the angle in degrees
 */
public record Angle(double degrees) implements Comparable<Angle> {

    private static final Pattern FORM =
            Pattern.compile("([+-]?(?:\\d{1,6}(?:\\.\\d{0,12})?|\\.\\d{1,12}))\\s*(°|deg|degrees)?");

    public Angle {
        if (!Double.isFinite(degrees)) {
            throw new InputException("an angle must be a finite number of degrees, was " + degrees);
        }
        degrees = degrees + 0.0;
    }

    /** An angle in degrees. */
    public static Angle degrees(double degrees) {
        return new Angle(degrees);
    }

    /**
     * Reads {@code 100}, {@code 100°}, {@code 88.5 deg}.
     *
     * @throws InputException if the text is no angle
     */
    public static Angle parse(String text) {
        String clean = text == null ? "" : text.strip().toLowerCase(Locale.ROOT);
        Matcher m = FORM.matcher(clean);
        if (!m.matches()) {
            throw new InputException("\"" + clean + "\" is not an angle: write degrees like 100 or 88.5°");
        }
        return new Angle(Double.parseDouble(m.group(1)));
    }

    /** This angle in radians. */
    public double radians() {
        return Math.toRadians(degrees);
    }

    /** Half of it. */
    public Angle half() {
        return new Angle(degrees / 2);
    }

    public double sin() {
        return Math.sin(radians());
    }

    public double cos() {
        return Math.cos(radians());
    }

    public double tan() {
        return Math.tan(radians());
    }

    @Override
    public int compareTo(Angle other) {
        return Double.compare(degrees, other.degrees);
    }

    @Override
    public String toString() {
        return BigDecimal.valueOf(degrees).stripTrailingZeros().toPlainString() + "°";
    }
}
