package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Gaging;
import bucina.core.plan.Id;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;

/** What is measured whenever an assembly is moved, as JSON trees and back. */
final class GagingJson {

    static final Kind<Gaging> KIND =
            new Kind<>(Gaging.class, Kind.On.WORKSHOP, "gagings", "gaging", false, GagingJson::write, GagingJson::read);

    private GagingJson() {}

    static ObjectNode write(Gaging g) {
        ObjectNode node = NODES.objectNode()
                .put("id", g.id().n())
                .put("name", g.name())
                .put("kind", g.kind().code())
                .put("unit", g.unit().code());
        g.wanted().ifPresent(v -> ProofJson.figure(node, "wanted", g.unit(), v));
        g.least().ifPresent(v -> ProofJson.figure(node, "least", g.unit(), v));
        g.most().ifPresent(v -> ProofJson.figure(node, "most", g.unit(), v));
        g.bay().ifPresent(b -> node.put("bay", b.n()));
        return node.put("notes", g.notes());
    }

    static Gaging read(At at) {
        at.only("id", "name", "kind", "unit", "wanted", "least", "most", "bay", "notes");
        Gaging.In unit = ProofJson.unit(at);
        return at.make(() -> new Gaging(
                new Id.Gaging(at.whole("id")),
                at.text("name"),
                at.get("kind").word(Gaging.Kind.values(), Gaging.Kind::code),
                unit,
                figure(at, "wanted", unit),
                figure(at, "least", unit),
                figure(at, "most", unit),
                at.maybe("bay").map(b -> new Id.Bay(b.whole())),
                at.text("notes", "")));
    }

    private static Optional<Double> figure(At at, String field, Gaging.In unit) {
        return at.maybe(field).map(v -> ProofJson.figure(v, unit));
    }
}
