package bucina.store.table;

import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.StoresItem;
import bucina.core.stores.TakeIn;
import bucina.store.drawing.FileUnit;
import bucina.store.drawing.Progress;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Reads packing lists: columns in any order and common languages, either unit, decimal mark and delimiter. */
public final class PackingTable {

    private static final int MOST = 20_000;
    /** A heading is looked for on so many lines: an address may stand before it. */
    private static final int HEADED = 40;

    private static final int LONGEST = 120;

    /** What a column holds. Names are in small letters without accents. */
    private enum Column {
        COUNT(
                "a count",
                "qty",
                "quantity",
                "count",
                "pcs",
                "pieces",
                "menge",
                "anzahl",
                "stuck",
                "stk",
                "quantite",
                "qte",
                "cantidad",
                "cant",
                "quantita",
                "aantal",
                "antal",
                "quantidade"),
        NAME(
                "a name",
                "name",
                "description",
                "desc",
                "title",
                "bezeichnung",
                "benennung",
                "beschreibung",
                "nom",
                "designacion",
                "descripcion",
                "descrizione",
                "omschrijving",
                "benamning",
                "descricao"),
        NUMBER(
                "a number",
                "number",
                "pn",
                "partnumber",
                "partno",
                "no",
                "nr",
                "nummer",
                "numero",
                "teilenummer",
                "reference",
                "ref",
                "item",
                "part"),
        GAUGE(
                "a gauge",
                "gauge",
                "thickness",
                "thk",
                "t",
                "dicke",
                "starke",
                "blechdicke",
                "epaisseur",
                "espesor",
                "spessore",
                "dikte",
                "tjocklek"),
        LENGTH("a length", "length", "len", "lange", "longueur", "longitud", "lunghezza", "lengte", "langd"),
        CRATE(
                "a crate", "crate", "box", "bag", "carton", "kiste", "karton", "caisse", "sachet", "caja", "bolsa",
                "cassa", "krat", "lada", "bin", "parcel");

        /** A number in lists of hardware, a name beside a column of numbers. */
        private static final String DESIGNATION = "designation";

        private final String word;
        private final Set<String> names;

        Column(String word, String... names) {
            this.word = word;
            this.names = Set.of(names);
        }
    }

    /**
     * A list as it was read.
     *
     * @param lines      of the list
     * @param understood each column that was, with what it was taken for
     * @param notes      what else there is to say
     */
    public record Reading(List<TakeIn.Line> lines, List<String> understood, List<String> notes) {
        public Reading {
            lines = List.copyOf(lines);
            understood = List.copyOf(understood);
            notes = List.copyOf(notes);
        }
    }

    private record Headed(int at, Map<Column, Integer> columns, Map<Column, FileUnit> units, List<String> unused) {}

    private final Unit bare;
    private final DrillTable drills;
    private final List<String> notes = new ArrayList<>();

    private PackingTable(Unit bare, DrillTable drills) {
        this.bare = bare;
        this.drills = drills;
    }

    /**
     * Reads a list.
     *
     * @param text the whole file
     * @param unit of columns that name none
     * @throws InputException if no column is called a number or name and a count, or a figure cannot be read; the
     *     message names the line
     */
    public static Reading read(String text, Unit unit, DrillTable drills) {
        String clean = text.startsWith("\uFEFF") ? text.substring(1) : text;
        return new PackingTable(unit, drills).reading(Lines.of(clean, Progress.NONE));
    }

    private Reading reading(Lines lines) {
        List<Lines.Line> all = lines.all();
        Headed headed = heading(all);
        if (headed.at > 0) {
            notes.add(headed.at + (headed.at == 1 ? " line" : " lines") + " before the headings passed over.");
        }
        if (!headed.unused.isEmpty()) {
            notes.add("Nothing is taken from: " + String.join(", ", headed.unused) + ".");
        }
        List<Lines.Line> body = all.subList(headed.at + 1, all.size());
        if (body.size() > MOST) {
            throw new InputException(
                    "the list has " + body.size() + " lines, at most " + MOST + ": take it in in pieces");
        }
        DecimalMark mark = mark(body, headed);
        Figures figures = new Figures(drills, mark);
        List<TakeIn.Line> read = new ArrayList<>();
        for (Lines.Line line : body) {
            line(line, headed, figures).ifPresent(read::add);
        }
        if (read.isEmpty()) {
            throw new InputException(
                    "the list has headings and no line below them with a number or a name and a count");
        }
        return new Reading(read, understood(headed, all.get(headed.at), mark), notes);
    }

    // ---- headings

    private static Headed heading(List<Lines.Line> all) {
        for (int i = 0; i < Math.min(HEADED, all.size()); i++) {
            Headed headed = headed(all.get(i), i);
            boolean named = headed.columns.containsKey(Column.NUMBER) || headed.columns.containsKey(Column.NAME);
            if (named && headed.columns.containsKey(Column.COUNT)) {
                return headed;
            }
        }
        String first = all.isEmpty()
                ? "nothing"
                : all.getFirst().cells().stream().limit(8).map(c -> cut(c, 30)).collect(Collectors.joining(", "));
        throw new InputException("no line names a column for a part and one for how many; the first line is " + first
                + ": put headings such as number, name, quantity over the columns");
    }

