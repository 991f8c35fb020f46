package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Outline;
import java.util.Objects;

/**
 * A place on a face that matters to holes without being a sheet of it.
 *
 * @param id      its id
 * @param name    what is there, {@code Nut plate}, {@code Hinge}; not blank
 * @param kind    what it means
 * @param outline where it is
 * @param room    free depth behind the stack there, at least 0; nought for a wall or a keep-out
 */
public record Zone(Id.Zone id, String name, Kind kind, Outline outline, Length room) {

    /** What a zone means. */
    public enum Kind {
        /** No hole may be here. */
        KEEP_OUT("keep-out", "keep-out"),
        /** Something stands behind the face, this far away. */
        BEHIND("behind", "stands behind");

        private final String code;
        private final String word;

        Kind(String code, String word) {
            this.code = code;
            this.word = word;
        }

        /** The word in files. */
        public String code() {
            return code;
        }

        /** In plain words. */
        public String word() {
            return word;
        }
    }

    public Zone {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(outline, "outline");
        Names.check("a zone", name);
        if (!(room.nanometres() >= 0)) {
            throw new InputException("room behind must be at least 0, was " + room);
        }
    }
}
