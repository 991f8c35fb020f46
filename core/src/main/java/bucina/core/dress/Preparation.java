package bucina.core.dress;

/** What the plan asks for at the holes of a group. */
public enum Preparation {
    /** Worked out from thickness, head and school. */
    AUTO("auto"),
    /** Every sheet is dimpled. */
    DIMPLE("dimple"),
    /** The sheet under the head is countersunk. */
    COUNTERSINK("csk"),
    /** Plain holes: protruding heads and bolts. */
    NONE("none");

    private final String code;

    Preparation(String code) {
        this.code = code;
    }

    /** The word in files and on the command line. */
    public String code() {
        return code;
    }
}
