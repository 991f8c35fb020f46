package bucina.desk.session;

import java.nio.file.Path;

/** Where the program keeps what is the builder's but belongs to no build. {@code BUCINA_HOME} puts all of it elsewhere. */
public final class Places {

    private Places() {
    }

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
}
