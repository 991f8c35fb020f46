package bucina.core.opening;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.List;
import java.util.Optional;

/**
 * A step drill of the builder's own.
 *
 * @param name  as it is called in the tool crib
 * @param steps diameters from the tip, rising, at least one
 */
public record StepDrill(String name, List<Length> steps) {

    public StepDrill {
        steps = List.copyOf(steps);
        if (steps.isEmpty()) {
            throw new InputException(
                    "The step drill \"" + name + "\" has no steps: write them from the tip, like 1/8, 3/16, 1/4");
        }
        for (int i = 0; i < steps.size(); i++) {
            if (!steps.get(i).positive()
                    || i > 0 && !steps.get(i).minus(steps.get(i - 1)).positive()) {
                throw new InputException("Step " + (i + 1) + " of the step drill \"" + name + "\" is " + steps.get(i)
                        + ": steps rise from the tip, like 1/8, 3/16, 1/4");
            }
        }
    }

    /**
     * Where to stop.
     *
     * @param step     counted from 1 at the tip
     * @param diameter that it leaves
     */
    public record Stop(int step, Length diameter) {}

    /** The last step that is not larger than the hole; empty if even the tip is. */
    public Optional<Stop> stop(Length hole) {
        for (int i = steps.size() - 1; i >= 0; i--) {
            if (steps.get(i).atMost(hole)) {
                return Optional.of(new Stop(i + 1, steps.get(i)));
            }
        }
        return Optional.empty();
    }
}
