package bucina.store.file;

import bucina.store.json.Json;
import bucina.store.json.PlanJson;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/** From version 1 to 2: bends, zones, holds, the other hand, queries, accepted findings and bulletins; rules that are new get their shipped value. */
final class Version2 {

    private static final List<String> STATEMENTS = List.of(
            "ALTER TABLE assembly ADD COLUMN twin TEXT",
            "ALTER TABLE face ADD COLUMN zones TEXT NOT NULL DEFAULT '[]'",
            "ALTER TABLE layer ADD COLUMN bends TEXT NOT NULL DEFAULT '[]'",
            "ALTER TABLE fastener_group ADD COLUMN holes TEXT NOT NULL DEFAULT '{\"hold\":\"auto\"}'",
            "CREATE TABLE query (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL, position INTEGER NOT NULL, body TEXT NOT NULL)",
            "CREATE TABLE acceptance (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL, position INTEGER NOT NULL, body TEXT NOT NULL)",
            "CREATE TABLE bulletin (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL, position INTEGER NOT NULL, body TEXT NOT NULL)");

    private Version2() {
    }

    static void run(Connection connection) throws SQLException {
        try (Statement s = connection.createStatement()) {
            for (String statement : STATEMENTS) {
                s.execute(statement);
            }
            String rules = null;
            try (ResultSet r = s.executeQuery("SELECT rules FROM build")) {
                rules = r.next() ? r.getString(1) : null;
            }
            if (rules != null) {
                PlanRows.execute(connection, "UPDATE build SET rules = ?", Json.line(PlanJson.rules(PlanJson.rulesFrom(rules))));
            }
        }
    }
}
