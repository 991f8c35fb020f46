package bucina.store.file;

import bucina.store.json.Kind;
import bucina.store.json.Kinds;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What a build file of the newest version is made of: its tables with the kind of value in each column. */
final class Tables {

    /** Rows whose check sum is one. */
    static final int ROWS = 64;

    /**
     * A column.
     *
     * @param name its name
     * @param type {@code INTEGER}, {@code REAL}, {@code TEXT} or {@code BLOB}
     * @param must whether every row has a value
     */
    record Column(String name, String type, boolean must) {

        /** Its name as statements have it. */
        String sql() {
            return '"' + name + '"';
        }

        /** True if a value is of the kind the column is for. */
        boolean takes(@Nullable Object value) {
            return switch (value) {
                case null -> !must;
                case Integer i -> type.equals("INTEGER");
                case Long l -> type.equals("INTEGER");
                case Double d -> type.equals("REAL");
                case String s -> type.equals("TEXT");
                case byte[] b -> type.equals("BLOB");
                default -> false;
            };
        }
    }

    /** Names of the tables that hold a build, with their columns; the check sums are not among them. */
    static final Map<String, List<Column>> ALL;

    private static final Made MADE;

    static {
        try (Connection c = DriverManager.getConnection("jdbc:sqlite::memory:")) {
            create(c);
            MADE = Made.of(c);
            Map<String, List<Column>> sealed = new TreeMap<>(MADE.columns);
            sealed.remove("seal");
            ALL = sealed;
        } catch (SQLException e) {
            throw new IllegalStateException("the tables of a build file cannot be made", e);
        }
    }

    private Tables() {}

    /** Makes the tables of the newest version in an empty file. */
    static void create(Connection connection) throws SQLException {
        try (InputStream schema = Tables.class.getResourceAsStream("/bucina/store/schema.sql");
                Statement s = connection.createStatement()) {
            s.executeUpdate(new String(Objects.requireNonNull(schema).readAllBytes(), StandardCharsets.UTF_8));
            for (Kind<?> kind : Kinds.ALL) {
                s.executeUpdate(kind.create());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * What a file is made of beside indexes.
     *
     * @param made    {@code table hole}, {@code trigger …}, with what it belongs to
     * @param columns of each table
     */
    private record Made(Map<String, String> made, Map<String, List<Column>> columns) {

        static Made of(Connection connection) throws SQLException {
            Map<String, String> made = new TreeMap<>();
            Map<String, List<Column>> columns = new TreeMap<>();
            try (Statement s = connection.createStatement();
                    ResultSet r =
                            s.executeQuery("SELECT m.type, m.name, m.tbl_name, m.sql, c.name, c.type, c.\"notnull\""
                                    + " FROM sqlite_schema m LEFT JOIN pragma_table_info(m.name) c ON m.type = 'table'"
                                    + " WHERE m.type <> 'index' AND m.name NOT LIKE 'sqlite!_%' ESCAPE '!'"
                                    + " ORDER BY 2, 5")) {
                while (r.next()) {
                    String sql = r.getString(1).equals("trigger") ? r.getString(4) : "";
                    made.put(r.getString(1) + " " + r.getString(2), r.getString(3) + " " + sql);
                    if (r.getString(1).equals("table")) {
                        columns.computeIfAbsent(r.getString(2), t -> new ArrayList<>())
                                .add(new Column(r.getString(5), r.getString(6), r.getInt(7) != 0));
                    }
                }
            }
            return new Made(made, columns);
        }
    }

    /**
     * Sees that a file has the tables of the newest version and nothing else that acts on them.
     *
     * @throws IllegalArgumentException naming what is missing, too many or another
     */
    static void check(Connection connection) throws SQLException {
        Made is = Made.of(connection);
        for (String name : MADE.made.keySet()) {
            if (!Objects.equals(MADE.made.get(name), is.made.remove(name))) {
                throw new IllegalArgumentException("its " + name + " is missing or is not what was made");
            }
        }
        if (!is.made.isEmpty()) {
            throw new IllegalArgumentException(
                    "it has a " + is.made.keySet().iterator().next() + " that no build file has");
        }
        MADE.columns.forEach((table, columns) -> {
            if (!columns.equals(is.columns.get(table))) {
                throw new IllegalArgumentException("the columns of its table " + table + " are not what was made");
            }
        });
    }

    /** The column by which the rows of a table are told apart. */
    static String key(String table) {
        return switch (table) {
            case "stock" -> "designation";
            case "photo" -> "sha256";
            default -> "id";
        };
    }

    /** True if the rows are numbered, so that they are sealed {@value #ROWS} at a time; others all at once. */
    static boolean numbered(String table) {
        return key(table).equals("id");
    }

    /** The columns of a table in the order of their names. */
    static List<Column> columns(String table) {
        return Objects.requireNonNull(ALL.get(table));
    }

    /** The tables that hold a build in a file of any version that has check sums, with their columns. */
    static Map<String, List<Column>> asTheyLie(Connection connection) throws SQLException {
        Map<String, List<Column>> sealed = new TreeMap<>(Made.of(connection).columns);
        sealed.remove("seal");
        return sealed;
    }

    /** Selects the key and every column of each row. */
    static String select(String table, List<Column> columns, String where) {
        return "SELECT " + key(table) + ", "
                + columns.stream().map(Column::sql).collect(Collectors.joining(", "))
                + " FROM " + table + where + " ORDER BY " + key(table);
    }

    /**
     * Selects what is sealed: the number of the part, a text of its rows, and the values that are doubles. Of a
     * photograph's content the length stands for it: its name is its check sum.
     */
    static String sealed(String table, List<Column> columns, String where) {
        String part = numbered(table) ? "id >> 6" : "0";
        String text = columns.stream()
                .filter(c -> !c.type.equals("REAL"))
                .map(c -> "quote(" + (c.type.equals("BLOB") ? "length(" + c.sql() + ")" : c.sql()) + ")")
                .collect(Collectors.joining(" || ',' || "));
        List<String> doubles = columns.stream()
                .filter(c -> c.type.equals("REAL"))
                .map(Column::sql)
                .toList();
        return doubles.isEmpty()
                ? "SELECT " + part + ", group_concat(" + text + ", ';' ORDER BY " + key(table) + ") FROM " + table
                        + where + " GROUP BY 1 ORDER BY 1"
                : "SELECT " + part + ", " + text + ", " + String.join(", ", doubles) + " FROM " + table + where
                        + " ORDER BY " + key(table);
    }

    /** Selects a row with a value of another kind than its column is for. */
    static String misfit(String table, List<Column> columns, String where) {
        String misfits = columns.stream()
                .map(c -> "typeof(" + c.sql() + ") NOT IN ('" + c.type.toLowerCase(Locale.ROOT)
                        + (c.must ? "')" : "', 'null')"))
                .collect(Collectors.joining(" OR "));
        return "SELECT * FROM (" + select(table, columns, where) + ") WHERE " + misfits + " LIMIT 1";
    }
}
