package bucina.store.file;

import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.store.Document;
import bucina.store.Photo;
import bucina.store.json.Json;
import bucina.store.json.Kind;
import bucina.store.json.Kinds;
import bucina.store.json.LogJson;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.DateTimeException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** An open build file. See the package text for what it promises. Not for two threads at once. */
public final class BuildFile implements AutoCloseable {

    private final Path path;
    private final Connection connection;
    private final boolean readOnly;
    private @Nullable Build written;

    private BuildFile(Path path, Connection connection, boolean readOnly) {
        this.path = path;
        this.connection = connection;
        this.readOnly = readOnly;
    }

    /**
     * Makes a new build file with everything in the document. The file appears whole or not at all.
     *
     * @throws BuildFileException if there is a file already, or it cannot be written
     */
    public static BuildFile create(Path path, Document document) {
        OutFile.checkNew(path);
        Path draft = OutFile.draft(path);
        try {
            try (BuildFile file = new BuildFile(draft, Opening.connect(draft, false, false), false)) {
                file.fill(document);
            }
            OutFile.publish(draft, path, false);
        } catch (SQLException e) {
            throw Troubles.of(path, e);
        } catch (IOException e) {
            throw Troubles.readOnly(path, e);
        } catch (BuildFileException e) {
            throw Troubles.make(path, e.trouble(), e.getMessage().replace(draft.toString(), path.toString()), e);
        } finally {
            discard(draft);
        }
        return open(path);
    }

    private static void discard(Path draft) {
        for (String suffix : List.of("", "-wal", "-shm", "-journal")) {
            try {
                Files.deleteIfExists(draft.resolveSibling(draft.getFileName() + suffix));
            } catch (IOException e) {
                // The draft is in the way of nothing: the next try replaces it.
            }
        }
    }

    private void fill(Document document) throws SQLException, IOException {
        try (InputStream schema = BuildFile.class.getResourceAsStream("/bucina/store/schema.sql");
                Statement s = connection.createStatement()) {
            s.execute("PRAGMA application_id = " + Opening.APPLICATION_ID);
            s.execute("BEGIN IMMEDIATE");
            s.executeUpdate(new String(Objects.requireNonNull(schema).readAllBytes(), StandardCharsets.UTF_8));
            for (Kind<?> kind : Kinds.ALL) {
                s.executeUpdate(kind.create());
            }
            s.execute("PRAGMA user_version = " + Opening.MIGRATIONS.newest());
            PlanRows.write(connection, null, document.build());
            for (LogEntry entry : document.log().entries()) {
                insert(entry);
            }
            insertMarks(document.log().marks());
            insert(document.photos());
            s.execute("COMMIT");
        }
    }

    /**
     * Opens a build file to read and write, bringing it to the newest version first (a copy is kept).
     *
     * @throws BuildFileException if it is missing, no build, damaged, too new or read only
     */
    public static BuildFile open(Path path) {
        Opening.checkHeader(path);
        if (!Files.isWritable(path)
                || path.toAbsolutePath().getParent() != null
                        && !Files.isWritable(path.toAbsolutePath().getParent())) {
            throw Troubles.readOnly(path, null);
        }
        return new BuildFile(path, Opening.connection(path, false), false);
    }

    /** Opens a build file only to read it: works in a read-only folder, and changes nothing. */
    public static BuildFile openToRead(Path path) {
        Opening.checkHeader(path);
        return new BuildFile(path, Opening.connection(path, true), true);
    }

    /** Where it is. */
    public Path path() {
        return path;
    }

    /** True if it was opened only to read. */
    public boolean readOnly() {
        return readOnly;
    }

    /** What a file holds, without the pictures' bytes. */
    public record Contents(Build build, Logbook log) {}

    /**
     * Reads the plan and the log.
     *
     * @throws BuildFileException if a table or a value cannot be read
     */
    public Contents read() {
        return guarded(() -> {
            PlanReader reader = new PlanReader(connection);
            Build build = reader.build();
            written = build;
            return new Contents(build, reader.log());
        });
    }

    /** Reads everything, photographs too. */
    public Document document() {
        Contents contents = read();
        return guarded(() -> {
            List<Photo> photos = new ArrayList<>();
            for (String hash :
                    new PlanReader(connection).photos().stream().sorted().toList()) {
                photo(hash).ifPresent(photos::add);
            }
            return new Document(contents.build(), contents.log(), photos);
        });
    }

    /** One photograph; empty if the file has none with this hash. */
    public Optional<Photo> photo(String sha256) {
        return guarded(() -> {
            try (PreparedStatement s =
                    connection.prepareStatement("SELECT type, content FROM photo WHERE sha256 = ?")) {
                s.setString(1, sha256);
                try (ResultSet r = s.executeQuery()) {
                    return r.next() ? Optional.of(new Photo(sha256, r.getString(1), r.getBytes(2))) : Optional.empty();
                }
            }
        });
    }

