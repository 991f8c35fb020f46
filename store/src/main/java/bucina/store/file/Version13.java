package bucina.store.file;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;

/** From version 12 to 13: bars of long stock, cans of primer and sealant, what the scale said. */
final class Version13 {

    private Version13() {}

    static void run(Connection connection) throws SQLException {
        Migrations.run(connection, List.of(Version11.kept("bar"), Version11.kept("can"), Version11.kept("weighing")));
    }
}
