package bucina.core.hand;

import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
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
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Draws the twin of an assembly anew, keeping what is excepted. */
final class InLine {

    private final Build build;
    private final Assembly first;
    private final Assembly twin;
    private final Twin link;
    private final Map<Long, Long> pairs;
    private final Set<Long> excepted;
    private final List<Part> parts;
    private long next;

    InLine(Build build, Assembly first, Assembly twin, Twin link) {
        this.build = build;
        this.first = first;
        this.twin = twin;
        this.link = link;
        pairs = new HashMap<>(link.pairs());
        excepted = link.exceptions().stream().map(Twin.Exception::id).collect(Collectors.toSet());
        parts = new ArrayList<>(build.parts());
        next = build.nextId();
    }

    Build drawn() {
        List<Face> faces = new ArrayList<>(twin.faces());
        Set<Long> mirrored = new HashSet<>();
        for (Face face : first.faces()) {
            Face image = Mirror.image(face, twin.hand());
            long mate = pairs.computeIfAbsent(face.id().n(), n -> next++);
            mirrored.add(mate);
            Optional<Face> now = faces.stream().filter(f -> f.id().n() == mate).findFirst();
            put(image, mate, now, faces);
        }
        return finished(faces);
    }

    private Build finished(List<Face> faces) {
        Assembly changed = twin.withFaces(faces).withTwin(new Twin(link.of(), pairs, link.exceptions()));
        return Hands.assembly(build.withParts(parts, next), twin.id(), a -> changed)
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
            Optional<Layer> is = old.stream().filter(l -> l.id().n() == mate).findFirst();
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
            Optional<Group> is = old.stream().filter(g -> g.id().n() == mate).findFirst();
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
                .filter(g -> excepted.contains(g.id().n()) && groups.stream().noneMatch(x -> x.id().equals(g.id())))
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
