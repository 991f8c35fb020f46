package bucina.core.sums;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * One field of a sum.
 *
 * @param key     in what is kept
 * @param title   beside the field
 * @param kind    what is typed
 * @param choices for a choice; empty otherwise
 * @param inch    what stands there at first in inches
 * @param mm      the same in mm
 */
public record Ask(String key, String title, Kind kind, List<String> choices, String inch, String mm) {

    /** What is typed into a field. */
    public enum Kind {
        /** One line. */
        LINE,
        /** Lengths in one line, that a gauge may add to. */
        READINGS,
        /** Several lines. */
        LINES,
        /** One of a few words. */
        CHOICE
    }

    public Ask {
        choices = List.copyOf(choices);
    }

    /** A length, or several with commas; in mm the nearest tenth. */
    static Ask length(String key, String title, String inches) {
        String mm = Arrays.stream(inches.split(",", -1))
                .map(String::strip)
                .map(Ask::tenths)
                .collect(Collectors.joining(", "));
        return new Ask(key, title, Kind.LINE, List.of(), inches, mm);
    }

    private static String tenths(String inches) {
        if (inches.isBlank() || inches.startsWith("#")) {
            return inches;
        }
        int slash = inches.indexOf('/');
        double in = slash < 0
                ? Double.parseDouble(inches.strip())
                : Double.parseDouble(inches.substring(0, slash)) / Double.parseDouble(inches.substring(slash + 1));
        return slash >= 0
                ? inches
                : String.format(Locale.ROOT, "%.1f", Length.in(in).mm());
    }

    /** Figures that are no lengths, or may be left empty. */
    static Ask line(String key, String title, String start) {
        return new Ask(key, title, Kind.LINE, List.of(), start, start);
    }

    /** Several lines. */
    static Ask lines(String key, String title, String inch, String mm) {
        return new Ask(key, title, Kind.LINES, List.of(), inch, mm);
    }

    /** One of a few words, the first at first. */
    static Ask choice(String key, String title, List<String> choices) {
        return new Ask(key, title, Kind.CHOICE, choices, choices.getFirst(), choices.getFirst());
    }

    /** What stands there at first. */
    public String start(Unit unit) {
        return unit == Unit.MM ? mm : inch;
    }

    /** A length as it is typed into a field: its figure without the unit. */
    static String typed(Length length, Unit unit) {
        String exact = LengthFormat.exact(Length.nm(Math.round(length.nanometres() / 100) * 100.0), unit);
        return exact.substring(0, exact.indexOf(' '));
    }
}
