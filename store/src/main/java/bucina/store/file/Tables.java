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
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** What a build file of the newest version is made of: its tables with the kind of value in each column. */
final class Tables {

    /** Rows whose check sum is one. */
    static final int ROWS = 64;

    /**
     * A column.
     *
     * @param type {@code INTEGER}, {@code REAL}, {@code TEXT} or {@code BLOB}
     * @param must whether every row has a value
     */
    record Column(String type, boolean must) {

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
    static final Map<String, Map<String, Column>> ALL;

    private static final Map<String, String> MADE;

    static {
        try (Connection c = DriverManager.getConnection("jdbc:sqlite::memory:")) {
            create(c);
            MADE = made(c);
            ALL = all(c);
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

    /** What there is in a file beside indexes: {@code table hole}, {@code trigger …} with what it belongs to. */
    private static Map<String, String> made(Connection connection) throws SQLException {
        Map<String, String> made = new TreeMap<>();
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("SELECT type, name, tbl_name, sql FROM sqlite_schema"
                        + " WHERE type <> 'index' AND name NOT LIKE 'sqlite!_%' ESCAPE '!'")) {
            while (r.next()) {
                String sql = r.getString(1).equals("trigger") ? r.getString(4) : "";
                made.put(r.getString(1) + " " + r.getString(2), r.getString(3) + " " + sql);
            }
        }
        return made;
    }

    private static Map<String, Map<String, Column>> all(Connection connection) throws SQLException {
        Map<String, Map<String, Column>> all = new LinkedHashMap<>();
        for (String made : MADE.keySet()) {
            String name = made.substring(made.indexOf(' ') + 1);
            if (made.startsWith("table ") && !name.equals("seal")) {
                all.put(name, columns(connection, name));
            }
        }
        return all;
    }

    private static Map<String, Column> columns(Connection connection, String table) throws SQLException {
        Map<String, Column> columns = new TreeMap<>();
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("PRAGMA table_info(" + table + ")")) {
            while (r.next()) {
                columns.put(r.getString("name"), new Column(r.getString("type"), r.getInt("notnull") != 0));
            }
        }
        return columns;
    }

    /**
     * Sees that a file has the tables of the newest version and nothing else that acts on them.
     *
     * @throws IllegalArgumentException naming what is missing, too many or another
     */
    static void check(Connection connection) throws SQLException {
        Map<String, String> made = made(connection);
        for (String name : MADE.keySet()) {
            if (!MADE.get(name).equals(made.remove(name))) {
                throw new IllegalArgumentException("its " + name + " is missing or is not what was made");
            }
        }
        if (!made.isEmpty()) {
            throw new IllegalArgumentException(
                    "it has a " + made.keySet().iterator().next() + " that no build file has");
        }
        for (Map.Entry<String, Map<String, Column>> table : ALL.entrySet()) {
            if (!columns(connection, table.getKey()).equals(table.getValue())) {
                throw new IllegalArgumentException(
                        "the columns of its table " + table.getKey() + " are not what was made");
            }
        }
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

    /** What is selected of a row to seal it: a photograph's content is its own check sum. */
    static String columns(String table) {
        return table.equals("photo") ? "sha256, type, length(content) AS content" : "*";
    }
}
