package bucina.core.stack;

import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Row;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Box;
import bucina.core.sheet.PointGrid;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The holes of one face laid out in one list, with an index of where they are. Immutable. */
final class FaceHoles {

    /** No head reaches farther than this many shank diameters, and neighbours farther off than this do not matter. */
    private static final double REACH = 3;

    /**
     * One hole and where it stands in the plan.
     *
     * @param place in its row, from 0
     */
    record Slot(Group group, Row row, int place, Hole hole) {}

    private final List<Slot> slots = new ArrayList<>();
    private final Map<Id.Hole, Integer> places;
    private final PointGrid index;
    private final double reach;

    FaceHoles(Face face, RuleSet rules) {
        double shank = slots(face);
        places = HashMap.newHashMap(slots.size());
        for (int i = 0; i < slots.size(); i++) {
            places.put(slots.get(i).hole.id(), i);
        }
        double factor = Math.max(REACH, Math.max(rules.factor(RuleKey.PITCH_LEAST), rules.factor(RuleKey.GAUGE_LEAST)));
        reach = shank * factor + rules.length(RuleKey.TANGENT_CLEAR).nanometres();
        index = new PointGrid(slots.stream().map(s -> s.hole.at()).toList(), Math.max(reach, 1e6));
    }

    private double slots(Face face) {
        double shank = 0;
        for (Group group : face.groups()) {
            shank = Math.max(shank, group.fastener().shank().nanometres());
            for (Row row : group.rows()) {
                int place = 0;
                for (Hole hole : row.holes()) {
                    slots.add(new Slot(group, row, place++, hole));
                    shank = Math.max(
                            shank,
                            hole.deviation()
                                    .flatMap(Deviation::fastener)
                                    .map(Fastener::shank)
                                    .map(l -> l.nanometres())
                                    .orElse(0.0));
                }
            }
        }
        return shank;
    }

    int size() {
        return slots.size();
    }

    Slot slot(int i) {
        return slots.get(i);
    }

    @Nullable
    Integer place(Id.Hole hole) {
        return places.get(hole);
    }

    /** Places of the holes whose centre lies in the box, ascending. */
    List<Integer> in(Box box) {
        return index.in(box);
    }

    /** How far off another hole or an edge may matter to a hole of this face, nm. */
    double reach() {
        return reach;
    }
}
