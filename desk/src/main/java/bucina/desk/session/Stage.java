package bucina.desk.session;

/** The stages of work that the rail shows. The rail grows: a stage stands here once it does something. */
public enum Stage {
    /** What goes through each hole, and does it hold? */
    STUDY("Study", 1, "What goes through here?"),
    /** What stays open, and for which part? */
    FIT("Fit", 2, "What stays open?"),
    /** What is drilled and deburred, and what was skipped? */
    DRILL("Drill", 3, "What is drilled and deburred, what was skipped?"),
    /** What is dimpled or countersunk, and how? */
    DRESS("Dress", 4, "What is dimpled or countersunk?"),
    /** What is in, and what is set next? */
    SET("Set", 5, "What is in, what is next?"),
    /** Which heads are measured, and how do they stand? */
    PROVE("Prove", 6, "Which heads are measured, how do they stand?");

    private final String word;
    private final int key;
    private final String question;

    Stage(String word, int key, String question) {
        this.word = word;
        this.key = key;
        this.question = question;
    }

    /** On the rail. */
    public String word() {
        return word;
    }

    /** The digit that chooses it: 1 for the first, without a gap. */
    public int key() {
        return key;
    }

    /** What the sheet answers in this stage. */
    public String question() {
        return question;
    }
}
