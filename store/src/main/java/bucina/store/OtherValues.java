package bucina.store;

import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import java.util.HashMap;
import java.util.Map;

/** A plan with the values another has of the same things. */
record OtherValues(Build all, Build other) {

    Build build() {
        Map<Long, Part> parts = new HashMap<>();
        other.parts().forEach(p -> parts.put(p.id().n(), p));
        Map<Long, Layer> layers = new HashMap<>();
        Map<Long, Group> groups = new HashMap<>();
        Map<Long, Hole> holes = new HashMap<>();
        for (Build.FaceRef ref : other.faces()) {
            ref.face().layers().forEach(l -> layers.put(l.id().n(), l));
            for (Group g : ref.face().groups()) {
                groups.put(g.id().n(), g);
                g.rows().forEach(r -> r.holes().forEach(h -> holes.put(h.id().n(), h)));
            }
        }
        Build now = all.withParts(
                all.parts().stream()
                        .map(p -> {
                            Part its = parts.get(p.id().n());
                            return its == null ? p : its.with(p.standing()).with(p.particulars());
                        })
                        .toList(),
                all.nextId());
        for (Build.FaceRef ref : all.faces()) {
            Face face = ref.face();
            now = now.with(
                    face.withLayers(face.layers().stream()
                                    .map(l -> layers.getOrDefault(l.id().n(), l))
                                    .toList())
                            .withGroups(face.groups().stream()
                                    .map(g -> replaced(g, groups, holes))
                                    .toList()),
                    now.nextId());
        }
        return now;
    }

    private static Group replaced(Group g, Map<Long, Group> groups, Map<Long, Hole> holes) {
        Group its = groups.getOrDefault(g.id().n(), g);
        return its.named(g.code(), its.name())
                .withRows(g.rows().stream()
                        .map(r -> new Row(
                                r.id(),
                                r.name(),
                                r.nextLabel(),
                                r.holes().stream()
                                        .map(h -> {
                                            Hole own = holes.getOrDefault(h.id().n(), h);
                                            return new Hole(h.id(), h.label(), own.at(), own.deviation());
                                        })
                                        .toList()))
                        .toList());
    }
}
