package bucina.store.file;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.concurrent.atomic.AtomicLong;
import org.jspecify.annotations.Nullable;

/** Writes a file whole or not at all, and does not lose one that was there. */
public final class OutFile {

    private static final AtomicLong DRAFTS = new AtomicLong();

    private OutFile() {}

    /** What is written. */
    public interface Content {

        /** Writes it, piece by piece. */
        void to(OutputStream out) throws IOException;
    }

    /**
     * Writes the bytes.
     *
     * @param force replace a file that has something in it
     * @throws BuildFileException if there is such a file, or it cannot be written
     */
    public static void write(Path path, byte[] bytes, boolean force) {
        write(path, out -> out.write(bytes), force);
    }

    /** As {@link #write(Path, byte[], boolean)}, without holding all of it at once. */
    public static void write(Path path, Content content, boolean force) {
        if (!force) {
            checkNew(path);
        }
        Path draft = draft(path);
        try {
            try (FileChannel channel =
                            FileChannel.open(draft, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
                    OutputStream out = new BufferedOutputStream(Channels.newOutputStream(channel), 1 << 16)) {
                content.to(out);
                out.flush();
                channel.force(true);
            }
            publish(draft, path, force);
        } catch (IOException e) {
            throw Troubles.make(
                    path,
                    BuildFileException.Trouble.READ_ONLY,
                    path + " cannot be written (" + e.getMessage()
                            + "). Choose a folder you can write to, with room on its disk.",
                    e);
        } finally {
            discard(draft);
        }
    }

    /**
     * Sees that nothing is lost by writing there.
     *
     * @throws BuildFileException if there is something
     */
    static void checkNew(Path path) {
        if (inTheWay(path)) {
            throw exists(path, null);
        }
    }

    private static BuildFileException exists(Path path, @Nullable Exception cause) {
        return Troubles.make(
                path,
                BuildFileException.Trouble.EXISTS,
                path + " exists already. It was left as it is; choose another name.",
                cause);
    }

    /** A name beside the file that no other writer uses. */
    static Path draft(Path path) {
        return path.resolveSibling("." + path.getFileName() + "."
                + ProcessHandle.current().pid() + "-" + DRAFTS.incrementAndGet() + ".draft");
    }

    private static void discard(Path draft) {
        try {
            Files.deleteIfExists(draft);
        } catch (IOException e) {
            // The draft is in the way of nothing: the next one has another name.
        }
    }

    /**
     * Gives a draft that is on the disk its name; of two that want the same name one gets it.
     *
     * @param force replace what is there
     * @throws BuildFileException if there is something, and it is not to be replaced
     */
    static void publish(Path draft, Path path, boolean force) throws IOException {
        if (force) {
            Files.move(draft, path, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } else {
            name(draft, path);
        }
        syncFolder(path);
    }

    private static void name(Path draft, Path path) throws IOException {
        if (Files.isRegularFile(path) && Files.size(path) == 0) {
            Files.delete(path);
        }
        try {
            Files.createLink(path, draft);
        } catch (FileAlreadyExistsException e) {
            throw exists(path, e);
        } catch (IOException | UnsupportedOperationException e) {
            // A disk without links, such as a memory stick: claim the name, then put the draft in its place.
            claim(path);
            Files.move(draft, path, StandardCopyOption.REPLACE_EXISTING);
        }
    }

    private static void claim(Path path) throws IOException {
        try {
            Files.createFile(path);
        } catch (FileAlreadyExistsException e) {
            throw exists(path, e);
        }
    }

    /** The new name of a file is on the disk too; where a folder cannot be synced, the system does it by itself. */
    private static void syncFolder(Path path) {
        Path folder = path.toAbsolutePath().getParent();
        if (folder == null) {
            return;
        }
        try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
            channel.force(true);
        } catch (IOException e) {
            // Not every system opens a folder.
        }
    }

    /** True if there is something at the path that must not be lost: an empty file is nothing. */
    static boolean inTheWay(Path path) {
        try {
            return Files.exists(path) && !(Files.isRegularFile(path) && Files.size(path) == 0);
        } catch (IOException e) {
            return true;
        }
    }
}
