package bucina.core.hand;

import bucina.core.measure.InputException;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.Twin;
import bucina.core.plan.Zone;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What a twin differs in from its first hand, and how the two are brought in line. */
public final class Hands {

    private final Build build;
    private final Assembly first;
    private final Assembly twin;
    private final Twin link;
    private final List<Difference> found = new ArrayList<>();

    private Hands(Build build, Assembly twin, Assembly first) {
        this.build = build;
        this.twin = twin;
        this.first = first;
        this.link = twin.twin().orElseThrow();
    }

    /** Empty for an assembly that follows none, or whose first hand is gone. */
    private static Optional<Hands> of(Build build, Assembly twin) {
        return twin.twin()
                .flatMap(link -> build.assemblies().stream()
                        .filter(a -> a.id().equals(link.of()))
                        .findFirst()
                        .map(first -> new Hands(build, twin, first)));
    }

    /**
     * One difference.
     *
     * @param subject   on the twin; on the first hand where the twin lacks it
     * @param face      the twin's face
     * @param words     what differs, one sentence
     * @param exception the name of the exception that allows it; empty for one that is offered to the twin
     */
    public record Difference(Id subject, Id.Face face, String words, Optional<String> exception) {}

    /** What the twin differs in; empty for an assembly that follows none, or whose first hand is gone. */
    public static List<Difference> differences(Build build, Assembly twin) {
        Optional<Hands> hands = of(build, twin);
        hands.ifPresent(Hands::compare);
        return hands.map(h -> List.copyOf(h.found)).orElse(List.of());
    }

    private void compare() {
        for (Face face : first.faces()) {
            Optional<Face> mate = twin.faces().stream()
                    .filter(f -> Long.valueOf(f.id().n())
                            .equals(link.pairs().get(face.id().n())))
                    .findFirst();
            mate.ifPresent(m -> compare(Mirror.image(face, twin.hand()), m));
        }
    }

    private void compare(Face image, Face mate) {
        layers(mate, image);
        Map<Long, Group> groups = new HashMap<>();
        mate.groups().forEach(g -> groups.put(g.id().n(), g));
        for (Group group : image.groups()) {
            Group other = groups.remove(pair(group.id()));
            if (other == null) {
                note(group.id(), mate, "Group " + group.code() + " is missing on this hand.");
            } else {
                compare(group, other, mate);
            }
        }
        groups.values().forEach(g -> note(g.id(), mate, "Group " + g.code() + " is on this hand only."));
    }

    private void layers(Face mate, Face image) {
        Map<Long, Layer> layers = new HashMap<>();
        mate.layers().forEach(l -> layers.put(l.id().n(), l));
        for (Layer layer : image.layers()) {
            Layer other = layers.remove(pair(layer.id()));
            if (other == null) {
                note(layer.id(), mate, layer.name() + " is missing on this hand.");
            } else if (!other.thickness().same(layer.thickness())
                    || !other.outline().equals(layer.outline())
                    || !other.flange().equals(layer.flange())
                    || !other.holes().come().equals(layer.holes().come())) {
                note(
                        other.id(),
                        mate,
                        other.name()
                                + (other.thickness().same(layer.thickness())
                                        ? other.outline().equals(layer.outline())
                                                        && other.flange().equals(layer.flange())
                                                ? " has holes that come otherwise."
                                                : " has another outline."
                                        : " has another thickness."));
            }
        }
        layers.values().forEach(l -> note(l.id(), mate, l.name() + " is on this hand only."));
    }

    private void compare(Group image, Group mate, Face face) {
        if (!image.fastener().equals(mate.fastener())
                || image.headFar() != mate.headFar()
                || image.preparation() != mate.preparation()
                || !image.callout().equals(mate.callout())
                || !image.holes().equals(mate.holes())) {
            note(
                    mate.id(),
                    face,
                    "Group " + mate.code() + " has " + mate.fastener().name() + " \"" + mate.callout()
                            + "\"; the other hand " + image.fastener().name() + " \"" + image.callout() + "\".");
        }
        Map<Long, Hole> holes = new HashMap<>();
        Map<Long, String> names = new HashMap<>();
        mate.rows()
                .forEach(r -> r.holes().forEach(h -> {
                    holes.put(h.id().n(), h);
                    names.put(h.id().n(), r.label(h));
                }));
        for (Row row : image.rows()) {
            for (Hole hole : row.holes()) {
                Hole other = holes.remove(pair(hole.id()));
                if (other == null) {
                    note(hole.id(), face, mate.code() + " lacks hole " + row.label(hole) + " of the other hand.");
                } else if (hole.at().to(other.at()).nanometres() > 100
                        || !hole.deviation().equals(other.deviation())) {
                    note(
                            other.id(),
                            face,
                            "Hole " + names.get(other.id().n()) + " of " + mate.code()
                                    + (hole.deviation().equals(other.deviation())
                                            ? " lies " + hole.at().to(other.at()) + " off the mirror image."
                                            : " deviates otherwise."));
                }
            }
        }
        holes.values()
                .forEach(h -> note(
                        h.id(),
                        face,
                        "Hole " + names.get(h.id().n()) + " of " + mate.code() + " is on this hand only."));
    }

