package bucina.store.file;

import bucina.store.Photo;
import java.nio.file.Path;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;

/** Goes through all of a build file: pages, indexes, rows and the content of photographs. Takes as long as it takes. */
public final class DeepCheck {

    private DeepCheck() {}

    /**
     * Checks a file; it is only read.
     *
     * @return how many photographs it holds
     * @throws BuildFileException if anything is not what was written; the message names the first place
     */
    public static int of(Path path) {
        Opening.checkHeader(path);
        Opening.Opened opened = Opening.file(Spelling.of(path), true, new ArrayList<>());
        try (var connection = opened.connection();
                Statement s = connection.createStatement()) {
            opened.check().await();
            first(s, "PRAGMA integrity_check", path);
            first(s, "PRAGMA foreign_key_check", path);
            return photos(s, path);
        } catch (SQLException e) {
            throw Troubles.of(path, e);
        }
    }

    private static void first(Statement s, String pragma, Path path) throws SQLException {
        try (ResultSet r = s.executeQuery(pragma)) {
            if (r.next() && !r.getString(1).equals("ok")) {
                throw Troubles.damaged(path, r.getString(1), null);
            }
        }
    }

    private static int photos(Statement s, Path path) throws SQLException {
        int many = 0;
        try (ResultSet r = s.executeQuery("SELECT sha256, type, content FROM photo")) {
            for (; r.next(); many++) {
                String name = r.getString(1);
                if (!Photo.of(r.getString(2), r.getBytes(3)).sha256().equals(name)) {
                    throw Troubles.damaged(path, "photograph " + name + " is not what was written", null);
                }
            }
        }
        return many;
    }
}
