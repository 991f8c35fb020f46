package bucina.core.job;

import bucina.core.guard.Bays;
import bucina.core.plan.Bay;
import bucina.core.plan.Id;
import bucina.core.prove.Judge;
import bucina.core.prove.Proving;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/*
 * Design. Heads are proved as one job only where they are looked at alike and the same parts wait for them: the same
 * come to lie over them, and the same bays have them inside or are closed by them. So a job of proof is never asked for
 * by what it waits for itself.
 */

/** Which heads of a row are proved as one job. */
final class ProofKinds {

    private final FaceTools tools;
    private final Map<Bay, Set<Id.Part>> bays = new LinkedHashMap<>();

    ProofKinds(Around around, FaceTools tools) {
        this.tools = tools;
        around.build().workshop().bays().forEach(b -> bays.put(b, Bays.inside(b, around.parts())));
    }

    /** By hole of a row the number of its job, from 1; 0 for all where one job is enough. */
    Map<HoleReading, Integer> of(List<HoleReading> row) {
        Map<List<Object>, Integer> kinds = new HashMap<>();
        Map<HoleReading, Integer> numbers = new HashMap<>();
        for (HoleReading hole : row) {
            numbers.put(hole, kinds.computeIfAbsent(kind(hole), k -> kinds.size() + 1));
        }
        if (kinds.size() == 1) {
            numbers.replaceAll((hole, n) -> 0);
        }
        return numbers;
    }

    private List<Object> kind(HoleReading hole) {
        List<Object> kind = new ArrayList<>(
                List.of(tools.lids(hole).keySet(), Proving.head(hole.solution().fastener()) == Judge.Head.BLIND));
        bays.forEach((bay, inside) -> {
            kind.add(Bays.holds(bay, inside, hole));
            kind.add(hole.layers().stream().anyMatch(l -> bay.closers().contains(l.part())));
        });
        return kind;
    }
}
