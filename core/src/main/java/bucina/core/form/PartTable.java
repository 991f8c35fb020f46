package bucina.core.form;

import bucina.core.edit.PartEdits;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.part.Owing;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * A list of parts as a table of text: pasted from a spreadsheet (tabs), or as CSV (commas or semicolons). The first
 * line names the columns; a line whose number or name is known changes that part, others are parts more.
 *
 * @param rows what the lines say, each column at most once
 */
public record PartTable(List<Map<PartTable.Column, String>> rows) {

    /** A column, known by the first word of a heading. */
    public enum Column {
        NUMBER("number", "part number", "no", "p/n"),
        NAME("name", "description", "part"),
        QUANTITY("quantity", "qty", "count"),
        HAND("hand", "side"),
        KIND("kind"),
        ALLOY("alloy", "material"),
        CALLED("called", "gauge", "thickness"),
        MEASURED("measured"),
        PLACE("place", "crate", "bag", "box", "shelf"),
        STANDING("standing", "stands"),
        DUE("due"),
        PAGE("page", "sheet", "step"),
        ALIASES("aliases", "other names"),
        FACES("faces"),
        OWED("owed");

        private final List<String> headings;

        Column(String... headings) {
            this.headings = List.of(headings);
        }

        static Optional<Column> of(String heading) {
            String clean = heading.strip().toLowerCase(Locale.ROOT).replaceFirst("\\s*\\((in|mm)\\)$", "");
            return Arrays.stream(values())
                    .filter(c -> c.headings.contains(clean))
                    .findFirst();
        }
    }

    private static final int MOST = 5000;
    private static final int MOST_OF_ONE = 200;

    public PartTable {
        rows = List.copyOf(rows);
    }

    /**
     * Reads a table.
     *
     * @throws InputException if it has no heading that is known, or no line
     */
    public static PartTable parse(String text) {
        String clean = text.strip().replace("\uFEFF", "");
        String first = clean.lines().findFirst().orElse("");
        char between = first.indexOf('\t') >= 0 ? '\t' : first.indexOf(';') >= 0 ? ';' : ',';
        List<CSVRecord> records = records(clean, between);
        if (records.size() < 2) {
            throw new InputException("a list of parts has a line of headings and a line for each part, such as "
                    + "number, name, hand, alloy, called; read were " + records.size()
                    + (records.size() == 1 ? " line" : " lines"));
        }
        List<Optional<Column>> columns = new ArrayList<>();
        for (String heading : records.getFirst()) {
            columns.add(Column.of(heading));
        }
        if (!columns.contains(Optional.of(Column.NAME)) && !columns.contains(Optional.of(Column.NUMBER))) {
            throw new InputException("no column is called number or name; the headings are "
                    + String.join(", ", records.getFirst()) + ": put number, name, hand, alloy over the columns");
        }
        List<Map<Column, String>> rows = new ArrayList<>();
        for (CSVRecord each : records.subList(1, records.size())) {
            Map<Column, String> row = new EnumMap<>(Column.class);
            for (int i = 0; i < Math.min(each.size(), columns.size()); i++) {
                String value = each.get(i).strip();
                columns.get(i).filter(c -> !value.isEmpty()).ifPresent(c -> row.put(c, value));
            }
            if (!row.isEmpty()) {
                rows.add(row);
            }
        }
        return new PartTable(rows);
    }

    private static List<CSVRecord> records(String text, char between) {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(between)
                .setIgnoreEmptyLines(true)
                .setIgnoreSurroundingSpaces(true)
                .get();
        try (var parser = format.parse(new StringReader(text))) {
            List<CSVRecord> records = new ArrayList<>();
            for (CSVRecord record : parser) {
                if (records.size() > MOST) {
                    throw new InputException("a list of parts has up to " + MOST + " lines: take it in in pieces");
                }
                records.add(record);
            }
            return records;
        } catch (IOException | UncheckedIOException e) {
            throw new InputException(
                    "this list cannot be read: a quotation mark is not closed, or stands inside a " + "value", e);
        }
    }

    /**
     * What taking a list in would make.
     *
     * @param build   as it would be
     * @param added   names of parts more
     * @param changed names of parts of which something else is said
     */
    public record Taken(Build build, List<String> added, List<String> changed) {}

    /**
     * The build with the list taken in: all of it, or none.
     *
     * @throws InputException naming the line that cannot be taken
     */
    public Taken onto(Build build, PartStates states, LengthParser lengths) {
        Build next = build;
        List<String> added = new ArrayList<>();
        List<String> changed = new ArrayList<>();
        int line = 1;
        for (Map<Column, String> row : rows) {
            line++;
            try {
                next = taken(next, states, row, lengths, added, changed);
            } catch (InputException e) {
                throw new InputException("line " + line + ": " + e.getMessage(), e);
            }
        }
        return new Taken(next.checked(), added, changed);
    }

