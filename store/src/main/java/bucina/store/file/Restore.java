package bucina.store.file;

import java.io.IOException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

/** Goes back to a copy. */
public final class Restore {

    private static final String KEPT = ".before-copy-";

    private Restore() {}

    /** True for what was kept when a copy took the place of a build. */
    static boolean kept(Path file, Path build) {
        return String.valueOf(file.getFileName()).startsWith(Copies.stem(build) + KEPT)
                && file.toString().endsWith(".bucina");
    }

    /**
     * Puts a copy in the place of a build. What lay there is kept beside it, {@code NAME.before-copy-TIME.bucina}. The
     * build must not be open.
     *
     * @return what lay there before, under its new name; empty if nothing did
     * @throws BuildFileException if the copy is not sound or the folder cannot be written; the build is then as it was
     */
    public static Optional<Path> copy(Path copy, Path build, LocalDateTime now) {
        Path draft = OutFile.draft(build);
        try {
            Files.copy(copy, draft);
            DeepCheck.of(draft);
            Copies.sync(draft);
            Optional<Path> aside = aside(build, now);
            OutFile.publish(draft, build, true);
            if (aside.isPresent()) {
                journals(build, aside.get());
            }
            return aside;
        } catch (BuildFileException e) {
            throw Troubles.of(e, draft, copy, "");
        } catch (IOException e) {
            throw Troubles.readOnly(build, e);
        } finally {
            NewFile.discard(draft);
        }
    }

    /** Gives what lies at a name another one; the old name stays too. */
    private static Optional<Path> aside(Path build, LocalDateTime now) throws IOException {
        if (!Files.exists(build)) {
            return Optional.empty();
        }
        String name = Copies.stem(build) + KEPT + Copies.TIME.format(now);
        Path aside = build.resolveSibling(name + ".bucina");
        for (int i = 2; Files.exists(aside); i++) {
            aside = build.resolveSibling(name + "-" + i + ".bucina");
        }
        try {
            Files.createLink(aside, build);
        } catch (UnsupportedOperationException | FileSystemException e) {
            Files.copy(build, aside);
            Copies.sync(aside);
        }
        return Optional.of(aside);
    }

    /** What lay beside a build goes with it. */
    private static void journals(Path build, Path aside) throws IOException {
        for (String suffix : List.of("-wal", "-journal")) {
            Path beside = build.resolveSibling(build.getFileName() + suffix);
            if (Files.exists(beside)) {
                Files.move(beside, aside.resolveSibling(aside.getFileName() + suffix));
            }
        }
        Files.deleteIfExists(build.resolveSibling(build.getFileName() + "-shm"));
    }
}
