package bucina.desk.session;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * The catalogue in force: the shipped tables, each replaced by the builder's own file of the same name where there is
 * one.
 */
public final class Catalogues {

    private Catalogues() {}

    /** Reads the tables. The builder's own lie in the folder {@code catalogue} of {@link Places#settings()}. */
    public static Catalogue inForce() {
        return CatalogueReader.read(Catalogues::table);
    }

    private static Reader table(String name) {
        Path own = Places.settings().resolve("catalogue").resolve(name + ".csv");
        if (!Files.isRegularFile(own)) {
            return CatalogueReader.shippedTable(name);
        }
        try {
            return Files.newBufferedReader(own);
        } catch (IOException e) {
            throw new InputException(
                    own + " cannot be read: " + e.getMessage()
                            + ". Mend it or take it away; the shipped table then counts",
                    e);
        }
    }
}
