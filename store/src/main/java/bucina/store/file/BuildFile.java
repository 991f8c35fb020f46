package bucina.store.file;

import bucina.core.log.Addition;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.store.Chain;
import bucina.store.Document;
import bucina.store.Merge;
import bucina.store.Photo;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** An open build file. See the package text for what it promises. Not for two threads at once. */
public final class BuildFile implements AutoCloseable {

    private final Path path;
    private final Path spelt;
    private final Connection connection;
    private final Check check;
    private final boolean readOnly;
    private final Identity identity;
    private final OpenFiles.Open open;
    private final List<String> said;
    /** What the file held when it was last read whole or written to here. */
    private volatile FileState known;

    private @Nullable Build written;

    private final OwnIds ids;

    private BuildFile(Path path, Path spelt, Opening.Opened opened, boolean readOnly, List<String> said) {
        this.path = path;
        this.spelt = spelt;
        this.connection = opened.connection();
        this.check = opened.check();
        this.readOnly = readOnly;
        this.said = said;
        try {
            this.identity = Identity.of(path, connection);
            this.known = FileState.read(connection);
            this.ids = new OwnIds(connection, readOnly ? "" : identity.place());
            this.open = OpenFiles.add(path, connection);
        } catch (SQLException e) {
            throw Troubles.of(path, e);
        } catch (IOException e) {
            throw Troubles.readOnly(path, e);
        } catch (IllegalArgumentException e) {
            throw Troubles.damaged(path, String.valueOf(e.getMessage()), e);
        }
    }

    /**
     * Makes a new build file with everything in the document. The file appears whole or not at all.
     *
     * @throws BuildFileException if there is a file already, or it cannot be written
     */
    public static BuildFile create(Path path, Document document) {
        NewFile.write(path, document);
        return open(path);
    }

    /**
     * Makes a new build file of two brought together; it is the same build as they are.
     *
     * @param build which build it is
     * @throws BuildFileException if there is a file already, or it cannot be written
     */
    public static BuildFile create(Path path, Merge.Merged merged, String build) {
        NewFile.write(path, merged.document(), s -> s.from(build, merged.plans()));
        return open(path);
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
        return opened(path, false);
    }

    /** Opens a build file only to read it: works in a read-only folder, and changes nothing. */
    public static BuildFile openToRead(Path path) {
        Opening.checkHeader(path);
        return opened(path, true);
    }

    private static BuildFile opened(Path path, boolean readOnly) {
        List<String> said = new ArrayList<>();
        Path spelt = Spelling.of(path);
        Opening.Opened opened = Opening.file(spelt, readOnly, said);
        try {
            return new BuildFile(path, spelt, opened, readOnly, said);
        } catch (RuntimeException e) {
            opened.check().end();
            Opening.close(opened.connection());
            opened.check().await();
            throw e;
        }
    }

    /** What was found beside the file and put aside, a sentence each; usually empty. */
    public List<String> said() {
        return List.copyOf(said);
    }

    /** Where it is. */
    public Path path() {
        return path;
    }

    /** True if it was opened only to read. */
    public boolean readOnly() {
        return readOnly;
    }

    /** In what state it was when it was last read or written here. For any thread. */
    public FileState state() {
        return known;
    }

    /** What a file holds, without the pictures' bytes. */
    public record Contents(Build build, Logbook log) {}

    /**
     * Reads the plan and the log.
     *
     * @throws BuildFileException if a table or a value cannot be read
     */
    public Contents read() {
        check.begun();
        try {
            return readAhead();
        } finally {
            // Where the file is damaged the check names the place.
            check.await();
        }
    }

    /**
     * Reads the plan and the log before they are checked, to show them sooner. Nothing is written before
     * {@link #checked} has passed.
     *
     * @throws BuildFileException if a table or a value cannot be read
     */
    public Contents readAhead() {
        return guarded(this::readWhole);
    }

    /**
     * Sees that every row is what was written.
     *
     * @throws BuildFileException if one is not; the message names the place
     */
    public void checked() {
        check.await();
    }

    private Contents readWhole() throws SQLException {
        try (Statement s = connection.createStatement()) {
            s.execute("BEGIN");
            try {
                known = FileState.read(connection);
                Contents contents = contents();
                written = contents.build();
                return contents;
            } finally {
                s.execute("COMMIT");
            }
        }
    }

    private Contents contents() throws SQLException {
        PlanReader reader = new PlanReader(connection);
        return new Contents(ids.apart(reader.build()), reader.log());
    }

    /** Reads everything, photographs too. */
    public Document document() {
        Contents contents = read();
        List<Photo> photos = new ArrayList<>();
        photographs().forEach(photos::add);
        return new Document(contents.build(), contents.log(), photos, guarded(() -> Chain.wellBound(entries())));
    }

    /** The photographs in the order of their names, each read when it is asked for. */
    public Iterable<Photo> photographs() {
        List<String> names = guarded(
                () -> new PlanReader(connection).photos().stream().sorted().toList());
        return () -> names.stream().flatMap(n -> photo(n).stream()).iterator();
    }

    /** One photograph; empty if the file has none with this hash. */
    public Optional<Photo> photo(String sha256) {
        check.await();
        return guarded(() -> Photographs.one(connection, sha256));
    }

