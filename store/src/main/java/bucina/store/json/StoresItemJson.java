package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Id;
import bucina.core.plan.StoresItem;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** Things in the stores as JSON trees and back. */
final class StoresItemJson {

    static final Kind<StoresItem> KIND = new Kind<>(
            StoresItem.class,
            Kind.On.WORKSHOP,
            "stores",
            "stores_item",
            false,
            StoresItemJson::write,
            StoresItemJson::read);

    private StoresItemJson() {}

    static ObjectNode write(StoresItem item) {
        ObjectNode node = NODES.objectNode()
                .put("id", item.id().n())
                .put("designation", item.designation())
                .put("kit", item.kit());
        node.set("bought", PlanJson.array(item.bought(), StoresItemJson::bought));
        return node.put("bin", item.bin()).put("pack", item.pack());
    }

    private static ObjectNode bought(StoresItem.Bought b) {
        return NODES.objectNode()
                .put("day", b.day().toString())
                .put("count", b.count())
                .put("from", b.from());
    }

    static StoresItem read(At at) {
        at.only("id", "designation", "kit", "bought", "bin", "pack");
        return at.make(() -> new StoresItem(
                new Id.Item(at.whole("id")),
                at.text("designation"),
                at.small("kit"),
                at.some("bought", StoresItemJson::bought),
                at.text("bin", ""),
                at.or("pack", p -> Math.toIntExact(p.whole()), 1)));
    }

    private static StoresItem.Bought bought(At at) {
        at.only("day", "count", "from");
        return at.make(() -> new StoresItem.Bought(at.date("day"), at.small("count"), at.text("from", "")));
    }
}
