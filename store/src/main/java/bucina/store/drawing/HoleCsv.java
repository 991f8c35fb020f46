package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.Left;
import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** Hole tables: written in millimetres, read with columns in any order, inch or millimetre, point or comma. */
public final class HoleCsv {

    /** What a column holds. */
    private enum Column {
        FACE("face"),
        ROW("row", "line"),
        HOLE("hole", "label", "no", "number", "nr"),
        GROUP("group", "code"),
        X("x", "across", "station", "posx"),
        Y("y", "up", "posy"),
        DIAMETER("diameter", "dia", "d", "size");

        private final List<String> names;

        Column(String... names) {
            this.names = List.of(names);
        }
    }

    private static final int MOST = 200_000;

    private static final int FACES = 200;

    private HoleCsv() {}

    // ---- out

    /** The holes of a face as a table; text that a spreadsheet would take for a formula is made harmless. */
    public static String write(List<HoleReading> readings) {
        return write(List.of(new Page("", readings)), false);
    }

    /** The holes of several faces as one table, the name of the face in the first column. */
    public static String writeFaces(List<FaceReading> faces) {
        return write(
                faces.stream().map(f -> new Page(f.face().name(), f.readings())).toList(), true);
    }

    private record Page(String face, List<HoleReading> readings) {}

