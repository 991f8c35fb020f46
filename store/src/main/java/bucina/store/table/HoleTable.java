package bucina.store.table;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.Left;
import bucina.core.drawing.Question;
import bucina.core.measure.DrillSize;
import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.sheet.Point;
import bucina.store.drawing.FileUnit;
import bucina.store.drawing.Limits;
import bucina.store.drawing.Progress;
import bucina.store.table.Heading.Column;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Reads tables of holes: columns in any order and common languages, either unit, decimal mark and delimiter. */
public final class HoleTable {

    private static final int FACES = 200;

    /** A heading is looked for on so many lines: titles may stand before it. */
    private static final int HEADED = 30;

    private final Unit bare;
    private final DrillTable drills;
    private final Progress progress;
    private final List<String> notes = new ArrayList<>();
    private final List<Long> left = new ArrayList<>();
    private final Map<String, List<Drawing.Shape>> faces = new LinkedHashMap<>();

    private HoleTable(Unit bare, DrillTable drills, Progress progress) {
        this.bare = bare;
        this.drills = drills;
        this.progress = progress;
    }

    /**
     * Reads a table.
     *
     * @param text   the whole file
     * @param unit   of columns that name none
     * @param mark   what stands before decimals; empty where nobody has said it and the table is to tell
     * @param drills for diameters such as #40
     * @throws InputException if it has no columns for x and y, or a figure cannot be read; the message names the line
     */
    public static TableReading read(
            String text, Unit unit, Optional<DecimalMark> mark, DrillTable drills, Progress progress) {
        String clean = text.startsWith("\uFEFF") ? text.substring(1) : text;
        return new HoleTable(unit, drills, progress).reading(Lines.of(clean, progress), mark);
    }

    private TableReading reading(Lines lines, Optional<DecimalMark> said) {
        if (lines.comments() > 0) {
            notes.add(lines.comments() + (lines.comments() == 1 ? " line of comment is" : " lines of comment are")
                    + " passed over.");
        }
        List<Lines.Line> all = lines.all();
        int at = heading(all);
        Heading heading = headed(all, at);
        int from = at + (Heading.of(lineAt(all, at)).isPresent() ? 1 : 0);
        if (from < all.size()) {
            Optional<Heading> units = heading.with(all.get(from));
            if (units.isPresent()) {
                heading = units.get();
                from++;
            }
        }
        if (!heading.unused().isEmpty()) {
            notes.add("Nothing is taken from: " + String.join(", ", heading.unused()) + ".");
        }
        List<Lines.Line> holes = all.subList(Math.min(from, all.size()), all.size());
        return read(heading, holes, said, lines.delimiter());
    }

    private static Lines.Line lineAt(List<Lines.Line> all, int at) {
        return at < all.size() ? all.get(at) : new Lines.Line(1, List.of(""));
    }

    /** Where the heading is, or the first hole if there is none; titles before it are passed over and told. */
    private int heading(List<Lines.Line> all) {
        if (all.isEmpty()) {
            throw none();
        }
        int most = Math.min(HEADED, all.size());
        for (int i = 0; i < most; i++) {
            if (Heading.of(all.get(i)).filter(Heading::places).isPresent()) {
                titles(i);
                return i;
            }
        }
        for (int i = 0; i < most; i++) {
            if (figure(all.get(i).cell(0)) && figure(all.get(i).cell(1))) {
                if (i > 0
                        && all.get(i - 1).cells().size() > 1
                        && !all.get(i - 1).cell(1).isBlank()) {
                    throw unnamed(all.get(i - 1));
                }
                titles(i);
                return i;
            }
        }
        return 0;
    }

    private void titles(int many) {
        if (many > 0) {
            notes.add(many + (many == 1 ? " line of title is" : " lines of title are") + " passed over.");
        }
    }

    private boolean figure(String text) {
        try {
            new Figures(drills, DecimalMark.POINT).length(text.replace(',', '.'), Scale.of(bare));
            return true;
        } catch (InputException e) {
            return false;
        }
    }

