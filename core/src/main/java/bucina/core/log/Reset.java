package bucina.core.log;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Objects;
import java.util.Optional;

/**
 * A set-up made anew, such as after heads that failed: what is set from here on is not in doubt with what was before.
 *
 * @param tool    not blank
 * @param die     may be empty
 * @param setting closed gap; empty where there is none
 */
public record Reset(String tool, String die, Optional<Length> setting) implements Labour.What {

    public Reset {
        Objects.requireNonNull(die, "die");
        Objects.requireNonNull(setting, "setting");
        if (tool.isBlank()) {
            throw new InputException("which tool was set up anew is missing, such as hand squeezer");
        }
    }

    @Override
    public String words() {
        return "set up " + tool + " anew";
    }

    @Override
    public String kind() {
        return "reset";
    }
}
