package bucina.store.file;

import bucina.core.measure.InputException;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.DateTimeException;

/** Does something with the database; what goes wrong is said of the file. */
final class Guarded {

    private Guarded() {}

    /** Something done with the database. */
    interface Doing<T> {
        T run() throws SQLException;
    }

    /**
     * Does it.
     *
     * @throws BuildFileException if the database fails, or holds what makes no sense
     */
    static <T> T run(Path path, Doing<T> doing) {
        try {
            return doing.run();
        } catch (SQLException e) {
            throw Troubles.of(path, e);
        } catch (InputException e) {
            throw Troubles.damaged(path, e);
        } catch (IllegalArgumentException | NullPointerException | DateTimeException e) {
            throw Troubles.damaged(path, String.valueOf(e.getMessage()), e);
        }
    }
}
