package bucina.core.cleco;

import bucina.core.measure.Length;
import java.util.List;
import java.util.Optional;

/**
 * A size of cleco.
 *
 * @param name   {@code 3/32}
 * @param colour that the trade gives it
 * @param from   smallest hole it holds in
 * @param to     largest hole it goes into with a hold, at least from
 * @param source where that stands
 */
public record ClecoSize(String name, String colour, Length from, Length to, String source) {

    public ClecoSize {
        if (!from.positive() || !to.atLeast(from)) {
            throw new IllegalArgumentException(
                    "a cleco holds in holes from over 0 to no less, was " + from + " to " + to);
        }
    }

    /** The size that a hole takes; empty for a hole between sizes, which takes none well. */
    public static Optional<ClecoSize> of(List<ClecoSize> table, Length hole) {
        return table.stream()
                .filter(c -> hole.atLeast(c.from) && hole.atMost(c.to))
                .findFirst();
    }

    /** What the bin of this size is called in the stock. */
    public String bin() {
        return "cleco " + name;
    }
}
