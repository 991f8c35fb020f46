package bucina.core.part;

import bucina.core.plan.Part;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/** Work that is done to a part as one thing, in the order it is done. */
public enum PartTask {
    FILM_OFF("film-off", "take the film off", EnumSet.of(Part.Kind.SKIN)),
    DEBURR_EDGES("deburr-edges", "deburr the edges", Sets.MADE),
    DEBURR_OPENINGS("deburr-openings", "deburr the lightening holes", Sets.MADE),
    CORNER_RELIEF("corner-relief", "relieve the corners", EnumSet.noneOf(Part.Kind.class)),
    FLANGE_ANGLES("flange-angles", "turn the flanges to their angle", EnumSet.of(Part.Kind.RIB)),
    /** Turning flanges undoes it: it is a loop. */
    FLUTE("flute", "flute and measure again", EnumSet.of(Part.Kind.RIB)),
    INDEX_MARK("index-mark", "make an index mark", EnumSet.noneOf(Part.Kind.class)),
    TRIM("trim", "trim what was left long", EnumSet.noneOf(Part.Kind.class)),
    CLEAN("clean", "clean", Sets.MADE),
    PRIME("prime", "prime", Sets.MADE),
    /** Owed where metal was cut after priming. */
    TOUCH_UP("touch-up", "touch up the primer", EnumSet.noneOf(Part.Kind.class));

    /** Kinds of parts, needed before the constants are there. */
    private static final class Sets {
        private static final Set<Part.Kind> MADE = EnumSet.complementOf(EnumSet.of(Part.Kind.NUT_PLATES));

        private Sets() {}
    }

    private final String code;
    private final String word;
    private final Set<Part.Kind> kinds;

    PartTask(String code, String word, Set<Part.Kind> kinds) {
        this.code = code;
        this.word = word;
        this.kinds = kinds;
    }

    /** The word in files and on the command line. */
    public String code() {
        return code;
    }

    /** What is to be done, in plain words. */
    public String word() {
        return word;
    }

    /** True if every part of a kind owes it, unless it is waived. */
    boolean owedBy(Part.Kind kind) {
        return kinds.contains(kind);
    }

    /** The task with this code; empty for the builder's own words. */
    public static Optional<PartTask> of(String code) {
        return Arrays.stream(values()).filter(t -> t.code.equals(code)).findFirst();
    }

    /** A task in plain words: of a code, or the builder's own. */
    public static String words(String task) {
        return of(task).map(PartTask::word).orElse(task);
    }
}
