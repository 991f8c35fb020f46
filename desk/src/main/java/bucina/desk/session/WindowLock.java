package bucina.desk.session;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/**
 * Says whether another window has a build open. The lock lies on a small file beside the build and is the operating system's, so it goes with
 * the process that holds it, however that ends. The command line does not ask: it may log while a window is open.
 */
public final class WindowLock implements AutoCloseable {

    private final Path file;
    private final FileChannel channel;
    private final FileLock lock;

    private WindowLock(Path file, FileChannel channel, FileLock lock) {
        this.file = file;
        this.channel = channel;
        this.lock = lock;
    }

    /** Tries to be the window of a build; {@link #held()} tells whether it is. */
    public static WindowLock of(Path build) {
        Path file = build.resolveSibling("." + build.getFileName() + ".open");
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

    /** True if this is the one window. */
    public boolean held() {
        return lock != null;
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
