package bucina.store.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.sql.Connection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The build files this process has open: locks of the operating system do not tell a process from itself. Those still
 * open when the process is asked to end are closed, so that nothing stays beside them.
 */
final class OpenFiles {

    private static final Map<Open, Connection> ALL = new LinkedHashMap<>();

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(OpenFiles::end, "closing build files"));
    }

    /** One opening of a file. */
    static final class Open {
        private final Object key;

        Open(Object key) {
            this.key = key;
        }
    }

    private OpenFiles() {}

    /** What tells a file from every other one, by whatever name it is opened. */
    private static Object key(Path path) throws IOException {
        Object key = Files.readAttributes(path, BasicFileAttributes.class).fileKey();
        return Optional.ofNullable(key).orElseGet(() -> path.toAbsolutePath().normalize());
    }

    static Open add(Path path, Connection connection) throws IOException {
        Open open = new Open(key(path));
        synchronized (ALL) {
            ALL.put(open, connection);
        }
        return open;
    }

    static void remove(Open open) {
        synchronized (ALL) {
            ALL.remove(open);
        }
    }

    static boolean has(Path path) throws IOException {
        Object key = key(path);
        synchronized (ALL) {
            return ALL.keySet().stream().anyMatch(o -> o.key.equals(key));
        }
    }

    private static void end() {
        List<Connection> left;
        synchronized (ALL) {
            left = List.copyOf(ALL.values());
        }
        left.forEach(Opening::close);
    }
}
