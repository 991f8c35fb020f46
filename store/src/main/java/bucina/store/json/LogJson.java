package bucina.store.json;

import static bucina.store.json.GroupJson.lower;
import static bucina.store.json.PlanJson.NODES;
import static bucina.store.json.PlanJson.array;

import bucina.core.log.Deed;
import bucina.core.log.Disposition;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.PartMark;
import bucina.core.log.Work;
import bucina.core.plan.Id;
import bucina.store.Chain;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Log entries and marks as JSON trees and back. */
public final class LogJson {

    private LogJson() {}

    /** What was installed. */
    public static ObjectNode work(Work w) {
        ObjectNode node = NODES.objectNode().put("group", w.group().n()).put("groupCode", w.groupCode());
        node.set("holes", holes(w.holes()));
        node.put("count", w.count()).put("designation", w.designation());
        w.length().ifPresent(l -> node.put("length", Mm.of(l)));
        node.put("who", w.who())
                .put("done", w.done().toString())
                .put("minutes", w.minutes())
                .put("tool", w.setup().tool());
        w.setup().setting().ifPresent(s -> node.put("setting", Mm.of(s)));
        w.setup().hole().ifPresent(h -> node.put("hole", Mm.of(h)));
        if (!w.setup().die().isEmpty()) {
            node.put("die", w.setup().die());
        }
        node.set("readings", array(w.readings(), LogJson::reading));
        node.set(
                "rejects",
                array(
                        w.rejects(),
                        r -> NODES.objectNode()
                                .put("hole", r.hole())
                                .put("count", r.count())
                                .put("what", r.what().code())
                                .put("note", r.note())));
        node.put("explanation", w.explanation()).put("note", w.note());
        node.set("photographs", PlanJson.texts(w.photos()));
        w.removal().ifPresent(r -> {
            ObjectNode out = node.putObject("removed").put("why", r.why());
            r.hole().ifPresent(h -> out.put("hole", Mm.of(h)));
        });
        return node;
    }

    static ObjectNode reading(Work.Reading r) {
        ObjectNode node =
                NODES.objectNode().put("diameter", Mm.of(r.diameter())).put("height", Mm.of(r.height()));
        return r.hole().isEmpty() ? node : node.put("hole", r.hole());
    }

    static ArrayNode holes(List<Work.LoggedHole> holes) {
        return array(holes, h -> NODES.objectNode().put("id", h.id().n()).put("label", h.label()));
    }

    private static Work work(At at) {
        at.only(
                "group",
                "groupCode",
                "holes",
                "count",
                "designation",
                "length",
                "who",
                "done",
                "minutes",
                "tool",
                "setting",
                "hole",
                "die",
                "removed",
                "readings",
                "rejects",
                "explanation",
                "note",
                "photographs");
        Work.Setup setup = new Work.Setup(
                at.text("tool", ""),
                at.maybe("setting").map(At::length),
                at.maybe("hole").map(At::length),
                at.text("die", ""));
        List<Work.LoggedHole> holes = at.some("holes", LogJson::logged);
        return at.make(() -> new Work(
                new Id.Group(at.whole("group")),
                at.text("groupCode", ""),
                holes,
                at.maybe("count").isPresent() ? at.small("count") : holes.size(),
                at.text("designation"),
                at.maybe("length").map(At::length),
                at.text("who"),
                LocalDateTime.parse(at.text("done")),
                at.small("minutes"),
                setup,
                at.some("readings", LogJson::reading),
                at.some("rejects", LogJson::reject),
                at.text("explanation", ""),
                at.text("note", ""),
                at.some("photographs", At::text),
                at.maybe("removed").map(LogJson::removal)));
    }

    private static Work.Removal removal(At at) {
        at.only("hole", "why");
        return at.make(() -> new Work.Removal(at.maybe("hole").map(At::length), at.text("why")));
    }

    /** What was done. */
    public static ObjectNode deed(Deed deed) {
        return switch (deed) {
            case Work w -> work(w);
            case Labour l -> LabourJson.write(l);
        };
    }

    private static Deed deed(At at) {
        return at.maybe("kind").isPresent() ? LabourJson.read(at) : work(at);
    }

    /** Reads what was done from one column of the build file. */
    public static Deed deedFrom(String text) {
        return deed(new At(Json.read(text), "work"));
    }

