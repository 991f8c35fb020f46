package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;
import static bucina.store.json.PlanJson.array;

import bucina.core.plan.Id;
import bucina.core.plan.Tool;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** Tools as JSON trees and back. */
final class ToolJson {

    static final Kind<Tool> KIND =
            new Kind<>(Tool.class, Kind.On.WORKSHOP, "tools", "tool", true, ToolJson::write, ToolJson::read);

    private ToolJson() {}

    /** A tool. */
    static ObjectNode write(Tool t) {
        return NODES.objectNode()
                .put("id", t.id().n())
                .put("kind", t.kind().code())
                .put("name", t.name())
                .set("sizes", array(t.sizes(), l -> NODES.numberNode(Mm.of(l))));
    }

    static Tool read(At at) {
        at.only("id", "kind", "name", "sizes");
        return at.make(() -> new Tool(
                new Id.Tool(at.whole("id")),
                at.get("kind").word(Tool.Kind.values(), Tool.Kind::code),
                at.text("name"),
                at.list("sizes", At::length)));
    }
}
