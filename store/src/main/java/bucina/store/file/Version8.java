package bucina.store.file;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;

/**
 * From version 7 to 8: parts stand somehow and more is said of them, sheets say how their holes come, groups have a
 * page, what is done to parts is marked, and there are jobs of the builder's own.
 */
final class Version8 {

    private static final List<String> STATEMENTS = List.of(
            "ALTER TABLE part ADD COLUMN standing TEXT NOT NULL DEFAULT 'here'",
            "UPDATE part SET standing = CASE fitted WHEN 0 THEN 'here' ELSE 'dry' END",
            "ALTER TABLE part DROP COLUMN fitted",
            "ALTER TABLE part ADD COLUMN particulars TEXT NOT NULL DEFAULT '{}'",
            "ALTER TABLE layer ADD COLUMN holes TEXT NOT NULL DEFAULT '{}'",
            "ALTER TABLE fastener_group ADD COLUMN page TEXT NOT NULL DEFAULT ''",
            "CREATE TABLE part_mark (id INTEGER PRIMARY KEY AUTOINCREMENT, part INTEGER NOT NULL, task TEXT NOT NULL,"
                    + " at TEXT NOT NULL, done INTEGER NOT NULL, reading_nm REAL, note TEXT NOT NULL)",
            "CREATE TABLE own_job (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL, position INTEGER NOT NULL,"
                    + " body TEXT NOT NULL)");

    private Version8() {}

    static void run(Connection connection) throws SQLException {
        Migrations.run(connection, STATEMENTS);
    }
}
