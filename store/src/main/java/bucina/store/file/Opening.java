package bucina.store.file;

import bucina.core.measure.InputException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.DateTimeException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteConnection;

/** The ways into a build file: to write, to read as it lies, or brought up to date in memory. */
final class Opening {

    /** Marks the file as a build: "BuCi". */
    static final int APPLICATION_ID = 0x42754369;

    /** From each version to the next, from version 1 on. */
    static final List<Migrations.Step> STEPS = List.of(
            Version2::run,
            Version3::run,
            Version4::run,
            Version5::run,
            Version6::run,
            Version7::run,
            Version8::run,
            Version9::run,
            Version10::run,
            Version11::run,
            Version12::run,
            Version13::run);

    static final Migrations MIGRATIONS = new Migrations(STEPS);
    private static final int HEADER = 100;

    private Opening() {}

    /**
     * A file as it was opened.
     *
     * @param connection to it, of the newest version
     * @param check      of what it holds, not begun
     */
    record Opened(Connection connection, Check check) {}

    /**
     * Opens a build file.
     *
     * @param said gets a sentence for each thing beside it that was put aside
     * @throws BuildFileException if it is damaged, or cannot be brought to the newest version
     */
    static Opened file(Path path, boolean readOnly, List<String> said) {
        @Nullable Connection connection = null;
        try {
            Journals.Beside beside = Journals.settle(path, said);
            boolean alone = readOnly && beside != Journals.Beside.OWN;
            connection = readOnly && !alone ? beside(path) : connect(path, readOnly, alone);
            if (connection == null) {
                return inMemory(path, copied(path));
            }
            if (!readOnly) {
                MIGRATIONS.bring(connection, path);
            } else if (Migrations.version(connection) < MIGRATIONS.newest()) {
                return inMemory(path, connection);
            }
            return new Opened(connection, Check.of(path, () -> connect(path, true, alone), connection));
        } catch (InputException | IllegalArgumentException | NullPointerException | DateTimeException e) {
            close(connection);
            throw Troubles.damaged(path, String.valueOf(e.getMessage()), e);
        } catch (SQLException e) {
            close(connection);
            throw Troubles.of(path, e);
        } catch (IOException e) {
            close(connection);
            throw Troubles.readOnly(path, e);
        }
    }

    /** To read it with the journal beside it; null where a full disk or a read-only folder does not allow that. */
    private static @Nullable Connection beside(Path path) {
        @Nullable Connection connection = null;
        try {
            connection = connect(path, true, false);
            try (Statement s = connection.createStatement()) {
                s.execute("PRAGMA schema_version");
            }
            return connection;
        } catch (SQLException e) {
            close(connection);
            return null;
        }
    }

    /** What may only be read and is of an older version, or has a journal, is read in memory. */
    private static Opened inMemory(Path path, Connection connection) throws SQLException {
        try (connection) {
            Connection memory = inMemory(connection);
            try {
                if (Migrations.version(memory) < MIGRATIONS.newest()) {
                    MIGRATIONS.run(memory);
                }
                Check.check(path, memory);
            } catch (SQLException | RuntimeException e) {
                close(memory);
                throw e;
            }
            return new Opened(memory, Check.DONE);
        }
    }

    private static Connection inMemory(Connection file) throws SQLException {
        byte[] image = ((SQLiteConnection) file).serialize("main");
        // Bytes 18 and 19 say that the file is read through a write-ahead log, which a picture in memory does not have.
        image[18] = 1;
        image[19] = 1;
        SQLiteConnection memory = (SQLiteConnection) new SQLiteConfig().createConnection("jdbc:sqlite::memory:");
        memory.deserialize("main", image);
        return memory;
    }

    /** A copy with its journal in memory. */
    private static Connection copied(Path path) throws SQLException, IOException {
        Path folder = Files.createTempDirectory("bucina");
        try (Connection copy = connect(Scratch.copied(path, List.of("-wal", "-journal"), folder), false, false)) {
            return inMemory(copy);
        } finally {
            Scratch.remove(folder);
        }
    }

    static void close(@Nullable Connection connection) {
        try {
            if (connection != null) {
                connection.close();
            }
        } catch (SQLException e) {
            // Opening has failed already and says why; that the half-open connection would not close adds nothing.
        }
    }

    static Connection connect(Path path, boolean readOnly, boolean alone) throws SQLException {
        SQLiteConfig config = new SQLiteConfig();
        config.setBusyTimeout(10_000);
        config.setSynchronous(SQLiteConfig.SynchronousMode.NORMAL);
        config.enforceForeignKeys(true);
        config.setReadOnly(readOnly);
        if (!readOnly) {
            config.setJournalMode(SQLiteConfig.JournalMode.WAL);
        }
        String immutable = readOnly && alone ? "?immutable=1" : "";
        return config.createConnection(
                "jdbc:sqlite:file:" + path.toAbsolutePath().toUri().getRawPath() + immutable);
    }

    /**
     * Sees that a file is a build that this program reads, by its first bytes only.
     *
     * @throws BuildFileException if it is missing, unreadable, no build or too new
     */
    static void checkHeader(Path path) {
        if (!Files.isRegularFile(path)) {
            throw Troubles.make(
                    path,
                    BuildFileException.Trouble.MISSING,
                    "There is no build at " + path + ". Give the path of a .bucina file, or try the demo: bucina demo",
                    null);
        }
        ByteBuffer header = ByteBuffer.allocate(HEADER);
        try (FileChannel channel = FileChannel.open(path, StandardOpenOption.READ)) {
            while (header.hasRemaining() && channel.read(header) >= 0) {
                // Reads on until the header is full or the file ends.
            }
        } catch (IOException e) {
            throw Troubles.make(path, BuildFileException.Trouble.DISK, path + " cannot be read: " + e.getMessage(), e);
        }
        boolean sqlite = !header.hasRemaining()
                && new String(header.array(), 0, 16, StandardCharsets.ISO_8859_1).equals("SQLite format 3\0");
        if (!sqlite || header.getInt(68) != APPLICATION_ID) {
            throw Troubles.notABuild(path, null);
        }
        if (header.getInt(60) < 1) {
            throw Troubles.make(
                    path,
                    BuildFileException.Trouble.DAMAGED,
                    path + " is damaged (its first page says format " + header.getInt(60)
                            + ", the first there was is 1). It was left as it is: keep it, and go on from your last"
                            + " copy or JSON export.",
                    null);
        }
        if (header.getInt(60) > MIGRATIONS.newest()) {
            throw Troubles.make(
                    path,
                    BuildFileException.Trouble.TOO_NEW,
                    path + " was written by a newer Bucina (format " + header.getInt(60) + ", this one reads up to "
                            + MIGRATIONS.newest() + "). It was left as it is; use the newer program.",
                    null);
        }
    }
}
