package bucina.store.file;

import bucina.core.log.LogEntry;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.DateTimeException;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A copy of a build with what lies beside it, to try what would become of it. */
final class Scratch {

    /**
     * What a copy holds.
     *
     * @param what empty if it is not sound
     */
    record Held(Optional<Sound> what) {

        boolean sound() {
            return what.isPresent();
        }

        /** True if it is the same build, later: nothing that the other has in its log is missing. */
        boolean goesOnFrom(Held before) {
            return what.flatMap(now -> before.what.map(was -> now.same(was)
                            && now.entries.size() >= was.entries.size()
                            && now.entries.subList(0, was.entries.size()).equals(was.entries)
                            && now.marks >= was.marks))
                    .orElse(false);
        }
    }

    /**
     * What a sound build says of itself.
     *
     * @param build which build it is; empty before files said so
     */
    record Sound(Optional<String> build, Build plan, List<LogEntry> entries, int marks) {

        boolean same(Sound other) {
            return build.isPresent() || other.build.isPresent()
                    ? build.equals(other.build)
                    : plan.name().equals(other.plan.name()) && plan.aircraft().equals(other.plan.aircraft());
        }
    }

    private Scratch() {}

    /** What a build holds together with what lies beside it under some suffixes. */
    static Held held(Path build, List<String> suffixes) throws IOException {
        Path folder = Files.createTempDirectory("bucina");
        try {
            return new Held(read(copied(build, suffixes, folder)));
        } finally {
            remove(folder);
        }
    }

    /** A copy of a build and what lies beside it, in a folder. */
    static Path copied(Path build, List<String> suffixes, Path folder) throws IOException {
        Path copy = folder.resolve("copy.bucina");
        copy(build, suffixes, copy);
        return copy;
    }

    /** Copies a build and what lies beside it under some suffixes. */
    static void copy(Path build, List<String> suffixes, Path copy) throws IOException {
        Files.copy(build, copy);
        for (String suffix : suffixes) {
            Path beside = build.resolveSibling(build.getFileName() + suffix);
            if (Files.exists(beside)) {
                Files.copy(beside, copy.resolveSibling(copy.getFileName() + suffix));
            }
        }
    }

    private static Optional<Sound> read(Path copy) {
        try {
            Opening.checkHeader(copy);
            try (Connection connection = Opening.connect(copy, false, false);
                    Statement s = connection.createStatement()) {
                try (ResultSet r = s.executeQuery("PRAGMA integrity_check")) {
                    if (!r.next() || !r.getString(1).equals("ok")) {
                        return Optional.empty();
                    }
                }
                boolean says = Migrations.version(connection) >= Migrations.SEALED;
                if (Migrations.version(connection) == Opening.MIGRATIONS.newest()) {
                    Tables.check(connection);
                    new Seals(connection).check();
                }
                Opening.MIGRATIONS.run(connection);
                PlanReader reader = new PlanReader(connection);
                Build plan = reader.build();
                Optional<String> build =
                        says ? Optional.of(FileState.read(connection).build()) : Optional.empty();
                var log = reader.log();
                return Optional.of(new Sound(build, plan, log.entries(), log.marked()));
            }
        } catch (SQLException
                | BuildFileException
                | InputException
                | IllegalArgumentException
                | NullPointerException
                | DateTimeException e) {
            return Optional.empty();
        }
    }

    static void remove(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.toList()) {
                Files.deleteIfExists(file);
            }
        }
        Files.delete(folder);
    }
}
