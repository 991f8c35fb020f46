package bucina.store.file;

import bucina.store.json.Json;
import bucina.store.json.PlanJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/**
 * Brings a file from the version it has to the newest, step by step in one transaction. Before the first step the
 * file is copied beside
 * itself ({@code NAME.before-version-N}); if the copy cannot be made, nothing is changed.
 */
final class Migrations {

    /** Takes a file from one version to the next. */
    interface Step {
        void run(Connection connection) throws SQLException;
    }

    /** From this version on a file says what state it is in and has check sums. */
    static final int SEALED = 7;

    private static final String KEPT = ".before-version-";

    private final List<Step> steps;

    /** Steps in order; the i-th takes version i + 1 to i + 2. Version 1 is the first that was ever published. */
    Migrations(List<Step> steps) {
        this.steps = List.copyOf(steps);
    }

    /** True for what was kept when the format of a build changed. */
    static boolean kept(Path file, Path build) {
        return String.valueOf(file.getFileName()).startsWith(build.getFileName() + KEPT);
    }

    int newest() {
        return steps.size() + 1;
    }

    /**
     * Runs what is missing; of two that open a file at once one does, and the other finds it done. The connection must
     * be in auto-commit mode with no transaction open.
     */
    void bring(Connection connection, Path path) throws SQLException, IOException {
        if (version(connection) >= newest()) {
            return;
        }
        try (Statement s = connection.createStatement()) {
            s.execute("PRAGMA wal_checkpoint(TRUNCATE)");
            OneFile.begin(s);
            try {
                if (version(connection) < newest()) {
                    sound(connection);
                    keep(path);
                    steps(connection);
                }
                s.execute("COMMIT");
            } catch (SQLException | IOException | RuntimeException e) {
                OneFile.rollBack(s, e);
                throw e;
            }
            OneFile.settle(s, path);
        }
    }

    /** Sees that what is brought up is what was written, where the file says so. */
    private static void sound(Connection connection) throws SQLException {
        if (version(connection) >= SEALED) {
            Seals.asTheyLie(connection).check();
        }
    }

    /** A copy of the file as it is, on the disk. */
    private void keep(Path path) throws IOException {
        Path draft = OutFile.draft(path);
        try {
            Files.copy(path, draft);
            OutFile.publish(draft, path.resolveSibling(path.getFileName() + KEPT + newest()), true);
        } finally {
            Files.deleteIfExists(draft);
        }
    }

    /** Runs what is missing in one transaction, with no copy. */
    void run(Connection connection) throws SQLException {
        try (Statement s = connection.createStatement()) {
            s.execute("BEGIN");
            try {
                sound(connection);
                steps(connection);
                s.execute("COMMIT");
            } catch (SQLException | RuntimeException e) {
                OneFile.rollBack(s, e);
                throw e;
            }
        }
    }

    private void steps(Connection connection) throws SQLException {
        for (int v = version(connection); v < newest(); v++) {
            steps.get(v - 1).run(connection);
        }
        try (Statement s = connection.createStatement()) {
            s.execute("PRAGMA user_version = " + newest());
            if (newest() >= SEALED) {
                s.execute("UPDATE state SET format = " + newest());
                new Seals(connection).renew();
            }
        }
        // No check sum stays on what makes no sense.
        PlanReader reader = new PlanReader(connection);
        reader.build();
        reader.log();
    }

    /** Runs the statements of a step; rules that are new get their shipped value. */
    static void run(Connection connection, List<String> statements) throws SQLException {
        try (Statement s = connection.createStatement()) {
            for (String statement : statements) {
                s.execute(statement);
            }
            String rules = null;
            try (ResultSet r = s.executeQuery("SELECT rules FROM build")) {
                rules = r.next() ? r.getString(1) : null;
            }
            if (rules != null) {
                PlanRows.execute(
                        connection, "UPDATE build SET rules = ?", Json.line(PlanJson.rules(PlanJson.rulesFrom(rules))));
            }
        }
    }

    static int version(Connection connection) throws SQLException {
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("PRAGMA user_version")) {
            return r.getInt(1);
        }
    }
}
