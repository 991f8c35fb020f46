package bucina.store.file;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.sqlite.SQLiteException;

/*
 * Design. Measured against a raw commit with its one sync: a rollback journal takes four, a synced commit followed by a
 * truncating checkpoint four, this two. The commit itself is not synced. The checkpoint syncs the write-ahead log
 * before it touches the build, then syncs the build, then empties the log: at no moment is there less on the disk than
 * what was confirmed, and what is torn by a power failure is put right from the log.
 */

/** Brings what a transaction wrote into the build file itself, and on the disk, before it is called saved. */
final class OneFile {

    /** Longest step between two tries, ns. */
    private static final long STEP = 6_000_000;

    private OneFile() {}

    /** Tries something that another writer may be in the way of; true once it is done. */
    private interface Try {
        boolean done() throws SQLException;
    }

    /** Begins a transaction that {@link #settle} ends. */
    static void begin(Statement s) throws SQLException {
        s.execute("PRAGMA synchronous = OFF");
        boolean begun = patiently(s, () -> {
            s.execute("BEGIN IMMEDIATE");
            return true;
        });
        if (!begun) {
            s.execute("BEGIN IMMEDIATE");
        }
    }

    /** A full disk has rolled back already and refuses to do it again: the first failure is the one to tell. */
    static void rollBack(Statement s, Exception first) {
        try {
            s.execute("ROLLBACK");
        } catch (SQLException e) {
            first.addSuppressed(e);
        }
    }

    /**
     * After the commit: when this returns, the one file has it. Where another program holds on to an older state of
     * the file for seconds, it is on the disk in the log beside it instead, and goes in with the next one.
     */
    static void settle(Statement s, Path path) throws SQLException, IOException {
        s.execute("PRAGMA synchronous = NORMAL");
        boolean in = patiently(s, () -> {
            try (ResultSet r = s.executeQuery("PRAGMA wal_checkpoint(TRUNCATE)")) {
                return !r.next() || r.getInt(1) == 0;
            }
        });
        Path log = path.resolveSibling(path.getFileName() + "-wal");
        if (!in && Files.exists(log)) {
            try (FileChannel channel = FileChannel.open(log, StandardOpenOption.WRITE)) {
                channel.force(true);
            }
        }
    }

    /**
     * Tries again and again in short and uneven steps, for as long as the database would wait: its own steps are so
     * long that one of eight writers may come too late for seconds.
     */
    private static boolean patiently(Statement s, Try work) throws SQLException {
        int patience;
        try (ResultSet r = s.executeQuery("PRAGMA busy_timeout")) {
            patience = r.next() ? r.getInt(1) : 0;
        }
        long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(patience);
        s.execute("PRAGMA busy_timeout = 0");
        try {
            do {
                if (done(work)) {
                    return true;
                }
                LockSupport.parkNanos(ThreadLocalRandom.current().nextLong(STEP));
            } while (System.nanoTime() < end);
            return false;
        } finally {
            s.execute("PRAGMA busy_timeout = " + patience);
        }
    }

    private static boolean done(Try work) throws SQLException {
        try {
            return work.done();
        } catch (SQLiteException e) {
            if (e.getResultCode().name().startsWith("SQLITE_BUSY")
                    || e.getResultCode().name().startsWith("SQLITE_LOCKED")) {
                return false;
            }
            throw e;
        }
    }
}
