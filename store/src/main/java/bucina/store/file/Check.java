package bucina.store.file;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * The check of what a file holds. It goes on beside the reading; nothing that was read is given out, and nothing
 * written, before it is done.
 */
final class Check {

    /** Nothing to check: it was just done. */
    static final Check DONE = new Check(() -> true);

    private final Supplier<Boolean> work;
    private @Nullable CompletableFuture<Boolean> done;

    private Check(Supplier<Boolean> work) {
        this.work = work;
    }

    /**
     * A check that has not begun.
     *
     * @param path for what is said when something is wrong
     * @param own  opens a connection for the check alone
     * @param main the connection that the file is read through: it is checked there where there is none of its own
     */
    static Check of(Path path, Callable<Connection> own, Connection main) {
        return new Check(() -> {
            try (Connection connection = own.call();
                    Statement s = connection.createStatement()) {
                s.execute("BEGIN");
                check(path, connection);
                return s.execute("COMMIT");
            } catch (BuildFileException e) {
                throw e;
            } catch (Exception e) {
                return onMain(path, main);
            }
        });
    }

    private static boolean onMain(Path path, Connection main) {
        try {
            check(path, main);
            return true;
        } catch (SQLException e) {
            throw Troubles.of(path, e);
        }
    }

    /**
     * Checks at once.
     *
     * @throws BuildFileException if the file is damaged; the message names the place
     */
    static void check(Path path, Connection connection) throws SQLException {
        try {
            Tables.check(connection);
            new Seals(connection).check();
        } catch (IllegalArgumentException e) {
            throw Troubles.damaged(path, String.valueOf(e.getMessage()), e);
        }
    }

    /** Begins it, on a thread of its own; whoever asks first. */
    synchronized CompletableFuture<Boolean> begun() {
        CompletableFuture<Boolean> now = done == null ? CompletableFuture.supplyAsync(work) : done;
        done = now;
        return now;
    }

    /**
     * Waits for it.
     *
     * @throws BuildFileException if the file is damaged; the message names the place
     */
    void await() {
        try {
            begun().join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof BuildFileException damaged) {
                throw damaged;
            }
            throw e;
        }
    }

    /** Waits for one that has begun, however it ends. */
    synchronized void end() {
        if (done != null) {
            done.handle((d, e) -> true).join();
        }
    }
}
