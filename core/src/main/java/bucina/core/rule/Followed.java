package bucina.core.rule;

/** Whether a kind of work is followed hole by hole, so that it is owed before what comes after it. */
public enum Followed implements Choice {
    /** Marked at each hole. */
    MARKED("marked", "marked at each hole"),
    /** Done, but nobody marks it. */
    NOT_MARKED("not-marked", "not marked in this build");

    private final String code;
    private final String word;

    Followed(String code, String word) {
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
