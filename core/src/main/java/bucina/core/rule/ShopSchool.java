package bucina.core.rule;

/** The two schools of judging a shop head. */
public enum ShopSchool implements Choice {
    /** NASM47196 / MIL-R-47196: at least 1.3 D across and 0.4 D high. */
    PROCESS("process", "process specification"),
    /** AC 43.13-1B, FAA-H-8083-31: about 1.5 D across and 0.5 D high. */
    GAUGE("gauge", "shop gauge");

    private final String code;
    private final String word;

    ShopSchool(String code, String word) {
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
