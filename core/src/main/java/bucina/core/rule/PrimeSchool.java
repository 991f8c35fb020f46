package bucina.core.rule;

/** The schools of priming: what is primed before a part is on for good. */
public enum PrimeSchool implements Choice {
    /** Nothing. */
    NONE("none", "nothing is primed"),
    /** Where sheets lie on each other, so every sheet at every hole. */
    MATING("mating", "mating surfaces only"),
    /** Everything. */
    ALL("all", "every surface");

    private final String code;
    private final String word;

    PrimeSchool(String code, String word) {
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
