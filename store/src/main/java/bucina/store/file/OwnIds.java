package bucina.store.file;

import bucina.core.plan.Build;
import java.security.SecureRandom;
import java.sql.Connection;
import java.sql.SQLException;

/**
 * In a file that was copied, ids that nobody gives out in the one it was copied from: so the two can be brought
 * together again. What is only read keeps its own.
 */
final class OwnIds {

    /** A copy gives out ids a multiple of so many further on. */
    private static final int APART = 20_000;

    private final Connection connection;
    private final String place;
    private long jump;

    /**
     * @param place what tells the file from every other; empty where nothing is written
     */
    OwnIds(Connection connection, String place) {
        this.connection = connection;
        this.place = place;
    }

    Build apart(Build build) throws SQLException {
        String was = FileState.read(connection).place();
        if (was.isEmpty() || place.isEmpty() || was.equals(place)) {
            return build;
        }
        if (jump == 0) {
            jump = (long) APART * (1 + new SecureRandom().nextInt(APART));
        }
        return build.withNextId(build.nextId() + jump);
    }
}