    /**
     * Writes one entry down; when this returns, it is on the disk.
     *
     * @param draft  what to write
     * @param photos photographs the entry names that the file may not have yet
     * @param clock  says when it was entered
     * @return the entry with its number
     */
    public LogEntry append(LogEntry.Draft draft, List<Photo> photos, Clock clock) {
        return transaction(() -> {
            int id;
            try (Statement s = connection.createStatement();
                    ResultSet r = s.executeQuery("SELECT COALESCE(MAX(id), 0) + 1 FROM log_entry")) {
                id = r.getInt(1);
            }
            LogEntry entry = draft.numbered(id, clock.instant());
            insert(photos);
            insert(entry);
            return entry;
        });
    }

    /** Writes marks down, all or none; when this returns, they are on the disk. */
    public void mark(List<Mark> marks) {
        transaction(() -> insertMarks(marks));
    }

    private int[] insertMarks(List<Mark> marks) throws SQLException {
        try (PreparedStatement s = connection.prepareStatement(
                "INSERT INTO mark (hole, layer, side, operation, at, done, note) " + "VALUES (?, ?, ?, ?, ?, ?, ?)")) {
            for (Mark mark : marks) {
                mark(s, mark);
            }
            return s.executeBatch();
        }
    }

    private static void mark(PreparedStatement s, Mark mark) throws SQLException {
        s.setLong(1, mark.hole().n());
        s.setLong(2, mark.layer().n());
        s.setString(3, mark.side().name().toLowerCase(Locale.ROOT));
        s.setString(4, mark.operation().code());
        s.setString(5, mark.at().toString());
        s.setInt(6, mark.on() ? 1 : 0);
        s.setString(7, mark.note());
        s.addBatch();
    }

    /** Writes the plan as it has become; only what differs from what was last read or written here. */
    public void save(Build build) {
        written = transaction(() -> {
            PlanRows.write(connection, written, build);
            return build;
        });
    }

    /** A number that changes when another process has written to the file; cheap to ask. */
    public long changes() {
        return guarded(() -> {
            try (Statement s = connection.createStatement();
                    ResultSet r = s.executeQuery("PRAGMA data_version")) {
                return r.getLong(1);
            }
        });
    }

    /** For tests: keeps the file from growing over so many pages, as a full disk would. */
    void limitPages(int pages) {
        guarded(() -> {
            try (Statement s = connection.createStatement()) {
                return s.execute("PRAGMA max_page_count = " + pages);
            }
        });
    }

    /** For tests: how long to wait for other programs, in milliseconds. */
    void patience(int milliseconds) {
        guarded(() -> {
            try (Statement s = connection.createStatement()) {
                return s.execute("PRAGMA busy_timeout = " + milliseconds);
            }
        });
    }

    private void insert(LogEntry entry) throws SQLException {
        PlanRows.execute(
                connection,
                "INSERT INTO log_entry (id, entered, corrects, work, reason) VALUES (?, ?, ?, ?, ?)",
                entry.id(),
                entry.entered().toString(),
                entry.corrects().orElse(null),
                entry.work().map(w -> Json.line(LogJson.work(w))).orElse(null),
                entry.reason());
    }

    private void insert(List<Photo> photos) throws SQLException {
        for (Photo photo : photos) {
            PlanRows.execute(
                    connection,
                    "INSERT OR IGNORE INTO photo (sha256, type, content) VALUES (?, ?, ?)",
                    photo.sha256(),
                    photo.type(),
                    photo.content());
        }
    }

    /** Something done with the database. */
    private interface Doing<T> {
        T run() throws SQLException;
    }

    private <T> T guarded(Doing<T> doing) {
        try {
            return doing.run();
        } catch (SQLException e) {
            throw Troubles.of(path, e);
        } catch (InputException e) {
            throw Troubles.damaged(path, e);
        } catch (IllegalArgumentException | NullPointerException | DateTimeException e) {
            throw Troubles.damaged(path, String.valueOf(e.getMessage()), e);
        }
    }

    private <T> T transaction(Doing<T> doing) {
        if (readOnly) {
            throw Troubles.readOnly(path, null);
        }
        try (Statement s = connection.createStatement()) {
            OneFile.begin(s);
            T result;
            try {
                result = doing.run();
                s.execute("COMMIT");
            } catch (SQLException | RuntimeException e) {
                rollBack(s, e);
                throw e;
            }
            OneFile.settle(s, path);
            return result;
        } catch (SQLException e) {
            throw Troubles.of(path, e);
        } catch (IOException e) {
            throw Troubles.make(
                    path,
                    BuildFileException.Trouble.DISK,
                    "The disk failed on " + path + ": " + e.getMessage() + ". What was saved before is untouched.",
                    e);
        }
    }

    /** A full disk has rolled back already and refuses to do it again: the first failure is the one to tell. */
    private static void rollBack(Statement s, Exception first) {
        try {
            s.execute("ROLLBACK");
        } catch (SQLException e) {
            first.addSuppressed(e);
        }
    }

    @Override
    public void close() {
        try {
            connection.close();
        } catch (SQLException e) {
            throw Troubles.of(path, e);
        }
    }
}
