package bucina.store.file;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/**
 * Which build a file holds, and how often it was written to.
 *
 * @param build drawn when the build was made; a copy has the same
 * @param plan  how often the plan was changed
 * @param log   how often entries or marks were added
 * @param chain what its entries are bound to
 * @param plans a token for each time the plan was changed, drawn then, newest last; a copy has the same
 * @param place which file it was last written in: a copy lies in another
 */
public record FileState(String build, long plan, long log, Chained chain, List<String> plans, String place) {

    /** As many tokens are kept. */
    private static final int MOST_PLANS = 500;

    public FileState {
        plans = List.copyOf(plans);
    }

    /**
     * What the entries are bound to.
     *
     * @param entries how many there are
     * @param heads   the newest hashes, sorted
     * @param late    how many were bound only when the file was brought to format 11
     */
    public record Chained(int entries, List<String> heads, int late) {
        public Chained {
            heads = List.copyOf(heads);
        }

        /** With one entry more, which follows all that were newest. */
        Chained plus(String hash) {
            return new Chained(entries + 1, List.of(hash), late);
        }
    }

    static FileState read(Connection connection) throws SQLException {
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery(
                        "SELECT build, format, plan, log, entries, heads, late, plans, place FROM state")) {
            if (!r.next()) {
                throw new IllegalArgumentException("it does not say which build it is");
            }
            int format = Migrations.version(connection);
            if (r.getInt("format") != format) {
                throw new IllegalArgumentException(
                        "its first page says format " + format + ", its table state " + r.getInt("format"));
            }
            return new FileState(
                    r.getString("build"),
                    r.getLong("plan"),
                    r.getLong("log"),
                    new Chained(r.getInt("entries"), words(r.getString("heads")), r.getInt("late")),
                    words(r.getString("plans")),
                    r.getString("place"));
        }
    }

    private static List<String> words(String text) {
        return text.isEmpty() ? List.of() : List.of(text.split(" ", -1));
    }

    /** Writes down that a file holds a build of its own from now on. */
    static void begin(Connection connection, int format) throws SQLException {
        PlanRows.execute(
                connection,
                "INSERT INTO state (id, build, format, plan, log, seals) VALUES (1, ?, ?, 0, 0, 0)",
                UUID.randomUUID().toString(),
                format);
    }

    /** A token for one change of the plan. */
    static String token() {
        return UUID.randomUUID().toString().substring(0, 13);
    }

    /** With the plan changed once more. */
    FileState planned(String token) {
        List<String> tokens = new ArrayList<>(plans);
        tokens.add(token);
        int over = Math.max(0, tokens.size() - MOST_PLANS);
        return new FileState(build, plan + 1, log, chain, tokens.subList(over, tokens.size()), place);
    }

    /** Lying in another file. */
    FileState in(String file) {
        return new FileState(build, plan, log, chain, plans, file);
    }

    /** Brought together from others. */
    FileState from(String same, List<String> tokens) {
        return new FileState(same, plan, log, chain, tokens, place);
    }

    FileState logged() {
        return new FileState(build, plan, log + 1, chain, plans, place);
    }

    FileState with(Chained next) {
        return new FileState(build, plan, log, next, plans, place);
    }

    void write(Connection connection, long seals) throws SQLException {
        PlanRows.execute(
                connection,
                "UPDATE state SET plan = ?, log = ?, seals = ?, entries = ?, heads = ?, late = ?, plans = ?, place = ?,"
                        + " build = ?",
                plan,
                log,
                seals,
                chain.entries,
                String.join(" ", chain.heads),
                chain.late,
                String.join(" ", plans),
                place,
                build);
    }
}
