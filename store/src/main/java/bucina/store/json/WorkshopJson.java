package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;
import static bucina.store.json.PlanJson.array;

import bucina.core.measure.Unit;
import bucina.core.plan.Id;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Tool;
import bucina.core.plan.Workshop;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.Map;

/** Kept sums and tools as JSON trees and back. */
public final class WorkshopJson {

    private WorkshopJson() {
    }

    static ObjectNode workshop(Workshop workshop) {
        ObjectNode node = NODES.objectNode();
        node.set("sums", array(workshop.sums(), WorkshopJson::sum));
        return node.set("tools", array(workshop.tools(), WorkshopJson::tool));
    }

    static Workshop workshop(At at) {
        at.only("sums", "tools");
        return new Workshop(at.list("sums", WorkshopJson::sum), at.list("tools", WorkshopJson::tool));
    }

    /** A kept sum. */
    public static ObjectNode sum(KeptSum s) {
        ObjectNode node = NODES.objectNode().put("id", s.id().n()).put("kind", s.kind()).put("name", s.name()).put("unit", s.unit().symbol());
        s.part().ifPresent(p -> node.put("part", p.n()));
        ObjectNode figures = node.putObject("figures");
        s.figures().entrySet().stream().sorted(Map.Entry.comparingByKey()).forEach(e -> figures.put(e.getKey(), e.getValue()));
        return node;
    }

    private static KeptSum sum(At at) {
        at.only("id", "kind", "name", "unit", "part", "figures");
        Map<String, String> figures = new LinkedHashMap<>();
        At given = at.get("figures");
        given.names().forEach(n -> figures.put(n, given.text(n)));
        return at.make(() -> new KeptSum(new Id.Sum(at.whole("id")), at.text("kind"), at.text("name"), at.maybe("part").map(p -> new Id.Part(p.whole())),
                at.get("unit").word(Unit.values(), Unit::symbol), figures));
    }

    /** Reads a kept sum from one column of the build file. */
    public static KeptSum sumFrom(String text) {
        return sum(new At(Json.read(text), "sum"));
    }

    /** A tool. */
    public static ObjectNode tool(Tool t) {
        return NODES.objectNode().put("id", t.id().n()).put("kind", t.kind().code()).put("name", t.name()).set("sizes", array(t.sizes(), l ->
                NODES.numberNode(Mm.of(l))));
    }

    private static Tool tool(At at) {
        at.only("id", "kind", "name", "sizes");
        return at.make(() -> new Tool(new Id.Tool(at.whole("id")), at.get("kind").word(Tool.Kind.values(), Tool.Kind::code), at.text("name"),
                at.list("sizes", At::length)));
    }

    /** Reads a tool from one column of the build file. */
    public static Tool toolFrom(String text) {
        return tool(new At(Json.read(text), "tool"));
    }
}
