package bucina.core.dress;

/** What is done to one sheet at one hole. */
public enum Dress {
    /** A plain hole. */
    PLAIN("plain"),
    /** Formed down by a die. */
    DIMPLE("dimple"),
    /** Cut by a countersink, or by a nest under dimpled sheets. */
    COUNTERSINK("countersink"),
    /** Too thick to dimple, too thin to countersink. */
    IMPOSSIBLE("impossible");

    private final String word;

    Dress(String word) {
        this.word = word;
    }

    /** In files and for people. */
    public String word() {
        return word;
    }
}