    private static String write(List<Page> pages, boolean named) {
        StringBuilder out = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            List<Object> titles =
                    List.of("face", "row", "hole", "group", "x_mm", "y_mm", "diameter_mm", "grip_mm", "use");
            csv.printRecord(titles.subList(named ? 0 : 1, titles.size()));
            for (Page page : pages) {
                for (HoleReading r : page.readings) {
                    List<Object> line = line(page.face, r);
                    csv.printRecord(line.subList(named ? 0 : 1, line.size()));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static List<Object> line(String face, HoleReading r) {
        return List.of(
                safe(face),
                safe(r.row().name()),
                r.hole().label(),
                safe(r.group().code()),
                DxfWriter.mm(r.hole().at().x()),
                DxfWriter.mm(r.hole().at().y()),
                DxfWriter.mm(r.solution().hole().nanometres()),
                DxfWriter.mm(r.solution().grip().nanometres()),
                safe(r.solution().called()));
    }

    /** Text with an apostrophe before it where it begins like a formula. */
    static String safe(String text) {
        return !text.isEmpty() && "=+-@\t\r\n|%".indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
    }

    // ---- in

    /**
     * Reads a table.
     *
     * @param text   the whole file
     * @param unit   of columns that name none
     * @param drills for diameters such as #40
     * @throws InputException if it has no columns for x and y, or a figure cannot be read; the message names the line
     */
    public static Drawing read(String text, Unit unit, DrillTable drills, Progress progress) {
        List<Drawing> faces =
                List.copyOf(readFaces(text, unit, drills, progress).values());
        if (faces.size() == 1) {
            return faces.getFirst();
        }
        List<String> notes =
                new ArrayList<>(faces.stream().flatMap(d -> d.notes().stream()).toList());
        notes.add("The table has holes of " + faces.size() + " faces: they come in together.");
        return new Drawing(
                faces.stream().flatMap(d -> d.shapes().stream()).toList(),
                faces.stream().flatMap(d -> d.left().stream()).toList(),
                notes);
    }

    /**
     * Reads a table face by face, as its column {@code face} says; one without that column is one face with an empty
     * name.
     *
     * @throws InputException as {@link #read}
     */
    public static Map<String, Drawing> readFaces(String text, Unit unit, DrillTable drills, Progress progress) {
        String clean = text.startsWith("\uFEFF") ? text.substring(1) : text;
        char delimiter = delimiter(clean);
        CSVFormat format = format(delimiter);
        Map<String, List<Drawing.Shape>> faces = new LinkedHashMap<>();
        int holes = 0;
        List<Long> left = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(clean), format)) {
            Table table = null;
            for (CSVRecord line : parser) {
                if (table == null) {
                    Optional<Table> headed = Table.headed(line, unit, drills, delimiter != ',');
                    table = headed.orElseGet(() -> Table.bare(line, unit, drills, delimiter != ','));
                    if (headed.isPresent()) {
                        continue;
                    }
                }
                Optional<Drawing.Circle> hole = table.hole(line);
                if (hole.isPresent()) {
                    if (faces.size() > FACES) {
                        throw new InputException(
                                "the table has over " + FACES + " faces: bring in a few of them at a time");
                    }
                    faces.computeIfAbsent(cut(table.text(line, Column.FACE)), f -> new ArrayList<>())
                            .add(hole.get());
                } else {
                    left.add(line.getRecordNumber());
                }
                limit(++holes, line, progress, clean);
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw new InputException(
                    "the table cannot be read: " + firstLine(e.getMessage())
                            + ". Lines hold figures between commas or semicolons",
                    e);
        }
        return drawings(faces, left);
    }

    private static void limit(int holes, CSVRecord line, Progress progress, String clean) {
        if (holes > MOST) {
            throw new InputException("the table has over " + MOST + " holes: bring in one face at a time");
        }
        if ((line.getRecordNumber() & 1023) == 0) {
            progress.check(Math.min(0.95, line.getCharacterPosition() / (double) Math.max(1, clean.length())));
        }
    }

    private static Map<String, Drawing> drawings(Map<String, List<Drawing.Shape>> faces, List<Long> left) {
        if (faces.isEmpty()) {
            throw new InputException(
                    "the table holds no hole: write a header such as row,hole,x_mm,y_mm and a line for each hole");
        }
        List<Left> told = left.isEmpty()
                ? List.of()
                : List.of(new Left(
                        "line",
                        left.size(),
                        "",
                        "it has no place, the first is line " + left.getFirst(),
                        Optional.empty()));
        Map<String, Drawing> drawings = new LinkedHashMap<>();
        faces.forEach((face, shapes) ->
                drawings.put(face, new Drawing(shapes, drawings.isEmpty() ? told : List.of(), List.of())));
        return drawings;
    }

    private static CSVFormat format(char delimiter) {
        return CSVFormat.DEFAULT
                .builder()
                .setDelimiter(delimiter)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get();
    }

    private static String cut(String text) {
        return text.length() > 60 ? text.substring(0, 60) : text;
    }

    private static String firstLine(@Nullable String message) {
        String line = message == null
                ? "damaged"
                : message.lines().findFirst().orElse("damaged").replaceAll("[\\w.]+Exception: ", "");
        return line.length() > 120 ? line.substring(0, 120) : line;
    }

    private static char delimiter(String text) {
        int end = text.indexOf('\n');
        String first = text.substring(0, Math.min(end < 0 ? text.length() : end, 2000));
        if (first.indexOf('\t') >= 0) {
            return '\t';
        }
        return first.indexOf(';') >= 0 ? ';' : ',';
    }

    /** Where the columns are and what their figures mean. */
    private record Table(Map<Column, Integer> columns, Map<Column, Unit> units, DrillTable drills, boolean commas) {

        static Optional<Table> headed(CSVRecord line, Unit unit, DrillTable drills, boolean commas) {
            Map<Column, Integer> columns = new EnumMap<>(Column.class);
            Map<Column, Unit> units = new EnumMap<>(Column.class);
            for (int i = 0; i < line.size(); i++) {
                String title = line.get(i).toLowerCase(Locale.ROOT).strip();
                Unit said = title.matches(".*[^a-z](mm|millimet(er|re)s?)\\W*")
                        ? Unit.MM
                        : title.matches(".*[^a-z](in|inch|inches)\\W*") ? Unit.INCH : unit;
                String word = title.replaceAll("[\\[(_ ].*$", "");
                for (Column c : Column.values()) {
                    if (c.names.contains(word) && columns.putIfAbsent(c, i) == null) {
                        units.put(c, said);
                    }
                }
            }
            if (columns.isEmpty()) {
                return Optional.empty();
            }
            if (!columns.containsKey(Column.X) || !columns.containsKey(Column.Y)) {
                throw new InputException(
                        "the table's header has no column for " + (columns.containsKey(Column.X) ? "y" : "x")
                                + ": name the columns like row,hole,x_mm,y_mm,diameter_mm");
            }
            return Optional.of(new Table(columns, units, drills, commas));
        }

        static Table bare(CSVRecord line, Unit unit, DrillTable drills, boolean commas) {
            if (line.size() < 2) {
                throw new InputException(
                        "line 1 has " + line.size() + " column: a hole needs x and y, such as 12.5,40");
            }
            Map<Column, Integer> columns = new EnumMap<>(Column.class);
            Map<Column, Unit> units = new EnumMap<>(Column.class);
            columns.put(Column.X, 0);
            columns.put(Column.Y, 1);
            if (line.size() > 2) {
                columns.put(Column.DIAMETER, 2);
            }
            columns.keySet().forEach(c -> units.put(c, unit));
            return new Table(columns, units, drills, commas);
        }

        private String text(CSVRecord line, Column column) {
            Integer at = columns.get(column);
            String text = at == null || at >= line.size() ? "" : line.get(at);
            return text.startsWith("'") ? text.substring(1) : text;
        }

        private Length length(CSVRecord line, Column column) {
            String text = text(line, column);
            try {
                Length length = new LengthParser(Objects.requireNonNull(units.get(column)), drills)
                        .parse(commas ? text.replace(',', '.') : text);
                Limits.point(length.nanometres(), 0);
                return length;
            } catch (InputException e) {
                throw new InputException(
                        "line " + line.getRecordNumber() + ", " + column.names.getFirst() + ": " + e.getMessage(), e);
            }
        }

        Optional<Drawing.Circle> hole(CSVRecord line) {
            if (text(line, Column.X).isEmpty() || text(line, Column.Y).isEmpty()) {
                return Optional.empty();
            }
            Length diameter = text(line, Column.DIAMETER).isEmpty() ? Length.in(.098) : length(line, Column.DIAMETER);
            if (!diameter.positive()) {
                throw new InputException("line " + line.getRecordNumber() + ": diameter must be over 0, was "
                        + text(line, Column.DIAMETER));
            }
            String row = text(line, Column.ROW).replace("-", "");
            String group = text(line, Column.GROUP);
            String label = text(line, Column.HOLE);
            return Optional.of(new Drawing.Circle(
                    row.isEmpty() && group.isEmpty() ? "" : "HOLES-" + cut(row) + "-" + cut(group),
                    Limits.point(
                            length(line, Column.X).nanometres(),
                            length(line, Column.Y).nanometres()),
                    diameter,
                    label.matches("[1-9]\\d{0,5}") ? Optional.of(Integer.valueOf(label)) : Optional.empty()));
        }
    }
}
