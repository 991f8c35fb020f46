package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Bar;
import bucina.core.plan.Id;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** Bars of long stock as JSON trees and back. */
final class BarJson {

    static final Kind<Bar> KIND =
            new Kind<>(Bar.class, Kind.On.WORKSHOP, "bars", "bar", false, BarJson::write, BarJson::read);

    private BarJson() {}

    static ObjectNode write(Bar bar) {
        ObjectNode node = NODES.objectNode()
                .put("id", bar.id().n())
                .put("section", bar.section())
                .put("length", Mm.of(bar.length()));
        bar.gauge().ifPresent(g -> node.put("gauge", Mm.of(g)));
        node.put("bin", bar.bin()).set("cuts", PlanJson.array(bar.cuts(), BarJson::cut));
        return node;
    }

    private static ObjectNode cut(Bar.Cut cut) {
        return NODES.objectNode()
                .put("list", cut.list().n())
                .put("piece", cut.piece())
                .put("length", Mm.of(cut.length()))
                .put("kerf", Mm.of(cut.kerf()))
                .put("day", cut.day().toString());
    }

    static Bar read(At at) {
        at.only("id", "section", "length", "gauge", "bin", "cuts");
        return at.make(() -> new Bar(
                new Id.Bar(at.whole("id")),
                at.text("section"),
                at.length("length"),
                at.maybe("gauge").map(At::length),
                at.text("bin", ""),
                at.some("cuts", BarJson::cut)));
    }

    private static Bar.Cut cut(At at) {
        at.only("list", "piece", "length", "kerf", "day");
        return at.make(() -> new Bar.Cut(
                new Id.Sum(at.whole("list")),
                at.text("piece", ""),
                at.length("length"),
                at.length("kerf"),
                at.date("day")));
    }
}
