package bucina.core.cut;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads pieces and stock as they are typed: {@code 24x3} or {@code 24 x 3 rib clip}, separated by commas or lines.
 *
 * @param lengths reads the lengths
 */
public record CutText(LengthParser lengths) {

    /** Length, count, what for. */
    private static final Pattern COUNTED = Pattern.compile("([^x×]+?)\\s*[x×]\\s*(\\d{1,6})(?:\\s+(\\p{L}.*|\\(.*))?");

    private static final Pattern LOOKS_COUNTED = Pattern.compile(".*(?:^|\\s|\\d)[x×]\\s*(?:\\d.*)?");
    private static final Pattern RECTANGLE =
            Pattern.compile("([^x×]+?)\\s*[x×]\\s*([^x×]+?)(?:\\s*[x×]\\s*(\\d{1,4}))?(?:\\s+(\\p{L}.*))?");

    /** Pieces, at least one. */
    public List<Piece> pieces(String text) {
        return items(text).stream()
                .map(this::item)
                .map(i -> new Piece(i.name, i.length, i.count))
                .toList();
    }

    /** Bars; may be none. */
    public List<Stock> stock(String text) {
        return items(text).stream()
                .map(this::item)
                .map(i -> new Stock(i.length, i.count))
                .toList();
    }

    private record Item(Length length, int count, String name) {}

    /** A count stands behind the length with its unit; without one the longest beginning that is a length counts. */
    private Item item(String text) {
        Matcher m = COUNTED.matcher(text);
        if (m.matches()) {
            return counted(m, text);
        }
        for (int end = text.length(); end > 0; end = text.lastIndexOf(' ', end - 1)) {
            String name = text.substring(end).strip();
            if (isLength(text.substring(0, end))
                    && name.matches("(\\p{L}.*|\\(.*)?")
                    && !LOOKS_COUNTED.matcher(name).matches()) {
                return new Item(lengths.parse(text.substring(0, end)), 1, name);
            }
        }
        throw new InputException(
                "\"" + text + "\" is no length and count: write it like 24x3, 610 mm x2 or 24 in x2 clip");
    }

    private Item counted(Matcher m, String text) {
        return new Item(
                length(m.group(1), text),
                count(m.group(2)),
                m.group(3) == null ? "" : m.group(3).strip());
    }

    private boolean isLength(String text) {
        try {
            lengths.parse(text);
            return true;
        } catch (InputException e) {
            return false;
        }
    }

    /**
     * Rectangles: {@code 12x4 x3 gusset}; a name that begins with {@code grain} or ends with it keeps the length along
     * the grain.
     */
    public List<Nesting.Blank> blanks(String text) {
        List<Nesting.Blank> blanks = new ArrayList<>();
        for (String i : items(text)) {
            Matcher m = rectangle(i);
            String name = m.group(4) == null ? "" : m.group(4).strip();
            boolean grain = name.matches("(?i)(.*\\s)?grain");
            String called = name.replaceAll("(?i)\\s*\\bgrain$", "").strip();
            int count = blankCount(m, i);
            for (int k = 0; k < count; k++) {
                blanks.add(new Nesting.Blank(called, length(m.group(1), i), length(m.group(2), i), grain));
            }
        }
        return blanks;
    }

    private static int blankCount(Matcher m, String i) {
        int count = count(m.group(3));
        if (count > 500) {
            throw new InputException(count + " pieces in \"" + i + "\": 500 at the most");
        }
        return count;
    }

    /** Sheets: {@code 48x24 x2}. */
    public List<Nesting.SheetStock> sheets(String text) {
        return items(text).stream()
                .map(i -> {
                    Matcher m = rectangle(i);
                    return new Nesting.SheetStock(length(m.group(1), i), length(m.group(2), i), count(m.group(3)));
                })
                .toList();
    }

    private static List<String> items(String text) {
        return Arrays.stream(text.split("[,;\\n]"))
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .toList();
    }

    private static Matcher rectangle(String text) {
        Matcher m = RECTANGLE.matcher(text);
        if (!m.matches()) {
            throw new InputException(
                    "\"" + text + "\" is no rectangle: write length, width and count like 12x4 x3 gusset");
        }
        return m;
    }

    private static int count(String digits) {
        return digits == null ? 1 : Integer.parseInt(digits);
    }

    private Length length(String text, String item) {
        try {
            return lengths.parse(text);
        } catch (InputException e) {
            throw new InputException("\"" + item + "\": " + e.getMessage(), e);
        }
    }
}