    private static InputException unnamed(Lines.Line line) {
        Map<Column, Integer> columns = Heading.of(line).map(Heading::columns).orElse(Map.of());
        return new InputException("the table's header, line " + line.number() + ", has no column for "
                + (columns.containsKey(Column.X) ? "y" : "x")
                + ": name the columns like row,hole,x_mm,y_mm,diameter_mm");
    }

    private static InputException none() {
        return new InputException(
                "the table holds no hole: write a header such as row,hole,x_mm,y_mm and a line for each hole");
    }

    private static Heading headed(List<Lines.Line> all, int at) {
        Optional<Heading> heading = Heading.of(all.get(at));
        if (heading.isPresent() && !heading.get().places()) {
            throw unnamed(all.get(at));
        }
        return heading.orElseGet(() -> Heading.bare(all.get(at)));
    }

    private TableReading read(Heading heading, List<Lines.Line> holes, Optional<DecimalMark> said, char delimiter) {
        List<String> figures = holes.stream()
                .flatMap(l -> Stream.of(Column.X, Column.Y, Column.DIAMETER, Column.RADIUS)
                        .map(c -> l.cell(heading.columns().get(c))))
                .toList();
        Figures.Marks marks = said.isPresent() ? new Figures.Marks(said, false) : Figures.marks(figures);
        Optional<Question> open = marks.open() ? Optional.of(asked(figures)) : Optional.empty();
        // Where nothing tells, a comma between commas parts thousands, and one between semicolons decimals.
        DecimalMark mark =
                marks.sure().orElse(marks.open() && delimiter != ',' ? DecimalMark.COMMA : DecimalMark.POINT);
        Holes each = new Holes(heading, new Figures(drills, mark), bare, drills);
        int n = 0;
        for (Lines.Line line : holes) {
            take(each, line);
            if ((++n & 1023) == 0) {
                progress.check(0.6 + 0.35 * n / holes.size());
            }
        }
        notes.addAll(each.notes());
        return new TableReading(drawings(), unit(heading, holes), open);
    }

    private static Question asked(List<String> figures) {
        String one =
                figures.stream().filter(f -> f.indexOf(',') >= 0).findFirst().orElse("1,234");
        return new Question(
                "decimal",
                "Does the comma in " + one + " part thousands, or stand before decimals? Nothing else in the table"
                        + " tells it",
                List.of("comma", "point"));
    }

    private void take(Holes each, Lines.Line line) {
        Optional<Drawing.Shape> hole = each.hole(line);
        if (hole.isEmpty()) {
            left.add(line.number());
            return;
        }
        String face = Holes.cut(line.cell(each.at(Column.FACE)));
        faces.computeIfAbsent(face, f -> new ArrayList<>()).add(hole.get());
        if (faces.size() > FACES) {
            throw new InputException("the table has over " + FACES + " faces: bring in a few of them at a time");
        }
    }

    /** The unit of the places: what the heading says of both, or every figure itself. */
    private static Optional<FileUnit> unit(Heading heading, List<Lines.Line> holes) {
        FileUnit x = heading.units().get(Column.X);
        FileUnit y = heading.units().get(Column.Y);
        if (x != null && y != null) {
            return Optional.of(x);
        }
        Integer atX = heading.columns().get(Column.X);
        Integer atY = heading.columns().get(Column.Y);
        boolean each = holes.stream()
                .allMatch(l -> (x != null || Figures.named(l.cell(atX))) && (y != null || Figures.named(l.cell(atY))));
        return each && !holes.isEmpty()
                ? Optional.of(
                        new FileUnit("said at each figure", Scale.of(Unit.MM).nanometres(), Unit.MM))
                : Optional.empty();
    }

