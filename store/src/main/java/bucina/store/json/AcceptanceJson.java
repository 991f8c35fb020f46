package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.measure.Length;
import bucina.core.plan.Acceptance;
import bucina.core.plan.Id;
import bucina.core.rule.RuleCode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;

/** Acceptances as JSON trees and back. */
final class AcceptanceJson {

    static final Kind<Acceptance> KIND = new Kind<>(
            Acceptance.class,
            Kind.On.PAPERS,
            "accepted",
            "acceptance",
            true,
            AcceptanceJson::write,
            AcceptanceJson::read);

    private AcceptanceJson() {}

    /** An acceptance. */
    static ObjectNode write(Acceptance a) {
        String kind =
                switch (a.subject()) {
                    case Id.Hole h -> "hole";
                    case Id.Row r -> "row";
                    case Id.Group g -> "group";
                    default -> throw new IllegalStateException("nothing is accepted about " + a.subject());
                };
        ObjectNode node = NODES.objectNode()
                .put("id", a.id().n())
                .put(kind, a.subject().n())
                .put("rule", a.rule().code())
                .put("layer", a.layer());
        a.measured().ifPresent(m -> node.put("measured", Mm.of(m)));
        a.required().ifPresent(r -> node.put("required", Mm.of(r)));
        return node.put("reason", a.reason()).put("who", a.who()).put("on", a.on().toString());
    }

    static Acceptance read(At at) {
        at.only("id", "hole", "row", "group", "rule", "layer", "measured", "required", "reason", "who", "on");
        Optional<Length> measured = at.maybe("measured").map(At::length);
        Optional<Length> required = at.maybe("required").map(At::length);
        return at.make(() -> new Acceptance(
                new Id.Acceptance(at.whole("id")),
                subject(at),
                at.get("rule").word(RuleCode.values(), RuleCode::code),
                at.text("layer"),
                measured,
                required,
                at.text("reason"),
                at.text("who"),
                at.date("on")));
    }

    private static Id subject(At at) {
        if (at.maybe("hole").isPresent()) {
            return new Id.Hole(at.whole("hole"));
        }
        return at.maybe("row").isPresent() ? new Id.Row(at.whole("row")) : new Id.Group(at.whole("group"));
    }
}
