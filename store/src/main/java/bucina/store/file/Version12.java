package bucina.store.file;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;

/** From version 11 to 12: the packing list and what is in the stores. */
final class Version12 {

    private Version12() {}

    static void run(Connection connection) throws SQLException {
        Migrations.run(connection, List.of(Version11.kept("stores_item"), Version11.kept("packed")));
    }
}
