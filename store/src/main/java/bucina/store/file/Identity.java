package bucina.store.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Objects;
import java.util.concurrent.locks.LockSupport;
import org.jspecify.annotations.Nullable;

/*
 * Design. The system goes on writing to a file that was deleted or moved, and the database does not see what another
 * program copies over it. So the place is asked which file lies there, before a transaction and again before it is
 * called saved; and a file that changed while no build was written to is read afresh.
 */

/** The file that was opened, told from whatever lies at its place now. */
final class Identity {

    private static final int TRIES = 10;
    private static final long STEP = 20_000_000;

    private final Path path;
    private final Connection connection;
    private final @Nullable Object key;
    private Stamp stamp;

    private record Stamp(long size, FileTime changed, long writers) {}

    private Identity(Path path, Connection connection, BasicFileAttributes now) throws SQLException {
        this.path = path;
        this.connection = connection;
        this.key = now.fileKey();
        this.stamp = stamp(now);
    }

    /** Remembers the file at a place, just opened. */
    static Identity of(Path path, Connection connection) throws SQLException, IOException {
        return new Identity(path, connection, Files.readAttributes(path, BasicFileAttributes.class));
    }

    /** What tells the file from every other on its disk; empty where the system does not say. */
    String place() {
        return String.valueOf(Objects.requireNonNullElse(key, ""));
    }

    /**
     * Sees that the place still has the file.
     *
     * @throws BuildFileException if it is gone or another one lies there
     */
    void check() throws SQLException {
        here();
    }

    /**
     * Sees also that nobody wrote over it.
     *
     * @param known what it holds as far as is known here
     */
    void check(FileState known) throws SQLException {
        Stamp now = stamp(here());
        if (now.writers == stamp.writers && !now.equals(stamp) && !goesOn(known)) {
            throw replaced(null);
        }
        stamp = now;
    }

    /**
     * True if the disk has the same build, not older. It may be newer: another process may have committed before it was
     * looked here and brought it into the file after. While that goes on the file may not be readable.
     */
    private boolean goesOn(FileState known) {
        for (int i = 0; i < TRIES; i++) {
            FileState disk = onDisk();
            if (disk != null) {
                return disk.build().equals(known.build()) && disk.plan() >= known.plan() && disk.log() >= known.log();
            }
            LockSupport.parkNanos(STEP);
        }
        return false;
    }

    /** After what was written here. */
    void written() throws SQLException {
        stamp = stamp(here());
    }

    private BasicFileAttributes here() {
        try {
            BasicFileAttributes now = Files.readAttributes(path, BasicFileAttributes.class);
            if (!Objects.equals(key, now.fileKey())) {
                throw replaced(null);
            }
            return now;
        } catch (NoSuchFileException e) {
            throw Troubles.make(
                    path,
                    BuildFileException.Trouble.GONE,
                    path + " is not there any more: it was deleted or moved, or its disk was taken out."
                            + " Nothing was saved there.",
                    e);
        } catch (IOException e) {
            throw Troubles.make(
                    path, BuildFileException.Trouble.DISK, path + " cannot be reached: " + e.getMessage(), e);
        }
    }

    private BuildFileException replaced(@Nullable Exception cause) {
        return Troubles.make(
                path,
                BuildFileException.Trouble.REPLACED,
                "Another file lies at " + path + " than the one that was opened. Nothing was saved there.",
                cause);
    }

    private Stamp stamp(BasicFileAttributes now) throws SQLException {
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("PRAGMA data_version")) {
            return new Stamp(now.size(), now.lastModifiedTime(), r.getLong(1));
        }
    }

    private @Nullable FileState onDisk() {
        try (Connection fresh = Opening.connect(path, true, true)) {
            return FileState.read(fresh);
        } catch (SQLException | IllegalArgumentException e) {
            return null;
        }
    }
}
