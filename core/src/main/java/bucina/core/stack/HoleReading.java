package bucina.core.stack;

import bucina.core.measure.Length;
import bucina.core.plan.Acceptance;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Everything derived for one hole. Immutable; compact, since a build has tens of thousands. */
public final class HoleReading {

    private final Group group;
    private final Row row;
    private final Hole hole;
    private final List<Layer> layers;
    private final Solution solution;
    private final double[] edges;
    private final List<Finding> spots;
    private final List<Acceptance> accepted;
    private final @Nullable Level worst;

    /**
     * @param spots    what is wrong with its place; usually empty
     * @param accepted what was accepted about it; usually empty
     * @param wrong    the face it is on if anything is wrong with it; empty if nothing is
     */
    HoleReading(
            FaceHoles.Slot slot,
            List<Layer> layers,
            Solution solution,
            double[] edges,
            List<Finding> spots,
            List<Acceptance> accepted,
            Optional<Face> wrong) {
        this.group = slot.group();
        this.row = slot.row();
        this.hole = slot.hole();
        this.layers = layers;
        this.solution = solution;
        this.edges = edges;
        this.spots = spots;
        this.accepted = accepted;
        this.worst = wrong.flatMap(face -> StackCheck.findings(face, this).stream()
                        .filter(f -> f.accepted().isEmpty())
                        .map(Finding::level)
                        .min(Comparator.naturalOrder()))
                .orElse(null);
    }

    private HoleReading(HoleReading as, Group group, Row row) {
        this.group = group;
        this.row = row;
        this.hole = as.hole;
        this.layers = as.layers;
        this.solution = as.solution;
        this.edges = as.edges;
        this.spots = as.spots;
        this.accepted = as.accepted;
        this.worst = as.worst;
    }

    /** The same reading of a hole whose group or row got other holes. */
    HoleReading in(Group changed, Row changedRow) {
        return group == changed ? this : new HoleReading(this, changed, changedRow);
    }

    List<Finding> spots() {
        return spots;
    }

    List<Acceptance> accepted() {
        return accepted;
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

    /**
     * The worst level of its findings that nobody accepted; empty if there is none. Cheaper than making the findings.
     */
    public Optional<Level> worst() {
        return Optional.ofNullable(worst);
    }

    /** True if every figure of the two readings is the same. */
    public boolean same(HoleReading other) {
        return hole.equals(other.hole)
                && layers.equals(other.layers)
                && solution.equals(other.solution)
                && Arrays.equals(edges, other.edges)
                && worst == other.worst
                && spots.equals(other.spots)
                && accepted.equals(other.accepted);
    }
}
