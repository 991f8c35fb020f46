package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Id;
import bucina.core.plan.Weighing;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;

/** What assemblies weighed as JSON trees and back. */
final class WeighingJson {

    static final Kind<Weighing> KIND = new Kind<>(
            Weighing.class, Kind.On.WORKSHOP, "weighings", "weighing", false, WeighingJson::write, WeighingJson::read);

    private WeighingJson() {}

    static ObjectNode write(Weighing w) {
        return NODES.objectNode()
                .put("id", w.id().n())
                .put("assembly", w.assembly().n())
                .put("grams", BigDecimal.valueOf(w.grams()))
                .put("day", w.day().toString())
                .put("with", w.with());
    }

    static Weighing read(At at) {
        at.only("id", "assembly", "grams", "day", "with");
        return at.make(() -> new Weighing(
                new Id.Weighing(at.whole("id")),
                new Id.Assembly(at.whole("assembly")),
                at.get("grams").number(),
                at.date("day"),
                at.text("with", "")));
    }
}
