package bucina.desk.session;

import bucina.store.file.Copies;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;

/**
 * How a builder wants copies of builds.
 *
 * @param folder where they go; empty for a folder {@code copies} beside the build
 * @param every  how often one is made without being asked for
 * @param many   how many of a build stay, 1 to {@value #MOST}
 * @param days   none older than that many days stays, but for the newest; 0 for however old, at most {@value #MOST}
 */
public record CopyWish(Optional<Path> folder, Every every, int many, int days) {

    /** The most copies, and days. */
    public static final int MOST = 9999;

    /** What holds where nothing was chosen. */
    public static final CopyWish USUAL = new CopyWish(Optional.empty(), Every.DAY, 10, 0);

    /** How long after a copy the next one is made, if the build was written to since. */
    public enum Every {
        /** Each hour. */
        HOUR("each hour", Duration.ofHours(1)),
        /** Each day. */
        DAY("each day", Duration.ofDays(1)),
        /** Each week. */
        WEEK("each week", Duration.ofDays(7)),
        /** Only when asked. */
        ASKED("only when asked", Duration.ZERO);

        private final String word;
        private final Duration time;

        Every(String word, Duration time) {
            this.word = word;
            this.time = time;
        }

        /** In words. */
        public String word() {
            return word;
        }

        Duration time() {
            return time;
        }
    }

    public CopyWish {
        if (many < 1 || many > MOST || days < 0 || days > MOST) {
            throw new IllegalArgumentException("copies: many 1 to 9999, days 0 to 9999, were " + many + " and " + days);
        }
    }

    /** The copies of a build. */
    public Copies of(Path build) {
        return new Copies(place(build));
    }

    /** The folder where copies of a build go. */
    public Path place(Path build) {
        Path absolute = build.toAbsolutePath();
        return folder.orElseGet(
                () -> Copies.made(build).isPresent() ? absolute.resolveSibling("") : absolute.resolveSibling("copies"));
    }

    Copies.Keep keep() {
        return new Copies.Keep(many, days);
    }
}
