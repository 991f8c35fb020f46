package bucina.store.file;

import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Kept;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.store.json.Json;
import bucina.store.json.Kinds;
import bucina.store.json.PlanJson;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

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
        boolean same(@Nullable Place other) {
            return other != null && record == other.record && parent == other.parent && position == other.position;
        }
    }

    private PlanRows() {}

    /** Writes {@code after}; {@code before} is what the file holds, or null for an empty file. */
    static void write(Connection connection, Writing writing, @Nullable Build before, Build after) throws SQLException {
        if (before == null
                || !before.rules().equals(after.rules())
                || before.nextId() != after.nextId()
                || !before.name().equals(after.name())
                || !before.aircraft().equals(after.aircraft())) {
            build(connection, writing, after);
        }
        Map<Long, Place> old = before == null ? Map.of() : flat(before);
        Map<Long, Place> now = flat(after);
        for (Map.Entry<Long, Place> gone : reversed(old)) {
            if (!now.containsKey(gone.getKey())) {
                String table = PlanColumns.table(gone.getValue().record);
                writing.touch(table, gone.getKey());
                execute(connection, "DELETE FROM " + table + " WHERE id = ?", gone.getKey());
            }
        }
        try (Statements statements = new Statements(connection, writing)) {
            for (Map.Entry<Long, Place> entry : now.entrySet()) {
                Place place = entry.getValue();
                if (!place.same(old.get(entry.getKey()))) {
                    statements.put(
                            PlanColumns.table(place.record),
                            entry.getKey(),
                            place.parent,
                            place.position,
                            PlanColumns.of(place.record));
                }
            }
        }
        if (before == null || !before.stock().equals(after.stock())) {
            stock(connection, writing, after.stock());
        }
    }

    private static void build(Connection connection, Writing writing, Build after) throws SQLException {
        String rules = Json.line(PlanJson.rules(after.rules()));
        writing.touch("build", 1);
        execute(
                connection,
                "INSERT OR REPLACE INTO build (id, name, aircraft, next_id, rules) VALUES (1, ?, ?, ?, ?)",
                after.name(),
                after.aircraft(),
                after.nextId(),
                rules);
        writing.mean(
                "build",
                1L,
                Map.of("name", after.name(), "aircraft", after.aircraft(), "next_id", after.nextId(), "rules", rules));
    }

    private static void stock(Connection connection, Writing writing, Map<String, Integer> stock) throws SQLException {
        writing.touch("stock");
        execute(connection, "DELETE FROM stock");
        for (Map.Entry<String, Integer> count : stock.entrySet()) {
            execute(
                    connection,
                    "INSERT INTO stock (designation, on_hand) VALUES (?, ?)",
                    count.getKey(),
                    count.getValue());
            writing.mean("stock", count.getKey(), Map.of("on_hand", count.getValue()));
        }
    }

    private static List<Map.Entry<Long, Place>> reversed(Map<Long, Place> places) {
        List<Map.Entry<Long, Place>> entries = new ArrayList<>(places.entrySet());
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
        Kinds.ALL.forEach(kind -> beside(kind.on().of(build).all(kind.type()), flat));
        return flat;
    }

    private static void beside(List<? extends Kept> things, Map<Long, Place> flat) {
        int position = 0;
        for (Kept thing : things) {
            flat.put(thing.id().n(), new Place(thing, 0, position++));
        }
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

    static void execute(Connection connection, String sql, @Nullable Object... values) throws SQLException {
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
        private final Writing writing;
        private final Map<String, PreparedStatement> byTable = new LinkedHashMap<>();

        Statements(Connection connection, Writing writing) {
            this.connection = connection;
            this.writing = writing;
        }

        void put(String table, long id, long parent, int position, Map<String, Object> columns) throws SQLException {
            writing.touch(table, id);
            PreparedStatement s = byTable.get(table);
            if (s == null) {
                s = connection.prepareStatement(upsert(table, columns.keySet()));
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
            Map<String, Object> values = new LinkedHashMap<>(columns);
            values.put("parent", parent);
            values.put("position", position);
            writing.mean(table, id, values);
        }

        private static String upsert(String table, Set<String> columns) {
            String names = String.join(", ", columns);
            String marks = ", ?".repeat(columns.size());
            StringBuilder update = new StringBuilder("parent = excluded.parent, position = excluded.position");
            columns.forEach(name ->
                    update.append(", ").append(name).append(" = excluded.").append(name));
            return "INSERT INTO " + table + " (id, parent, position, " + names + ") VALUES (?, ?, ?" + marks
                    + ") ON CONFLICT (id) DO UPDATE SET " + update;
        }

        @Override
        public void close() throws SQLException {
            for (PreparedStatement s : byTable.values()) {
                s.close();
            }
        }
    }
}
