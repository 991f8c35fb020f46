package bucina.desk.session;

import bucina.store.file.BuildFileException;
import java.util.Optional;

/**
 * Why a build file cannot be written to any more.
 *
 * @param kind     what happened
 * @param sentence and in words
 */
public record Lost(Kind kind, String sentence) {

    /** What happens to a file. */
    public enum Kind {
        /** It is not there any more. */
        GONE,
        /** Another one lies in its place. */
        REPLACED,
        /** Parts of it are not what was written. */
        DAMAGED
    }

    /** What a trouble with the file means for the session; empty where it can go on. */
    static Optional<Lost> of(BuildFileException e) {
        Optional<Kind> kind =
                switch (e.trouble()) {
                    case GONE -> Optional.of(Kind.GONE);
                    case REPLACED -> Optional.of(Kind.REPLACED);
                    case DAMAGED -> Optional.of(Kind.DAMAGED);
                    default -> Optional.empty();
                };
        return kind.map(k -> new Lost(k, e.getMessage()));
    }
}
