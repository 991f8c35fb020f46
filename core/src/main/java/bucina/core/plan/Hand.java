package bucina.core.plan;

/** Which hand an assembly is. */
public enum Hand {
    LEFT("left"),
    RIGHT("right"),
    /** On the centre line, or the same on both hands. */
    NONE("no hand");

    private final String word;

    Hand(String word) {
        this.word = word;
    }

    /** In plain words. */
    public String word() {
        return word;
    }
}
