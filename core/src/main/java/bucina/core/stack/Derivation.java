package bucina.core.stack;

import bucina.core.catalogue.Catalogue;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.TypedStack;
import bucina.core.rule.Finding;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/** Everything derived from one build. Immutable: nothing shown can be stale, as a changed build has a derivation of its own. */
public final class Derivation {

    private final Build build;
    private final Catalogue catalogue;
    private final Map<Id.Face, FaceReading> faces;
    private final Map<Id.Group, Solution> typed;

    private Derivation(Build build, Catalogue catalogue, Map<Id.Face, FaceReading> faces, Map<Id.Group, Solution> typed) {
        this.build = build;
        this.catalogue = catalogue;
        this.faces = faces;
        this.typed = typed;
    }

    /** Works out a whole build. */
    public static Derivation of(Build build, Catalogue catalogue) {
        return new Derivation(build, catalogue, Map.of(), Map.of()).next(build);
    }

    /** The derivation of what the build has become: faces that did not change keep their readings. */
    public Derivation after(Build changed) {
        return changed.rules().equals(build.rules()) ? next(changed) : of(changed, catalogue);
    }

    private Derivation next(Build changed) {
        Solver solver = new Solver(catalogue, changed.rules());
        Map<Id.Face, FaceReading> readings = new LinkedHashMap<>();
        Map<Id.Group, Solution> solutions = new HashMap<>();
        // Faces do not depend on each other: each core takes some, and the order of the map is that of the build.
        List<FaceReading> read = changed.faces().parallelStream().map(ref -> read(ref.face(), solver)).toList();
        read.forEach(r -> readings.put(r.face().id(), r));
        for (Build.FaceRef ref : changed.faces()) {
            for (Group group : ref.face().groups()) {
                group.typed().ifPresent(stack -> solutions.put(group.id(), solve(solver, group, stack)));
            }
        }
        return new Derivation(changed, catalogue, readings, solutions);
    }

    private FaceReading read(Face face, Solver solver) {
        FaceReading before = faces.get(face.id());
        return before == null ? FaceReading.of(face, solver) : before.face() == face ? before : before.after(face, solver);
    }

    private static Solution solve(Solver solver, Group group, TypedStack stack) {
        return solver.solve(group.fastener(), group.preparation(), Optional.empty(), stack.layers(), Optional.empty());
    }

    /** The build derived from. */
    public Build build() {
        return build;
    }

    /** The catalogue used. */
    public Catalogue catalogue() {
        return catalogue;
    }

    /** The readings of a face of this build. */
    public FaceReading face(Id.Face face) {
        FaceReading reading = faces.get(face);
        if (reading == null) {
            throw new IllegalArgumentException("face " + face.n() + " is not in this build");
        }
        return reading;
    }

    /** The solution of a group with a typed stack; empty for groups with holes. */
    public Optional<Solution> typed(Id.Group group) {
        return Optional.ofNullable(typed.get(group));
    }

    /** The layers that cover a point of a face, from the near side; may be empty. */
    public static List<Layer> covering(Face face, Point at) {
        return face.layers().stream().filter(l -> l.outline().covers(at)).toList();
    }

    /**
     * Every finding of the build, face by face.
     *
     * @param cancelled asked between holes; when it says true the findings so far are returned
     */
    public List<Finding> findings(BooleanSupplier cancelled) {
        List<Finding> all = new ArrayList<>();
        for (Build.FaceRef ref : build.faces()) {
            for (HoleReading reading : face(ref.face().id()).readings()) {
                if (cancelled.getAsBoolean()) {
                    return all;
                }
                if (reading.worst().isPresent()) {
                    all.addAll(StackCheck.findings(ref.face(), reading));
                }
            }
            for (Group group : ref.face().groups()) {
                typed(group.id()).ifPresent(s -> s.faults().forEach(f -> all.add(new Finding(f.rule(), f.level(),
                        new Finding.Place(ref.face().name(), group.code(), "", ""), f.measured(), f.required(), f.source(),
                        f.message().after(group.code() + ": "), f.remedy()))));
            }
        }
        return all;
    }
}
