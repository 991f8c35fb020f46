package bucina.store.file;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;

/**
 * From version 1 to 2: bends, zones, holds, the other hand, queries, accepted findings and bulletins; rules that are
 * new get their shipped value.
 */
final class Version2 {

    private static final List<String> STATEMENTS = List.of(
            "ALTER TABLE assembly ADD COLUMN twin TEXT",
            "ALTER TABLE face ADD COLUMN zones TEXT NOT NULL DEFAULT '[]'",
            "ALTER TABLE layer ADD COLUMN bends TEXT NOT NULL DEFAULT '[]'",
            "ALTER TABLE fastener_group ADD COLUMN holes TEXT NOT NULL DEFAULT '{\"hold\":\"auto\"}'",
            "CREATE TABLE query (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL, position INTEGER NOT NULL, body "
                    + "TEXT NOT NULL)",
            "CREATE TABLE acceptance (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL, position INTEGER NOT NULL, "
                    + "body TEXT NOT NULL)",
            "CREATE TABLE bulletin (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL, position INTEGER NOT NULL, "
                    + "body TEXT NOT NULL)");

    private Version2() {}

    static void run(Connection connection) throws SQLException {
        Migrations.run(connection, STATEMENTS);
    }
}
