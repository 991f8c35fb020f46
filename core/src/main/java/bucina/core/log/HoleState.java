package bucina.core.log;

/** Where a hole stands, from first to last. Each has its own glyph. */
public enum HoleState {
    PLANNED("planned"),
    CLECOED("clecoed"),
    DRILLED("drilled"),
    DEBURRED("deburred"),
    DIMPLED("dimpled"),
    COUNTERSUNK("countersunk"),
    PRIMED("primed"),
    SET("set"),
    PROVED("set and measured"),
    REJECTED("rejected, hole open");

    private final String words;

    HoleState(String words) {
        this.words = words;
    }

    /** In plain words. */
    public String words() {
        return words;
    }

    /** True once a sound fastener is in. */
    public boolean set() {
        return this == SET || this == PROVED;
    }

    static HoleState of(Operation operation) {
        return switch (operation) {
            case PILOT -> PLANNED;
            case CLECOED -> CLECOED;
            case MATCH_DRILLED, FINAL_SIZE, REAMED -> DRILLED;
            case DEBURRED -> DEBURRED;
            case DIMPLED, CLEARED -> DIMPLED;
            case COUNTERSUNK -> COUNTERSUNK;
            case PRIMED -> PRIMED;
            // What is done to a bolt says nothing of the hole once the bolt is out again.
            case TEMPORARY, TORQUED, STRIPED, WIRED, PINNED -> PLANNED;
        };
    }
}
