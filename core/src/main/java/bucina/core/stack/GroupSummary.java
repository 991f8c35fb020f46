package bucina.core.stack;

import bucina.core.measure.Length;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import java.util.Map;
import java.util.TreeMap;

/**
 * A group in figures.
 *
 * @param grips        how many fasteners have which grip, thin to thick
 * @param designations how many fasteners take which designation; {@code none} where none does
 */
public record GroupSummary(Map<Length, Integer> grips, Map<String, Integer> designations) {

    /** The summary of a group of a face of the derivation's build. */
    public static GroupSummary of(Derivation derivation, Face face, Group group) {
        Map<Length, Integer> grips = new TreeMap<>();
        Map<String, Integer> designations = new TreeMap<>();
        derivation.typed(group.id()).ifPresent(s -> add(grips, designations, s, group.count()));
        FaceReading reading = derivation.face(face.id());
        for (var row : group.rows()) {
            row.holes()
                    .forEach(hole -> add(
                            grips,
                            designations,
                            reading.of(hole.id()).orElseThrow().solution(),
                            1));
        }
        return new GroupSummary(grips, designations);
    }

    private static void add(
            Map<Length, Integer> grips, Map<String, Integer> designations, Solution solution, int count) {
        grips.merge(solution.grip(), count, Integer::sum);
        designations.merge(solution.called(), count, Integer::sum);
    }
}
