package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Id;
import bucina.core.plan.Packed;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** Lines of the packing list as JSON trees and back. */
final class PackedJson {

    static final Kind<Packed> KIND =
            new Kind<>(Packed.class, Kind.On.WORKSHOP, "packing", "packed", false, PackedJson::write, PackedJson::read);

    private PackedJson() {}

    static ObjectNode write(Packed p) {
        ObjectNode node = NODES.objectNode()
                .put("id", p.id().n())
                .put("number", p.number())
                .put("name", p.name())
                .put("count", p.count())
                .put("crate", p.crate());
        p.gauge().ifPresent(g -> node.put("gauge", Mm.of(g)));
        p.length().ifPresent(l -> node.put("length", Mm.of(l)));
        if (!p.found().equals(Packed.Found.NOT_YET)) {
            node.set("found", found(p.found()));
        }
        return node;
    }

    private static ObjectNode found(Packed.Found f) {
        ObjectNode node = NODES.objectNode();
        f.count().ifPresent(c -> node.put("count", c));
        f.gauge().ifPresent(g -> node.put("gauge", Mm.of(g)));
        f.length().ifPresent(l -> node.put("length", Mm.of(l)));
        f.width().ifPresent(w -> node.put("width", Mm.of(w)));
        return node.put("inside", f.inside()).put("crate", f.crate());
    }

    static Packed read(At at) {
        at.only("id", "number", "name", "count", "crate", "gauge", "length", "found");
        return at.make(() -> new Packed(
                new Id.Packed(at.whole("id")),
                at.text("number", ""),
                at.text("name", ""),
                at.small("count"),
                at.text("crate", ""),
                at.maybe("gauge").map(At::length),
                at.maybe("length").map(At::length),
                at.or("found", PackedJson::found, Packed.Found.NOT_YET)));
    }

    private static Packed.Found found(At at) {
        at.only("count", "gauge", "length", "width", "inside", "crate");
        return at.make(() -> new Packed.Found(
                at.maybe("count").map(c -> Math.toIntExact(c.whole())),
                at.maybe("gauge").map(At::length),
                at.maybe("length").map(At::length),
                at.maybe("width").map(At::length),
                at.text("inside", ""),
                at.text("crate", "")));
    }
}
