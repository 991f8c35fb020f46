package bucina.store.file;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;

/** From version 6 to 7: a file says which build it holds and how often it was written to, and has check sums. */
final class Version7 {

    private static final List<String> STATEMENTS = List.of(
            "CREATE TABLE state (id INTEGER PRIMARY KEY CHECK (id = 1), build TEXT NOT NULL, format INTEGER NOT NULL,"
                    + " plan INTEGER NOT NULL, log INTEGER NOT NULL, seals INTEGER NOT NULL)",
            "CREATE TABLE seal (name TEXT NOT NULL, part INTEGER NOT NULL, digest INTEGER NOT NULL,"
                    + " PRIMARY KEY (name, part)) WITHOUT ROWID");

    private Version7() {}

    static void run(Connection connection) throws SQLException {
        Migrations.run(connection, STATEMENTS);
        FileState.begin(connection, 7);
    }
}
