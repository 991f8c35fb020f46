package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;
import static bucina.store.json.PlanJson.array;

import bucina.core.measure.Length;
import bucina.core.plan.Acceptance;
import bucina.core.plan.Bulletin;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Paperwork;
import bucina.core.plan.Part;
import bucina.core.plan.Query;
import bucina.core.plan.Row;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Queries, acceptances and bulletins as JSON trees and back. */
public final class PapersJson {

    private PapersJson() {}

    static ObjectNode papers(Paperwork papers) {
        ObjectNode node = NODES.objectNode();
        node.set("queries", array(papers.queries(), PapersJson::query));
        node.set("accepted", array(papers.accepted(), PapersJson::acceptance));
        return node.set("bulletins", array(papers.bulletins(), PapersJson::bulletin));
    }

    static Paperwork papers(At at) {
        at.only("queries", "accepted", "bulletins");
        return new Paperwork(
                at.list("queries", PapersJson::query),
                at.list("accepted", PapersJson::acceptance),
                at.list("bulletins", PapersJson::bulletin));
    }

    private static LocalDate date(At at, String field) {
        return at.get(field).make(() -> LocalDate.parse(at.text(field)));
    }

    // ---- queries
    // ----------------------------------------------------------------------

    /** A query. */
    public static ObjectNode query(Query q) {
        ObjectNode node = NODES.objectNode()
                .put("id", q.id().n())
                .put("group", q.group().n())
                .put("opened", q.opened().toString())
                .put("text", q.text());
        q.count()
                .ifPresent(
                        c -> node.putObject("count").put("drawing", c.drawing()).put("sheet", c.sheet()));
        q.answer()
                .ifPresent(a -> node.putObject("answer")
                        .put("text", a.text())
                        .put("source", a.source())
                        .put("on", a.on().toString()));
        return node;
    }

    private static Query query(At at) {
        at.only("id", "group", "opened", "text", "count", "answer");
        return at.make(() -> new Query(
                new Id.Query(at.whole("id")),
                new Id.Group(at.whole("group")),
                date(at, "opened"),
                at.text("text"),
                at.maybe("count").map(c -> {
                    c.only("drawing", "sheet");
                    return new Query.Counts(c.small("drawing"), c.small("sheet"));
                }),
                at.maybe("answer").map(a -> {
                    a.only("text", "source", "on");
                    return a.make(() -> new Query.Answer(a.text("text"), a.text("source"), date(a, "on")));
                })));
    }

    /** Reads a query from one column of the build file. */
    public static Query queryFrom(String text) {
        return query(new At(Json.read(text), "query"));
    }

    // ---- acceptances
    // ----------------------------------------------------------------------

    /** An acceptance. */
    public static ObjectNode acceptance(Acceptance a) {
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
                .put("rule", a.rule())
                .put("layer", a.layer());
        a.measured().ifPresent(m -> node.put("measured", Mm.of(m)));
        a.required().ifPresent(r -> node.put("required", Mm.of(r)));
        return node.put("reason", a.reason()).put("who", a.who()).put("on", a.on().toString());
    }

    private static Acceptance acceptance(At at) {
        at.only("id", "hole", "row", "group", "rule", "layer", "measured", "required", "reason", "who", "on");
        Optional<Length> measured = at.maybe("measured").map(At::length);
        Optional<Length> required = at.maybe("required").map(At::length);
        return at.make(() -> new Acceptance(
                new Id.Acceptance(at.whole("id")),
                subject(at),
                at.text("rule"),
                at.text("layer"),
                measured,
                required,
                at.text("reason"),
                at.text("who"),
                date(at, "on")));
    }

    private static Id subject(At at) {
        if (at.maybe("hole").isPresent()) {
            return new Id.Hole(at.whole("hole"));
        }
        return at.maybe("row").isPresent() ? new Id.Row(at.whole("row")) : new Id.Group(at.whole("group"));
    }

    /** Reads an acceptance from one column of the build file. */
    public static Acceptance acceptanceFrom(String text) {
        return acceptance(new At(Json.read(text), "acceptance"));
    }

    // ---- bulletins
    // ----------------------------------------------------------------------

    /** A bulletin. */
    public static ObjectNode bulletin(Bulletin b) {
        return NODES.objectNode()
                .put("id", b.id().n())
                .put("name", b.name())
                .put("dated", b.dated().toString())
                .put("inForce", b.inForce())
                .set("changes", array(b.changes(), PapersJson::change));
    }

    private static ObjectNode change(Bulletin.Change<?> c) {
        return switch (c.any()) {
            case Part p -> change("part", c, x -> PlanJson.part((Part) x));
            case Layer l -> change("layer", c, x -> PlanJson.layer((Layer) x));
            case Group g -> change("group", c, x -> GroupJson.group((Group) x));
            case Row r -> change("row", c, x -> GroupJson.row((Row) x));
            default ->
                throw new IllegalStateException(
                        "a bulletin does not change " + c.any().getClass());
        };
    }

    private static ObjectNode change(String kind, Bulletin.Change<?> c, Function<Object, JsonNode> shape) {
        ObjectNode node = NODES.objectNode().put("kind", kind);
        c.in().ifPresent(i -> node.put("in", i.n()));
        c.was().ifPresent(w -> node.set("was", shape.apply(w)));
        c.is().ifPresent(i -> node.set("is", shape.apply(i)));
        return node;
    }

    private static Bulletin bulletin(At at) {
        at.only("id", "name", "dated", "inForce", "changes");
        List<Bulletin.Change<?>> changes = at.list("changes", PapersJson::changeAt);
        return at.make(() -> new Bulletin(
                new Id.Bulletin(at.whole("id")), at.text("name"), date(at, "dated"), at.flag("inForce"), changes));
    }

    private static Bulletin.Change<?> changeAt(At at) {
        at.only("kind", "in", "was", "is");
        return switch (at.text("kind")) {
            case "part" -> change(at, PlanJson::part, n -> new Id.Part(n));
            case "layer" -> change(at, PlanJson::layer, n -> new Id.Face(n));
            case "group" -> change(at, GroupJson::group, n -> new Id.Face(n));
            case "row" -> change(at, GroupJson::row, n -> new Id.Group(n));
            default -> throw at.get("kind").wrong("must be part, layer, group or row");
        };
    }

    private static <T> Bulletin.Change<T> change(At at, Function<At, T> shape, Function<Long, Id> owner) {
        Optional<Id> in = at.maybe("in").map(At::whole).map(owner);
        Optional<T> was = at.maybe("was").map(shape);
        Optional<T> is = at.maybe("is").map(shape);
        return at.make(() -> new Bulletin.Change<>(in, was, is));
    }

    /** Reads a bulletin from one column of the build file. */
    public static Bulletin bulletinFrom(String text) {
        return bulletin(new At(Json.read(text), "bulletin"));
    }
}
