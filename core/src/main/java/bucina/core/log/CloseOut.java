package bucina.core.log;

import bucina.core.measure.InputException;
import bucina.core.plan.Id;
import java.util.List;
import java.util.Objects;

/**
 * A bay signed as ready to be closed.
 *
 * @param bay     the bay
 * @param name    its name at the time
 * @param open    points left open, each with a reason
 * @param counted loose things counted out
 */
public record CloseOut(Id.Bay bay, String name, List<Left> open, List<Counted> counted) implements Labour.What {

    public CloseOut {
        Objects.requireNonNull(bay, "bay");
        open = List.copyOf(open);
        counted = List.copyOf(counted);
        if (name.isBlank()) {
            throw new InputException("a close-out names its bay");
        }
    }

    /**
     * A point left open.
     *
     * @param point  in words, not blank
     * @param reason not blank
     */
    public record Left(String point, String reason) {
        public Left {
            if (point.isBlank() || reason.isBlank()) {
                throw new InputException("a point left open needs its reason: " + point
                        + (point.isBlank() ? "" : " has none, such as \"pulled from outside after closing\""));
            }
        }
    }

    /**
     * Things counted out of the bay.
     *
     * @param what such as mandrels
     * @param due  how many there must be, at least 0
     * @param out  how many there are, at least 0
     */
    public record Counted(String what, int due, int out) {
        public Counted {
            if (what.isBlank() || due < 0 || out < 0) {
                throw new InputException("what is counted out has a name and counts of 0 or more, such as mandrels 48");
            }
        }
    }

    @Override
    public String words() {
        return "closed out " + name + (open.isEmpty() ? "" : ", " + open.size() + " left open with a reason");
    }

    @Override
    public String kind() {
        return "close-out";
    }
}
