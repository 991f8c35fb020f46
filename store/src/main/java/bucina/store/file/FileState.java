package bucina.store.file;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;

/**
 * Which build a file holds, and how often it was written to.
 *
 * @param build drawn when the build was made; a copy has the same
 * @param plan  how often the plan was changed
 * @param log   how often entries or marks were added
 */
public record FileState(String build, long plan, long log) {

    static FileState read(Connection connection) throws SQLException {
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("SELECT build, format, plan, log FROM state")) {
            if (!r.next()) {
                throw new IllegalArgumentException("it does not say which build it is");
            }
            int format = Migrations.version(connection);
            if (r.getInt("format") != format) {
                throw new IllegalArgumentException(
                        "its first page says format " + format + ", its table state " + r.getInt("format"));
            }
            return new FileState(r.getString("build"), r.getLong("plan"), r.getLong("log"));
        }
    }

    /** Writes down that a file holds a build of its own from now on. */
    static void begin(Connection connection, int format) throws SQLException {
        PlanRows.execute(
                connection,
                "INSERT INTO state (id, build, format, plan, log, seals) VALUES (1, ?, ?, 0, 0, 0)",
                UUID.randomUUID().toString(),
                format);
    }

    FileState planned() {
        return new FileState(build, plan + 1, log);
    }

    FileState logged() {
        return new FileState(build, plan, log + 1);
    }

    void write(Connection connection, long seals) throws SQLException {
        PlanRows.execute(connection, "UPDATE state SET plan = ?, log = ?, seals = ?", plan, log, seals);
    }
}
