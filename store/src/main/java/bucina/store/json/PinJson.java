package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Id;
import bucina.core.plan.Pin;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.HashSet;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Where photographs belong as JSON trees and back. */
final class PinJson {

    static final Kind<Pin> KIND =
            new Kind<>(Pin.class, Kind.On.WORKSHOP, "pins", "pin", false, PinJson::write, PinJson::read);

    private PinJson() {}

    static ObjectNode write(Pin p) {
        ObjectNode node = NODES.objectNode()
                .put("id", p.id().n())
                .put("photo", p.photo())
                .put("name", p.name())
                .put("says", p.says());
        p.taken().ifPresent(t -> node.put("taken", t.toString()));
        numbers(node, "holes", p.holes(), Id.Hole::n);
        numbers(node, "parts", p.shown(), Id.Part::n);
        numbers(node, "bays", p.bays(), Id.Bay::n);
        numbers(node, "entries", p.entries(), Integer::longValue);
        return node;
    }

    private static <T> void numbers(ObjectNode node, String field, Collection<T> all, Function<T, Long> number) {
        node.set(
                field,
                PlanJson.array(all.stream().map(number).sorted().collect(Collectors.toList()), NODES::numberNode));
    }

    static Pin read(At at) {
        at.only("id", "photo", "name", "says", "taken", "holes", "parts", "bays", "entries");
        return at.make(() -> new Pin(
                new Id.Pin(at.whole("id")),
                at.text("photo"),
                at.text("name"),
                at.text("says", ""),
                at.maybe("taken").map(t -> t.make(() -> LocalDateTime.parse(t.text()))),
                new HashSet<>(at.some("holes", h -> h.make(() -> new Id.Hole(h.whole())))),
                new HashSet<>(at.some("parts", h -> h.make(() -> new Id.Part(h.whole())))),
                new HashSet<>(at.some("bays", h -> h.make(() -> new Id.Bay(h.whole())))),
                new HashSet<>(at.some("entries", h -> Math.toIntExact(h.whole())))));
    }
}
