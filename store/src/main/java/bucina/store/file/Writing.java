package bucina.store.file;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What one transaction writes. The rows around a change are checked before they are changed, so that no check sum is
 * put on damage; what was written is read back before it is committed.
 */
final class Writing {

    private record Key(String table, Object id) {}

    private record Span(long first, long last) {
        Span with(Span other) {
            return new Span(Math.min(first, other.first), Math.max(last, other.last));
        }
    }

    private final Connection connection;
    private final Seals seals;
    private final Path path;
    /** Of each part the rows that were written lie between these. */
    private final Map<Seals.Part, Span> spans = new HashMap<>();

    private final Set<Seals.Part> touched = new LinkedHashSet<>();
    private final Map<Key, Map<String, ? extends @Nullable Object>> meant = new HashMap<>();

    /**
     * Begins.
     *
     * @param path for what is said when something is wrong
     */
    Writing(Connection connection, Path path) {
        this.connection = connection;
        this.seals = new Seals(connection);
        this.path = path;
    }

    /** Before the rows of a table that are not numbered change. */
    void touch(String table) throws SQLException {
        touch(table, 0);
    }

    /**
     * Before a row changes, comes or goes.
     *
     * @throws BuildFileException if it, or one beside it, is not what was written
     */
    void touch(String table, long id) throws SQLException {
        Seals.Part part = Seals.Part.of(table, id);
        if (touched.add(part)) {
            try {
                seals.check(part);
            } catch (IllegalArgumentException e) {
                throw Troubles.damaged(path, String.valueOf(e.getMessage()), e);
            }
        }
    }

    /** What a row holds when all is written; the columns that are not named may hold anything. */
    void mean(String table, Object id, Map<String, ? extends @Nullable Object> values) {
        meant.put(new Key(table, id), values);
        if (id instanceof Long n) {
            spans.merge(Seals.Part.of(table, n), new Span(n, n), Span::with);
        }
    }

    /**
     * Reads back, seals, and writes down what state the file is in now.
     *
     * @throws BuildFileException if the file holds something else than was written
     */
    void end(FileState after) throws SQLException {
        Seals.Part state = Seals.Part.of("state", 1);
        long all = seals.together();
        touched.remove(state);
        for (Seals.Part part : touched) {
            Span span = spans.get(part);
            if (span != null) {
                seals.read(part, span.first, span.last, this::compare);
            } else if (!Tables.numbered(part.table())) {
                seals.read(part, 0, 0, this::compare);
            }
            all ^= seals.renew(part);
        }
        after.write(connection, all);
        seals.renew(state);
        if (!meant.isEmpty()) {
            Key key = meant.keySet().iterator().next();
            throw Troubles.failed(path, key.table + " " + key.id + " was written and is not there", null);
        }
    }

    private void compare(Seals.Part part, Object key, @Nullable Object[] row) {
        Map<String, ? extends @Nullable Object> values = meant.remove(new Key(part.table(), key));
        if (values == null) {
            return;
        }
        List<Tables.Column> columns = Tables.columns(part.table());
        for (int i = 0; i < row.length; i++) {
            String column = columns.get(i).name();
            if (values.containsKey(column) && !same(values.get(column), row[i])) {
                throw Troubles.failed(
                        path,
                        column + " of " + part.table() + " " + key + " reads back as " + row[i] + ", written was "
                                + values.get(column),
                        null);
            }
        }
    }

    private static boolean same(@Nullable Object written, @Nullable Object read) {
        return switch (written) {
            case null -> read == null;
            case Double d -> read instanceof Double r && Double.compare(d + 0.0, r + 0.0) == 0;
            case Number n -> read instanceof Number r && n.longValue() == r.longValue();
            case byte[] b -> read instanceof byte[] r && Arrays.equals(b, r);
            default -> written.equals(read);
        };
    }
}
