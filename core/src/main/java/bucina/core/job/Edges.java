package bucina.core.job;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

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
        if (before >= 0 && after >= 0 && before != after && seen.add((long) before << 32 | after)) {
            all.add(new Edge(before, after, rule, text));
        }
    }

    List<Edge> all() {
        return all;
    }
}
