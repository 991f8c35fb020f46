package bucina.core.plan;

/** How a part stands, as the builder says it. */
public enum Standing {
    /** Not unpacked. */
    CRATE("crate", "in the crate"),
    /** At the bench, not on yet. */
    HERE("here", "here"),
    /** In place in clecos. */
    DRY("dry", "on, dry"),
    /** Taken off again. */
    OFF("off", "off again"),
    /** On for good on every face it lies on. */
    ON("on", "on for good"),
    /** Away for finishing or repair. */
    OUT("out", "out"),
    /** Not in the kit: ordered, or to be made. */
    SHORT("short", "short");

    private final String code;
    private final String word;

    Standing(String code, String word) {
        this.code = code;
        this.word = word;
    }

    /** The word in files and on the command line. */
    public String code() {
        return code;
    }

    /** In plain words. */
    public String word() {
        return word;
    }

    /** True if holes go through it: it is clecoed or riveted on. */
    public boolean inPlace() {
        return this == DRY || this == ON;
    }

    /** True if it is somewhere where nothing can be done to it. */
    public boolean away() {
        return this == OUT || this == SHORT;
    }
}
