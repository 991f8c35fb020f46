package bucina.speed;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Takes a build file back to format 4: what that did not have is dropped, whatever came since. */
final class FormatFour {

    /** The tables of format 4 that later ones added columns to, with what they had. */
    private static final Map<String, Set<String>> COLUMNS = Map.of(
            "part", Set.of("id", "parent", "position", "name", "material", "fitting_order"),
            "layer", Set.of("id", "parent", "position", "part", "name", "thickness_nm", "outline", "bends"),
            "fastener_group",
                    Set.of(
                            "id",
                            "parent",
                            "position",
                            "code",
                            "name",
                            "fastener",
                            "head_far",
                            "preparation",
                            "callout",
                            "typed",
                            "expects",
                            "clears",
                            "holes"),
            "log_entry", Set.of("id", "entered", "corrects", "work", "reason"));

    /** The tables that are today as they were. */
    private static final Set<String> SAME = Set.of(
            "build",
            "assembly",
            "face",
            "hole_row",
            "hole",
            "stock",
            "mark",
            "photo",
            "query",
            "acceptance",
            "bulletin",
            "kept_sum",
            "tool",
            "batch",
            "index_mark",
            "fit_reading");

    private FormatFour() {}

    /** @param path a build file that nobody has open */
    static void takeBack(Path path) throws SQLException {
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path);
                Statement s = c.createStatement()) {
            for (String table : names(s, "SELECT name FROM sqlite_master WHERE type = 'table'")) {
                if (COLUMNS.containsKey(table)) {
                    for (String column : names(s, "SELECT name FROM pragma_table_info('" + table + "')")) {
                        if (!COLUMNS.get(table).contains(column)) {
                            s.execute("ALTER TABLE " + table + " DROP COLUMN " + column);
                        }
                    }
                } else if (!SAME.contains(table) && !table.startsWith("sqlite_")) {
                    s.execute("DROP TABLE " + table);
                }
            }
            s.execute("ALTER TABLE part ADD COLUMN fitted INTEGER NOT NULL DEFAULT 1");
            s.execute("PRAGMA user_version = 4");
        }
    }

    private static List<String> names(Statement s, String query) throws SQLException {
        List<String> names = new ArrayList<>();
        try (ResultSet r = s.executeQuery(query)) {
            while (r.next()) {
                names.add(r.getString(1));
            }
        }
        return names;
    }
}
