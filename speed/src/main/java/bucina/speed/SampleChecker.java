package bucina.speed;

import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Row;
import java.util.HashSet;
import java.util.Set;

/** Which heads are measured of a build on which nothing is set yet; knows the handbook's section 15 and the plan. */
final class SampleChecker {

    private SampleChecker() {}

    /** Holes 1 to 5 of each group as filed, 15, 25 and so on, the last, and the first of any row left out. */
    static Set<Id.Hole> heads(Build build) {
        Set<Id.Hole> heads = new HashSet<>();
        for (Build.FaceRef ref : build.faces()) {
            for (Group group : ref.face().groups()) {
                if (!(group.fastener() instanceof Fastener.SolidRivet
                        || group.fastener() instanceof Fastener.PulledRivet)) {
                    continue;
                }
                int count =
                        group.rows().stream().mapToInt(r -> r.holes().size()).sum();
                int number = 0;
                for (Row row : group.rows()) {
                    int before = heads.size();
                    for (Hole hole : row.holes()) {
                        number++;
                        if (number <= 5 || number % 10 == 5 || number == count) {
                            heads.add(hole.id());
                        }
                    }
                    if (heads.size() == before && !row.holes().isEmpty()) {
                        heads.add(row.holes().getFirst().id());
                    }
                }
            }
        }
        return heads;
    }
}
