package bucina.desk.session;

import bucina.core.catalogue.Catalogue;
import bucina.core.demo.Dunlin;
import bucina.core.demo.DunlinHistory;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.stack.Derivation;
import bucina.store.Document;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** The demonstration build on disk. */
public final class DemoBuild {

    private DemoBuild() {
    }

    /** The demonstration's file; made if it is not there, or if {@code fresh} is asked for. */
    public static Path file(Catalogue catalogue, boolean fresh) {
        Path path = Places.data().resolve("dunlin-demo.bucina");
        try {
            Files.createDirectories(path.getParent());
            if (fresh && Files.exists(path)) {
                try (WindowLock lock = WindowLock.of(path)) {
                    lock.onlyReads().ifPresent(why -> {
                        throw new InputException("The demo is not begun again: " + why + " Close that window first");
                    });
                }
                for (String suffix : List.of("", "-wal", "-shm")) {
                    Files.deleteIfExists(path.resolveSibling(path.getFileName() + suffix));
                }
            }
        } catch (IOException e) {
            throw new InputException("The demo cannot be made at " + path + " (" + e.getMessage() + "). Set BUCINA_HOME to a folder you can write to", e);
        }
        if (!Files.exists(path)) {
            write(path, catalogue);
        }
        return path;
    }

    /** Writes the demonstration to a new file. */
    public static void write(Path path, Catalogue catalogue) {
        Build build = Dunlin.build(catalogue.rules());
        Derivation derivation = Derivation.of(build, catalogue);
        BuildFile.create(path, new Document(build, DunlinHistory.of(derivation), List.of())).close();
    }
}
