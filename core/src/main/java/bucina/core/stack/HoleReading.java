package bucina.core.stack;

import bucina.core.measure.Length;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.rule.Level;
import java.util.List;
import java.util.Optional;

/** Everything derived for one hole. Immutable; compact, since a build has tens of thousands. */
public final class HoleReading {

    private final Group group;
    private final Row row;
    private final Hole hole;
    private final List<Layer> layers;
    private final Solution solution;
    private final double[] edges;
    private final Level worst;

    HoleReading(Group group, Row row, Hole hole, List<Layer> layers, Solution solution, double[] edges, Level worst) {
        this.group = group;
        this.row = row;
        this.hole = hole;
        this.layers = layers;
        this.solution = solution;
        this.edges = edges;
        this.worst = worst;
    }

    public Group group() {
        return group;
    }

    public Row row() {
        return row;
    }

    public Hole hole() {
        return hole;
    }

    /** Its name, {@code R3.14}. */
    public String label() {
        return row.label(hole);
    }

    /** The sheets it goes through, head side first; may be empty. */
    public List<Layer> layers() {
        return layers;
    }

    /** Grip, dressing, rivet. */
    public Solution solution() {
        return solution;
    }

    /** Distance from the hole's centre to the nearest edge of the i-th layer of {@link #layers()}. */
    public Length edge(int i) {
        return Length.nm(edges[i]);
    }

    /** Which layer has the least edge distance; empty if there is no layer. */
    public Optional<Integer> nearestEdge() {
        int best = -1;
        for (int i = 0; i < edges.length; i++) {
            if (best < 0 || edges[i] < edges[best]) {
                best = i;
            }
        }
        return best < 0 ? Optional.empty() : Optional.of(best);
    }

    /** The worst level of its findings; empty if there is none. Cheaper than making the findings. */
    public Optional<Level> worst() {
        return Optional.ofNullable(worst);
    }

    /** True if every figure of the two readings is the same. */
    public boolean same(HoleReading other) {
        return hole.equals(other.hole) && layers.equals(other.layers) && solution.equals(other.solution)
                && java.util.Arrays.equals(edges, other.edges) && worst == other.worst;
    }
}
