package bucina.desk.session;

import bucina.core.measure.InputException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;

/**
 * Where the program keeps what is the builder's but belongs to no build. {@code BUCINA_HOME} puts all of it elsewhere.
 */
public final class Places {

    private Places() {}

    /** Settings: theme, unit, the last build, own catalogue tables. */
    public static Path settings() {
        return under("XDG_CONFIG_HOME", ".config");
    }

    /** Data: the demonstration build. */
    public static Path data() {
        return under("XDG_DATA_HOME", ".local/share");
    }

    private static Path under(String variable, String usual) {
        String home = System.getenv("BUCINA_HOME");
        if (home != null && !home.isBlank()) {
            return Path.of(home);
        }
        String xdg = System.getenv(variable);
        Path base = xdg == null || xdg.isBlank() ? Path.of(System.getProperty("user.home"), usual) : Path.of(xdg);
        return base.resolve("bucina");
    }

    /**
     * The file that was named.
     *
     * @param example a name that would do
     * @throws InputException if this machine has no files of such a name, or none was named
     */
    public static Path file(String text, String example) {
        String clean = text.strip();
        try {
            if (!clean.isEmpty()) {
                return Path.of(clean);
            }
        } catch (InvalidPathException e) {
            throw new InputException(
                    "\"" + clean + "\" cannot be the name of a file here: write one like " + example, e);
        }
        throw new InputException("No file is named: write where it goes, like " + example);
    }

    /** A build in a folder that is not there yet: {@code my-panel.bucina}, {@code my-panel-2.bucina}. */
    public static Path free(Path folder, String name) {
        Path path = folder.resolve(name + ".bucina");
        for (int i = 2; Files.exists(path); i++) {
            path = folder.resolve(name + "-" + i + ".bucina");
        }
        return path;
    }
}
