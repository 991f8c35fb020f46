package bucina.core.gauge;

import bucina.core.measure.Length;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Takes bytes as they come and hands on whole lines. A reading is a sign, figures with an optional point, and {@code
 * mm} or {@code in}: {@code +0004.52 mm}.
 * The sign is required, so that the tail of a line whose beginning was lost is never taken for a reading. Not safe
 * for more than one thread.
 */
public final class GaugeLines {

    /** Bytes in a line at most; what is longer is said once and skipped to its end. */
    public static final int LONGEST = 64;

    private static final Pattern READING = Pattern.compile("([+-])([0-9]{1,6}(?:\\.[0-9]{0,6})?) ?(mm|in)");

    private final byte[] line = new byte[LONGEST];
    private int held;
    private boolean skipping;

    /** One line. */
    public sealed interface Line {
        /** A reading, of either sign. */
        record Reading(Length length) implements Line {}

        /** Something that is no reading, with what does not print shown as a dot. */
        record Garbage(String text) implements Line {}
    }

    /** Takes the first {@code n} bytes; each line that ends in them goes to {@code to}. Empty lines are nothing. */
    public void feed(byte[] bytes, int n, Consumer<Line> to) {
        for (int i = 0; i < n; i++) {
            byte b = bytes[i];
            if (b == '\n' || b == '\r') {
                end(to);
            } else if (!skipping && held == LONGEST) {
                to.accept(new Line.Garbage(shown()));
                held = 0;
                skipping = true;
            } else if (!skipping) {
                line[held++] = b;
            }
        }
    }

    /** Drops a line that was begun: the gauge was unplugged. True if there was one. */
    public boolean drop() {
        boolean was = held > 0;
        held = 0;
        skipping = false;
        return was;
    }

    private void end(Consumer<Line> to) {
        if (held > 0) {
            Matcher m = READING.matcher(new String(line, 0, held, StandardCharsets.ISO_8859_1).strip());
            to.accept(m.matches() ? new Line.Reading(length(m)) : new Line.Garbage(shown()));
        }
        held = 0;
        skipping = false;
    }

    private static Length length(Matcher m) {
        double value = Double.parseDouble(m.group(1) + m.group(2));
        return m.group(3).equals("mm") ? Length.mm(value) : Length.in(value);
    }

    private String shown() {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < held; i++) {
            text.append(line[i] >= 32 && line[i] < 127 ? (char) line[i] : '.');
        }
        return text.toString();
    }

    /** A reading as a gauge sends it, in mm to a hundredth of a millimetre: {@code +0004.52 mm} and a line end. */
    public static byte[] line(Length length) {
        return String.format(Locale.ROOT, "%+08.2f mm%n", length.mm())
                .replace(System.lineSeparator(), "\r\n")
                .getBytes(StandardCharsets.US_ASCII);
    }
}
