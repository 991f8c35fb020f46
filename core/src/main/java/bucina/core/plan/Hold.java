package bucina.core.plan;

/** What the drawing says about keeping the holes of a group open. */
public enum Hold {

    /** The drawing says nothing: a hole shared with a part that is not in place is held open and under size. */
    AUTO("auto", "as the parts say"),
    /** Held open while a part is missing, but drilled to final size now. */
    DRILL("drill", "held open, drilled now"),
    /** Set now, whatever part is still missing. */
    SET("set", "set now"),
    /** Held open by the drawing, until what it names is done. */
    OPEN("open", "held open");

    private final String code;
    private final String word;

    Hold(String code, String word) {
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
