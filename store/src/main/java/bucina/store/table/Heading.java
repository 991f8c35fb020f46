package bucina.store.table;

import bucina.core.measure.InputException;
import bucina.store.drawing.FileUnit;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Which column is what.
 *
 * @param columns where each is, from 0
 * @param units   what the heading says of each; none where it says nothing
 * @param drills  true if the column of diameters is called after drills
 * @param unused  columns that nothing is taken from
 */
record Heading(Map<Column, Integer> columns, Map<Column, FileUnit> units, boolean drills, List<String> unused) {

    /** What a column holds. Names are in small letters without accents. */
    enum Column {
        DIAMETER(
                "dia",
                "diam",
                "diameter",
                "durchmesser",
                "diametre",
                "diametro",
                "srednica",
                "prumer",
                "bore",
                "drill",
                "drills",
                "bohrer",
                "foret",
                "broca",
                "punta",
                "boor",
                "borr",
                "size",
                "d"),
        RADIUS("radius", "rayon", "raggio", "radio"),
        X(
                "x",
                "across",
                "station",
                "posx",
                "xpos",
                "xcoord",
                "xcoordinate",
                "abscissa",
                "abscisse",
                "ascissa",
                "abscisa"),
        Y("y", "up", "posy", "ypos", "ycoord", "ycoordinate", "ordinate", "ordonnee", "ordinata", "ordenada"),
        FACE("face", "flache", "cara", "faccia", "vlak"),
        ROW("row", "line", "reihe", "zeile", "rangee", "ligne", "fila", "riga", "rij", "rad"),
        GROUP("group", "code", "gruppe", "groupe", "grupo", "gruppo", "groep", "grupp"),
        HOLE(
                "hole", "label", "no", "number", "nr", "num", "numero", "nummer", "loch", "trou", "agujero", "foro",
                "gat", "hal", "id", "bohrung", "#", "point", "punkt", "pos");

        private final Set<String> names;

        Column(String... names) {
            this.names = Set.of(names);
        }
    }

    private static final Set<String> DRILLS = Set.of("drill", "drills", "bohrer", "foret", "broca", "punta", "boor");
    private static final Pattern BRACKET = Pattern.compile("[(\\[{<]([^)\\]}>]{0,40})[)\\]}>]");
    /** Columns of Bucina's own tables that follow from the plan, and words. */
    private static final Set<String> PASSED = Set.of("grip", "use", "note", "notes", "comment", "remark", "remarks");

    /** A title taken apart: its words, and the unit in it. */
    private record Title(List<String> words, Optional<FileUnit> unit) {

        static Title of(String title) {
            String plain = plain(title);
            Optional<FileUnit> unit = Optional.empty();
            Matcher bracket = BRACKET.matcher(plain);
            while (bracket.find() && unit.isEmpty()) {
                unit = Scale.of(bracket.group(1).strip());
            }
            plain = bracket.replaceAll(" ");
            List<String> words = new ArrayList<>(Arrays.asList(plain.split("[^\\p{L}\\p{N}#\"″']+")));
            words.removeIf(String::isEmpty);
            if (words.size() == 1 && words.getFirst().matches("[xy](mm|cm|in)")) {
                words = new ArrayList<>(List.of(
                        words.getFirst().substring(0, 1), words.getFirst().substring(1)));
            }
            if (words.size() > 1) {
                Optional<FileUnit> last = Scale.of(words.getLast());
                if (last.isPresent()) {
                    unit = unit.or(() -> last);
                    words.removeLast();
                    // "x in mm"
                    words.removeIf(w -> w.equals("in"));
                }
            }
            return new Title(words, unit);
        }

        boolean is(Column column) {
            return words.stream().anyMatch(w -> column.names.contains(w) && (w.length() > 1 || words.size() < 3));
        }
    }

    /** Small letters without accents; the signs for a diameter as a word. */
    static String plain(String text) {
        String small = text.strip().toLowerCase(Locale.ROOT).replaceAll("[ø⌀∅]", " dia ");
        return Normalizer.normalize(small, Normalizer.Form.NFD).replaceAll("\\p{M}", "");
    }

    /** The heading that a line is; empty if it names no column, or holds a figure. */
    static Optional<Heading> of(Lines.Line line) {
        Map<Column, Integer> columns = new EnumMap<>(Column.class);
        Map<Column, FileUnit> units = new EnumMap<>(Column.class);
        List<String> unused = new ArrayList<>();
        boolean drills = false;
        for (int i = 0; i < line.cells().size(); i++) {
            Title title = Title.of(line.cell(i));
            if (line.cell(i).matches("[+-]?[\\d.,]*\\d[\\d.,]*")) {
                return Optional.empty();
            }
            Optional<Column> column = Arrays.stream(Column.values())
                    .filter(c -> title.is(c) && !columns.containsKey(c))
                    .findFirst();
            int at = i;
            if (column.isPresent()) {
                columns.put(column.get(), at);
                title.unit.ifPresent(u -> units.put(column.get(), u));
                drills |=
                        column.get() == Column.DIAMETER && title.words.stream().anyMatch(DRILLS::contains);
            } else if (!line.cell(i).isBlank() && title.words.stream().noneMatch(PASSED::contains)) {
                unused.add(line.cell(i).length() > 30 ? line.cell(i).substring(0, 30) : line.cell(i));
            }
        }
        return columns.isEmpty() ? Optional.empty() : Optional.of(new Heading(columns, units, drills, unused));
    }

    boolean places() {
        return columns.containsKey(Column.X) && columns.containsKey(Column.Y);
    }

    /** The heading of a table that has none: x, y and the diameter. */
    static Heading bare(Lines.Line line) {
        if (line.cells().size() < 2) {
            throw new InputException("line " + line.number() + " has "
                    + line.cells().size() + " column: a hole needs x and y, such as 12.5,40");
        }
        Map<Column, Integer> columns = new EnumMap<>(Column.class);
        columns.put(Column.X, 0);
        columns.put(Column.Y, 1);
        if (line.cells().size() > 2) {
            columns.put(Column.DIAMETER, 2);
        }
        return new Heading(columns, new EnumMap<>(Column.class), false, List.of());
    }

    /** With the units that a line of them says; empty if the line is none. */
    Optional<Heading> with(Lines.Line line) {
        Map<Column, FileUnit> said = new EnumMap<>(units);
        boolean any = false;
        for (Map.Entry<Column, Integer> c : columns.entrySet()) {
            String word = plain(line.cell(c.getValue())).replaceAll("^[(\\[{<\\s]+|[)\\]}>\\s]+$", "");
            Optional<FileUnit> unit = Scale.of(word);
            if (unit.isEmpty() && word.matches(".*\\d.*")) {
                return Optional.empty();
            }
            any |= unit.isPresent();
            unit.ifPresent(u -> said.put(c.getKey(), u));
        }
        return any ? Optional.of(new Heading(columns, said, drills, unused)) : Optional.empty();
    }
}
