package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;
import static bucina.store.json.PlanJson.array;

import bucina.core.log.CloseOut;
import bucina.core.log.GaugeCheck;
import bucina.core.log.Labour;
import bucina.core.log.Operation;
import bucina.core.log.Proof;
import bucina.core.log.Reset;
import bucina.core.log.Taken;
import bucina.core.log.Tightened;
import bucina.core.plan.Id;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/** Work that sets no fastener as JSON trees and back; its field {@code kind} tells it from fasteners set. */
final class LabourJson {

    private LabourJson() {}

    static ObjectNode write(Labour l) {
        ObjectNode node = NODES.objectNode().put("kind", l.what().kind());
        switch (l.what()) {
            case Labour.Holes h -> node.set("sweeps", array(h.sweeps(), LabourJson::sweep));
            case Labour.OnPart p ->
                node.put("part", p.part().n()).put("name", p.name()).put("task", p.task());
            case Labour.Own o -> node.put("job", o.job().n()).put("name", o.name());
            case Labour.Stock s -> node.put("counted", s.counted());
            case Labour.Found f -> found(node, f);
            case Proof p -> ProofJson.write(node, p);
            case GaugeCheck c ->
                node.put("gauge", c.gauge()).put("known", Mm.of(c.known())).put("read", Mm.of(c.read()));
            case Reset r -> {
                node.put("tool", r.tool()).put("die", r.die());
                r.setting().ifPresent(g -> node.put("setting", Mm.of(g)));
            }
            case CloseOut c -> ProofJson.write(node, c);
            case Taken t -> ProofJson.write(node, t);
        }
        if (!l.page().isEmpty()) {
            node.put("page", l.page());
        }
        node.put("who", l.who())
                .put("done", l.done().toString())
                .put("minutes", l.minutes())
                .put("explanation", l.explanation())
                .put("note", l.note());
        return node.set("photographs", PlanJson.texts(l.photos()));
    }

    private static ObjectNode sweep(Labour.Sweep s) {
        ObjectNode node = NODES.objectNode()
                .put("operation", s.operation().code())
                .put("group", s.group().n())
                .put("groupCode", s.code());
        s.tightened().ifPresent(t -> node.put("torque", t.torque()).put("drag", t.drag()));
        return node.set("holes", LogJson.holes(s.holes()));
    }

    private static void found(ObjectNode node, Labour.Found f) {
        node.put("name", f.name());
        node.set("parts", array(f.parts(), p -> NODES.numberNode(p.n())));
        node.set("holes", LogJson.holes(f.holes()));
        f.group().forEach(g -> node.put("group", g.n()).put("count", f.count()));
    }

    static Labour read(At at) {
        Labour.What what = what(at);
        return at.make(() -> new Labour(
                what,
                at.maybe("page").map(At::text).orElse(""),
                at.text("who"),
                LocalDateTime.parse(at.text("done")),
                at.small("minutes"),
                at.maybe("explanation").map(At::text).orElse(""),
                at.maybe("note").map(At::text).orElse(""),
                at.maybe("photographs").map(p -> p.list(At::text)).orElse(List.of())));
    }

    private static Labour.What what(At at) {
        String kind = at.text("kind");
        return switch (kind) {
            case "holes" -> {
                only(at, "sweeps");
                yield at.make(() -> new Labour.Holes(at.list("sweeps", LabourJson::sweep)));
            }
            case "part" -> {
                only(at, "part", "name", "task");
                yield at.make(() -> new Labour.OnPart(new Id.Part(at.whole("part")), at.text("name"), at.text("task")));
            }
            case "own" -> {
                only(at, "job", "name");
                yield at.make(() -> new Labour.Own(new Id.Own(at.whole("job")), at.text("name")));
            }
            case "stock" -> {
                only(at, "counted");
                yield at.make(() -> new Labour.Stock(at.text("counted")));
            }
            case "as-found" -> {
                only(at, "name", "parts", "holes", "group", "count");
                yield at.make(() -> new Labour.Found(
                        at.text("name"),
                        at.list("parts", p -> p.make(() -> new Id.Part(p.whole()))),
                        at.list("holes", LogJson::logged),
                        at.maybe("group")
                                .map(g -> List.of(new Id.Group(g.whole())))
                                .orElse(List.of()),
                        at.maybe("count").isPresent() ? at.small("count") : 0));
            }
            default -> proved(at, kind);
        };
    }

    /** What came with proof. */
    private static Labour.What proved(At at, String kind) {
        return switch (kind) {
            case "proof" -> {
                only(at, "group", "groupCode", "gauge", "heads");
                yield ProofJson.proof(at);
            }
            case "gauge-check" -> {
                only(at, "gauge", "known", "read");
                yield at.make(() -> new GaugeCheck(at.text("gauge"), at.length("known"), at.length("read")));
            }
            case "reset" -> {
                only(at, "tool", "die", "setting");
                yield at.make(() -> new Reset(
                        at.text("tool"), at.text("die", ""), at.maybe("setting").map(At::length)));
            }
            case "close-out" -> {
                only(at, "bay", "name", "open", "counted");
                yield ProofJson.closeOut(at);
            }
            case "taken" -> {
                only(at, "of", "name", "value", "unit", "held");
                yield ProofJson.taken(at);
            }
            default ->
                throw at.get("kind")
                        .wrong("must be one of holes, part, own, stock, as-found, proof, gauge-check, reset,"
                                + " close-out, taken");
        };
    }

    private static void only(At at, String... own) {
        String[] every = {"kind", "page", "who", "done", "minutes", "explanation", "note", "photographs"};
        String[] all = Stream.concat(Arrays.stream(every), Arrays.stream(own)).toArray(String[]::new);
        at.only(all);
    }

    private static Labour.Sweep sweep(At at) {
        at.only("operation", "group", "groupCode", "torque", "drag", "holes");
        return at.make(() -> new Labour.Sweep(
                at.get("operation").word(Operation.values(), Operation::code),
                new Id.Group(at.whole("group")),
                at.text("groupCode"),
                at.list("holes", LogJson::logged),
                at.maybe("torque")
                        .map(t -> new Tightened(
                                t.number(), at.maybe("drag").map(At::number).orElse(0.0)))));
    }
}
