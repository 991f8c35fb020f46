package bucina.store.file;

import bucina.core.measure.InputException;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/*
 * Design. The one file has everything that was confirmed, so a copy of its bytes is a copy of the build; no lock holds
 * up who writes meanwhile. What was copied while pages were written does not fit its check sums and is copied again.
 * A copy says in its name of which build it is and of when, so that a build that cannot be read has its copies still.
 */

/** Copies of builds in a folder: {@code NAME.BUILD.TIME.bucina}, each seen to be sound before it has its name. */
public final class Copies {

    private static final Pattern NAME = Pattern.compile("(.+)\\.([0-9a-f]{8})\\.(\\d{8}-\\d{6})\\.bucina");
    static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("uuuuMMdd-HHmmss");
    private static final String ENDING = ".bucina";
    private static final int TRIES = 8;
    private static final long STEP = 150_000_000;

    private final Path folder;

    /**
     * A copy.
     *
     * @param path where it is
     * @param made when, by the clock of the shop
     */
    public record Copy(Path path, LocalDateTime made) {}

    /**
     * A copy just made.
     *
     * @param state in what state the build was
     */
    public record Made(Copy copy, FileState state) {}

    /**
     * What a sound copy holds.
     *
     * @param state in what state the build was
     */
    public record Held(Copy copy, FileState state, BuildFile.Contents contents) {}

    /**
     * How many copies of a build stay.
     *
     * @param many at most, at least 1
     * @param days none older, in days; 0 for however old. The newest stays in any case.
     */
    public record Keep(int many, int days) {

        public Keep {
            if (many < 1 || days < 0) {
                throw new IllegalArgumentException(
                        "at least 1 copy is kept, for 0 days or more: " + many + ", " + days);
            }
        }
    }

    /**
     * @param folder where copies lie; made with the first
     */
    public Copies(Path folder) {
        this.folder = folder;
    }

    /** When the copy at a path was made; empty if it is none. */
    public static Optional<LocalDateTime> made(Path path) {
        return name(path).map(m -> LocalDateTime.parse(m.group(3), TIME));
    }

