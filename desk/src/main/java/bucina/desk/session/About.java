package bucina.desk.session;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Objects;

/** What the program says of itself; put together by its build. */
public final class About {

    private About() {}

    /** The version, {@code 1.2.0}. */
    public static String version() {
        return resource("version.txt").strip();
    }

    /** Every library shipped with its licence, and the licences' texts. */
    public static String licences() {
        return resource("licences.txt");
    }

    private static String resource(String name) {
        try (InputStream in = Objects.requireNonNull(About.class.getResourceAsStream("/bucina/desk/" + name), name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