    /**
     * Writes one entry down; when this returns, it is on the disk.
     *
     * @param draft  what to write
     * @param photos photographs the entry names that the file may not have yet
     * @param clock  says when it was entered
     * @param check  refuses the entry by throwing; told what the file holds if another process has written to it
     *               since it was last read here, before this entry and nothing else is written
     * @return the entry with its number
     */
    public LogEntry append(LogEntry.Draft draft, List<Photo> photos, Clock clock, Consumer<Optional<Contents>> check) {
        return add(
                        others -> {
                            check.accept(others);
                            return Addition.of(draft);
                        },
                        photos,
                        clock)
                .entry()
                .orElseThrow();
    }

    /**
     * Writes down an entry, marks, or both as one; when this returns, they are on the disk.
     *
     * @param asked  what; told what the file holds if another process has written to it since it was last read here
     * @param photos photographs the entry names that the file may not have yet
     * @param clock  says when it was entered
     * @return what was written
     */
    public Addition.Done add(Function<Optional<Contents>, Addition> asked, List<Photo> photos, Clock clock) {
        return logged((rows, others, chain) -> {
            Addition addition = asked.apply(others);
            Optional<LogEntry> entry = Optional.empty();
            FileState.Chained next = chain;
            rows.photos(photos);
            if (addition.draft().isPresent()) {
                entry = Optional.of(addition.draft().get().numbered(rows.nextEntry(), clock.instant()));
                Chain.Link link = rows.link(entry.get(), chain);
                rows.entry(entry.get(), link);
                next = chain.plus(link.hash());
            }
            rows.marks(addition.marks());
            rows.partMarks(addition.parts());
            return new Added(new Addition.Done(entry, addition.marks(), addition.parts()), next);
        });
    }

    /** What was added, and what the entries are bound to then. */
    private record Added(Addition.Done done, FileState.Chained chain) {}

    /** What adds to the log, told what others have written. */
    private interface Logging {
        Added run(LogRows rows, Optional<Contents> others, FileState.Chained chain) throws SQLException;
    }

    private Addition.Done logged(Logging logging) {
        return transaction((writing, now) -> {
            boolean mine = now.equals(known);
            Added added = logging.run(
                    new LogRows(connection, writing),
                    mine ? Optional.empty() : Optional.of(guarded(this::contents)),
                    now.chain());
            FileState after = now.logged().with(added.chain);
            return new Done<>(added.done, after, mine ? after : known);
        });
    }

    /** The entries as they are written, with what binds them, in the order of their numbers. */
    public List<Chain.Text> entries() {
        check.await();
        return guarded(() -> new PlanReader(connection).texts());
    }

    /**
     * Writes the plan as it has become; only what differs from what was last read or written here.
     *
     * @throws BuildFileException if another process has changed the plan since
     */
    public void save(Build build) {
        transaction((writing, now) -> {
            if (now.plan() != known.plan()) {
                throw Troubles.make(
                        path,
                        BuildFileException.Trouble.CHANGED,
                        "The plan in " + path + " was changed by another Bucina meanwhile. Nothing was changed;"
                                + " look at it and do it again.",
                        null);
            }
            PlanRows.write(connection, writing, written, build);
            String token = FileState.token();
            return new Done<>(
                    build,
                    now.planned(token).in(identity.place()),
                    known.planned(token).in(identity.place()));
        });
        written = build;
    }

    /**
     * Sees that the file lies where it was opened.
     *
     * @throws BuildFileException if it is gone or another one lies there
     */
    public void present() {
        guarded(() -> {
            identity.check(known);
            return true;
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

    /** For tests: {@code max_page_count}, as on a full disk, or {@code busy_timeout}, in milliseconds. */
    void set(String pragma, int value) {
        guarded(() -> {
            try (Statement s = connection.createStatement()) {
                return s.execute("PRAGMA " + pragma + " = " + value);
            }
        });
    }

    private <T> T guarded(Guarded.Doing<T> doing) {
        return Guarded.run(path, doing);
    }

    /** What a transaction did, what state the file is in after it, and what of it is known here. */
    private record Done<T>(T what, FileState state, FileState known) {}

    /** What is done in one transaction, told what state the file is in. */
    private interface Acting<T> {
        Done<T> run(Writing writing, FileState now) throws SQLException;
    }

    private <T> T transaction(Acting<T> acting) {
        if (readOnly) {
            throw Troubles.readOnly(path, null);
        }
        try (Statement s = connection.createStatement()) {
            identity.check(known);
            check.await();
            OneFile.begin(s);
            Done<T> done;
            try {
                Writing writing = new Writing(connection, path);
                writing.touch("state", 1);
                done = acting.run(writing, guarded(() -> FileState.read(connection)));
                writing.end(done.state);
                s.execute("COMMIT");
            } catch (SQLException | RuntimeException e) {
                OneFile.rollBack(s, e);
                throw e;
            }
            OneFile.settle(s, spelt);
            identity.written();
            known = done.known;
            return done.what;
        } catch (SQLException e) {
            throw Troubles.of(path, e);
        } catch (IOException e) {
            throw Troubles.failed(path, String.valueOf(e.getMessage()), e);
        }
    }

    @Override
    public void close() {
        check.end();
        OpenFiles.remove(open);
        try {
            connection.close();
        } catch (SQLException e) {
            throw Troubles.of(path, e);
        }
    }
}
