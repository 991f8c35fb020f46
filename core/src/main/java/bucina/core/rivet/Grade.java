package bucina.core.rivet;

import java.util.Locale;

/** How a length does when it is set to half a diameter high. */
public enum Grade {
    /** The head would be under 1.4 D across. */
    SHORT,
    /** 1.4 D across or more, and no more than 1.8 D standing proud. */
    GOOD,
    /** More than 1.8 D stands proud: it tends to fold over. */
    LONG;

    /** In files and on the command line: {@code good}. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }
}
