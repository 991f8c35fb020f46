package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Can;
import bucina.core.plan.Compound;
import bucina.core.plan.Id;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.time.LocalDate;

/** Cans of primer and sealant as JSON trees and back. */
final class CanJson {

    static final Kind<Can> KIND =
            new Kind<>(Can.class, Kind.On.WORKSHOP, "cans", "can", false, CanJson::write, CanJson::read);

    private CanJson() {}

    static ObjectNode write(Can can) {
        ObjectNode node = NODES.objectNode()
                .put("id", can.id().n())
                .put("name", can.name())
                .put("kind", can.kind().code())
                .put("amount", can.amount())
                .put("bin", can.bin());
        can.useBy().ifPresent(d -> node.put("useBy", d.toString()));
        can.frozen().ifPresent(f -> {
            ObjectNode frozen = node.putObject("frozen").put("thaw", f.thaw()).put("life", f.life());
            f.taken().ifPresent(t -> frozen.put("taken", t.toString()));
        });
        can.gone().ifPresent(d -> node.put("gone", d.toString()));
        return node;
    }

    static Can read(At at) {
        at.only("id", "name", "kind", "amount", "bin", "useBy", "frozen", "gone");
        return at.make(() -> new Can(
                new Id.Can(at.whole("id")),
                at.text("name"),
                at.get("kind").word(Compound.Kind.values(), Compound.Kind::code),
                at.text("amount", ""),
                at.maybe("useBy").map(d -> LocalDate.parse(d.text())),
                at.maybe("frozen").map(CanJson::frozen),
                at.text("bin", ""),
                at.maybe("gone").map(d -> LocalDate.parse(d.text()))));
    }

    private static Can.Frozen frozen(At at) {
        at.only("thaw", "life", "taken");
        return at.make(() -> new Can.Frozen(
                at.small("thaw"), at.small("life"), at.maybe("taken").map(t -> Instant.parse(t.text()))));
    }
}
