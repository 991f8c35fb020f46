package bucina.store.file;

import bucina.store.Demo;
import bucina.store.Document;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/** The demonstration as a program of years ago would have written it: without what came later. */
final class OldFile {

    private OldFile() {}

    /** Takes away what versions 8 to 13 brought. */
    static void toVersion7(Statement s) throws SQLException {
        for (String sql : List.of(
                "ALTER TABLE part ADD COLUMN fitted INTEGER NOT NULL DEFAULT 0",
                "UPDATE part SET fitted = standing IN ('dry', 'on')",
                "ALTER TABLE part DROP COLUMN standing",
                "ALTER TABLE part DROP COLUMN particulars",
                "ALTER TABLE layer DROP COLUMN holes",
                "ALTER TABLE fastener_group DROP COLUMN page",
                "DROP TABLE part_mark",
                "DROP TABLE own_job",
                "DROP TABLE own_order",
                "DROP TABLE bay",
                "DROP TABLE departure",
                "DROP TABLE gaging",
                "DROP TABLE run_through",
                "DROP TABLE pin",
                "DROP TABLE stores_item",
                "DROP TABLE packed",
                "DROP TABLE bar",
                "DROP TABLE can",
                "DROP TABLE weighing",
                "ALTER TABLE log_entry DROP COLUMN follows",
                "ALTER TABLE log_entry DROP COLUMN first",
                "ALTER TABLE log_entry DROP COLUMN hash",
                "ALTER TABLE state DROP COLUMN entries",
                "ALTER TABLE state DROP COLUMN heads",
                "ALTER TABLE state DROP COLUMN late",
                "ALTER TABLE state DROP COLUMN plans",
                "ALTER TABLE state DROP COLUMN place",
                "PRAGMA user_version = 7")) {
            s.execute(sql);
        }
    }

    static Path version1(Path path) throws SQLException {
        return version1(path, Demo.document());
    }

    static Path version1(Path path, Document document) throws SQLException {
        BuildFile.create(path, document).close();
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path);
                Statement s = c.createStatement()) {
            toVersion7(s);
            for (String sql : List.of(
                    "ALTER TABLE assembly DROP COLUMN twin",
                    "ALTER TABLE face DROP COLUMN zones",
                    "ALTER TABLE layer DROP COLUMN bends",
                    "ALTER TABLE fastener_group DROP COLUMN holes",
                    "ALTER TABLE part DROP COLUMN kind",
                    "DROP TABLE state",
                    "DROP TABLE seal",
                    "DROP TABLE kept_sum",
                    "DROP TABLE tool",
                    "DROP TABLE batch",
                    "DROP TABLE index_mark",
                    "DROP TABLE fit_reading",
                    "ALTER TABLE mark DROP COLUMN done",
                    "ALTER TABLE mark DROP COLUMN note",
                    "DROP TABLE query",
                    "DROP TABLE acceptance",
                    "DROP TABLE bulletin",
                    "UPDATE build SET rules = json_set(rules, '$.rules', (SELECT json_group_array(json(value)) FROM "
                            + "json_each(rules, '$.rules') "
                            + "WHERE json_extract(value, '$.key') NOT IN ('gauge.least', 'head.tangent.clear', "
                            + "'lap.lift.back', 'blind.punch.under', "
                            + "'blind.tail.diameter', 'opening.land.least', 'opening.corner.least') AND "
                            + "json_extract(value, '$.key') NOT LIKE 'fit.%'))",
                    "PRAGMA user_version = 1",
                    "VACUUM",
                    "PRAGMA wal_checkpoint(TRUNCATE)")) {
                s.execute(sql);
            }
        }
        return path;
    }
}
