package bucina.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What the builder keeps on the bench beside the sheets.
 *
 * @param sums  kept with the build, oldest first
 * @param tools in the tool crib
 */
public record Workshop(List<KeptSum> sums, List<Tool> tools) {

    /** Nothing yet. */
    public static final Workshop NONE = new Workshop(List.of(), List.of());

    public Workshop {
        sums = List.copyOf(sums);
        tools = List.copyOf(tools);
    }

    /** With a sum added, or put in the place of the one with its id. */
    public Workshop with(KeptSum sum) {
        List<KeptSum> next = new ArrayList<>(sums);
        next.replaceAll(s -> s.id().equals(sum.id()) ? sum : s);
        if (sum(sum.id()).isEmpty()) {
            next.add(sum);
        }
        return new Workshop(next, tools);
    }

    /** Without a sum. */
    public Workshop without(Id.Sum id) {
        return new Workshop(sums.stream().filter(s -> !s.id().equals(id)).toList(), tools);
    }

    /** The sum with this id; empty if it is gone. */
    public Optional<KeptSum> sum(Id.Sum id) {
        return sums.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** With other tools. */
    public Workshop withTools(List<Tool> changed) {
        return new Workshop(sums, changed);
    }
}
