package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;
import static bucina.store.json.PlanJson.array;

import bucina.core.plan.Bulletin;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Bulletins as JSON trees and back. */
final class BulletinJson {

    static final Kind<Bulletin> KIND = new Kind<>(
            Bulletin.class, Kind.On.PAPERS, "bulletins", "bulletin", true, BulletinJson::write, BulletinJson::read);

    private BulletinJson() {}

    /** A bulletin. */
    static ObjectNode write(Bulletin b) {
        return NODES.objectNode()
                .put("id", b.id().n())
                .put("name", b.name())
                .put("dated", b.dated().toString())
                .put("inForce", b.inForce())
                .set("changes", array(b.changes(), BulletinJson::change));
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

    static Bulletin read(At at) {
        at.only("id", "name", "dated", "inForce", "changes");
        List<Bulletin.Change<?>> changes = at.list("changes", BulletinJson::changeAt);
        return at.make(() -> new Bulletin(
                new Id.Bulletin(at.whole("id")), at.text("name"), at.date("dated"), at.flag("inForce"), changes));
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
}
