package bucina.store.file;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;

/** From version 9 to 10: bays. How bolts are fitted and what rivet nuts hold stands in the columns there are. */
final class Version10 {

    private Version10() {}

    static void run(Connection connection) throws SQLException {
        Migrations.run(
                connection,
                List.of("CREATE TABLE bay (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL,"
                        + " position INTEGER NOT NULL, body TEXT NOT NULL)"));
    }
}