    static Work.LoggedHole logged(At at) {
        at.only("id", "label");
        return at.make(() -> new Work.LoggedHole(new Id.Hole(at.whole("id")), at.text("label")));
    }

    static Work.Reading reading(At at) {
        at.only("hole", "diameter", "height");
        return at.make(() -> new Work.Reading(at.text("hole", ""), at.length("diameter"), at.length("height")));
    }

    private static Work.Reject reject(At at) {
        at.only("hole", "count", "what", "note");
        return at.make(() -> new Work.Reject(
                at.text("hole"),
                at.small("count"),
                at.get("what").word(Disposition.values(), Disposition::code),
                at.text("note")));
    }

    /** One entry. */
    public static ObjectNode entry(LogEntry e) {
        ObjectNode node =
                NODES.objectNode().put("id", e.id()).put("entered", e.entered().toString());
        e.corrects().ifPresent(c -> node.put("corrects", c));
        e.deed().ifPresent(d -> node.set("work", deed(d)));
        return node.put("reason", e.reason());
    }

    /** One entry with what binds it. */
    static ObjectNode entry(LogEntry e, Map<Integer, Chain.Link> chain) {
        ObjectNode node = entry(e);
        Chain.Link link = chain.get(e.id());
        if (link != null) {
            node.set("follows", PlanJson.texts(link.follows()));
            node.put("first", link.first()).put("hash", link.hash());
        }
        return node;
    }

    /** What binds an entry; empty where it does not say. */
    static Optional<Map.Entry<Integer, Chain.Link>> link(At at) {
        return at.maybe("hash")
                .map(h -> Map.entry(
                        at.small("id"), new Chain.Link(at.some("follows", LogJson::hash), at.small("first"), hash(h))));
    }

    private static String hash(At at) {
        if (!at.text().matches("[0-9a-f]{64}")) {
            throw at.wrong("must be a SHA-256, 64 digits 0-9 and a-f");
        }
        return at.text();
    }

    static LogEntry entry(At at) {
        at.only("id", "entered", "corrects", "work", "reason", "follows", "first", "hash");
        Optional<Integer> corrects = at.maybe("corrects").map(c -> at.small("corrects"));
        return at.make(() -> new LogEntry(
                at.small("id"),
                Instant.parse(at.text("entered")),
                corrects,
                at.maybe("work").map(LogJson::deed),
                at.text("reason", "")));
    }

    /** A mark on a part. */
    public static ObjectNode partMark(PartMark m) {
        ObjectNode node = NODES.objectNode()
                .put("part", m.part().n())
                .put("task", m.task())
                .put("at", m.at().toString());
        m.reading().ifPresent(r -> node.put("reading", Mm.of(r)));
        if (!m.on()) {
            node.put("done", false);
        }
        return m.note().isEmpty() ? node : node.put("note", m.note());
    }

    static PartMark partMark(At at) {
        at.only("part", "task", "at", "reading", "done", "note");
        return at.make(() -> new PartMark(
                new Id.Part(at.whole("part")),
                at.text("task"),
                Instant.parse(at.text("at")),
                at.maybe("done").isEmpty() || at.flag("done"),
                at.maybe("reading").map(At::length),
                at.maybe("note").map(At::text).orElse("")));
    }

    /** A mark on a hole. */
    public static ObjectNode mark(Mark m) {
        ObjectNode node = NODES.objectNode()
                .put("hole", m.hole().n())
                .put("layer", m.layer().n())
                .put("side", lower(m.side()))
                .put("operation", m.operation().code())
                .put("at", m.at().toString());
        if (!m.on()) {
            node.put("done", false);
        }
        return m.note().isEmpty() ? node : node.put("note", m.note());
    }

    static Mark mark(At at) {
        at.only("hole", "layer", "side", "operation", "at", "done", "note");
        return at.make(() -> new Mark(
                new Id.Hole(at.whole("hole")),
                new Id.Layer(at.whole("layer")),
                at.get("side").word(Mark.Side.values(), GroupJson::lower),
                at.get("operation").word(Operation.values(), Operation::code),
                Instant.parse(at.text("at")),
                at.maybe("done").isEmpty() || at.flag("done"),
                at.maybe("note").map(At::text).orElse("")));
    }
}