    private @Nullable Long pair(Id id) {
        return link.pairs().get(id.n());
    }

    private void note(Id subject, Face face, String words) {
        found.add(new Difference(
                subject,
                face.id(),
                words,
                link.exceptions().stream()
                        .filter(e -> e.id() == subject.n())
                        .map(Twin.Exception::name)
                        .findFirst()));
    }

    /** The build with a difference named as an exception: it is kept, and no longer offered. */
    public static Build except(Build build, Id.Assembly twin, Id subject, String name) {
        if (name.isBlank()) {
            throw new InputException("an exception needs a name, such as \"the probe is on this side only\"");
        }
        return assembly(build, twin, a -> {
            Twin link = a.twin().orElseThrow();
            List<Twin.Exception> exceptions = new ArrayList<>(link.exceptions());
            exceptions.removeIf(e -> e.id() == subject.n());
            exceptions.add(new Twin.Exception(subject.n(), name.strip()));
            return a.withTwin(new Twin(link.of(), link.pairs(), exceptions));
        });
    }

    private static Build assembly(Build build, Id.Assembly id, UnaryOperator<Assembly> change) {
        return build.withAssemblies(
                build.assemblies().stream()
                        .map(a -> a.id().equals(id) ? change.apply(a) : a)
                        .toList(),
                build.nextId());
    }

    /** The build with the twin brought in line with its first hand, except for what is named as an exception. */
    public static Build takeOver(Build build, Id.Assembly id) {
        Assembly twin = build.assemblies().stream()
                .filter(a -> a.id().equals(id))
                .findFirst()
                .orElseThrow();
        Hands hands = of(build, twin)
                .orElseThrow(
                        () -> new InputException("the first hand of " + twin.name() + " is no longer in the build"));
        return hands.new Line().drawn();
    }

    /** Draws the twin anew, keeping what is excepted. */
    private final class Line {

        private final Map<Long, Long> pairs = new HashMap<>(link.pairs());
        private final Set<Long> excepted =
                link.exceptions().stream().map(Twin.Exception::id).collect(Collectors.toSet());
        private final List<Part> parts = new ArrayList<>(build.parts());
        private long next = build.nextId();

        Build drawn() {
            List<Face> faces = new ArrayList<>(twin.faces());
            Set<Long> mirrored = new HashSet<>();
            for (Face face : first.faces()) {
                Face image = Mirror.image(face, twin.hand());
                long mate = pairs.computeIfAbsent(face.id().n(), n -> next++);
                mirrored.add(mate);
                Optional<Face> now =
                        faces.stream().filter(f -> f.id().n() == mate).findFirst();
                put(image, mate, now, faces);
            }
            return finished(faces);
        }

        private Build finished(List<Face> faces) {
            Assembly changed = twin.withFaces(faces).withTwin(new Twin(link.of(), pairs, link.exceptions()));
            return assembly(build.withParts(parts, next), twin.id(), a -> changed)
                    .withNextId(next)
                    .checked();
        }

        private void put(Face image, long mate, Optional<Face> now, List<Face> faces) {
            Face drawn = face(image, mate, now);
            if (now.isPresent()) {
                faces.set(faces.indexOf(now.get()), drawn);
            } else {
                faces.add(drawn);
            }
        }

        private Face face(Face image, long id, Optional<Face> now) {
            List<Layer> old = now.map(Face::layers).orElse(List.of());
            List<Layer> layers = new ArrayList<>();
            for (Layer layer : image.layers()) {
                if (excepted.contains(layer.id().n())) {
                    continue;
                }
                long mate = pairs.computeIfAbsent(layer.id().n(), n -> next++);
                Optional<Layer> is =
                        old.stream().filter(l -> l.id().n() == mate).findFirst();
                layers.add(is.filter(l -> excepted.contains(mate))
                        .orElseGet(() -> new Layer(
                                new Id.Layer(mate),
                                part(layer.part()),
                                layer.name(),
                                layer.thickness(),
                                layer.outline(),
                                layer.flange(),
                                layer.holes().renumbered(r -> new Id.Row(pairs.computeIfAbsent(r.n(), n -> next++))))));
            }
            old.stream()
                    .filter(l -> excepted.contains(l.id().n()) && !layers.contains(l))
                    .forEach(layers::add);
            Face face = new Face(
                    new Id.Face(id),
                    image.name(),
                    image.viewed(),
                    image.xToward(),
                    image.yToward(),
                    layers,
                    groups(image, now.map(Face::groups).orElse(List.of()), layers),
                    zones(image));
            return face;
        }

