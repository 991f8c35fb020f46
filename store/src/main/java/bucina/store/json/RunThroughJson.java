package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.RunThrough;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** What runs through parts as JSON trees and back. */
final class RunThroughJson {

    static final Kind<RunThrough> KIND = new Kind<>(
            RunThrough.class,
            Kind.On.WORKSHOP,
            "runs",
            "run_through",
            false,
            RunThroughJson::write,
            RunThroughJson::read);

    private RunThroughJson() {}

    static ObjectNode write(RunThrough r) {
        ObjectNode node = NODES.objectNode()
                .put("id", r.id().n())
                .put("name", r.name())
                .put("kind", r.kind().code())
                .put("size", Mm.of(r.size()))
                .put("hand", GroupJson.lower(r.hand()));
        r.bay().ifPresent(b -> node.put("bay", b.n()));
        node.set("stations", PlanJson.array(r.stations(), RunThroughJson::station));
        return node.put("ends", r.ends()).put("string", r.string()).put("crosses", r.crosses());
    }

    private static ObjectNode station(RunThrough.Station s) {
        ObjectNode node = NODES.objectNode().put("part", s.part().n()).put("hole", Mm.of(s.hole()));
        s.bushing().ifPresent(b -> node.put("bushing", Mm.of(b)));
        return node.put("fitted", s.fitted());
    }

    static RunThrough read(At at) {
        at.only("id", "name", "kind", "size", "hand", "bay", "stations", "ends", "string", "crosses");
        return at.make(() -> new RunThrough(
                new Id.Run(at.whole("id")),
                at.text("name"),
                at.get("kind").word(RunThrough.Kind.values(), RunThrough.Kind::code),
                at.length("size"),
                at.or("hand", h -> h.word(Hand.values(), GroupJson::lower), Hand.NONE),
                at.maybe("bay").map(b -> new Id.Bay(b.whole())),
                at.some("stations", RunThroughJson::station),
                at.text("ends", ""),
                at.flagged("string"),
                at.text("crosses", "")));
    }

    private static RunThrough.Station station(At at) {
        at.only("part", "hole", "bushing", "fitted");
        return at.make(() -> new RunThrough.Station(
                new Id.Part(at.whole("part")),
                at.length("hole"),
                at.maybe("bushing").map(At::length),
                at.flagged("fitted")));
    }
}
