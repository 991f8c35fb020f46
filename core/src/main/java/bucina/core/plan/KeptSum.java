package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * A sum kept with the build: its figures as they were typed, so that it is worked out again when it is opened.
 *
 * @param id      its id
 * @param kind    which sum, {@code bend}
 * @param name    what it is for, not blank
 * @param part    the part it is of; empty if of none
 * @param unit    of figures that name none
 * @param figures what was typed, by field; at most 40, each up to 20,000 characters
 */
public record KeptSum(
        Id.Sum id, String kind, String name, Optional<Id.Part> part, Unit unit, Map<String, String> figures)
        implements Kept {

    public KeptSum {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(part, "part");
        Objects.requireNonNull(unit, "unit");
        Names.check("a kept sum", name);
        if (!kind.matches("[a-z-]{1,30}")) {
            throw new InputException("a kind of sum is a word like bend, was \"" + kind + "\"");
        }
        figures = Map.copyOf(figures);
        if (figures.size() > 40
                || figures.entrySet().stream()
                        .anyMatch(e -> e.getKey().length() > 40 || e.getValue().length() > 20_000)) {
            throw new InputException("a kept sum has at most 40 figures of 20000 characters");
        }
    }

    @Override
    public String called() {
        return "kept sum " + name;
    }

    @Override
    public List<Id.Part> parts() {
        return part.stream().toList();
    }
}