    private static Build taken(
            Build build,
            PartStates states,
            Map<Column, String> row,
            LengthParser lengths,
            List<String> added,
            List<String> changed) {
        PartForm form = new PartForm(
                row.get(Column.NUMBER),
                row.get(Column.HAND),
                row.get(Column.KIND),
                row.get(Column.ALLOY),
                row.get(Column.CALLED),
                row.get(Column.MEASURED),
                row.get(Column.PLACE),
                row.get(Column.STANDING),
                row.get(Column.DUE),
                row.get(Column.PAGE),
                lengths);
        PartStates now = PartStates.of(build);
        Optional<Part> known = Optional.ofNullable(row.get(Column.NUMBER))
                .flatMap(now::named)
                .or(() -> Optional.ofNullable(row.get(Column.NAME)).flatMap(now::named));
        if (known.isPresent()) {
            Build next = form.set(
                    build,
                    known(states, known.get()) ? states : now,
                    known.get().id());
            next = aliases(next, known.get(), row);
            if (!next.equals(build)) {
                changed.add(known.get().name());
            }
            return next;
        }
        Build next = build;
        for (String name : names(row)) {
            next = aliases(form.add(next, name), next.parts().size(), row);
            added.add(name);
        }
        return next;
    }

    private static boolean known(PartStates states, Part part) {
        return states.all().stream().anyMatch(p -> p.id().equals(part.id()));
    }

    private static Build aliases(Build build, int at, Map<Column, String> row) {
        return aliases(build, build.parts().get(at), row);
    }

    private static Build aliases(Build build, Part part, Map<Column, String> row) {
        String text = row.get(Column.ALIASES);
        if (text == null) {
            return build;
        }
        List<String> names = Arrays.stream(text.split(","))
                .map(String::strip)
                .filter(t -> !t.isEmpty())
                .toList();
        return PartEdits.part(build, part.id(), p -> {
            Particulars said = p.particulars();
            return p.with(said.stamped(said.number(), names, said.hand()));
        });
    }

    /** A line that counts several makes as many parts; one that counts none makes one that is to be cut. */
    private static List<String> names(Map<Column, String> row) {
        String name = Optional.ofNullable(row.get(Column.NAME)).orElseGet(() -> row.get(Column.NUMBER));
        String quantity = row.getOrDefault(Column.QUANTITY, "1");
        if (!quantity.matches("\\d{1,4}") || Integer.parseInt(quantity) > MOST_OF_ONE) {
            throw new InputException("quantity \"" + quantity + "\" must be a whole number of 0 to " + MOST_OF_ONE);
        }
        int count = Integer.parseInt(quantity);
        List<String> names = new ArrayList<>();
        for (int i = 1; i <= Math.max(1, count); i++) {
            names.add(count > 1 ? name + " " + i : String.valueOf(name));
        }
        return names;
    }

    /** Every part of a build as CSV with headings, in the unit its gauges are read in. */
    public static String csv(PartStates states, Unit unit) {
        StringBuilder text = new StringBuilder();
        try (var printer = CSVFormat.DEFAULT.print(text)) {
            printer.printRecord(
                    "number",
                    "name",
                    "hand",
                    "kind",
                    "alloy",
                    "called",
                    "measured",
                    "place",
                    "standing",
                    "due",
                    "page",
                    "aliases",
                    "faces",
                    "owed");
            for (Part part : states.all()) {
                Particulars p = part.particulars();
                printer.printRecord(
                        p.number(),
                        part.name(),
                        p.hand().name().toLowerCase(Locale.ROOT),
                        part.kind().code(),
                        part.material().code(),
                        gauge(p.called(), unit),
                        gauge(p.measured(), unit),
                        p.place(),
                        states.of(part.id()).code(),
                        p.due().map(Object::toString).orElse(""),
                        p.page(),
                        String.join(", ", p.aliases()),
                        states.faces(part.id()).stream().map(Face::name).collect(Collectors.joining(", ")),
                        states.owed(part.id()).stream().map(Owing::task).collect(Collectors.joining(", ")));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static String gauge(Optional<Length> gauge, Unit unit) {
        return gauge.map(g -> LengthFormat.exact(g, unit)).orElse("");
    }

    /** Columns whose heading is not known; they are left out. */
    public static Set<String> unknown(String text) {
        String first = text.strip().lines().findFirst().orElse("");
        Set<String> unknown = new HashSet<>();
        for (String heading : first.split("[\t;,]")) {
            if (Column.of(heading.replace("\"", "")).isEmpty() && !heading.isBlank()) {
                unknown.add(heading.strip());
            }
        }
        return unknown;
    }
}
