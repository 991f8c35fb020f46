package bucina.core.stack;

import bucina.core.catalogue.Catalogue;
import bucina.core.material.Material;
import bucina.core.measure.Sentence;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.TypedStack;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;

/**
 * Everything derived from one build. Immutable: nothing shown can be stale, as a changed build has a derivation of its
 * own.
 */
public final class Derivation {

    private final Build build;
    private final Catalogue catalogue;
    private final Map<Id.Face, FaceReading> faces;
    private final Map<Id.Group, Solution> typed;
    private final Accepted accepted;

    private Derivation(
            Build build,
            Catalogue catalogue,
            Map<Id.Face, FaceReading> faces,
            Map<Id.Group, Solution> typed,
            Accepted accepted) {
        this.build = build;
        this.catalogue = catalogue;
        this.faces = faces;
        this.typed = typed;
        this.accepted = accepted;
    }

    /** Works out a whole build. */
    public static Derivation of(Build build, Catalogue catalogue) {
        return new Derivation(build, catalogue, Map.of(), Map.of(), Accepted.of(build)).next(build);
    }

    /** The derivation of what the build has become: faces that did not change keep their readings. */
    public Derivation after(Build changed) {
        boolean same =
                changed.rules().equals(build.rules()) && materials(changed).equals(materials(build));
        return same ? next(changed) : of(changed, catalogue);
    }

    private static Map<Id.Part, Material> materials(Build build) {
        return build.parts().stream().collect(Collectors.toMap(Part::id, Part::material));
    }

    private Derivation next(Build changed) {
        Solver solver = new Solver(catalogue, changed.rules());
        Accepted now = changed.papers() == build.papers() ? accepted : Accepted.of(changed);
        Map<Id.Face, FaceReading> readings = new LinkedHashMap<>();
        Map<Id.Group, Solution> solutions = new HashMap<>();
        // Faces do not depend on each other: each core takes some, and the order of the map is that of the build.
        HoleReader.Around around = new HoleReader.Around(solver, now, materials(changed)::get);
        List<FaceReading> read = changed.faces().parallelStream()
                .map(ref -> read(ref.face(), around))
                .toList();
        read.forEach(r -> readings.put(r.face().id(), r));
        for (Build.FaceRef ref : changed.faces()) {
            for (Group group : ref.face().groups()) {
                group.typed().ifPresent(stack -> solutions.put(group.id(), solve(solver, group, stack)));
            }
        }
        return new Derivation(changed, catalogue, readings, solutions, now);
    }

    private FaceReading read(Face face, HoleReader.Around around) {
        FaceReading before = faces.get(face.id());
        if (before == null) {
            return FaceReading.of(face, around);
        }
        return before.face() == face && around.accepted() == accepted ? before : before.after(face, around);
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

    /** What holds a group as a whole: its open queries. */
    private List<Finding> group(Face face, Group group) {
        return build.papers().queries().stream()
                .filter(q -> q.open() && q.group().equals(group.id()))
                .map(q -> new Finding(
                        RuleCode.QUERY_OPEN,
                        Level.WARNING,
                        new Finding.Place(face.name(), group.code(), "", ""),
                        Optional.empty(),
                        Optional.empty(),
                        "a query of " + q.opened(),
                        Sentence.of(group.code() + " waits for an answer: "
                                + q.text().replace("{}", "")),
                        Sentence.of("Answer it with its source before anything is set.")))
                .toList();
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
                if (reading.worst().isPresent() || !reading.accepted().isEmpty()) {
                    all.addAll(StackCheck.findings(ref.face(), reading));
                }
            }
            all.addAll(face(ref.face().id()).rowFindings());
            groups(ref, all);
        }
        return all;
    }

    private void groups(Build.FaceRef ref, List<Finding> all) {
        for (Group group : ref.face().groups()) {
            group(ref.face(), group).forEach(all::add);
            typed(group.id())
                    .ifPresent(s -> s.faults()
                            .forEach(f -> all.add(new Finding(
                                    f.rule(),
                                    f.level(),
                                    new Finding.Place(ref.face().name(), group.code(), "", ""),
                                    f.measured(),
                                    f.required(),
                                    f.source(),
                                    f.message().after(group.code() + ": "),
                                    f.remedy()))));
        }
    }
}
