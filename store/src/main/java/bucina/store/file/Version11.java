package bucina.store.file;

import bucina.core.log.LogEntry;
import bucina.store.Chain;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;

/**
 * From version 10 to 11: entries are bound to each other by their hashes, those that are there when this is done, which
 * the file says from then on; departures, readings with limits, what runs through, where photographs belong.
 */
final class Version11 {

    private static final String NEVER_CHANGED = "CREATE TRIGGER log_entry_is_never_changed BEFORE UPDATE ON log_entry\n"
            + "  BEGIN SELECT RAISE(ABORT, 'a log entry is never changed: add one that corrects it'); END";

    private Version11() {}

    /** Makes the table of one kind of kept thing. */
    static String kept(String table) {
        return "CREATE TABLE " + table + " (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL,"
                + " position INTEGER NOT NULL, body TEXT NOT NULL)";
    }

    static void run(Connection connection) throws SQLException {
        Migrations.run(
                connection,
                List.of(
                        kept("departure"),
                        kept("gaging"),
                        kept("run_through"),
                        kept("pin"),
                        "ALTER TABLE log_entry ADD COLUMN follows TEXT NOT NULL DEFAULT ''",
                        "ALTER TABLE log_entry ADD COLUMN first INTEGER NOT NULL DEFAULT 0",
                        "ALTER TABLE log_entry ADD COLUMN hash TEXT NOT NULL DEFAULT ''",
                        "ALTER TABLE state ADD COLUMN entries INTEGER NOT NULL DEFAULT 0",
                        "ALTER TABLE state ADD COLUMN heads TEXT NOT NULL DEFAULT ''",
                        "ALTER TABLE state ADD COLUMN late INTEGER NOT NULL DEFAULT 0",
                        "ALTER TABLE state ADD COLUMN plans TEXT NOT NULL DEFAULT ''",
                        "ALTER TABLE state ADD COLUMN place TEXT NOT NULL DEFAULT ''"));
        List<LogEntry> entries = new PlanReader(connection).log().entries();
        Map<Integer, Chain.Link> links = Chain.bind(entries, Map.of());
        try (Statement s = connection.createStatement()) {
            s.execute("DROP TRIGGER log_entry_is_never_changed");
            bind(connection, entries, links);
            s.execute(NEVER_CHANGED);
        }
        PlanRows.execute(
                connection,
                "UPDATE state SET entries = ?, heads = ?, late = ?",
                entries.size(),
                String.join(" ", Chain.heads(links.values())),
                entries.size());
    }

    /** Entries are written anew in the words of this version, so that what is bound is what goes out and comes in. */
    private static void bind(Connection connection, List<LogEntry> entries, Map<Integer, Chain.Link> links)
            throws SQLException {
        try (PreparedStatement s = connection.prepareStatement(
                "UPDATE log_entry SET entered = ?, work = ?, follows = ?, first = ?, hash = ? WHERE id = ?")) {
            for (LogEntry entry : entries) {
                Chain.Link link = links.get(entry.id());
                s.setString(1, entry.entered().toString());
                s.setString(2, Chain.work(entry));
                s.setString(3, link == null ? "" : String.join(" ", link.follows()));
                s.setInt(4, link == null ? 0 : link.first());
                s.setString(5, link == null ? "" : link.hash());
                s.setInt(6, entry.id());
                s.executeUpdate();
            }
        }
    }
}
