package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Bay;
import bucina.core.plan.Id;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;

/** Bays as JSON trees and back. */
final class BayJson {

    static final Kind<Bay> KIND =
            new Kind<>(Bay.class, Kind.On.WORKSHOP, "bays", "bay", false, BayJson::write, BayJson::read);

    private BayJson() {}

    static ObjectNode write(Bay b) {
        ObjectNode node = NODES.objectNode().put("id", b.id().n()).put("name", b.name());
        node.set("closers", PlanJson.array(b.closers(), p -> NODES.numberNode(p.n())));
        List<Id.Part> inside =
                b.inside().stream().sorted(Comparator.comparing(Id.Part::n)).toList();
        node.set("inside", PlanJson.array(inside, p -> NODES.numberNode(p.n())));
        if (!b.photos().isEmpty()) {
            node.set("photographs", PlanJson.texts(b.photos()));
        }
        if (!b.loose().isEmpty()) {
            node.set("loose", PlanJson.texts(b.loose()));
        }
        b.opened().ifPresent(o -> node.put("opened", o.toString()));
        return node.put("notes", b.notes());
    }

    static Bay read(At at) {
        at.only("id", "name", "closers", "inside", "notes", "photographs", "loose", "opened");
        return at.make(() -> new Bay(
                new Id.Bay(at.whole("id")),
                at.text("name"),
                at.list("closers", BayJson::part),
                new HashSet<>(at.some("inside", BayJson::part)),
                at.text("notes", ""),
                at.some("photographs", At::text),
                at.some("loose", At::text),
                at.maybe("opened").map(o -> Instant.parse(o.text()))));
    }

    private static Id.Part part(At at) {
        return at.make(() -> new Id.Part(at.whole()));
    }
}
