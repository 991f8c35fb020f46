package bucina.core.rule;

/** One of the words that a rule of kind {@link RuleKey.Kind#CHOICE} may have. */
public interface Choice {

    /** The word in files and on the command line. */
    String code();

    /** In plain words. */
    String word();
}
