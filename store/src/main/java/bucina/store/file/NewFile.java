package bucina.store.file;

import bucina.core.log.LogEntry;
import bucina.store.Chain;
import bucina.store.Document;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.UnaryOperator;

/** Makes build files: whole under their name, or not at all. */
final class NewFile {

    private NewFile() {}

    /**
     * Writes a document to a new file. What lies beside its name is judged when it is opened.
     *
     * @throws BuildFileException if there is a file already, or it cannot be written
     */
    static void write(Path path, Document document) {
        write(path, document, UnaryOperator.identity());
    }

    /**
     * As {@link #write(Path, Document)}.
     *
     * @param of what state the file is in, told that of a build of its own
     */
    static void write(Path path, Document document, UnaryOperator<FileState> of) {
        OutFile.checkNew(path);
        Path draft = OutFile.draft(path);
        try {
            try (Connection connection = Opening.connect(draft, false, false)) {
                fill(connection, path, document, s -> of.apply(s).in(place(draft)));
            }
            OutFile.publish(draft, path, false);
        } catch (SQLException e) {
            throw Troubles.of(path, e);
        } catch (IOException e) {
            throw Troubles.readOnly(path, e);
        } finally {
            discard(draft);
        }
    }

    /** The name a file keeps when it is put under its own. */
    private static String place(Path draft) {
        try {
            return String.valueOf(Objects.requireNonNullElse(
                    Files.readAttributes(draft, BasicFileAttributes.class).fileKey(), ""));
        } catch (IOException e) {
            return "";
        }
    }

    /** Removes a draft and what the database left beside it. */
    static void discard(Path draft) {
        for (String suffix : List.of("", "-wal", "-shm", "-journal")) {
            try {
                Files.deleteIfExists(draft.resolveSibling(draft.getFileName() + suffix));
            } catch (IOException e) {
                // The draft is in the way of nothing: the next one has another name.
            }
        }
    }

    private static void fill(Connection connection, Path path, Document document, UnaryOperator<FileState> of)
            throws SQLException {
        try (Statement s = connection.createStatement()) {
            s.execute("PRAGMA application_id = " + Opening.APPLICATION_ID);
            s.execute("BEGIN IMMEDIATE");
            Tables.create(connection);
            s.execute("PRAGMA user_version = " + Opening.MIGRATIONS.newest());
            Writing writing = new Writing(connection, path);
            writing.touch("state", 1);
            FileState.begin(connection, Opening.MIGRATIONS.newest());
            PlanRows.write(connection, writing, null, document.build());
            LogRows rows = new LogRows(connection, writing);
            List<LogEntry> entries = document.log().entries();
            Map<Integer, Chain.Link> links = Chain.bind(entries, document.chain());
            for (LogEntry entry : entries) {
                rows.entry(entry, Objects.requireNonNull(links.get(entry.id())));
            }
            rows.marks(document.log().marks());
            rows.partMarks(document.log().partMarks());
            rows.photos(document.photos());
            FileState made = FileState.read(connection)
                    .with(new FileState.Chained(entries.size(), Chain.heads(links.values()), 0));
            writing.end(of.apply(made));
            s.execute("COMMIT");
        }
    }
}
