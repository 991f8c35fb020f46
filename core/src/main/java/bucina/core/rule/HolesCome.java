package bucina.core.rule;

/** How the holes of the kit come, which says whether drilling is owed. */
public enum HolesCome implements Choice {
    /** Punched or laid out under size: each is drilled to its final size. */
    UNDER("under", "under size, drilled to final size here"),
    /** At final size: nothing is drilled but what is cleared after dimpling. */
    FINAL("final", "at final size, not drilled");

    private final String code;
    private final String word;

    HolesCome(String code, String word) {
        this.code = code;
        this.word = word;
    }

    @Override
    public String code() {
        return code;
    }

    @Override
    public String word() {
        return word;
    }
}
