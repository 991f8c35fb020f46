package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Id;
import bucina.core.plan.OwnOrder;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;

/** What the builder says about the order of work as JSON trees and back. */
final class OwnOrderJson {

    static final Kind<OwnOrder> KIND = new Kind<>(
            OwnOrder.class, Kind.On.WORKSHOP, "orders", "own_order", false, OwnOrderJson::write, OwnOrderJson::read);

    private OwnOrderJson() {}

    static ObjectNode write(OwnOrder o) {
        ObjectNode node = NODES.objectNode().put("id", o.id().n()).put("job", o.job());
        if (!o.before().isEmpty()) {
            node.put("before", o.before());
        }
        o.until().ifPresent(d -> node.put("until", d.toString()));
        return node.put("reason", o.reason());
    }

    static OwnOrder read(At at) {
        at.only("id", "job", "before", "until", "reason");
        return at.make(() -> new OwnOrder(
                new Id.Order(at.whole("id")),
                at.text("job"),
                at.maybe("before").map(At::text).orElse(""),
                at.maybe("until").map(u -> u.make(() -> LocalDate.parse(u.text()))),
                at.text("reason")));
    }
}
