package bucina.store.file;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;

/**
 * From version 2 to 3: kept sums and tools; marks that are taken back or have a note; rules that are new get their
 * shipped value.
 */
final class Version3 {

    private static final List<String> STATEMENTS = List.of(
            "CREATE TABLE kept_sum (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL, position INTEGER NOT NULL, "
                    + "body TEXT NOT NULL)",
            "CREATE TABLE tool (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL, position INTEGER NOT NULL, body "
                    + "TEXT NOT NULL)",
            "ALTER TABLE mark ADD COLUMN done INTEGER NOT NULL DEFAULT 1",
            "ALTER TABLE mark ADD COLUMN note TEXT NOT NULL DEFAULT ''");

    private Version3() {}

    static void run(Connection connection) throws SQLException {
        Migrations.run(connection, STATEMENTS);
    }
}
