package bucina.core.log;

/** What is done to a hole before a fastener is set, in the order it is done. */
public enum Operation {
    PILOT("pilot"),
    CLECOED("clecoed"),
    MATCH_DRILLED("match-drilled"),
    FINAL_SIZE("final-size"),
    DEBURRED("deburred"),
    DIMPLED("dimpled"),
    COUNTERSUNK("countersunk"),
    CLEARED("cleared"),
    PRIMED("primed");

    private final String code;

    Operation(String code) {
        this.code = code;
    }

    /** The word in files and on the command line. */
    public String code() {
        return code;
    }
}
