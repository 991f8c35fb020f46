package bucina.core.rivet;

/** The manufactured heads of solid rivets. */
public enum HeadStyle {
    /** Universal head, MS20470: stands on the sheet. */
    UNIVERSAL("universal", "MS20470", false),
    /** 100 degree flush head, MS20426. */
    FLUSH("flush", "MS20426", true),
    /** Reduced 100 degree flush head, NAS1097. */
    REDUCED("reduced flush", "NAS1097", true);

    private final String word;
    private final String standard;
    private final boolean flush;

    HeadStyle(String word, String standard, boolean flush) {
        this.word = word;
        this.standard = standard;
        this.flush = flush;
    }

    /** In plain words: {@code universal}. */
    public String word() {
        return word;
    }

    /** The standard that begins the designation: {@code MS20426}. */
    public String standard() {
        return standard;
    }

    /** True if the head lies in a countersink or dimple. */
    public boolean flush() {
        return flush;
    }
}
