package bucina.store.file;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;

/** From version 5 to 6: a part says what it is; nut plates were known by the names this program gave them. */
final class Version6 {

    private static final List<String> STATEMENTS = List.of(
            "ALTER TABLE part ADD COLUMN kind TEXT NOT NULL DEFAULT 'sheet'",
            "UPDATE part SET kind = 'nut-plates' WHERE name GLOB 'Nut plates #*' AND id IN (SELECT part FROM layer)"
                    + " AND NOT EXISTS (SELECT 1 FROM layer WHERE layer.part = part.id AND layer.name NOT GLOB"
                    + " 'Nut plate *')");

    private Version6() {}

    static void run(Connection connection) throws SQLException {
        Migrations.run(connection, STATEMENTS);
    }
}
