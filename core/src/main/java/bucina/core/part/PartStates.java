package bucina.core.part;

import bucina.core.log.CloseOut;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/** How every part of a build stands. Immutable, made once for a build and its log; cheap to ask. */
public final class PartStates {

    private final Build build;
    private final Logbook log;
    private final Map<Id.Part, Part> parts;
    private final Map<Id.Part, List<On>> lies;
    private final Map<Id.Layer, Id.Face> where;
    private final Map<Id.Face, Set<Id.Part>> fastened;

    /**
     * A sheet of a part.
     *
     * @param assembly where
     * @param face     on which face
     * @param layer    which sheet there
     */
    public record On(Assembly assembly, Face face, Layer layer) {}

    private PartStates(
            Build build,
            Logbook log,
            Map<Id.Part, Part> parts,
            Map<Id.Part, List<On>> lies,
            Map<Id.Layer, Id.Face> where,
            Map<Id.Face, Set<Id.Part>> fastened) {
        this.build = build;
        this.log = log;
        this.parts = parts;
        this.lies = lies;
        this.where = where;
        this.fastened = fastened;
    }

    private static PartStates of(Build build, Logbook log, Map<Id.Face, Set<Id.Part>> fastened) {
        Map<Id.Part, Part> parts = new LinkedHashMap<>();
        build.parts().forEach(p -> parts.put(p.id(), p));
        Map<Id.Part, List<On>> lies = new HashMap<>();
        Map<Id.Layer, Id.Face> where = new HashMap<>();
        for (Build.FaceRef ref : build.faces()) {
            for (Layer layer : ref.face().layers()) {
                where.put(layer.id(), ref.face().id());
                lies.computeIfAbsent(layer.part(), p -> new ArrayList<>())
                        .add(new On(ref.assembly(), ref.face(), layer));
            }
        }
        return new PartStates(build, log, parts, lies, where, fastened);
    }

    /** Of a build with nothing logged. */
    public static PartStates of(Build build) {
        return of(build, Logbook.EMPTY, Map.of());
    }

    /** Of a build and its log; looks at every hole with a fastener in. */
    public static PartStates of(Derivation derivation, Logbook log) {
        Map<Id.Face, Set<Id.Part>> fastened = new HashMap<>();
        for (Build.FaceRef ref : derivation.build().faces()) {
            fastened.put(ref.face().id(), fastened(derivation, ref.face().id(), log));
        }
        return of(derivation.build(), log, fastened);
    }

    /** Of a build that may have changed, and its log; of faces on which neither has, what was known is kept. */
    public PartStates after(Derivation derivation, Logbook next, Set<Id.Face> changed) {
        Map<Id.Face, Set<Id.Part>> now = new HashMap<>();
        for (Build.FaceRef ref : derivation.build().faces()) {
            Id.Face face = ref.face().id();
            Set<Id.Part> before = fastened.get(face);
            now.put(face, before == null || changed.contains(face) ? fastened(derivation, face, next) : before);
        }
        return of(derivation.build(), next, now);
    }

    /** The same with marks that set nothing. */
    public PartStates with(Logbook marked) {
        return new PartStates(build, marked, parts, lies, where, fastened);
    }

    /** Parts that a permanent fastener holds on a face. */
    private static Set<Id.Part> fastened(Derivation derivation, Id.Face face, Logbook log) {
        Set<Id.Part> held = new HashSet<>();
        for (HoleReading hole : derivation.face(face).readings()) {
            Group group = hole.group();
            if (group.fastenerAt(hole.hole()).permanent() && log.set(hole.hole())) {
                hole.layers().forEach(l -> held.add(l.part()));
            }
        }
        return held;
    }

    /** The parts, in the order of the build. */
    public List<Part> all() {
        return List.copyOf(parts.values());
    }

    /** The part with this id, which must be in the build. */
    public Part part(Id.Part id) {
        return Objects.requireNonNull(parts.get(id), "a build has the parts of its sheets");
    }

    /** Where a part lies, face by face. */
    public List<On> lies(Id.Part part) {
        return lies.getOrDefault(part, List.of());
    }

    /** The faces a part lies on, each once. */
    public List<Face> faces(Id.Part part) {
        Map<Id.Face, Face> each = new LinkedHashMap<>();
        lies(part).forEach(on -> each.put(on.face().id(), on.face()));
        return List.copyOf(each.values());
    }

    /** True if a part is on for good on a face: a permanent fastener holds it there, or the builder says so. */
    public boolean forGood(Id.Part part, Id.Face face) {
        return part(part).standing() == Standing.ON
                || part(part).particulars().forGood().contains(face)
                || fastened(part, face);
    }

    /** True if a permanent fastener holds a part on a face. */
    public boolean fastened(Id.Part part, Id.Face face) {
        return fastened.getOrDefault(face, Set.of()).contains(part);
    }

    /** How a part stands on a face: for good, or as it stands where it is not. */
    public Standing at(Id.Part part, Id.Face face) {
        return forGood(part, face) ? Standing.ON : part(part).standing();
    }

    /** How a part stands as one thing: for good once it is on every face it lies on. */
    public Standing of(Id.Part part) {
        List<On> on = lies(part);
        boolean all = !on.isEmpty()
                && on.stream().allMatch(o -> forGood(part, o.face().id()));
        return all ? Standing.ON : part(part).standing();
    }

    /**
     * True if holes go through it on a face: the builder says that it is on there. A fastener in it does not say so: it
     * may have been set in a part that was not on, with a reason.
     */
    public boolean inPlace(Id.Part part, Id.Face face) {
        Part p = part(part);
        return p.standing().inPlace() || p.particulars().forGood().contains(face);
    }

    /** True if holes go through a sheet: its part is on there. */
    public boolean inPlace(Layer sheet) {
        return inPlace(sheet.part(), face(sheet));
    }

    /** True if the part of a sheet is on for good on the sheet's face. */
    public boolean forGood(Layer sheet) {
        return forGood(sheet.part(), face(sheet));
    }

    private Id.Face face(Layer sheet) {
        return Objects.requireNonNull(where.get(sheet.id()), "a build has the sheets of its holes");
    }

    /** When the newest close-out of a bay was entered, whether it still holds or not; empty without one. */
    public Optional<Instant> closedOut(Id.Bay bay) {
        return log.entries().stream()
                .filter(log::inForce)
                .filter(e -> e.labour()
                        .filter(l -> l.what() instanceof CloseOut c && c.bay().equals(bay))
                        .isPresent())
                .map(LogEntry::entered)
                .max(Comparator.naturalOrder());
    }

    /** How a part stands, in a sentence for the builder. */
    public String words(Id.Part id) {
        Part part = part(id);
        Standing standing = of(id);
        List<String> good = faces(id).stream()
                .filter(f -> forGood(id, f.id()))
                .map(Face::name)
                .toList();
        String due = part.particulars().due().map(d -> ", due " + d).orElse("");
        return standing == Standing.ON || good.isEmpty()
                ? standing.word() + due
                : standing.word() + "; for good on " + String.join(", ", good);
    }

    /** What a part owes and what was done to it. */
    public List<Owing> owing(Id.Part part) {
        return Owing.of(part(part), lies(part).stream().map(On::layer).toList(), build, log);
    }

    /** What is still to be done to a part. */
    public List<Owing> owed(Id.Part part) {
        return owing(part).stream().filter(Owing::open).toList();
    }

    /** The part with this name, number or other name, as people write it; empty if there is none. */
    public Optional<Part> named(String name) {
        return build.named(name);
    }
}