    private static Headed headed(Lines.Line line, int at) {
        Map<Column, Integer> columns = new EnumMap<>(Column.class);
        Map<Column, FileUnit> units = new EnumMap<>(Column.class);
        List<String> unused = new ArrayList<>();
        boolean numbered = line.cells().stream()
                .map(PackingTable::words)
                .anyMatch(w -> w.stream().anyMatch(Column.NUMBER.names::contains)
                        && w.stream().noneMatch(Column.NAME.names::contains));
        for (int i = 0; i < line.cells().size(); i++) {
            String cell = line.cell(i);
            List<String> words = words(cell).stream()
                    .map(w -> w.equals(Column.DESIGNATION) ? numbered ? "name" : "number" : w)
                    .toList();
            int place = i;
            Optional<Column> column = Arrays.stream(Column.values())
                    .filter(c -> !columns.containsKey(c) && words.stream().anyMatch(c.names::contains))
                    .findFirst();
            column.ifPresent(c -> {
                columns.put(c, place);
                words.stream()
                        .filter(w -> !c.names.contains(w))
                        .flatMap(w -> Scale.of(w).stream())
                        .findFirst()
                        .ifPresent(u -> units.put(c, u));
            });
            if (column.isEmpty() && !cell.isBlank()) {
                unused.add(cut(cell, 30));
            }
        }
        return new Headed(at, columns, units, unused);
    }

    private static List<String> words(String cell) {
        String plain = Heading.plain(cell).replaceAll("p\\s*/\\s*n", "pn").replaceAll("[.#]", "");
        return Stream.of(plain.split("[^\\p{L}\\p{N}\"″]+"))
                .filter(w -> !w.isEmpty())
                .toList();
    }

    private static List<String> understood(Headed headed, Lines.Line heading, DecimalMark mark) {
        List<String> all = new ArrayList<>();
        headed.columns.forEach((column, at) -> all.add(cut(heading.cell(at), 30) + " as " + column.word
                + Optional.ofNullable(headed.units.get(column))
                        .map(u -> " in " + u.name())
                        .orElse("")));
        if (mark == DecimalMark.COMMA) {
            all.add("decimals after a comma");
        }
        return all;
    }

    // ---- lines

    private static DecimalMark mark(List<Lines.Line> body, Headed headed) {
        List<String> figures = new ArrayList<>();
        for (Column column : List.of(Column.GAUGE, Column.LENGTH)) {
            Integer at = headed.columns.get(column);
            if (at != null) {
                body.forEach(l -> figures.add(l.cell(at)));
            }
        }
        return Figures.marks(figures).sure().orElse(DecimalMark.POINT);
    }

    private Optional<TakeIn.Line> line(Lines.Line line, Headed headed, Figures figures) {
        String number = text(line, headed, Column.NUMBER);
        String name = text(line, headed, Column.NAME);
        String count = line.cell(headed.columns.get(Column.COUNT)).strip();
        if (number.isEmpty() && name.isEmpty() || number.isEmpty() && count.isEmpty()) {
            // An empty line, a title between two crates, a sum at the end.
            return Optional.empty();
        }
        return Optional.of(new TakeIn.Line(
                number,
                name,
                count(line, count),
                text(line, headed, Column.CRATE),
                length(line, headed, figures, Column.GAUGE),
                length(line, headed, figures, Column.LENGTH)));
    }

    private static String text(Lines.Line line, Headed headed, Column column) {
        Integer at = headed.columns.get(column);
        String text = line.cell(at).strip().replaceAll("\\s+", " ").replace("{}", "");
        if (text.length() > LONGEST) {
            throw wrong(line, column.word + " has up to " + LONGEST + " characters, this has " + text.length());
        }
        return text;
    }

    private static int count(Lines.Line line, String text) {
        String digits = text.replaceAll("(?i)\\s*(pcs?|ea|st|stk|off)\\.?$", "").replaceAll("[.,]0+$", "");
        if (!digits.matches("\\d{1,7}") || Integer.parseInt(digits) > StoresItem.MOST) {
            throw wrong(
                    line,
                    "\"" + cut(text, 30) + "\" is no count: it is a whole number of 0 to " + StoresItem.MOST
                            + ", such as 4");
        }
        return Integer.parseInt(digits);
    }

    private Optional<Length> length(Lines.Line line, Headed headed, Figures figures, Column column) {
        String text = line.cell(headed.columns.get(column)).strip();
        if (text.isEmpty() || text.matches("[-–—]+|n/?a")) {
            return Optional.empty();
        }
        FileUnit unit = headed.units.getOrDefault(
                column, new FileUnit(bare == Unit.MM ? "millimetres" : "inches", bare.nanometres(), bare));
        try {
            Length read = figures.length(text, unit);
            if (!read.positive()) {
                throw new InputException("\"" + cut(text, 30) + "\" is not over 0, like .032");
            }
            return Optional.of(read);
        } catch (InputException e) {
            throw wrong(line, column.word + ": " + e.getMessage());
        }
    }

    private static InputException wrong(Lines.Line line, String why) {
        return new InputException("line " + line.number() + " of the list: " + why);
    }

    private static String cut(String text, int most) {
        return text.length() > most ? text.substring(0, most) : text;
    }
}
