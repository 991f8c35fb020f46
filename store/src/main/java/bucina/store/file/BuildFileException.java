package bucina.store.file;

import java.nio.file.Path;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A build file cannot be used. The message is a sentence for the builder with the path and what to do; nothing was
 * lost.
 */
public final class BuildFileException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** What kind of trouble it is. */
    public enum Trouble {
        /** There is no such file. */
        MISSING,
        /** The file is something else. */
        NOT_A_BUILD,
        /** The file is a build, but parts of it are unreadable. */
        DAMAGED,
        /** A newer program wrote it. */
        TOO_NEW,
        /** The file or its folder cannot be written. */
        READ_ONLY,
        /** The disk is full. */
        NO_ROOM,
        /** Another process is writing to it and does not stop. */
        BUSY,
        /** There is such a file already. */
        EXISTS,
        /** The file was there when it was opened, and is not any more. */
        GONE,
        /** Another file lies where the one that was opened lay. */
        REPLACED,
        /** The plan in the file was changed by another process. */
        CHANGED,
        /** The disk or the operating system failed in another way. */
        DISK
    }

    private final transient Path path;
    private final Trouble trouble;

    BuildFileException(Path path, Trouble trouble, String sentence, @Nullable Throwable cause) {
        super(sentence, cause);
        this.path = path;
        this.trouble = trouble;
    }

    @Override
    public String getMessage() {
        return Objects.requireNonNull(super.getMessage(), "what is wrong");
    }

    /** The file. */
    public Path path() {
        return path;
    }

    /** What kind of trouble it is. */
    public Trouble trouble() {
        return trouble;
    }
}
