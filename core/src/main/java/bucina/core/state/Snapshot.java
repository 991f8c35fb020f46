package bucina.core.state;

import bucina.core.callout.Queries;
import bucina.core.guard.Guards;
import bucina.core.hold.Holds;
import bucina.core.log.HoleState;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.pcollections.HashTreePMap;
import org.pcollections.PMap;

/**
 * All that the window shows at one moment: the plan with what follows from it, and the log. Immutable.
 *
 * @param derivation the plan and its readings
 * @param log        the log
 * @param holds      what stays open, and why
 * @param installed  how many fasteners of each group are in and sound: counted once, when the snapshot is made off
 *     the interface thread
 * @param guards     of faces that were asked for, kept for the life of the snapshot
 */
public record Snapshot(
        Derivation derivation,
        Logbook log,
        Holds holds,
        PMap<Id.Group, Integer> installed,
        Map<Id.Face, Guards> guards) {

    private Snapshot(Derivation derivation, Logbook log, Holds holds, PMap<Id.Group, Integer> installed) {
        this(derivation, log, holds, installed, new ConcurrentHashMap<>());
    }

    /** The snapshot of a plan and a log; counts every hole of the build, so not for the interface thread. */
    public static Snapshot of(Derivation derivation, Logbook log) {
        PMap<Id.Group, Integer> installed = HashTreePMap.empty();
        for (Build.FaceRef ref : derivation.build().faces()) {
            for (Group group : ref.face().groups()) {
                installed = installed.plus(group.id(), log.installed(group));
            }
        }
        return new Snapshot(derivation, log, new Holds(derivation, log), installed);
    }

    /** Only the same moment is equal: every property that holds one asks, and whole logs would be compared. */
    @Override
    public boolean equals(@Nullable Object other) {
        return this == other;
    }

    @Override
    public int hashCode() {
        return System.identityHashCode(this);
    }

    /** This snapshot with more marks: nothing that is set changes. */
    public Snapshot marked(Logbook marked) {
        return new Snapshot(derivation, marked, holds.with(parts().with(marked)), installed);
    }

    /** This snapshot with an entry more; only what is on the faces of its holes is counted anew. */
    public Snapshot logged(Logbook logged, LogEntry entry) {
        Set<Id.Face> faces = new HashSet<>();
        Set<Id.Hole> holes = new HashSet<>(Logbook.covered(entry));
        entry.corrects().flatMap(logged::entry).ifPresent(e -> holes.addAll(Logbook.covered(e)));
        PMap<Id.Group, Integer> counts = installed;
        for (Build.FaceRef ref : build().faces()) {
            FaceReading face = derivation.face(ref.face().id());
            if (holes.stream().anyMatch(h -> face.of(h).isPresent())) {
                faces.add(ref.face().id());
                for (Group group : ref.face().groups()) {
                    counts = counts.plus(group.id(), logged.installed(group));
                }
            }
            for (Group group : ref.face().groups()) {
                counts = group.typed().isPresent() ? counts.plus(group.id(), logged.installed(group)) : counts;
            }
        }
        PartStates now = parts().after(derivation, logged, faces);
        return new Snapshot(derivation, logged, new Holds(build(), now), counts);
    }

    /** This snapshot with another plan; only faces that changed are counted anew. */
    public Snapshot planned(Derivation plan) {
        Set<Id.Face> faces = new HashSet<>();
        PMap<Id.Group, Integer> counts = HashTreePMap.empty();
        for (Build.FaceRef ref : plan.build().faces()) {
            boolean same = build().face(ref.face().id())
                    .filter(f -> f.face() == ref.face())
                    .isPresent();
            if (!same) {
                faces.add(ref.face().id());
            }
            for (Group group : ref.face().groups()) {
                counts = counts.plus(group.id(), same ? installed(group) : log.installed(group));
            }
        }
        return new Snapshot(plan, log, new Holds(plan.build(), parts().after(plan, log, faces)), counts);
    }

    /** This snapshot with a plan that is only tried: nothing is counted anew. */
    public Snapshot tried(Derivation plan) {
        return new Snapshot(plan, log, new Holds(plan.build(), parts().after(plan, log, Set.of())), installed);
    }

    /** How the parts stand, and what is owed to them. */
    public PartStates parts() {
        return holds.parts();
    }

    /** What must not be done at the holes of a face now, and why. */
    public Guards guards(Id.Face face) {
        return guards.computeIfAbsent(face, f -> new Guards(derivation, f, log, holds));
    }

    /** True if a sound fastener is in a hole, by the log. */
    public boolean set(HoleReading hole) {
        return log.set(hole.hole());
    }

    /** True if a query of a group is open. */
    public boolean queried(Group group) {
        return !Queries.open(build().papers(), group.id()).isEmpty();
    }

    /** How many fasteners of a group are in and sound. */
    public int installed(Group group) {
        return installed.getOrDefault(group.id(), 0);
    }

    /** The build. */
    public Build build() {
        return derivation.build();
    }

    /** The readings of a face. */
    public FaceReading face(Id.Face face) {
        return derivation.face(face);
    }

    /** A face with its assembly; the face must be in the build. */
    public Build.FaceRef ref(Id.Face face) {
        return build().face(face).orElseThrow();
    }

    /** The material of each layer: code, and a number that is the same for layers of one material in this build. */
    public List<Sheet> sheets(List<Layer> layers) {
        List<String> codes = build().parts().stream()
                .map(p -> p.material().code())
                .distinct()
                .sorted()
                .toList();
        return layers.stream()
                .map(l -> {
                    String code = parts().part(l.part()).material().code();
                    return new Sheet(l.name(), code, codes.indexOf(code));
                })
                .toList();
    }

    /**
     * A sheet as the bench side shows it.
     *
     * @param name     of the layer
     * @param material code of its material
     * @param hatch    number of its material
     */
    public record Sheet(String name, String material, int hatch) {}

    /** Where a hole stands. */
    public HoleState state(HoleReading reading) {
        return log.state(reading.hole(), reading.layers());
    }

    /** How many of a face's fasteners are in. */
    public int installed(Face face) {
        return face.groups().stream().mapToInt(this::installed).sum();
    }

    /** The group with this id and where it is; empty if it is gone. */
    public Optional<Build.GroupRef> group(Id.Group id) {
        for (Build.FaceRef ref : build().faces()) {
            for (Group group : ref.face().groups()) {
                if (group.id().equals(id)) {
                    return Optional.of(new Build.GroupRef(ref.assembly(), ref.face(), group));
                }
            }
        }
        return Optional.empty();
    }
}
