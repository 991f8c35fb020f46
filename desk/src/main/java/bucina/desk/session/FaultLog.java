package bucina.desk.session;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.logging.FileHandler;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.logging.SimpleFormatter;
import org.jspecify.annotations.Nullable;

/** Where what fails unexpectedly is written with its trace: our mistakes, never shown as the builder's. */
public final class FaultLog {

    private static final int BYTES = 500_000;
    private static final int FILES = 3;
    private static final Logger LOG = Logger.getLogger("bucina");

    private static @Nullable Path at;

    private FaultLog() {}

    /**
     * Writes a failure down.
     *
     * @param doing what was being done, for the file
     * @return what to say: that the program failed, and where it is written
     */
    public static synchronized String write(String doing, Throwable failure) {
        String where = open() ? " It is written down in " + at + "; please send that." : " Please report what you did.";
        LOG.log(Level.SEVERE, doing, failure);
        return "Bucina itself failed." + where;
    }

    /** The file written to, in the settings folder or where that cannot be in the temporary one; true if it can be. */
    private static boolean open() {
        LOG.setUseParentHandlers(false);
        return at != null || open(Places.settings()) || open(Path.of(System.getProperty("java.io.tmpdir")));
    }

    private static boolean open(Path folder) {
        Path wanted = folder.resolve("bucina.log");
        try {
            Files.createDirectories(folder);
            FileHandler handler = new FileHandler(wanted.toString().replace("%", "%%"), BYTES, FILES, true);
            handler.setFormatter(new SimpleFormatter());
            handler.setEncoding("UTF-8");
            LOG.addHandler(handler);
            at = Path.of(wanted + ".0");
            return true;
        } catch (IOException e) {
            return false;
        }
    }
}
