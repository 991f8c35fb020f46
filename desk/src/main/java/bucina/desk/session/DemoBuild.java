package bucina.desk.session;

import bucina.core.catalogue.Catalogue;
import bucina.core.demo.Dunlin;
import bucina.core.demo.DunlinHistory;
import bucina.core.demo.Locker;
import bucina.core.demo.PracticeBox;
import bucina.core.log.Logbook;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.rule.RuleSet;
import bucina.core.stack.Derivation;
import bucina.store.Document;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;

/** The demonstration build on disk. */
public final class DemoBuild {

    private DemoBuild() {}

    /** Which demonstration. */
    public enum Which {
        /** The left half of the stabilator: inch, solid rivets. */
        STABILATOR("dunlin-demo"),
        /** The same with every part in place, for a guided job: begun again each time. */
        GUIDED("dunlin-guided"),
        /** The belly locker: millimetres, pulled rivets. */
        LOCKER("dunlin-locker"),
        /** A practice box of two skins and a rib, in plain steps of making. */
        BOX("dunlin-box");

        private final String file;

        Which(String file) {
            this.file = file;
        }
    }

    /** A demonstration's file; made if it is not there, or if {@code fresh} is asked for. */
    public static Path file(Which which, Supplier<Catalogue> catalogue, boolean fresh) {
        Path path = folder().resolve(which.file + ".bucina");
        try {
            clear(fresh, path);
        } catch (IOException e) {
            throw cannot(path, e);
        }
        if (!Files.exists(path)) {
            write(which, path, catalogue.get());
        }
        return path;
    }

    private static void clear(boolean fresh, Path path) throws IOException {
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
    }

    /** Where demonstrations and practice lie; made if it is not there. */
    static Path folder() {
        Path folder = Places.data();
        try {
            return Files.createDirectories(folder);
        } catch (IOException e) {
            throw cannot(folder, e);
        }
    }

    private static InputException cannot(Path where, IOException e) {
        return new InputException(
                "The demo cannot be made at " + where + " (" + e.getMessage()
                        + "). Set BUCINA_HOME to a folder you can write to",
                e);
    }

    /** Makes a build with nothing in it and gives its path; its name is the file's. */
    public static Path empty(Path path, RuleSet rules) {
        String name = path.getFileName().toString().replaceFirst("\\.bucina$", "");
        Build build = new Build(name.isBlank() ? "Build" : name, "", rules, 1, List.of(), List.of(), Map.of());
        BuildFile.create(path, new Document(build, Logbook.of(List.of(), List.of()), List.of()))
                .close();
        return path;
    }

    /** Writes the demonstration to a new file. */
    public static void write(Path path, Catalogue catalogue) {
        write(Which.STABILATOR, path, catalogue);
    }

    /** Writes one of the demonstrations to a new file. */
    public static void write(Which which, Path path, Catalogue catalogue) {
        if (which == Which.BOX) {
            BuildFile.create(path, new Document(PracticeBox.build(catalogue.rules()), Logbook.EMPTY, List.of()))
                    .close();
            return;
        }
        if (which == Which.LOCKER) {
            BuildFile.create(path, new Document(Locker.build(catalogue.rules()), Locker.log(), List.of()))
                    .close();
            return;
        }
        Build build = Dunlin.build(catalogue.rules());
        Derivation derivation = Derivation.of(build, catalogue);
        Build written = which == Which.GUIDED
                ? build.withParts(
                        build.parts().stream().map(p -> p.withFitted(true)).toList(), build.nextId())
                : build;
        BuildFile.create(path, new Document(written, DunlinHistory.of(derivation), List.of()))
                .close();
    }
}
