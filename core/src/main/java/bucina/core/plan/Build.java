package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.rule.RuleSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * Everything that is planned for one aircraft.
 *
 * @param name       of the build
 * @param aircraft   what is built
 * @param rules      the rule set in force
 * @param nextId     the next id to give out; over every id ever used
 * @param parts      the parts
 * @param assemblies the assemblies
 * @param stock      how many of each designation are on hand, by designation; counts at least 0
 * @param papers     what was asked, accepted and replaced
 * @param workshop   sums, tools, batches, index marks and readings that are kept
 */
public record Build(
        String name,
        String aircraft,
        RuleSet rules,
        long nextId,
        List<Part> parts,
        List<Assembly> assemblies,
        Map<String, Integer> stock,
        Paperwork papers,
        Workshop workshop) {
    public Build {
        Names.check("a build", name);
        Objects.requireNonNull(aircraft, "aircraft");
        Objects.requireNonNull(rules, "rules");
        parts = List.copyOf(parts);
        assemblies = List.copyOf(assemblies);
        stock = Map.copyOf(stock);
        Objects.requireNonNull(papers, "papers");
        Objects.requireNonNull(workshop, "workshop");
    }

    /** A build with no paperwork and an empty workshop. */
    public Build(
            String name,
            String aircraft,
            RuleSet rules,
            long nextId,
            List<Part> parts,
            List<Assembly> assemblies,
            Map<String, Integer> stock) {
        this(name, aircraft, rules, nextId, parts, assemblies, stock, Paperwork.NONE, Workshop.NONE);
    }

    /**
     * Checks what no single record can see: ids used once and under {@code nextId}, layers that name a known part,
     * group codes and row names
     * used once, expected layers that are on the face, figures that sheet metal can have.
     *
     * @throws InputException with a sentence that names the first thing wrong
     */
    public Build checked() {
        Bounds.checkNext(nextId);
        Ids ids = new Ids(nextId);
        Set<Id.Part> known = new HashSet<>();
        parts.forEach(p -> known.add(ids.take(p.id(), "part " + p.name())));
        Set<String> codes = new HashSet<>();
        for (Assembly assembly : assemblies) {
            ids.take(assembly.id(), "assembly " + assembly.name());
            for (Face face : assembly.faces()) {
                ids.take(face.id(), "face " + face.name());
                checkFace(face, ids, known, codes);
                Bounds.check(face);
            }
        }
        papers.shelf().all().forEach(k -> checkKept(k, ids, known));
        workshop.shelf().all().forEach(k -> checkKept(k, ids, known));
        stock.forEach((designation, count) ->
                require(count >= 0, "stock of " + designation + " must be at least 0, was " + count));
        return this;
    }

    private static void checkKept(Kept kept, Ids ids, Set<Id.Part> known) {
        ids.take(kept.id(), kept.called());
        kept.parts()
                .forEach(p -> require(
                        known.contains(p), kept.called() + " names part " + p.n() + ", which the build does not have"));
    }

    private static void checkFace(Face face, Ids ids, Set<Id.Part> known, Set<String> codes) {
        Set<Id.Layer> layers = new HashSet<>();
        for (Layer layer : face.layers()) {
            layers.add(ids.take(layer.id(), "layer " + layer.name()));
            require(
                    known.contains(layer.part()),
                    "layer " + layer.name() + " of face " + face.name() + " names part "
                            + layer.part().n() + ", which the build does not have");
        }
        face.zones().forEach(zone -> ids.take(zone.id(), "zone " + zone.name()));
        Set<String> rows = new HashSet<>();
        for (Group group : face.groups()) {
            ids.take(group.id(), "group " + group.code());
            require(codes.add(group.code()), "two groups have the code " + group.code());
            require(
                    layers.containsAll(group.expects())
                            && layers.containsAll(group.clears())
                            && layers.containsAll(group.holes().under()),
                    "group " + group.code() + " names a layer that face " + face.name() + " does not have");
            for (Row row : group.rows()) {
                ids.take(row.id(), "row " + row.name());
                require(rows.add(row.name()), "face " + face.name() + " has two rows " + row.name());
                row.holes().forEach(hole -> ids.take(hole.id(), "hole " + row.label(hole)));
            }
        }
    }

    private static void require(boolean holds, String sentence) {
        if (!holds) {
            throw new InputException(sentence);
        }
    }

    /** Sees that every id is under the next and used once. */
    private record Ids(long next, Map<Long, String> seen) {
        Ids(long next) {
            this(next, new HashMap<>());
        }

        <T extends Id> T take(T id, String what) {
            require(id.n() < next, what + " has id " + id.n() + ", but the next id to give out is " + next);
            String before = seen.put(id.n(), what);
            require(before == null, what + " and " + before + " share the id " + id.n());
            return id;
        }
    }

    /** Every face with its assembly, in order. */
    public List<FaceRef> faces() {
        return assemblies.stream()
                .flatMap(a -> a.faces().stream().map(f -> new FaceRef(a, f)))
                .toList();
    }

    /** The group with this code and where it is; empty if there is none. */
    public Optional<GroupRef> group(String code) {
        for (FaceRef ref : faces()) {
            for (Group group : ref.face().groups()) {
                if (group.code().equalsIgnoreCase(code)) {
                    return Optional.of(new GroupRef(ref.assembly(), ref.face(), group));
                }
            }
        }
        return Optional.empty();
    }

    /** The face with this name (in any assembly); empty if there is none. */
    public Optional<FaceRef> face(String faceName) {
        return faces().stream()
                .filter(f -> f.face().name().equalsIgnoreCase(faceName))
                .findFirst();
    }

    /** The face with this id and its assembly; empty if there is none. */
    public Optional<FaceRef> face(Id.Face id) {
        return faces().stream().filter(f -> f.face().id().equals(id)).findFirst();
    }

    /** This build with one face put in the place of the face with the same id, and the next id moved on. */
    public Build with(Face changed, long next) {
        return withAssemblies(
                assemblies.stream()
                        .map(a -> a.faces().stream().anyMatch(f -> f.id().equals(changed.id())) ? a.with(changed) : a)
                        .toList(),
                next);
    }

    /** This build with other assemblies, and the next id moved on. */
    public Build withAssemblies(List<Assembly> changed, long next) {
        return new Build(name, aircraft, rules, Math.max(next, nextId), parts, changed, stock, papers, workshop);
    }

    /** This build with other parts, and the next id moved on. */
    public Build withParts(List<Part> changed, long next) {
        return new Build(name, aircraft, rules, Math.max(next, nextId), changed, assemblies, stock, papers, workshop);
    }

    /** This build with one part put in the place of the part with the same id. */
    public Build with(Part changed) {
        return withParts(
                parts.stream()
                        .map(p -> p.id().equals(changed.id()) ? changed : p)
                        .toList(),
                nextId);
    }

    /** This build with other paperwork, and the next id moved on. */
    public Build withPapers(Paperwork changed, long next) {
        return new Build(name, aircraft, rules, Math.max(next, nextId), parts, assemblies, stock, changed, workshop);
    }

    /** This build with another workshop, and the next id moved on. */
    public Build withWorkshop(Workshop changed, long next) {
        return new Build(name, aircraft, rules, Math.max(next, nextId), parts, assemblies, stock, papers, changed);
    }

    /** This build with other counts on hand. */
    public Build withStock(Map<String, Integer> counts) {
        return new Build(name, aircraft, rules, nextId, parts, assemblies, counts, papers, workshop);
    }

    /** This build under another rule set. */
    public Build withRules(RuleSet changed) {
        return new Build(name, aircraft, changed, nextId, parts, assemblies, stock, papers, workshop);
    }

    /** This build with the ids below {@code next} kept out of reach. */
    public Build withNextId(long next) {
        return new Build(name, aircraft, rules, Math.max(next, nextId), parts, assemblies, stock, papers, workshop);
    }

    /** The part with this id; it must be in the build. */
    public Part part(Id.Part id) {
        return parts.stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new InputException("no part " + id.n()));
    }

    /** The part with this name, number or other name, as people write it; empty if there is none. */
    public Optional<Part> named(String name) {
        String wanted = name.strip();
        return parts.stream()
                .filter(p -> p.name().equalsIgnoreCase(wanted))
                .findFirst()
                .or(() -> parts.stream()
                        .filter(p -> p.particulars().number().equalsIgnoreCase(wanted)
                                || p.particulars().aliases().stream().anyMatch(wanted::equalsIgnoreCase))
                        .findFirst());
    }

    /** A face and the assembly it belongs to. */
    public record FaceRef(Assembly assembly, Face face) {}

    /** A group, its face and its assembly. */
    public record GroupRef(Assembly assembly, Face face, Group group) {}
}
