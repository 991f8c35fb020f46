package bucina.desk.session;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Which jobs were open on the day before this one that the build was looked at. A file that cannot be read is none. */
public final class KnownJobs {

    private final Path now;
    private final Path before;

    /**
     * @param folder of the settings
     * @param build  where the build lies
     */
    KnownJobs(Path folder, Path build) {
        String name = "jobs-" + Integer.toHexString(build.toAbsolutePath().hashCode());
        now = folder.resolve(name + ".txt");
        before = folder.resolve(name + "-before.txt");
    }

    /**
     * What came since.
     *
     * @param day   the day before this one that the build was looked at
     * @param fresh names of the jobs that were not open then
     * @param gone  how many that were open then are not any more
     */
    public record Since(LocalDate day, Set<String> fresh, int gone) {}

    private record Known(LocalDate day, Set<String> open) {}

    /** Compares the open jobs with those known, and keeps them; empty on the first day. Touches the disk. */
    Optional<Since> since(Collection<String> open, LocalDate today) {
        Optional<Known> last = read(now);
        if (last.filter(k -> k.day.isBefore(today)).isPresent()) {
            write(before, last.get());
        }
        Known is = new Known(today, new HashSet<>(open));
        if (last.filter(is::equals).isEmpty()) {
            write(now, is);
        }
        return read(before)
                .filter(k -> k.day.isBefore(today))
                .map(k -> new Since(
                        k.day,
                        is.open.stream().filter(j -> !k.open.contains(j)).collect(Collectors.toSet()),
                        (int) k.open.stream().filter(j -> !is.open.contains(j)).count()));
    }

    private static Optional<Known> read(Path file) {
        try {
            List<String> lines = Files.exists(file) ? Files.readAllLines(file) : List.of();
            return lines.isEmpty()
                    ? Optional.empty()
                    : Optional.of(
                            new Known(LocalDate.parse(lines.getFirst()), Set.copyOf(lines.subList(1, lines.size()))));
        } catch (IOException | DateTimeParseException e) {
            return Optional.empty();
        }
    }

    private static void write(Path file, Known known) {
        List<String> lines = new ArrayList<>(List.of(known.day.toString()));
        known.open.stream().sorted().forEach(lines::add);
        try {
            Files.write(file, lines);
        } catch (IOException e) {
            // What is new is not marked then; nothing else rests on it.
        }
    }
}
