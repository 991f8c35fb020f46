package bucina.store.file;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
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

    /** Told each row as it is sealed. */
    interface Reader {
        void row(Part part, Map<String, @Nullable Object> values);
    }

    private static final String STATE = "state";

    private final Connection connection;

    Seals(Connection connection) {
        this.connection = connection;
    }

    /**
     * Sees that every row is what was written.
     *
     * @throws IllegalArgumentException naming the first part that is not
     */
    void check() throws SQLException {
        Map<Part, byte[]> written = written();
        byte[] together = together(written);
        for (String table : Tables.ALL.keySet()) {
            all(table).forEach((part, digest) -> compare(part, digest, written.remove(part)));
        }
        written.forEach((part, digest) -> compare(part, null, digest));
        if (!Arrays.equals(together, together())) {
            throw new IllegalArgumentException("parts of it are of another time than the rest");
        }
    }

    /** Seals everything anew, whatever it is. */
    void renew() throws SQLException {
        PlanRows.execute(connection, "DELETE FROM seal");
        for (String table : Tables.ALL.keySet()) {
            if (!table.equals(STATE)) {
                for (Map.Entry<Part, byte[]> each : all(table).entrySet()) {
                    write(each.getKey(), each.getValue());
                }
            }
        }
        PlanRows.execute(connection, "UPDATE state SET seals = ?", together(written()));
        renew(Part.of(STATE, 1), (part, row) -> {});
    }

    /**
     * One check sum of all parts but that of the state, in which it stands. Parts come and go in any order, so the sums
     * of each are laid over each other.
     */
    private static byte[] together(Map<Part, byte[]> written) {
        byte[] all = new byte[32];
        written.forEach((part, digest) -> lay(all, part, digest));
        return all;
    }

    private static void lay(byte[] all, Part part, byte @Nullable [] digest) {
        if (digest != null && !part.table().equals(STATE)) {
            MessageDigest one = Summing.sha256();
            one.update(part.table().getBytes(StandardCharsets.UTF_8));
            one.update(ByteBuffer.allocate(Long.BYTES).putLong(part.number()).flip());
            byte[] sum = one.digest(digest);
            for (int i = 0; i < all.length; i++) {
                all[i] ^= sum[i];
            }
        }
    }

    /** What the state says of all parts. */
    byte[] together() throws SQLException {
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("SELECT seals FROM state")) {
            if (!r.next()) {
                throw new IllegalArgumentException("it does not say which build it is");
            }
            return r.getBytes(1);
        }
    }

    /** Sees that one part is what was written. */
    void check(Part part) throws SQLException {
        compare(part, digest(part, (p, row) -> {}), written(part));
    }

    /** Seals one part as it is now, and says so in the sum of all. */
    void renew(Part part, Reader reader, byte[] all) throws SQLException {
        lay(all, part, written(part));
        lay(all, part, renew(part, reader));
    }

    private byte @Nullable [] renew(Part part, Reader reader) throws SQLException {
        byte[] digest = digest(part, reader);
        if (digest == null) {
            PlanRows.execute(connection, "DELETE FROM seal WHERE name = ? AND part = ?", part.table(), part.number());
        } else {
            write(part, digest);
        }
        return digest;
    }

    private static void compare(Part part, byte @Nullable [] is, byte @Nullable [] written) {
        if (!Arrays.equals(is, written)) {
            throw new IllegalArgumentException(part.words() + " are not what was written");
        }
    }

    private void write(Part part, byte[] digest) throws SQLException {
        PlanRows.execute(
                connection,
                "INSERT OR REPLACE INTO seal (name, part, digest) VALUES (?, ?, ?)",
                part.table(),
                part.number(),
                digest);
    }

    private byte @Nullable [] written(Part part) throws SQLException {
        try (PreparedStatement s = connection.prepareStatement("SELECT digest FROM seal WHERE name = ? AND part = ?")) {
            s.setString(1, part.table());
            s.setLong(2, part.number());
            try (ResultSet r = s.executeQuery()) {
                return r.next() ? r.getBytes(1) : null;
            }
        }
    }

    private Map<Part, byte[]> written() throws SQLException {
        Map<Part, byte[]> written = new HashMap<>();
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("SELECT name, part, digest FROM seal")) {
            while (r.next()) {
                written.put(new Part(r.getString(1), r.getLong(2)), r.getBytes(3));
            }
        }
        return written;
    }

    private Map<Part, byte[]> all(String table) throws SQLException {
        Summing summing = new Summing(table, (part, row) -> {});
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery(
                        "SELECT " + Tables.columns(table) + " FROM " + table + " ORDER BY " + Tables.key(table))) {
            summing.rows(r);
        }
        return summing.done();
    }

    private byte @Nullable [] digest(Part part, Reader reader) throws SQLException {
        Summing summing = new Summing(part.table(), reader);
        String which = Tables.numbered(part.table()) ? " WHERE id BETWEEN ? AND ?" : "";
        try (PreparedStatement s = connection.prepareStatement("SELECT " + Tables.columns(part.table()) + " FROM "
                + part.table() + which + " ORDER BY " + Tables.key(part.table()))) {
            if (!which.isEmpty()) {
                s.setLong(1, part.number() * Tables.ROWS);
                s.setLong(2, part.number() * Tables.ROWS + Tables.ROWS - 1);
            }
            try (ResultSet r = s.executeQuery()) {
                summing.rows(r);
            }
        }
        return summing.done().get(part);
    }

    /** Goes through rows in their order. */
    private static final class Summing {
        private final String table;
        private final Reader reader;
        private final Map<String, Tables.Column> columns;
        private final Map<Part, byte[]> sums = new LinkedHashMap<>();
        private final MessageDigest digest = sha256();
        private @Nullable Part part;

        Summing(String table, Reader reader) {
            this.table = table;
            this.reader = reader;
            this.columns = Objects.requireNonNull(Tables.ALL.get(table));
        }

        void rows(ResultSet r) throws SQLException {
            while (r.next()) {
                Part next = Part.of(table, Tables.numbered(table) ? r.getLong("id") : 0);
                if (part != null && !part.equals(next)) {
                    sums.put(part, digest.digest());
                }
                part = next;
                Map<String, @Nullable Object> row = new LinkedHashMap<>();
                for (Map.Entry<String, Tables.Column> column : columns.entrySet()) {
                    row.put(column.getKey(), value(r, column.getKey(), column.getValue()));
                }
                reader.row(next, row);
            }
        }

        private @Nullable Object value(ResultSet r, String name, Tables.Column column) throws SQLException {
            Object value = r.getObject(name);
            boolean picture = table.equals("photo") && name.equals("content");
            if (!picture && !column.takes(value)) {
                throw new IllegalArgumentException("column " + name + " of its table " + table + " has "
                        + (value == null ? "nothing" : "\"" + shortened(value) + "\"") + " where "
                        + (column.type().equals("TEXT") ? "a text" : "a number") + " belongs, in the row with "
                        + Tables.key(table) + " " + r.getString(Tables.key(table)));
            }
            sum(value);
            return value;
        }

        private static String shortened(Object value) {
            String text = value instanceof byte[] b ? b.length + " bytes" : value.toString();
            return text.length() > 30 ? text.substring(0, 30) + "…" : text;
        }

        private void sum(@Nullable Object value) {
            switch (value) {
                case null -> digest.update((byte) 0);
                case Number n when !(n instanceof Double) -> number((byte) 1, n.longValue());
                case Double d -> number((byte) 2, Double.doubleToRawLongBits(d));
                case byte[] b -> bytes((byte) 4, b);
                default -> bytes((byte) 3, value.toString().getBytes(StandardCharsets.UTF_8));
            }
        }

        private void number(byte kind, long value) {
            digest.update(ByteBuffer.allocate(9).put(kind).putLong(value).flip());
        }

        private void bytes(byte kind, byte[] bytes) {
            number(kind, bytes.length);
            digest.update(bytes);
        }

        Map<Part, byte[]> done() {
            if (part != null) {
                sums.put(part, digest.digest());
            }
            return sums;
        }

        static MessageDigest sha256() {
            try {
                return MessageDigest.getInstance("SHA-256");
            } catch (NoSuchAlgorithmException e) {
                throw new IllegalStateException("every Java has SHA-256", e);
            }
        }
    }
}
