package bucina.core.log;

import bucina.core.measure.InputException;
import bucina.core.plan.Gaging;
import bucina.core.plan.Id;
import java.util.Objects;

/**
 * A reading of something that has a wanted value: a clearance, a twist, a centre line.
 *
 * @param of    what is measured
 * @param name  its name at the time
 * @param value nanometres or degrees, as {@code unit} says
 * @param unit  of the value
 * @param held  true if it was within its limits then
 */
public record Taken(Id.Gaging of, String name, double value, Gaging.In unit, boolean held) implements Labour.What {

    public Taken {
        Objects.requireNonNull(of, "of");
        Objects.requireNonNull(unit, "unit");
        if (name.isBlank() || !Double.isFinite(value)) {
            throw new InputException("a reading has a name and a figure, such as horn to skin .21");
        }
    }

    @Override
    public String words() {
        return "measured " + name + (held ? ", within its limits" : ", out of its limits");
    }

    @Override
    public String kind() {
        return "taken";
    }
}
