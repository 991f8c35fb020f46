package bucina.desk.guided;

import bucina.desk.session.Desk;
import java.util.Optional;

/** What a step can see of the window. Interface thread only. */
public interface Eyes {

    /** The desk; empty while the build has no face. */
    Optional<Desk> desk();

    /** True if something of this selector is to be seen, {@code #panel-card}. */
    boolean there(String selector);

    /** What is typed into the field of this selector; empty if it is not there. */
    String typed(String selector);
}
