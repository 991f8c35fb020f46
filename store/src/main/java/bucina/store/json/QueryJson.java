package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Id;
import bucina.core.plan.Query;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** Queries as JSON trees and back. */
final class QueryJson {

    static final Kind<Query> KIND =
            new Kind<>(Query.class, Kind.On.PAPERS, "queries", "query", true, QueryJson::write, QueryJson::read);

    private QueryJson() {}

    /** A query. */
    static ObjectNode write(Query q) {
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

    static Query read(At at) {
        at.only("id", "group", "opened", "text", "count", "answer");
        return at.make(() -> new Query(
                new Id.Query(at.whole("id")),
                new Id.Group(at.whole("group")),
                at.date("opened"),
                at.text("text"),
                at.maybe("count").map(c -> {
                    c.only("drawing", "sheet");
                    return new Query.Counts(c.small("drawing"), c.small("sheet"));
                }),
                at.maybe("answer").map(a -> {
                    a.only("text", "source", "on");
                    return a.make(() -> new Query.Answer(a.text("text"), a.text("source"), a.date("on")));
                })));
    }
}
