package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Departure;
import bucina.core.plan.Id;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** Departures from the drawing as JSON trees and back. */
final class DepartureJson {

    static final Kind<Departure> KIND = new Kind<>(
            Departure.class,
            Kind.On.PAPERS,
            "departures",
            "departure",
            false,
            DepartureJson::write,
            DepartureJson::read);

    private DepartureJson() {}

    static ObjectNode write(Departure d) {
        ObjectNode node = NODES.objectNode()
                .put("id", d.id().n())
                .put("where", d.where())
                .put("what", d.what())
                .put("reason", d.reason())
                .put("dated", d.dated().toString())
                .put("source", d.source());
        return node.set("parts", PlanJson.array(d.parts(), p -> NODES.numberNode(p.n())));
    }

    static Departure read(At at) {
        at.only("id", "where", "what", "reason", "dated", "source", "parts");
        return at.make(() -> new Departure(
                new Id.Departure(at.whole("id")),
                at.text("where"),
                at.text("what"),
                at.text("reason"),
                at.date("dated"),
                at.text("source"),
                at.some("parts", p -> p.make(() -> new Id.Part(p.whole())))));
    }
}
