package bucina.store.file;

import bucina.core.dress.Preparation;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.PartMark;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Kept;
import bucina.core.plan.Layer;
import bucina.core.plan.Paperwork;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.Shelf;
import bucina.core.plan.Standing;
import bucina.core.plan.Workshop;
import bucina.core.sheet.Point;
import bucina.store.Chain;
import bucina.store.json.GroupJson;
import bucina.store.json.Json;
import bucina.store.json.Kind;
import bucina.store.json.Kinds;
import bucina.store.json.LogJson;
import bucina.store.json.ParticularsJson;
import bucina.store.json.PlanJson;
import bucina.store.json.SheetHolesJson;
import com.fasterxml.jackson.databind.JsonNode;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * Reads the plan and the log from the tables. Complaints about values come out as unchecked exceptions for the caller
 * to name the file.
 */
final class PlanReader {

    private final Connection connection;

    PlanReader(Connection connection) {
        this.connection = connection;
    }

    /** Reads one row of a table. */
    private interface RowOf<T> {
        T read(ResultSet r) throws SQLException;
    }

    private <T> List<T> all(String sql, RowOf<T> each) throws SQLException {
        List<T> found = new ArrayList<>();
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery(sql)) {
            while (r.next()) {
                found.add(each.read(r));
            }
        }
        return found;
    }

    /** Children by parent, in order of position. */
    private <T> Map<Long, List<T>> children(String table, RowOf<T> each) throws SQLException {
        Map<Long, List<T>> byParent = new HashMap<>();
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("SELECT * FROM " + table + " ORDER BY parent, position")) {
            while (r.next()) {
                byParent.computeIfAbsent(r.getLong("parent"), p -> new ArrayList<>())
                        .add(each.read(r));
            }
        }
        return byParent;
    }

    /** The children of one parent; what is left over in the end has none. */
    private static <T> List<T> taken(Map<Long, List<T>> byParent, ResultSet parent) throws SQLException {
        return Objects.requireNonNullElse(byParent.remove(parent.getLong("id")), List.of());
    }

    private static <P, T> P whole(P parents, String table, Map<Long, List<T>> left) {
        if (!left.isEmpty()) {
            throw new IllegalArgumentException("its table " + table + " has rows that belong to "
                    + new TreeMap<>(left).firstKey() + ", which is not there");
        }
        return parents;
    }

    Build build() throws SQLException {
        List<Assembly> assemblies = assemblies(faces(layers(), groups(rows(holes()))));
        List<Part> parts = parts();
        Map<String, Integer> stock = new HashMap<>();
        all("SELECT * FROM stock", r -> stock.put(r.getString("designation"), r.getInt("on_hand")));
        Paperwork papers = new Paperwork(shelf(Kind.On.PAPERS));
        Workshop workshop = new Workshop(shelf(Kind.On.WORKSHOP));
        List<Build> builds = all(
                "SELECT * FROM build",
                r -> new Build(
                        r.getString("name"),
                        r.getString("aircraft"),
                        PlanJson.rulesFrom(r.getString("rules")),
                        r.getLong("next_id"),
                        parts,
                        assemblies,
                        stock,
                        papers,
                        workshop));
        if (builds.size() != 1) {
            throw new IllegalArgumentException("it holds " + builds.size() + " builds instead of one");
        }
        return builds.getFirst().checked();
    }

    private Map<Long, List<Hole>> holes() throws SQLException {
        return children(
                "hole",
                r -> new Hole(
                        new Id.Hole(r.getLong("id")),
                        r.getInt("label"),
                        new Point(r.getDouble("x_nm"), r.getDouble("y_nm")),
                        Optional.ofNullable(r.getString("deviation")).map(GroupJson::deviationFrom)));
    }

    private Map<Long, List<Row>> rows(Map<Long, List<Hole>> holes) throws SQLException {
        return whole(
                children(
                        "hole_row",
                        r -> new Row(
                                new Id.Row(r.getLong("id")),
                                r.getString("name"),
                                r.getInt("next_label"),
                                taken(holes, r))),
                "hole",
                holes);
    }

    private Map<Long, List<Group>> groups(Map<Long, List<Row>> rows) throws SQLException {
        return whole(children("fastener_group", r -> group(r, rows)), "hole_row", rows);
    }

    private Map<Long, List<Layer>> layers() throws SQLException {
        return children(
                "layer",
                r -> new Layer(
                        new Id.Layer(r.getLong("id")),
                        new Id.Part(r.getLong("part")),
                        r.getString("name"),
                        Length.nm(r.getDouble("thickness_nm")),
                        PlanJson.outlineFrom(r.getString("outline")),
                        PlanJson.flangeFrom(r.getString("bends")),
                        SheetHolesJson.from(r.getString("holes"))));
    }

    private Map<Long, List<Face>> faces(Map<Long, List<Layer>> layers, Map<Long, List<Group>> groups)
            throws SQLException {
        Map<Long, List<Face>> faces = children(
                "face",
                r -> new Face(
                        new Id.Face(r.getLong("id")),
                        r.getString("name"),
                        r.getString("viewed"),
                        r.getString("x_toward"),
                        r.getString("y_toward"),
                        taken(layers, r),
                        taken(groups, r),
                        PlanJson.zonesFrom(r.getString("zones"))));
        return whole(whole(faces, "layer", layers), "fastener_group", groups);
    }

    private List<Assembly> assemblies(Map<Long, List<Face>> faces) throws SQLException {
        List<Assembly> assemblies = all(
                "SELECT * FROM assembly ORDER BY position",
                r -> new Assembly(
                        new Id.Assembly(r.getLong("id")),
                        r.getString("name"),
                        word(Hand.values(), r, "hand"),
                        unit(r.getString("unit")),
                        texts(r.getString("drawings")),
                        taken(faces, r),
                        Optional.ofNullable(r.getString("twin")).map(PlanJson::twinFrom)));
        return whole(assemblies, "face", faces);
    }

    private static <E extends Enum<E>> E word(E[] words, ResultSet r, String column) throws SQLException {
        String text = r.getString(column);
        for (E word : words) {
            if (word.name().toLowerCase(Locale.ROOT).equals(text)) {
                return word;
            }
        }
        throw new IllegalArgumentException(column + " \"" + text + "\" is not known");
    }

    private static Unit unit(String symbol) {
        return Arrays.stream(Unit.values())
                .filter(u -> u.symbol().equals(symbol))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("unit \"" + symbol + "\" is not known"));
    }

    private List<Part> parts() throws SQLException {
        return all(
                "SELECT * FROM part ORDER BY position",
                r -> new Part(
                        new Id.Part(r.getLong("id")),
                        r.getString("name"),
                        Material.parse(r.getString("material")),
                        r.getInt("fitting_order"),
                        coded(Standing.values(), Standing::code, r, "standing"),
                        coded(Part.Kind.values(), Part.Kind::code, r, "kind"),
                        ParticularsJson.from(r.getString("particulars"))));
    }

    private static <E extends Enum<E>> E coded(E[] words, Function<E, String> code, ResultSet r, String column)
            throws SQLException {
        String text = r.getString(column);
        return Arrays.stream(words)
                .filter(w -> code.apply(w).equals(text))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(column + " \"" + text + "\" is not known"));
    }

    private Shelf shelf(Kind.On on) throws SQLException {
        return Kinds.shelf(on, this::kept);
    }

    private <T extends Kept> Shelf kept(Shelf shelf, Kind<T> kind) throws SQLException {
        return shelf.with(
                kind.type(),
                all("SELECT * FROM " + kind.table() + " ORDER BY position", r -> kind.from(r.getString("body"))));
    }

    private static Group group(ResultSet r, Map<Long, List<Row>> rows) throws SQLException {
        return new Group(
                new Id.Group(r.getLong("id")),
                r.getString("code"),
                r.getString("name"),
                GroupJson.fastenerFrom(r.getString("fastener")),
                r.getInt("head_far") != 0,
                preparation(r.getString("preparation")),
                r.getString("callout"),
                taken(rows, r),
                Optional.ofNullable(r.getString("typed")).map(GroupJson::typedFrom),
                GroupJson.layerIdsFrom(r.getString("expects")),
                GroupJson.layerIdsFrom(r.getString("clears")),
                GroupJson.holePlanFrom(r.getString("holes")),
                r.getString("page"));
    }

    private static Preparation preparation(String code) {
        return Arrays.stream(Preparation.values())
                .filter(p -> p.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new InputException("preparation \"" + code + "\" is not known"));
    }

    private static List<String> texts(String json) {
        List<String> texts = new ArrayList<>();
        for (JsonNode text : Json.read(json)) {
            texts.add(text.asText());
        }
        return texts;
    }

    /** The entries as they are written. */
    List<Chain.Text> texts() throws SQLException {
        return all(
                "SELECT * FROM log_entry ORDER BY id",
                r -> new Chain.Text(
                        r.getInt("id"),
                        r.getString("entered"),
                        optional(r, "corrects").orElse(null),
                        r.getString("work"),
                        r.getString("reason"),
                        r.getString("follows"),
                        r.getInt("first"),
                        r.getString("hash")));
    }

    Logbook log() throws SQLException {
        List<LogEntry> entries = all(
                "SELECT * FROM log_entry ORDER BY id",
                r -> new LogEntry(
                        r.getInt("id"),
                        Instant.parse(r.getString("entered")),
                        optional(r, "corrects"),
                        Optional.ofNullable(r.getString("work")).map(LogJson::deedFrom),
                        r.getString("reason")));
        Function<String, Operation> operation = code -> {
            for (Operation o : Operation.values()) {
                if (o.code().equals(code)) {
                    return o;
                }
            }
            throw new IllegalArgumentException("operation \"" + code + "\" is not known");
        };
        List<Mark> marks = all(
                "SELECT * FROM mark ORDER BY id",
                r -> new Mark(
                        new Id.Hole(r.getLong("hole")),
                        new Id.Layer(r.getLong("layer")),
                        word(Mark.Side.values(), r, "side"),
                        operation.apply(r.getString("operation")),
                        Instant.parse(r.getString("at")),
                        r.getInt("done") != 0,
                        r.getString("note")));
        List<PartMark> parts = all(
                "SELECT * FROM part_mark ORDER BY id",
                r -> new PartMark(
                        new Id.Part(r.getLong("part")),
                        r.getString("task"),
                        Instant.parse(r.getString("at")),
                        r.getInt("done") != 0,
                        reading(r),
                        r.getString("note")));
        return Logbook.of(entries, marks, parts);
    }

    private static Optional<Length> reading(ResultSet r) throws SQLException {
        double nm = r.getDouble("reading_nm");
        return r.wasNull() ? Optional.empty() : Optional.of(Length.nm(nm));
    }

    Set<String> photos() throws SQLException {
        return new HashSet<>(all("SELECT sha256 FROM photo", r -> r.getString(1)));
    }

    private static Optional<Integer> optional(ResultSet r, String column) throws SQLException {
        int value = r.getInt(column);
        return r.wasNull() ? Optional.empty() : Optional.of(value);
    }
}
