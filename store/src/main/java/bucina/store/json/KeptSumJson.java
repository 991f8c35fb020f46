package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.measure.Unit;
import bucina.core.plan.Id;
import bucina.core.plan.KeptSum;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.Map;

/** Kept sums as JSON trees and back. */
final class KeptSumJson {

    static final Kind<KeptSum> KIND = new Kind<>(
            KeptSum.class, Kind.On.WORKSHOP, "sums", "kept_sum", true, KeptSumJson::write, KeptSumJson::read);

    private KeptSumJson() {}

    /** A kept sum. */
    static ObjectNode write(KeptSum s) {
        ObjectNode node = NODES.objectNode()
                .put("id", s.id().n())
                .put("kind", s.kind())
                .put("name", s.name())
                .put("unit", s.unit().symbol());
        s.part().ifPresent(p -> node.put("part", p.n()));
        ObjectNode figures = node.putObject("figures");
        s.figures().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(e -> figures.put(e.getKey(), e.getValue()));
        return node;
    }

    static KeptSum read(At at) {
        at.only("id", "kind", "name", "unit", "part", "figures");
        Map<String, String> figures = new LinkedHashMap<>();
        At given = at.get("figures");
        given.names().forEach(n -> figures.put(n, given.text(n)));
        return at.make(() -> new KeptSum(
                new Id.Sum(at.whole("id")),
                at.text("kind"),
                at.text("name"),
                at.maybe("part").map(p -> new Id.Part(p.whole())),
                at.get("unit").word(Unit.values(), Unit::symbol),
                figures));
    }
}
