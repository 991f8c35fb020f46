package bucina.desk.session;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.plan.Build;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;

/** The demonstration opened with everything on the calling thread. */
public final class Sessions {

    public static final Clock CLOCK = Clock.fixed(Instant.parse("2026-11-24T12:00:00Z"), ZoneOffset.UTC);

    private Sessions() {}

    public static Session demo(Path folder) {
        Path path = folder.resolve("demo.bucina");
        if (!Files.exists(path)) {
            everythingInPlace(path);
        }
        return Session.open(path, Optional.empty(), CatalogueReader.shipped(), CLOCK, Runnable::run, Runnable::run);
    }

    public static Desk desk(Session session, Path folder) {
        return new Desk(session, Prefs.in(folder));
    }

    /**
     * Writes the demonstration with every part in place, so that no hole is held open. It is made once for all tests of
     * a process; each gets a copy.
     */
    public static void everythingInPlace(Path path) {
        try {
            Files.write(path, EverythingInPlace.BYTES);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static final class EverythingInPlace {
        static final byte[] BYTES = make();

        private static byte[] make() {
            try {
                Path path = Files.createTempDirectory("bucina-demo").resolve("demo.bucina");
                DemoBuild.write(path, CatalogueReader.shipped());
                try (BuildFile file = BuildFile.open(path)) {
                    Build build = file.read().build();
                    file.save(build.withParts(
                            build.parts().stream().map(p -> p.withFitted(true)).toList(), build.nextId()));
                }
                return Files.readAllBytes(path);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
