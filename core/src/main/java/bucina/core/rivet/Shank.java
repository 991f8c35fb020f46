package bucina.core.rivet;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads nominal shank diameters as people write them: {@code 3/32}, {@code -3}, {@code .093}, {@code .125}. */
public final class Shank {

    private static final Pattern DASH = Pattern.compile("-\\s*(\\d{1,2})");
    private static final Pattern THOUSANDTHS = Pattern.compile("0?\\.\\d{2,3}\\s*(?:in|inch|\"|″)?");
    /** .093 and .094 are both 3/32, .0938. */
    private static final Length ROUNDING = Length.in(.0008);

    private Shank() {}

    /**
     * Reads one.
     *
     * @param name what it is, for the message
     * @throws InputException if it is no length over 0
     */
    public static Length parse(String text, LengthParser lengths, String name) {
        Matcher dash = DASH.matcher(text.strip());
        if (dash.matches() && Integer.parseInt(dash.group(1)) > 0) {
            return Length.fraction(Integer.parseInt(dash.group(1)), 32);
        }
        Length read = lengths.parsePositive(text, name);
        boolean inch = read.same(Length.in(read.in()))
                && THOUSANDTHS.matcher(text.strip()).matches();
        return nearest(read, inch);
    }

    private static Length nearest(Length read, boolean inch) {
        Length nominal = Length.fraction(Math.round(read.in() * 32), 32);
        return inch
                        && nominal.positive()
                        && nominal.max(read).minus(nominal.min(read)).atMost(ROUNDING)
                ? nominal
                : read;
    }
}
