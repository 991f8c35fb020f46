package bucina.store.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** Writes a file whole or not at all, and does not lose one that was there. */
public final class OutFile {

    private OutFile() {}

    /**
     * Writes the bytes.
     *
     * @param force replace a file that has something in it
     * @throws BuildFileException if there is such a file, or it cannot be written
     */
    public static void write(Path path, byte[] bytes, boolean force) {
        if (!force && inTheWay(path)) {
            throw Troubles.make(
                    path,
                    BuildFileException.Trouble.EXISTS,
                    path + " exists already. It was left as it is; choose another name.",
                    null);
        }
        Path draft = path.resolveSibling("." + path.getFileName() + ".draft");
        try {
            Files.write(draft, bytes);
            Files.move(draft, path, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            try {
                Files.deleteIfExists(draft);
            } catch (IOException again) {
                e.addSuppressed(again);
            }
            throw Troubles.make(
                    path,
                    BuildFileException.Trouble.READ_ONLY,
                    path + " cannot be written (" + e.getMessage()
                            + "). Choose a folder you can write to, with room on its disk.",
                    e);
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
