package bucina.store.file;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/*
 * Design. The database notices a page that makes no sense; a flipped bit in a name or a coordinate makes sense. Rows
 * are sealed 64 at a time, so an entry costs the check sum of at most 64 entries, and a place can be named.
 */

/** Check sums of what a build file holds. Complaints come as {@link IllegalArgumentException} with the place. */
final class Seals {

    /** The rows of one table that have one check sum. */
    record Part(String table, long number) {

        static Part of(String table, long id) {
            return new Part(table, Tables.numbered(table) ? Math.floorDiv(id, Tables.ROWS) : 0);
        }

        String words() {
            long first = number * Tables.ROWS;
            return Tables.numbered(table)
                    ? "rows " + first + " to " + (first + Tables.ROWS - 1) + " of its table " + table
                    : "its table " + table;
        }
    }

    /** Told each row of a part: its key, and its values in the order of {@link Tables#ALL}. */
    interface Reader {
        void row(Part part, Object key, @Nullable Object[] values);
    }

    private static final Part STATE = new Part("state", 0);

    private final Connection connection;
    private final Map<String, List<Tables.Column>> tables;

    /** Of a file of the newest version. */
    Seals(Connection connection) {
        this(connection, Tables.ALL);
    }

    private Seals(Connection connection, Map<String, List<Tables.Column>> tables) {
        this.connection = connection;
        this.tables = tables;
    }

    /** Of a file of any version that has check sums. */
    static Seals asTheyLie(Connection connection) throws SQLException {
        return new Seals(connection, Tables.asTheyLie(connection));
    }

    private List<Tables.Column> columns(String table) {
        return Objects.requireNonNull(tables.get(table));
    }

    /**
     * Sees that every row is what was written.
     *
     * @throws IllegalArgumentException naming the first part that is not
     */
    void check() throws SQLException {
        Map<Part, Long> written = written();
        long together = together(written);
        for (String table : tables.keySet()) {
            sorted(table, "");
            sums(table, "").forEach((part, sum) -> compare(part, sum, written.remove(part)));
        }
        written.forEach((part, sum) -> compare(part, null, sum));
        if (together != together()) {
            throw new IllegalArgumentException("parts of it are of another time than the rest");
        }
    }

    /** Seals everything anew, whatever it is. */
    void renew() throws SQLException {
        PlanRows.execute(connection, "DELETE FROM seal");
        for (String table : tables.keySet()) {
            sorted(table, "");
            for (Map.Entry<Part, Long> each : sums(table, "").entrySet()) {
                write(each.getKey(), each.getValue());
            }
        }
        PlanRows.execute(connection, "UPDATE state SET seals = ?", together(written()));
        renew(STATE);
    }

    /**
     * One check sum of all parts but that of the state, in which it stands. Parts come and go in any order, so the sums
     * of each are laid over each other.
     */
    private static long together(Map<Part, Long> written) {
        long all = 0;
        for (Map.Entry<Part, Long> each : written.entrySet()) {
            all ^= laid(each.getKey(), each.getValue());
        }
        return all;
    }

    private static long laid(Part part, @Nullable Long sum) {
        return sum == null || part.equals(STATE)
                ? 0
                : new CheckSum().add(part.table).add(part.number).add(sum).end();
    }

