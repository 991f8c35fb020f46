package bucina.store.file;

import bucina.core.measure.InputException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** Turns what the database says into what the builder needs to hear. */
final class Troubles {

    private static final long LEAST_ROOM = 128 * 1024;

    /** {@code [SQLITE_CORRUPT] The image is malformed (database disk image is malformed)}. */
    private static final Pattern SAID = Pattern.compile("(?s)(?:\\[\\w+\\].*?\\()?(.*?)\\)?");

    private Troubles() {}

    static BuildFileException of(Path path, SQLException e) {
        SQLiteErrorCode code = e instanceof SQLiteException s ? s.getResultCode() : SQLiteErrorCode.UNKNOWN_ERROR;
        String name = code.name();
        if (name.startsWith("SQLITE_FULL") || name.startsWith("SQLITE_IOERR") && noRoom(path)) {
            return make(
                    path,
                    BuildFileException.Trouble.NO_ROOM,
                    "There is no room left on the disk of " + path
                            + ". Nothing was changed; free some space and do it again.",
                    e);
        }
        if (name.startsWith("SQLITE_READONLY") || name.startsWith("SQLITE_PERM") || name.startsWith("SQLITE_AUTH")) {
            return readOnly(path, e);
        }
        if (name.startsWith("SQLITE_CANTOPEN")) {
            return Files.exists(path) && !Files.isDirectory(path)
                    ? readOnly(path, e)
                    : make(
                            path,
                            BuildFileException.Trouble.READ_ONLY,
                            path + " cannot be made there. Choose a folder you can write to.",
                            e);
        }
        if (name.startsWith("SQLITE_BUSY") || name.startsWith("SQLITE_LOCKED")) {
            return make(
                    path,
                    BuildFileException.Trouble.BUSY,
                    path + " is being written to by another Bucina. Nothing was changed; try again.",
                    e);
        }
        if (name.startsWith("SQLITE_NOTADB")) {
            return notABuild(path, e);
        }
        if (name.startsWith("SQLITE_CORRUPT")
                || name.startsWith("SQLITE_ERROR")
                || name.startsWith("SQLITE_IOERR_SHORT_READ")) {
            return damaged(path, plain(e), e);
        }
        return failed(path, plain(e), e);
    }

    /** What the database says, without its code words. */
    private static String plain(SQLException e) {
        Matcher said = SAID.matcher(String.valueOf(e.getMessage()));
        return said.matches() ? said.group(1) : "the database does not say why";
    }

    static BuildFileException failed(Path path, String what, @Nullable Throwable e) {
        return make(
                path,
                BuildFileException.Trouble.DISK,
                "The disk failed on " + path + ": " + what + ". What was saved before is untouched.",
                e);
    }

    /**
     * True if the disk has less room than the next page and its bookkeeping need: some failures of a full disk come
     * under other names.
     */
    private static boolean noRoom(Path path) {
        try {
            return Files.getFileStore(path).getUsableSpace() < LEAST_ROOM;
        } catch (IOException e) {
            return false;
        }
    }

    static BuildFileException readOnly(Path path, @Nullable Throwable e) {
        return make(
                path,
                BuildFileException.Trouble.READ_ONLY,
                path + " cannot be written: the file or its folder is read only."
                        + " Nothing was changed; copy the build to a folder you can write to.",
                e);
    }

    static BuildFileException notABuild(Path path, @Nullable Throwable e) {
        return make(
                path,
                BuildFileException.Trouble.NOT_A_BUILD,
                path + " is not a Bucina build. It was left as it is;"
                        + " a build ends in .bucina, and JSON comes in with: bucina import FILE --from json --out "
                        + "NEW.bucina",
                e);
    }

    static BuildFileException damaged(Path path, String detail, @Nullable Throwable e) {
        return make(
                path,
                BuildFileException.Trouble.DAMAGED,
                path + " is damaged (" + detail + "). It was left as it is: keep it,"
                        + " and go on from your last copy or JSON export.",
                e);
    }

    static BuildFileException damaged(Path path, InputException e) {
        return damaged(path, e.getMessage(), e);
    }

    /** What was found wrong with a draft is wrong with the file it was made of. */
    static BuildFileException of(BuildFileException e, Path draft, Path path, String first) {
        return make(path, e.trouble(), first + e.getMessage().replace(draft.toString(), path.toString()), e);
    }

    static BuildFileException make(
            Path path, BuildFileException.Trouble trouble, String sentence, @Nullable Throwable cause) {
        return new BuildFileException(path, trouble, sentence, cause);
    }
}
