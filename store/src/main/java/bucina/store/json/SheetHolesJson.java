package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Come;
import bucina.core.plan.Id;
import bucina.core.plan.SheetHoles;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** How the holes of a sheet come, as JSON trees and back. */
public final class SheetHolesJson {

    private SheetHolesJson() {}

    /** What is said of the holes of a sheet; nothing said is an empty object. */
    public static ObjectNode write(SheetHoles holes) {
        ObjectNode node = NODES.objectNode();
        if (!holes.come().equals(Come.UNKNOWN)) {
            node.set("come", come(holes.come()));
        }
        if (!holes.rows().isEmpty()) {
            node.set(
                    "rows",
                    PlanJson.array(
                            holes.rows().entrySet().stream()
                                    .sorted(Comparator.comparingLong(
                                            e -> e.getKey().n()))
                                    .toList(),
                            e -> NODES.objectNode().put("row", e.getKey().n()).setAll(come(e.getValue()))));
        }
        if (!holes.uncalled().isEmpty()) {
            node.set(
                    "uncalled",
                    PlanJson.array(
                            holes.uncalled(),
                            u -> NODES.objectNode()
                                    .put("diameter", Mm.of(u.diameter()))
                                    .set("at", PlanJson.point(u.at()))));
        }
        return node;
    }

    private static ObjectNode come(Come come) {
        ObjectNode node = NODES.objectNode().put("state", come.state().code());
        come.diameter().ifPresent(d -> node.put("diameter", Mm.of(d)));
        return node;
    }

    static SheetHoles read(At at) {
        at.only("come", "rows", "uncalled");
        Map<Id.Row, Come> rows = new HashMap<>();
        at.maybe("rows")
                .ifPresent(list -> list.list(r -> {
                    r.only("row", "state", "diameter");
                    return rows.put(new Id.Row(r.whole("row")), come(r));
                }));
        return at.make(() -> new SheetHoles(
                at.maybe("come").map(c -> come(c.only("state", "diameter"))).orElse(Come.UNKNOWN),
                rows,
                at.maybe("uncalled").map(u -> u.list(SheetHolesJson::uncalled)).orElse(List.of())));
    }

    private static SheetHoles.Uncalled uncalled(At at) {
        at.only("at", "diameter");
        return at.make(() -> new SheetHoles.Uncalled(PlanJson.point(at.get("at")), at.length("diameter")));
    }

    private static Come come(At at) {
        return at.make(() -> new Come(
                at.get("state").word(Come.State.values(), Come.State::code),
                at.maybe("diameter").map(At::length)));
    }

    /** Reads it from one column of the build file. */
    public static SheetHoles from(String text) {
        return read(new At(Json.read(text), "holes"));
    }
}