    private Map<String, Drawing> drawings() {
        if (faces.isEmpty()) {
            throw none();
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
        faces.forEach((face, shapes) -> drawings.put(
                face,
                new Drawing(shapes, drawings.isEmpty() ? told : List.of(), drawings.isEmpty() ? notes : List.of())));
        return drawings;
    }

    /** Makes holes of lines. */
    private static final class Holes {
        private final Heading heading;
        private final Figures figures;
        private final Unit bare;
        private final DrillTable drills;
        private boolean numbers;

        Holes(Heading heading, Figures figures, Unit bare, DrillTable drills) {
            this.heading = heading;
            this.figures = figures;
            this.bare = bare;
            this.drills = drills;
        }

        static String cut(String text) {
            return text.length() > 60 ? text.substring(0, 60) : text;
        }

        Integer at(Column column) {
            return heading.columns().getOrDefault(column, Integer.MAX_VALUE);
        }

        private String text(Lines.Line line, Column column) {
            return line.cell(at(column));
        }

        /** A column without a unit has that of the places, where they have one. */
        private FileUnit unit(Column column) {
            FileUnit own = heading.units().get(column);
            FileUnit x = heading.units().get(Column.X);
            return own != null ? own : x != null ? x : Scale.of(bare);
        }

        List<String> notes() {
            List<String> notes = new ArrayList<>();
            if (heading.columns().containsKey(Column.DIAMETER)
                    && heading.units().get(Column.DIAMETER) == null
                    && heading.units().containsKey(Column.X)) {
                notes.add("The column of diameters names no unit: taken for "
                        + unit(Column.DIAMETER).name() + ", as the places are.");
            }
            if (numbers) {
                notes.add("Whole numbers in the column of drills are taken for drill numbers: 40 is #40.");
            }
            return notes;
        }

        private Length length(Lines.Line line, Column column) {
            try {
                Length length = figures.length(text(line, column), unit(column));
                Limits.point(length.nanometres(), 0);
                return length;
            } catch (InputException e) {
                throw new InputException(
                        "line " + line.number() + ", " + column.name().toLowerCase(Locale.ROOT) + ": " + e.getMessage(),
                        e);
            }
        }

        /** The hole of a line; empty if it has no place. */
        Optional<Drawing.Shape> hole(Lines.Line line) {
            if (text(line, Column.X).isEmpty() || text(line, Column.Y).isEmpty()) {
                return Optional.empty();
            }
            Point place = Limits.point(
                    length(line, Column.X).nanometres(), length(line, Column.Y).nanometres());
            String row = text(line, Column.ROW).replace("-", "");
            String group = text(line, Column.GROUP);
            String layer = row.isEmpty() && group.isEmpty() ? "" : "HOLES-" + cut(row) + "-" + cut(group);
            String label = text(line, Column.HOLE);
            Optional<Integer> number =
                    label.matches("[1-9]\\d{0,5}") ? Optional.of(Integer.valueOf(label)) : Optional.empty();
            Optional<Length> diameter = diameter(line);
            return Optional.of(
                    diameter.isPresent()
                            ? new Drawing.Circle(layer, place, diameter.get(), number)
                            : new Drawing.Spot(layer, place, number));
        }

        private Optional<Length> diameter(Lines.Line line) {
            if (!text(line, Column.DIAMETER).isEmpty()) {
                Length length = numbered(line).orElseGet(() -> length(line, Column.DIAMETER));
                return Optional.of(over(line, length, Column.DIAMETER));
            }
            return text(line, Column.RADIUS).isEmpty()
                    ? Optional.empty()
                    : Optional.of(over(line, length(line, Column.RADIUS), Column.RADIUS)
                            .times(2));
        }

        /** A drill by its number, where the column is of drills in inch: no hole is 40 in wide. */
        private Optional<Length> numbered(Lines.Line line) {
            String text = Heading.plain(text(line, Column.DIAMETER));
            boolean called = text.matches("(no|nr|n°|num)\\.?\\s*\\d{1,2}");
            boolean whole = heading.drills() && unit(Column.DIAMETER).unit() == Unit.INCH && text.matches("\\d{1,2}");
            if (!called && !whole) {
                return Optional.empty();
            }
            Optional<DrillSize> drill = drills.find("#" + text.replaceAll("\\D", ""));
            numbers |= whole && drill.isPresent();
            return drill.map(DrillSize::diameter);
        }

        private Length over(Lines.Line line, Length length, Column column) {
            if (!length.positive()) {
                throw new InputException("line " + line.number() + ": "
                        + column.name().toLowerCase(Locale.ROOT) + " must be over 0, was "
                        + text(line, column));
            }
            return length;
        }
    }
}
