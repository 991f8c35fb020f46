package bucina.store.file;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;

/** From version 8 to 9: what the builder says about the order of work. */
final class Version9 {

    private Version9() {}

    static void run(Connection connection) throws SQLException {
        Migrations.run(
                connection,
                List.of("CREATE TABLE own_order (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL,"
                        + " position INTEGER NOT NULL, body TEXT NOT NULL)"));
    }
}
