package bucina.core.plan;

import bucina.core.measure.Length;
import java.util.List;
import java.util.Objects;

/**
 * A tool of the builder's own in the tool crib.
 *
 * @param id    its id
 * @param kind  what it is
 * @param name  as it is called in the shop, not blank
 * @param sizes of a step drill, its steps from the tip, rising; at least one
 */
public record Tool(Id.Tool id, Kind kind, String name, List<Length> sizes) {

    /** Kinds of tool. */
    public enum Kind {
        STEP_DRILL("step-drill");

        private final String code;

        Kind(String code) {
            this.code = code;
        }

        /** The word in files. */
        public String code() {
            return code;
        }
    }

    public Tool {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(kind, "kind");
        Names.check("a tool", name);
        sizes = List.copyOf(sizes);
        if (sizes.isEmpty() || !sizes.stream().allMatch(Length::positive)) {
            throw new IllegalArgumentException("a step drill has steps over 0 from the tip, like 1/8, 3/16");
        }
    }
}
