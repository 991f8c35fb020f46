package bucina.core.log;

import java.time.LocalDateTime;
import java.util.List;

/** What an entry says was done: fasteners set, or other work that took its time. */
public sealed interface Deed permits Work, Labour {

    /** Who did it, not blank. */
    String who();

    /** When it was done, wall clock of the shop; of what was found as it is, when that was written down. */
    LocalDateTime done();

    /** Minutes it took, at least 0. */
    int minutes();

    /** Why it was done although something was missing or odd; may be empty. */
    String explanation();

    /** May be empty. */
    String note();

    /** Photographs by the SHA-256 of their content. */
    List<String> photos();

    /** The same with a reason why it was done although something was missing or odd. */
    Deed explained(String because);
}
