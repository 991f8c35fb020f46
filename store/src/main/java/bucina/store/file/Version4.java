package bucina.store.file;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;

/** From version 3 to 4: batches, index marks, readings of assemblies; rules that are new get their shipped value. */
final class Version4 {

    private static final List<String> STATEMENTS = List.of("batch", "index_mark", "fit_reading").stream()
            .map(table -> "CREATE TABLE " + table
                    + " (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL, position INTEGER NOT NULL, body "
                    + "TEXT NOT NULL)")
            .toList();

    private Version4() {}

    static void run(Connection connection) throws SQLException {
        Migrations.run(connection, STATEMENTS);
    }
}