        private List<Zone> zones(Face image) {
            return image.zones().stream()
                    .map(z -> new Zone(
                            new Id.Zone(pairs.computeIfAbsent(z.id().n(), n -> next++)),
                            z.name(),
                            z.kind(),
                            z.outline(),
                            z.room()))
                    .toList();
        }

        private Id.Part part(Id.Part of) {
            Long mate = pairs.get(of.n());
            if (mate == null) {
                mate = next++;
                pairs.put(of.n(), mate);
                Part p = build.part(of);
                parts.add(p.like(new Id.Part(mate), Mirror.otherName(p.name(), twin.hand())));
            }
            return new Id.Part(mate);
        }

        private List<Group> groups(Face image, List<Group> old, List<Layer> layers) {
            Set<Id.Layer> there = layers.stream().map(Layer::id).collect(Collectors.toSet());
            List<Group> groups = new ArrayList<>();
            for (Group group : image.groups()) {
                if (excepted.contains(group.id().n())) {
                    continue;
                }
                long mate = pairs.computeIfAbsent(group.id().n(), n -> next++);
                Optional<Group> is =
                        old.stream().filter(g -> g.id().n() == mate).findFirst();
                Group head = is.filter(g -> excepted.contains(mate)).orElse(group);
                groups.add(new Group(
                        new Id.Group(mate),
                        is.map(Group::code).orElse(group.code()),
                        group.name(),
                        head.fastener(),
                        head.headFar(),
                        head.preparation(),
                        head.callout(),
                        rows(group, is),
                        group.typed(),
                        layers(group.expects(), there),
                        layers(group.clears(), there),
                        head == group ? group.holes().under(layers(group.holes().under(), there)) : head.holes(),
                        group.page()));
            }
            old.stream()
                    .filter(g ->
                            excepted.contains(g.id().n()) && groups.stream().noneMatch(x -> x.id().equals(g.id())))
                    .forEach(groups::add);
            return groups;
        }

        private Set<Id.Layer> layers(Set<Id.Layer> ids, Set<Id.Layer> there) {
            return ids.stream()
                    .map(i -> pairs.get(i.n()))
                    .filter(n -> n != null)
                    .map(Id.Layer::new)
                    .filter(there::contains)
                    .collect(Collectors.toSet());
        }

        private List<Row> rows(Group image, Optional<Group> is) {
            Map<Long, Hole> old = new HashMap<>();
            is.ifPresent(g -> g.rows().forEach(r -> r.holes().forEach(h -> old.put(h.id().n(), h))));
            List<Row> rows = new ArrayList<>();
            for (Row row : image.rows()) {
                long mate = pairs.computeIfAbsent(row.id().n(), n -> next++);
                Optional<Row> was = is.flatMap(
                        g -> g.rows().stream().filter(r -> r.id().n() == mate).findFirst());
                List<Hole> holes = new ArrayList<>();
                for (Hole hole : row.holes()) {
                    if (!excepted.contains(hole.id().n())) {
                        long id = pairs.computeIfAbsent(hole.id().n(), n -> next++);
                        Hole kept = old.remove(id);
                        holes.add(
                                kept != null && excepted.contains(id)
                                        ? kept
                                        : new Hole(new Id.Hole(id), hole.label(), hole.at(), hole.deviation()));
                    }
                }
                was.ifPresent(w -> w.holes().stream()
                        .filter(h -> excepted.contains(h.id().n()) && !holes.contains(h))
                        .forEach(holes::add));
                if (!holes.isEmpty()) {
                    rows.add(labelled(mate, row, was, holes));
                }
            }
            is.ifPresent(g -> g.rows().stream()
                    .filter(r -> rows.stream().noneMatch(x -> x.id().equals(r.id())))
                    .filter(r -> r.holes().stream().anyMatch(h -> excepted.contains(h.id().n())))
                    .forEach(rows::add));
            return rows;
        }

        /** A hole of the twin alone may have the label that the first hand gave out since: it gets a new one. */
        private static Row labelled(long id, Row row, Optional<Row> was, List<Hole> holes) {
            int label = Math.max(row.nextLabel(), was.map(Row::nextLabel).orElse(1));
            Set<Integer> taken = new HashSet<>();
            List<Hole> own = new ArrayList<>();
            for (Hole hole : holes) {
                own.add(taken.add(hole.label()) ? hole : new Hole(hole.id(), label++, hole.at(), hole.deviation()));
            }
            return new Row(new Id.Row(id), was.map(Row::name).orElse(row.name()), label, own);
        }
    }

    /** The hand of the face in words, for pictures and templates: {@code LEFT HAND}; empty where there is none. */
    public static String banner(Assembly assembly) {
        return assembly.hand() == Hand.NONE ? "" : assembly.hand().word().toUpperCase(Locale.ROOT) + " HAND";
    }
}
