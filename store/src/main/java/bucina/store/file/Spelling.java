package bucina.store.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.stream.Stream;

/** One name for a file that has several: links, dots and second names lead to the same journals and locks. */
public final class Spelling {

    private Spelling() {}

    /** The name by which a file is opened; a path where there is no file stays as it is. */
    public static Path of(Path path) {
        try {
            Path real = path.toRealPath();
            return names(real) > 1 ? first(real) : real;
        } catch (IOException | UnsupportedOperationException | IllegalArgumentException e) {
            return path.toAbsolutePath().normalize();
        }
    }

    private static int names(Path real) throws IOException {
        return Files.getFileStore(real).supportsFileAttributeView("unix")
                ? (Integer) Files.getAttribute(real, "unix:nlink")
                : 1;
    }

    /** Of the names in one folder that one with a journal, else the first. */
    private static Path first(Path real) throws IOException {
        try (Stream<Path> beside = Files.list(real.toAbsolutePath().getParent())) {
            return beside.filter(p -> same(p, real))
                    .min(Comparator.comparing((Path p) -> !journal(p)).thenComparing(Path::toString))
                    .orElse(real);
        }
    }

    private static boolean same(Path one, Path other) {
        try {
            return Files.isRegularFile(one) && Files.isSameFile(one, other);
        } catch (IOException e) {
            return false;
        }
    }

    private static boolean journal(Path build) {
        return Files.exists(build.resolveSibling(build.getFileName() + "-wal"));
    }
}
