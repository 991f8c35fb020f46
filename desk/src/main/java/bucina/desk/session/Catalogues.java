package bucina.desk.session;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CoderResult;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The catalogue in force: the shipped tables, each replaced by the builder's own file of the same name where there is
 * one.
 */
public final class Catalogues {

    private Catalogues() {}

    /**
     * The tables in force.
     *
     * @param catalogue what they hold
     * @param said      a sentence for each of the builder's own that cannot be read: the shipped one counts instead
     */
    public record InForce(Catalogue catalogue, List<String> said) {}

    /** Reads the tables. The builder's own lie in the folder {@code catalogue} of {@link Places#settings()}. */
    public static InForce read() {
        return read(Places.settings().resolve("catalogue"));
    }

    static InForce read(Path folder) {
        List<String> said = new ArrayList<>();
        return new InForce(CatalogueReader.read(name -> table(folder, name, said)), said);
    }

    /** Likewise, for where nothing can be said. */
    public static Catalogue inForce() {
        return read().catalogue();
    }

    private static Reader table(Path folder, String name, List<String> said) {
        Path own = folder.resolve(name + ".csv");
        if (!Files.isRegularFile(own)) {
            return CatalogueReader.shippedTable(name);
        }
        try {
            byte[] bytes = Files.readAllBytes(own);
            Optional<Integer> line = foreign(bytes);
            if (line.isEmpty()) {
                return new StringReader(new String(bytes, StandardCharsets.UTF_8));
            }
            said.add(own + " is not UTF-8 text at line " + line.get()
                    + ": the shipped table counts until it is saved as UTF-8.");
        } catch (IOException e) {
            said.add(own + " cannot be read (" + e.getMessage() + "): the shipped table counts until it can.");
        }
        return CatalogueReader.shippedTable(name);
    }

    /** The first line that is not UTF-8; empty where all is. */
    private static Optional<Integer> foreign(byte[] bytes) {
        ByteBuffer in = ByteBuffer.wrap(bytes);
        CharBuffer out = CharBuffer.allocate(bytes.length + 1);
        CoderResult end = StandardCharsets.UTF_8.newDecoder().decode(in, out, true);
        return end.isError()
                ? Optional.of(
                        1 + (int) out.flip().chars().filter(c -> c == '\n').count())
                : Optional.empty();
    }
}
