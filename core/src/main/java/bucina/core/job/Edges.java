package bucina.core.job;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;

/** Which job comes before which. Between two jobs the first reason counts. */
final class Edges {

    /**
     * One demand.
     *
     * @param before the job that comes first
     * @param after  the one that waits
     */
    record Edge(int before, int after, String rule, String text) {}

    private final List<Edge> all = new ArrayList<>();
    private final Set<Long> seen = new HashSet<>();

    /** Demands that one job comes before another; nothing for a job before itself. */
    void add(int before, int after, String rule, String text) {
        if (before >= 0 && after >= 0 && before != after && seen.add(key(before, after))) {
            all.add(new Edge(before, after, rule, text));
        }
    }

    /** True if a reason is known already: what is said of many holes need not be put into words again. */
    boolean has(int before, int after) {
        return before < 0 || after < 0 || before == after || seen.contains(key(before, after));
    }

    /** Both numbers, spread over all bits: the hash of a long is one half laid over the other. */
    private static long key(int before, int after) {
        return ((long) before << 32 | after) * 0x9E3779B97F4A7C15L;
    }

    /** Likewise, with the reason put into words only if it is the first one. */
    void add(int before, int after, String rule, Supplier<String> text) {
        if (!has(before, after)) {
            add(before, after, rule, text.get());
        }
    }

    List<Edge> all() {
        return all;
    }
}