    private static Optional<Matcher> name(Path path) {
        Matcher m = NAME.matcher(String.valueOf(path.getFileName()));
        try {
            return m.matches() && LocalDateTime.parse(m.group(3), TIME) != null ? Optional.of(m) : Optional.empty();
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    /**
     * The copies of a build, newest first: those in the folder, and beside the build what was kept when its format
     * changed or when a copy took its place.
     *
     * @param build may be damaged or missing; it is then told by its name
     */
    public List<Copy> of(Path build) {
        return Stream.concat(mine(build), beside(build))
                .sorted(Comparator.comparing(Copy::made).reversed())
                .toList();
    }

    private Stream<Copy> mine(Path build) {
        String stem = stem(build);
        Optional<String> id = id(build);
        List<Path> all = list(folder).stream().filter(p -> name(p).isPresent()).toList();
        boolean told = id.isPresent() && all.stream().anyMatch(p -> group(p, 2).equals(id.get()));
        return all.stream()
                .filter(p -> told
                        ? group(p, 2).equals(id.orElseThrow())
                        : group(p, 1).equals(stem))
                .map(p -> new Copy(p, made(p).orElseThrow()));
    }

    /** What is kept beside a build, or was gathered from there; what lies in both places once. */
    private Stream<Copy> beside(Path build) {
        Map<Path, Path> kept = new LinkedHashMap<>();
        Stream.concat(list(parent(build)).stream(), list(folder).stream())
                .filter(p -> Restore.kept(p, build) || Migrations.kept(p, build))
                .forEach(p -> kept.putIfAbsent(p.getFileName(), p));
        return kept.values().stream().map(p -> new Copy(p, changed(p)));
    }

    private Path parent(Path build) {
        return Optional.ofNullable(build.toAbsolutePath().getParent()).orElse(folder);
    }

    /**
     * Takes the copies that were kept beside a build when its format changed into the folder as well.
     *
     * @throws BuildFileException if nothing can be written there
     */
    public void gather(Path build) {
        for (Path kept : list(parent(build))) {
            Path place = folder.resolve(kept.getFileName());
            if (!Migrations.kept(kept, build) || Files.exists(place)) {
                continue;
            }
            Path draft = OutFile.draft(place);
            try {
                Files.createDirectories(folder);
                Files.copy(kept, draft, StandardCopyOption.COPY_ATTRIBUTES);
                sync(draft);
                OutFile.publish(draft, place, false);
            } catch (IOException e) {
                throw no(place, e);
            } finally {
                NewFile.discard(draft);
            }
        }
    }

    private static String group(Path path, int group) {
        return name(path).orElseThrow().group(group);
    }

    private static LocalDateTime changed(Path path) {
        try {
            return LocalDateTime.ofInstant(Files.getLastModifiedTime(path).toInstant(), ZoneId.systemDefault());
        } catch (IOException e) {
            return LocalDateTime.MIN;
        }
    }

    private static List<Path> list(Path folder) {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(Files::isRegularFile).sorted().toList();
        } catch (IOException e) {
            return List.of();
        }
    }

    /** The name of a build without its ending; that of a copy without what copies add. */
    static String stem(Path build) {
        String name = String.valueOf(build.getFileName());
        return name(build)
                .map(m -> m.group(1))
                .orElse(name.endsWith(ENDING) ? name.substring(0, name.length() - ENDING.length()) : name);
    }

    private static Optional<String> id(Path build) {
        if (name(build).isPresent()) {
            return Optional.of(group(build, 2));
        }
        try (Connection connection = Opening.connect(build, true, true)) {
            return Optional.of(id(FileState.read(connection)));
        } catch (SQLException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static String id(FileState state) {
        String id = state.build().replaceAll("[^0-9a-f]", "");
        return (id + "00000000").substring(0, 8);
    }

    /**
     * Makes a copy; it is on the disk and sound when this returns.
     *
     * @param build of the newest format, for instance because it is open
     * @param now   by the clock of the shop
     * @throws BuildFileException if the build is damaged, or nothing can be written to the folder
     */
    public Made make(Path build, LocalDateTime now) {
        try {
            Files.createDirectories(folder);
            tidy();
        } catch (IOException e) {
            throw no(folder, e);
        }
        return copy(
                build,
                folder.resolve(String.valueOf(build.getFileName())),
                state -> free(stem(build) + "." + id(state), now));
    }

    /**
     * Makes a copy under a name of its own; it is on the disk and sound when this returns.
     *
     * @throws BuildFileException if the build is damaged, there is something at the place, or it cannot be written
     */
    public static void to(Path build, Path place) {
        OutFile.checkNew(place);
        copy(build, place, state -> new Copy(place, LocalDateTime.MIN));
    }

    private static Made copy(Path build, Path near, Function<FileState, Copy> name) {
        Path draft = OutFile.draft(near);
        try {
            FileState state = copied(build, draft);
            Copy copy = name.apply(state);
            OutFile.publish(draft, copy.path, false);
            return new Made(copy, state);
        } catch (IOException e) {
            throw no(near, e);
        } finally {
            NewFile.discard(draft);
        }
    }

    private static BuildFileException no(Path place, IOException e) {
        return Troubles.make(
                place,
                BuildFileException.Trouble.READ_ONLY,
                "No copy was made: nothing can be written to " + place
                        + ". Choose a folder for copies that is there and has room.",
                e);
    }

    private Copy free(String name, LocalDateTime now) {
        LocalDateTime at = now;
        while (Files.exists(at(name, at))) {
            at = at.plusSeconds(1);
        }
        return new Copy(at(name, at), at);
    }

    private Path at(String name, LocalDateTime time) {
        return folder.resolve(name + "." + TIME.format(time) + ENDING);
    }

    /** Copies a build that may be written to meanwhile, until what was copied is sound. */
    private static FileState copied(Path build, Path draft) throws IOException {
        for (int i = 1; ; i++) {
            NewFile.discard(draft);
            Scratch.copy(build, List.of("-wal"), draft);
            try {
                alone(draft);
                DeepCheck.of(draft);
                try (BuildFile copy = BuildFile.openToRead(draft)) {
                    return copy.state();
                }
            } catch (BuildFileException e) {
                if (i == TRIES) {
                    throw Troubles.of(e, draft, build, "No copy was made: ");
                }
                LockSupport.parkNanos(STEP);
            }
        }
    }

    /** Brings what lies beside a draft into it, and the draft on the disk. */
    private static void alone(Path draft) throws IOException {
        try (Connection connection = Opening.connect(draft, false, false);
                Statement s = connection.createStatement()) {
            s.execute("PRAGMA wal_checkpoint(TRUNCATE)");
        } catch (SQLException e) {
            throw Troubles.of(draft, e);
        }
        sync(draft);
    }

    static void sync(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }

    /** Drafts of copies that came to nothing, such as by a power failure. */
    private void tidy() throws IOException {
        Instant old = Instant.now().minus(Duration.ofDays(1));
        for (Path file : list(folder)) {
            String name = String.valueOf(file.getFileName());
            if (name.startsWith(".")
                    && name.endsWith(".draft")
                    && Files.getLastModifiedTime(file).toInstant().isBefore(old)) {
                Files.deleteIfExists(file);
            }
        }
    }

    /**
     * Removes the copies of a build that are too many or too old; never the newest.
     *
     * @return those removed
     */
    public List<Path> thin(Path build, Keep keep, LocalDateTime now) {
        List<Path> mine = mine(build)
                .sorted(Comparator.comparing(Copy::made).reversed())
                .map(Copy::path)
                .toList();
        LocalDateTime oldest = keep.days == 0 ? LocalDateTime.MIN : now.minusDays(keep.days);
        List<Path> gone = Stream.iterate(1, i -> i < mine.size(), i -> i + 1)
                .filter(i -> i >= keep.many || made(mine.get(i)).orElseThrow().isBefore(oldest))
                .map(mine::get)
                .toList();
        for (Path path : gone) {
            try {
                Files.deleteIfExists(path);
            } catch (IOException e) {
                throw Troubles.readOnly(path, e);
            }
        }
        return gone;
    }

    /** What a copy holds; empty if it is not sound. Reads all of it. */
    public static Optional<Held> held(Copy copy) {
        try {
            DeepCheck.of(copy.path);
            try (BuildFile file = BuildFile.openToRead(copy.path)) {
                BuildFile.Contents contents = file.read();
                return Optional.of(new Held(copy, file.state(), contents));
            }
        } catch (BuildFileException | InputException e) {
            return Optional.empty();
        }
    }

    /** The newest copy of a build that is sound. */
    public Optional<Held> lastGood(Path build) {
        return of(build).stream().flatMap(c -> held(c).stream()).findFirst();
    }
}
