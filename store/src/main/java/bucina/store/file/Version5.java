package bucina.store.file;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;

/** From version 4 to 5: rules about what work is followed, cold dimples and set-ups get their shipped value. */
final class Version5 {

    private Version5() {}

    static void run(Connection connection) throws SQLException {
        Migrations.run(connection, List.of());
    }
}
