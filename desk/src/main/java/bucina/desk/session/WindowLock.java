package bucina.desk.session;

import bucina.store.file.Spelling;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Says whether another window has a build open. The lock lies on a small file beside the build and is the operating
 * system's, so it goes with
 * the process that holds it, however that ends. The command line does not ask: it may log while a window is open.
 */
public final class WindowLock implements AutoCloseable {

    private final Path file;
    private final @Nullable FileChannel channel;
    private final @Nullable FileLock lock;

    private WindowLock(Path file, @Nullable FileChannel channel, @Nullable FileLock lock) {
        this.file = file;
        this.channel = channel;
        this.lock = lock;
    }

    /** Tries to be the window of a build; {@link #onlyReads()} tells whether it may write. */
    public static WindowLock of(Path build) {
        Path spelt = Spelling.of(build);
        Path file = spelt.resolveSibling("." + spelt.getFileName() + ".open");
        try {
            FileChannel channel = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            try {
                return new WindowLock(file, channel, channel.tryLock());
            } catch (OverlappingFileLockException e) {
                return new WindowLock(file, channel, null);
            }
        } catch (IOException e) {
            return new WindowLock(file, null, null);
        }
    }

    /** Why this window only reads, as a sentence; empty if it is the one window of the build and may write. */
    public Optional<String> onlyReads() {
        if (lock != null) {
            return Optional.empty();
        }
        return Optional.of(
                channel != null
                        ? "Open in another window: this one only reads."
                        : "The folder is read only: this window only reads. Copy the build to a folder you can "
                                + "write to.");
    }

    @Override
    public void close() {
        try {
            if (lock != null) {
                Files.deleteIfExists(file);
                lock.release();
            }
            if (channel != null) {
                channel.close();
            }
        } catch (IOException e) {
            // The lock goes with the process; a file left behind locks nobody out.
        }
    }
}
