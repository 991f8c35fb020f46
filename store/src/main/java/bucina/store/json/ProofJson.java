package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;
import static bucina.store.json.PlanJson.array;

import bucina.core.log.CloseOut;
import bucina.core.log.Proof;
import bucina.core.log.Seen;
import bucina.core.log.Taken;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.plan.Gaging;
import bucina.core.plan.Id;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** What is proved, measured and signed as JSON trees and back. */
final class ProofJson {

    private ProofJson() {}

    static void write(ObjectNode node, Proof p) {
        node.put("group", p.group().n()).put("groupCode", p.code()).put("gauge", p.gauge());
        node.set("heads", array(p.heads(), ProofJson::head));
    }

    private static ObjectNode head(Proof.Head h) {
        ObjectNode node = NODES.objectNode();
        h.hole().ifPresent(l -> node.put("id", l.id().n()).put("label", l.label()));
        if (h.number() > 0) {
            node.put("number", h.number());
        }
        h.reading().ifPresent(r -> node.put("diameter", Mm.of(r.diameter())).put("height", Mm.of(r.height())));
        if (h.go()) {
            node.put("go", true);
        }
        if (!h.seen().isEmpty()) {
            node.set("seen", array(h.seen(), ProofJson::seen));
        }
        if (h.hits() > 0) {
            node.put("hits", h.hits());
        }
        node.put("judged", h.judged().code()).put("decided", h.decided().code());
        return h.reason().isEmpty() ? node : node.put("reason", h.reason());
    }

    private static ObjectNode seen(Seen s) {
        ObjectNode node = NODES.objectNode().put("what", s.what().code());
        if (s.what().measure() == Seen.Measure.ROUND) {
            node.put("percent", s.percent()).put("shank", s.shank());
        }
        s.size().ifPresent(l -> node.put("size", Mm.of(l)));
        return node;
    }

    static Proof proof(At at) {
        return at.make(() -> new Proof(
                new Id.Group(at.whole("group")),
                at.text("groupCode"),
                at.text("gauge", ""),
                at.list("heads", ProofJson::head)));
    }

    private static Proof.Head head(At at) {
        at.only("id", "label", "number", "diameter", "height", "go", "seen", "hits", "judged", "decided", "reason");
        return at.make(() -> new Proof.Head(
                at.maybe("id").map(i -> new Work.LoggedHole(new Id.Hole(i.whole()), at.text("label"))),
                at.maybe("number").isPresent() ? at.small("number") : 0,
                at.maybe("diameter").map(d -> new Work.Reading(d.length(), at.length("height"))),
                at.flagged("go"),
                at.some("seen", ProofJson::seen),
                at.maybe("hits").isPresent() ? at.small("hits") : 0,
                at.get("judged").word(Verdict.values(), Verdict::code),
                at.get("decided").word(Verdict.values(), Verdict::code),
                at.text("reason", "")));
    }

    private static Seen seen(At at) {
        at.only("what", "percent", "shank", "size");
        return at.make(() -> new Seen(
                at.get("what").word(Seen.What.values(), Seen.What::code),
                at.maybe("percent").map(At::number).orElse(0.0),
                at.flagged("shank"),
                at.maybe("size").map(At::length)));
    }

    static void write(ObjectNode node, CloseOut c) {
        node.put("bay", c.bay().n()).put("name", c.name());
        node.set(
                "open",
                array(c.open(), o -> NODES.objectNode().put("point", o.point()).put("reason", o.reason())));
        node.set(
                "counted",
                array(
                        c.counted(),
                        k -> NODES.objectNode()
                                .put("what", k.what())
                                .put("due", k.due())
                                .put("out", k.out())));
    }

    static CloseOut closeOut(At at) {
        return at.make(() -> new CloseOut(
                new Id.Bay(at.whole("bay")),
                at.text("name"),
                at.some("open", o -> {
                    o.only("point", "reason");
                    return o.make(() -> new CloseOut.Left(o.text("point"), o.text("reason")));
                }),
                at.some("counted", k -> {
                    k.only("what", "due", "out");
                    return k.make(() -> new CloseOut.Counted(k.text("what"), k.small("due"), k.small("out")));
                })));
    }

    static void write(ObjectNode node, Taken t) {
        node.put("of", t.of().n()).put("name", t.name());
        figure(node, "value", t.unit(), t.value());
        node.put("unit", t.unit().code()).put("held", t.held());
    }

    static Taken taken(At at) {
        Gaging.In unit = unit(at);
        return at.make(() -> new Taken(
                new Id.Gaging(at.whole("of")), at.text("name"), figure(at.get("value"), unit), unit, at.flag("held")));
    }

    static Gaging.In unit(At at) {
        return at.get("unit").word(Gaging.In.values(), Gaging.In::code);
    }

    /** A figure in mm or degrees. */
    static void figure(ObjectNode node, String field, Gaging.In unit, double value) {
        if (unit == Gaging.In.LENGTH) {
            node.put(field, Mm.of(Length.nm(value)));
        } else {
            node.put(field, value);
        }
    }

    static double figure(At at, Gaging.In unit) {
        return unit == Gaging.In.LENGTH ? at.nanometres() : at.number();
    }
}
