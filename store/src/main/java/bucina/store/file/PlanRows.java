package bucina.store.file;

import bucina.core.plan.Acceptance;
import bucina.core.plan.Assembly;
import bucina.core.plan.Batch;
import bucina.core.plan.Build;
import bucina.core.plan.Bulletin;
import bucina.core.plan.Face;
import bucina.core.plan.FitReading;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.IndexMark;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Layer;
import bucina.core.plan.Paperwork;
import bucina.core.plan.Part;
import bucina.core.plan.Query;
import bucina.core.plan.Row;
import bucina.core.plan.Tool;
import bucina.core.plan.Workshop;
import bucina.store.json.GroupJson;
import bucina.store.json.Json;
import bucina.store.json.PapersJson;
import bucina.store.json.PlanJson;
import bucina.store.json.WorkshopJson;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.ToLongFunction;

/*
 * Design. The plan's records are immutable and share what did not change, so the difference of two builds is found by
 * comparing references:
 * each is laid out flat as id -> (record, parent, position), and only what differs is written. An edit of one hole
 * writes one hole.
 */

/** Writes the difference between two builds. */
final class PlanRows {

    /** One record of a plan and where it belongs. */
    private record Place(Object record, long parent, int position) {
        boolean same(Place other) {
            return other != null && record == other.record && parent == other.parent && position == other.position;
        }
    }

    private PlanRows() {}

    /** Writes {@code after}; {@code before} is what the file holds, or null for an empty file. */
    static void write(Connection connection, Build before, Build after) throws SQLException {
        if (before == null
                || !before.rules().equals(after.rules())
                || before.nextId() != after.nextId()
                || !before.name().equals(after.name())
                || !before.aircraft().equals(after.aircraft())) {
            execute(
                    connection,
                    "INSERT OR REPLACE INTO build (id, name, aircraft, next_id, rules) VALUES (1, ?, ?, ?, ?)",
                    after.name(),
                    after.aircraft(),
                    after.nextId(),
                    Json.line(PlanJson.rules(after.rules())));
        }
        Map<Long, Place> old = before == null ? Map.of() : flat(before);
        Map<Long, Place> now = flat(after);
        for (Map.Entry<Long, Place> gone : reversed(old)) {
            if (!now.containsKey(gone.getKey())) {
                execute(connection, "DELETE FROM " + table(gone.getValue().record) + " WHERE id = ?", gone.getKey());
            }
        }
        try (Statements statements = new Statements(connection)) {
            for (Map.Entry<Long, Place> entry : now.entrySet()) {
                Place place = entry.getValue();
                if (!place.same(old.get(entry.getKey()))) {
                    statements.put(
                            table(place.record), entry.getKey(), place.parent, place.position, columns(place.record));
                }
            }
        }
        if (before == null || !before.stock().equals(after.stock())) {
            execute(connection, "DELETE FROM stock");
            for (Map.Entry<String, Integer> count : after.stock().entrySet()) {
                execute(
                        connection,
                        "INSERT INTO stock (designation, on_hand) VALUES (?, ?)",
                        count.getKey(),
                        count.getValue());
            }
        }
    }

    private static List<Map.Entry<Long, Place>> reversed(Map<Long, Place> places) {
        List<Map.Entry<Long, Place>> entries = new java.util.ArrayList<>(places.entrySet());
        Collections.reverse(entries);
        return entries;
    }

    private static Map<Long, Place> flat(Build build) {
        Map<Long, Place> flat = new LinkedHashMap<>();
        int p = 0;
        for (Part part : build.parts()) {
            flat.put(part.id().n(), new Place(part, 0, p++));
        }
        int a = 0;
        for (Assembly assembly : build.assemblies()) {
            flat.put(assembly.id().n(), new Place(assembly, 0, a++));
            int f = 0;
            for (Face face : assembly.faces()) {
                flat.put(face.id().n(), new Place(face, assembly.id().n(), f++));
                flatten(face, flat);
            }
        }
        papers(build.papers(), flat);
        workshop(build.workshop(), flat);
        return flat;
    }

    private static void workshop(Workshop shop, Map<Long, Place> flat) {
        beside(shop.sums(), s -> s.id().n(), flat);
        beside(shop.tools(), t -> t.id().n(), flat);
        beside(shop.batches(), b -> b.id().n(), flat);
        beside(shop.index(), m -> m.id().n(), flat);
        beside(shop.readings(), r -> r.id().n(), flat);
    }

    private static <T> void beside(List<T> records, ToLongFunction<T> id, Map<Long, Place> flat) {
        int position = 0;
        for (T record : records) {
            flat.put(id.applyAsLong(record), new Place(record, 0, position++));
        }
    }

    private static void papers(Paperwork papers, Map<Long, Place> flat) {
        beside(papers.queries(), q -> q.id().n(), flat);
        beside(papers.accepted(), a -> a.id().n(), flat);
        beside(papers.bulletins(), b -> b.id().n(), flat);
    }

    private static void flatten(Face face, Map<Long, Place> flat) {
        int l = 0;
        for (Layer layer : face.layers()) {
            flat.put(layer.id().n(), new Place(layer, face.id().n(), l++));
        }
        int g = 0;
        for (Group group : face.groups()) {
            flat.put(group.id().n(), new Place(group, face.id().n(), g++));
            int r = 0;
            for (Row row : group.rows()) {
                flat.put(row.id().n(), new Place(row, group.id().n(), r++));
                int h = 0;
                for (Hole hole : row.holes()) {
                    flat.put(hole.id().n(), new Place(hole, row.id().n(), h++));
                }
            }
        }
    }