    /** What the state says of all parts. */
    long together() throws SQLException {
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("SELECT seals FROM state")) {
            if (!r.next()) {
                throw new IllegalArgumentException("it does not say which build it is");
            }
            return r.getLong(1);
        }
    }

    /** Sees that one part is what was written. */
    void check(Part part) throws SQLException {
        sorted(part.table(), where(part));
        compare(part, sum(part), written(part));
    }

    /**
     * Seals one part as it is now.
     *
     * @return what changes in the sum of all: to be laid over it
     */
    long renew(Part part) throws SQLException {
        Long before = written(part);
        Long sum = sum(part);
        if (sum == null) {
            PlanRows.execute(connection, "DELETE FROM seal WHERE name = ? AND part = ?", part.table(), part.number());
        } else {
            write(part, sum);
        }
        return laid(part, before) ^ laid(part, sum);
    }

    private static void compare(Part part, @Nullable Long is, @Nullable Long written) {
        if (!Objects.equals(is, written)) {
            throw new IllegalArgumentException(part.words() + " are not what was written");
        }
    }

    private void write(Part part, long sum) throws SQLException {
        PlanRows.execute(
                connection,
                "INSERT OR REPLACE INTO seal (name, part, digest) VALUES (?, ?, ?)",
                part.table(),
                part.number(),
                sum);
    }

    private @Nullable Long written(Part part) throws SQLException {
        try (PreparedStatement s = connection.prepareStatement("SELECT digest FROM seal WHERE name = ? AND part = ?")) {
            s.setString(1, part.table());
            s.setLong(2, part.number());
            try (ResultSet r = s.executeQuery()) {
                return r.next() ? (Long) r.getLong(1) : null;
            }
        }
    }

    private Map<Part, Long> written() throws SQLException {
        Map<Part, Long> written = new HashMap<>();
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("SELECT name, part, digest FROM seal")) {
            while (r.next()) {
                written.put(new Part(String.valueOf(r.getString(1)), r.getLong(2)), r.getLong(3));
            }
        }
        return written;
    }

    private @Nullable Long sum(Part part) throws SQLException {
        return sums(part.table(), where(part)).get(part);
    }

    private static String where(Part part) {
        long first = part.number * Tables.ROWS;
        return Tables.numbered(part.table) ? between(first, first + Tables.ROWS - 1) : "";
    }

    private static String between(long first, long last) {
        return " WHERE id BETWEEN " + first + " AND " + last;
    }

    /** The rows are put together by the database, 64 at a time where no column needs every bit of a double. */
    private Map<Part, Long> sums(String table, String where) throws SQLException {
        Map<Part, Long> sums = new LinkedHashMap<>();
        CheckSum sum = new CheckSum();
        @Nullable Part part = null;
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery(Tables.sealed(table, columns(table), where))) {
            int columns = r.getMetaData().getColumnCount();
            while (r.next()) {
                if (part == null || part.number != r.getLong(1)) {
                    if (part != null) {
                        sums.put(part, sum.end());
                    }
                    part = new Part(table, r.getLong(1));
                }
                sum.add(String.valueOf(r.getString(2)));
                for (int i = 3; i <= columns; i++) {
                    sum.add(r.getDouble(i));
                }
            }
        }
        if (part != null) {
            sums.put(part, sum.end());
        }
        return sums;
    }

    /** Sees that every value is of the kind its column is for. */
    private void sorted(String table, String where) throws SQLException {
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery(Tables.misfit(table, columns(table), where))) {
            if (r.next()) {
                List<Tables.Column> columns = columns(table);
                for (int i = 0; i < columns.size(); i++) {
                    Object value = r.getObject(i + 2);
                    if (!columns.get(i).takes(value)) {
                        throw wrong(table, columns.get(i), value, String.valueOf(r.getString(1)));
                    }
                }
            }
        }
    }

    private static IllegalArgumentException wrong(
            String table, Tables.Column column, @Nullable Object value, String key) {
        return new IllegalArgumentException("column " + column.name() + " of its table " + table + " has "
                + (value == null ? "nothing" : "\"" + shortened(value) + "\"") + " where "
                + (column.type().equals("TEXT") ? "a text" : "a number") + " belongs, in the row with "
                + Tables.key(table) + " " + shortened(key));
    }

    private static String shortened(Object value) {
        String text = value instanceof byte[] b ? b.length + " bytes" : value.toString();
        return text.length() > 30 ? text.substring(0, 30) + "…" : text;
    }

    /** Reads rows of one part: those from one id to another, or all where they have none. */
    void read(Part part, long first, long last, Reader reader) throws SQLException {
        boolean numbered = Tables.numbered(part.table());
        int columns = columns(part.table()).size();
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery(
                        Tables.select(part.table(), columns(part.table()), numbered ? between(first, last) : ""))) {
            while (r.next()) {
                @Nullable Object[] values = new @Nullable Object[columns];
                for (int i = 0; i < columns; i++) {
                    values[i] = r.getObject(i + 2);
                }
                reader.row(part, numbered ? (Object) r.getLong(1) : String.valueOf(r.getString(1)), values);
            }
        }
    }
}
