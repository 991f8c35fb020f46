package bucina.store.table;

import bucina.core.measure.InputException;
import bucina.store.drawing.Progress;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * The cells of a table.
 *
 * @param all       those lines that are not empty and no comment
 * @param delimiter what parts cells
 * @param comments  how many lines are comment
 */
record Lines(List<Line> all, char delimiter, int comments) {

    private static final int MOST = 200_000;
    private static final int TRIED = 20;
    private static final String DELIMITERS = "\t;,|";

    /**
     * A line.
     *
     * @param number counted from 1, as an editor counts
     */
    record Line(long number, List<String> cells) {

        String cell(@Nullable Integer at) {
            String text = at == null || at >= cells.size() ? "" : cells.get(at);
            // Spreadsheets keep text with an apostrophe before it.
            return text.startsWith("'") ? text.substring(1) : text;
        }
    }

    /**
     * Parts a text.
     *
     * @throws InputException if its quotes do not close, or it is too long
     */
    static Lines of(String text, Progress progress) {
        String said = text.lines().findFirst().orElse("").strip().toLowerCase(Locale.ROOT);
        boolean says = said.startsWith("sep=") && said.length() >= 5;
        char delimiter = says ? told(said.charAt(4)) : text.startsWith("sep=\t") ? '\t' : guessed(text);
        List<Line> lines = new ArrayList<>();
        int comments = 0;
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format(delimiter))) {
            for (CSVRecord line : parser) {
                List<String> cells = List.of(line.values());
                if (lines.isEmpty() && cells.getFirst().toLowerCase(Locale.ROOT).startsWith("sep=")
                        || cells.stream().allMatch(String::isBlank)) {
                    continue;
                }
                if (comment(cells)) {
                    comments++;
                } else {
                    lines.add(new Line(parser.getCurrentLineNumber(), cells));
                }
                limit(lines.size(), line, progress, text);
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw new InputException(
                    "the table cannot be read: " + firstLine(e.getMessage())
                            + ". Lines hold figures between commas or semicolons",
                    e);
        }
        return new Lines(lines, delimiter, comments);
    }

    /** What the file says stands between cells, if it can. */
    private static char told(char delimiter) {
        if (DELIMITERS.indexOf(delimiter) < 0) {
            throw new InputException("the first line says that " + delimiter
                    + " stands between cells, which cannot be: write sep=, or sep=; or leave the line out");
        }
        return delimiter;
    }

    /** A number sign begins a comment, unless it is that of a drill. */
    private static boolean comment(List<String> cells) {
        String first = cells.getFirst();
        return first.startsWith("//")
                || first.startsWith("%")
                || first.startsWith("!")
                || first.startsWith("#") && !first.matches("#\\s?\\d{1,2}") && !first.equals("#");
    }

    private static void limit(int lines, CSVRecord line, Progress progress, String text) {
        if (lines > MOST) {
            throw new InputException("the table has over " + MOST + " holes: bring in one face at a time");
        }
        if ((line.getRecordNumber() & 1023) == 0) {
            progress.check(Math.min(0.6, 0.6 * line.getCharacterPosition() / Math.max(1, text.length())));
        }
    }

    private static CSVFormat format(char delimiter) {
        return CSVFormat.DEFAULT
                .builder()
                .setDelimiter(delimiter)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get();
    }

    private static String firstLine(@Nullable String message) {
        String line = message == null
                ? "damaged"
                : message.lines().findFirst().orElse("damaged").replaceAll("[\\w.]+Exception: ", "");
        return line.length() > 120 ? line.substring(0, 120) : line;
    }

    /** The delimiter that is on most of the first lines, before those that also stand in figures. */
    private static char guessed(String text) {
        List<String> first = text.lines().filter(l -> !l.isBlank()).limit(TRIED).toList();
        char best = ',';
        long most = 0;
        for (char d : DELIMITERS.toCharArray()) {
            long on = first.stream().filter(l -> l.indexOf(d) >= 0).count();
            if (on > most) {
                best = d;
                most = on;
            }
        }
        return best;
    }
}