    private static String table(Object record) {
        return switch (record) {
            case Part p -> "part";
            case Assembly a -> "assembly";
            case Face f -> "face";
            case Layer l -> "layer";
            case Group g -> "fastener_group";
            case Row r -> "hole_row";
            case Query q -> "query";
            case Acceptance x -> "acceptance";
            case Bulletin b -> "bulletin";
            case KeptSum s -> "kept_sum";
            case Tool t -> "tool";
            case Batch b -> "batch";
            case IndexMark m -> "index_mark";
            case FitReading r -> "fit_reading";
            case Hole h -> "hole";
            default -> throw new IllegalStateException("no table for " + record.getClass());
        };
    }

    private static Map<String, Object> columns(Object record) {
        Map<String, Object> c = new LinkedHashMap<>();
        switch (record) {
            case Part p ->
                put(
                        c,
                        "name",
                        p.name(),
                        "material",
                        p.material().code(),
                        "fitting_order",
                        p.fittingOrder(),
                        "fitted",
                        p.fitted() ? 1 : 0);
            case Assembly a ->
                put(
                        c,
                        "name",
                        a.name(),
                        "hand",
                        a.hand().name().toLowerCase(Locale.ROOT),
                        "unit",
                        a.unit().symbol(),
                        "drawings",
                        Json.line(Json.mapper().valueToTree(a.drawings())),
                        "twin",
                        a.twin().map(t -> Json.line(PlanJson.twin(t))).orElse(null));
            case Face f ->
                put(
                        c,
                        "name",
                        f.name(),
                        "viewed",
                        f.viewed(),
                        "x_toward",
                        f.xToward(),
                        "y_toward",
                        f.yToward(),
                        "zones",
                        Json.line(PlanJson.zones(f.zones())));
            case Layer l ->
                put(
                        c,
                        "part",
                        l.part().n(),
                        "name",
                        l.name(),
                        "thickness_nm",
                        l.thickness().nanometres(),
                        "outline",
                        Json.line(PlanJson.outline(l.outline())),
                        "bends",
                        Json.line(PlanJson.bends(l.bends())));
            case Group g ->
                put(
                        c,
                        "code",
                        g.code(),
                        "name",
                        g.name(),
                        "fastener",
                        Json.line(GroupJson.fastener(g.fastener())),
                        "head_far",
                        g.headFar() ? 1 : 0,
                        "preparation",
                        g.preparation().code(),
                        "callout",
                        g.callout(),
                        "typed",
                        g.typed().map(t -> Json.line(GroupJson.typed(t))).orElse(null),
                        "expects",
                        Json.line(GroupJson.layerIds(g.expects())),
                        "clears",
                        Json.line(GroupJson.layerIds(g.clears())),
                        "holes",
                        Json.line(GroupJson.holePlan(g.holes())));
            case Query q -> put(c, "body", Json.line(PapersJson.query(q)));
            case Acceptance x -> put(c, "body", Json.line(PapersJson.acceptance(x)));
            case Bulletin b -> put(c, "body", Json.line(PapersJson.bulletin(b)));
            case KeptSum s -> put(c, "body", Json.line(WorkshopJson.sum(s)));
            case Tool t -> put(c, "body", Json.line(WorkshopJson.tool(t)));
            case Batch b -> put(c, "body", Json.line(WorkshopJson.batch(b)));
            case IndexMark m -> put(c, "body", Json.line(WorkshopJson.index(m)));
            case FitReading r -> put(c, "body", Json.line(WorkshopJson.reading(r)));
            case Row r -> put(c, "name", r.name(), "next_label", r.nextLabel());
            case Hole h ->
                put(
                        c,
                        "label",
                        h.label(),
                        "x_nm",
                        h.at().x(),
                        "y_nm",
                        h.at().y(),
                        "deviation",
                        h.deviation()
                                .map(d -> Json.line(GroupJson.deviation(d)))
                                .orElse(null));
            default -> throw new IllegalStateException("no columns for " + record.getClass());
        }
        return c;
    }

    private static void put(Map<String, Object> columns, Object... namesAndValues) {
        for (int i = 0; i < namesAndValues.length; i += 2) {
            columns.put((String) namesAndValues[i], namesAndValues[i + 1]);
        }
    }

    static void execute(Connection connection, String sql, Object... values) throws SQLException {
        try (PreparedStatement s = connection.prepareStatement(sql)) {
            for (int i = 0; i < values.length; i++) {
                s.setObject(i + 1, values[i]);
            }
            s.executeUpdate();
        }
    }

    /** One prepared upsert for each table, kept while a plan is written. */
    private static final class Statements implements AutoCloseable {
        private final Connection connection;
        private final Map<String, PreparedStatement> byTable = new LinkedHashMap<>();

        Statements(Connection connection) {
            this.connection = connection;
        }

        void put(String table, long id, long parent, int position, Map<String, Object> columns) throws SQLException {
            PreparedStatement s = byTable.get(table);
            if (s == null) {
                String names = String.join(", ", columns.keySet());
                String marks = ", ?".repeat(columns.size());
                StringBuilder update = new StringBuilder("parent = excluded.parent, position = excluded.position");
                columns.keySet()
                        .forEach(name -> update.append(", ")
                                .append(name)
                                .append(" = excluded.")
                                .append(name));
                s = connection.prepareStatement("INSERT INTO " + table + " (id, parent, position, " + names
                        + ") VALUES (?, ?, ?" + marks + ") ON CONFLICT (id) DO UPDATE SET " + update);
                byTable.put(table, s);
            }
            s.setLong(1, id);
            s.setLong(2, parent);
            s.setInt(3, position);
            int i = 4;
            for (Object value : columns.values()) {
                s.setObject(i++, value);
            }
            s.executeUpdate();
        }

        @Override
        public void close() throws SQLException {
            for (PreparedStatement s : byTable.values()) {
                s.close();
            }
        }
    }
}
