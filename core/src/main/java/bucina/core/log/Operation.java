package bucina.core.log;

/** What is done to a hole before a fastener is set, and to a bolt after, in the order it is done. */
public enum Operation {
    PILOT("pilot"),
    CLECOED("clecoed"),
    MATCH_DRILLED("match-drilled"),
    FINAL_SIZE("final-size"),
    REAMED("reamed"),
    DEBURRED("deburred"),
    DIMPLED("dimpled"),
    COUNTERSUNK("countersunk"),
    CLEARED("cleared"),
    PRIMED("primed"),
    /** A temporary bolt is in: it is owed until the hole has its own. */
    TEMPORARY("temporary-bolt"),
    TORQUED("torqued"),
    STRIPED("striped"),
    WIRED("wired"),
    PINNED("pinned");

    private final String code;

    Operation(String code) {
        this.code = code;
    }

    /** The word in files and on the command line. */
    public String code() {
        return code;
    }

    /** True if it is done to a bolt that is in. */
    public boolean afterSet() {
        return ordinal() >= TORQUED.ordinal();
    }
}
