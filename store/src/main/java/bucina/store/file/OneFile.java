package bucina.store.file;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;

/*
 * Design. Measured against a raw commit with its one sync: a rollback journal takes four, a synced commit followed by a
 * truncating checkpoint four, this two. The commit itself is not synced. The checkpoint syncs the write-ahead log
 * before it touches the build, then syncs the build, then empties the log: at no moment is there less on the disk than
 * what was confirmed, and what is torn by a power failure is put right from the log.
 */

/** Brings what a transaction wrote into the build file itself, and on the disk, before it is called saved. */
final class OneFile {

    private OneFile() {}

    /** Begins a transaction that {@link #settle} ends. */
    static void begin(Statement s) throws SQLException {
        s.execute("PRAGMA synchronous = OFF");
        s.execute("BEGIN IMMEDIATE");
    }

    /**
     * After the commit: when this returns, the one file has it. Where another program holds on to an older state of
     * the file for seconds, it is on the disk in the log beside it instead, and goes in with the next one.
     */
    static void settle(Statement s, Path path) throws SQLException, IOException {
        s.execute("PRAGMA synchronous = NORMAL");
        boolean waits;
        try (ResultSet r = s.executeQuery("PRAGMA wal_checkpoint(TRUNCATE)")) {
            waits = r.next() && r.getInt(1) != 0;
        }
        if (waits) {
            Path log = path.resolveSibling(path.getFileName() + "-wal");
            if (Files.exists(log)) {
                try (FileChannel channel = FileChannel.open(log, StandardOpenOption.WRITE)) {
                    channel.force(true);
                }
            }
        }
    }
}
