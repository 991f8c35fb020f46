package bucina.core.plan;

import bucina.core.measure.InputException;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * How an assembly follows the other hand it was mirrored from.
 *
 * @param of         the first hand
 * @param pairs      id on the first hand to id on this one: faces, layers, groups, rows, holes and parts
 * @param exceptions what is otherwise here on purpose
 */
public record Twin(Id.Assembly of, Map<Long, Long> pairs, List<Exception> exceptions) {

    /**
     * A named exception.
     *
     * @param id   of what is otherwise, on this hand; on the first hand for what is left out here
     * @param name in words, {@code the trim cable comes out on this side}; not blank
     */
    public record Exception(long id, String name) {

        public Exception {
            if (id <= 0 || name.isBlank()) {
                throw new InputException(
                        "an exception needs what it is about and a name, such as \"probe on this side only\"");
            }
        }
    }

    public Twin {
        Objects.requireNonNull(of, "of");
        pairs = Map.copyOf(pairs);
        exceptions = List.copyOf(exceptions);
    }
}
