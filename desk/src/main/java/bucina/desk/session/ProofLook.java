package bucina.desk.session;

import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.prove.Proving;
import bucina.core.prove.Suspects;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What proof says of one face: which heads are to be measured, which failed, which are doubtful.
 *
 * @param face   the face
 * @param groups proof of each group with fasteners set, by the group
 * @param holes  what is said over a hole
 */
public record ProofLook(Id.Face face, Map<Id.Group, Proving> groups, Map<Id.Hole, HoleLook.Overlay> holes) {

    public ProofLook {
        groups = new LinkedHashMap<>(groups);
        holes = Map.copyOf(holes);
    }

    /** Works it out; takes a while, so not on the interface thread. */
    public static ProofLook of(Snapshot now, Id.Face face) {
        Build.FaceRef ref = now.ref(face);
        Map<Id.Group, Proving> groups = new LinkedHashMap<>();
        Map<Id.Hole, HoleLook.Overlay> holes = new HashMap<>();
        Set<String> doubtful = new HashSet<>();
        Suspects.of(now.derivation(), now.log())
                .doubtful()
                .forEach(s -> doubtful.add(s.group().id().n() + " " + s.label()));
        for (HoleReading hole : now.face(face).readings()) {
            if (doubtful.contains(hole.group().id().n() + " " + hole.label())) {
                holes.put(hole.hole().id(), HoleLook.Overlay.DOUBT);
            }
        }
        for (Group group : ref.face().groups()) {
            Proving proving = Proving.of(now.derivation(), now.log(), face, group);
            if (!proving.lines().isEmpty()) {
                groups.put(group.id(), proving);
                say(holes, proving.due(), HoleLook.Overlay.MEASURE);
                say(holes, proving.open(), HoleLook.Overlay.FAILED);
            }
        }
        return new ProofLook(face, groups, holes);
    }

    private static void say(Map<Id.Hole, HoleLook.Overlay> holes, List<Proving.Line> lines, HoleLook.Overlay overlay) {
        lines.forEach(l -> l.hole().ifPresent(h -> holes.put(h.id(), overlay)));
    }

    /** How many heads are to be measured, or were and are not left. */
    public int toProve() {
        return groups.values().stream()
                .mapToInt(p -> p.due().size() + p.open().size())
                .sum();
    }
}
