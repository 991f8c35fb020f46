package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;
import static bucina.store.json.PlanJson.array;

import bucina.core.plan.Batch;
import bucina.core.plan.Compound;
import bucina.core.plan.Id;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.util.List;

/** Batches as JSON trees and back. */
final class BatchJson {

    static final Kind<Batch> KIND =
            new Kind<>(Batch.class, Kind.On.WORKSHOP, "batches", "batch", false, BatchJson::write, BatchJson::read);

    private BatchJson() {}

    /** A batch. */
    static ObjectNode write(Batch b) {
        Compound c = b.compound();
        ObjectNode node = NODES.objectNode()
                .put("id", b.id().n())
                .put("name", c.name())
                .put("kind", c.kind().code())
                .put("induction", c.induction())
                .put("life", c.life())
                .put("stir", c.stir())
                .put("mixed", b.mixed().toString())
                .put("stirred", b.stirred().toString());
        b.ended().ifPresent(e -> node.put("ended", e.toString()));
        return node.set(
                "covers",
                array(
                        b.covers(),
                        s -> NODES.objectNode().put("layer", s.layer().n()).put("far", s.far())));
    }

    static Batch read(At at) {
        at.only("id", "name", "kind", "induction", "life", "stir", "mixed", "stirred", "ended", "covers");
        List<Batch.Surface> covers = at.list(
                "covers",
                s -> s.only("layer", "far")
                        .make(() -> new Batch.Surface(new Id.Layer(s.whole("layer")), s.flag("far"))));
        return at.make(() -> new Batch(
                new Id.Batch(at.whole("id")),
                new Compound(
                        at.text("name"),
                        at.get("kind").word(Compound.Kind.values(), Compound.Kind::code),
                        at.small("induction"),
                        at.small("life"),
                        at.small("stir")),
                Instant.parse(at.text("mixed")),
                covers,
                Instant.parse(at.text("stirred")),
                at.maybe("ended").map(e -> Instant.parse(e.text()))));
    }
}
