package bucina.store.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The build files this process has open: locks of the operating system do not tell a process from itself. */
final class OpenFiles {

    private static final List<Object> KEYS = new ArrayList<>();

    private OpenFiles() {}

    /** What tells a file from every other one, by whatever name it is opened. */
    private static Object key(Path path) throws IOException {
        Object key = Files.readAttributes(path, BasicFileAttributes.class).fileKey();
        return Optional.ofNullable(key).orElseGet(() -> path.toAbsolutePath().normalize());
    }

    static Object add(Path path) throws IOException {
        Object key = key(path);
        synchronized (KEYS) {
            KEYS.add(key);
        }
        return key;
    }

    static void remove(Object key) {
        synchronized (KEYS) {
            KEYS.remove(key);
        }
    }

    static boolean has(Path path) throws IOException {
        Object key = key(path);
        synchronized (KEYS) {
            return KEYS.contains(key);
        }
    }
}
