package bucina.core.rule;

import java.util.Locale;

/** How much a finding matters, worst first. */
public enum Level {
    /** Breaks a rule: do not go on before it is put right or accepted with a reason. */
    ERROR,
    /** Looks wrong: read the drawing again. */
    WARNING,
    /** Worth knowing. */
    NOTE;

    /** In files and on the command line: {@code error}. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }
}
