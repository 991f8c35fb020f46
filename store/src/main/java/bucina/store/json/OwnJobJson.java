package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** Jobs of the builder's own as JSON trees and back. */
final class OwnJobJson {

    static final Kind<OwnJob> KIND =
            new Kind<>(OwnJob.class, Kind.On.WORKSHOP, "jobs", "own_job", false, OwnJobJson::write, OwnJobJson::read);

    private OwnJobJson() {}

    static ObjectNode write(OwnJob j) {
        ObjectNode node =
                NODES.objectNode().put("id", j.id().n()).put("name", j.name()).put("page", j.page());
        j.assembly().ifPresent(a -> node.put("assembly", a.n()));
        node.set("parts", PlanJson.array(j.parts(), p -> NODES.numberNode(p.n())));
        return node.put("notes", j.notes());
    }

    static OwnJob read(At at) {
        at.only("id", "name", "page", "assembly", "parts", "notes");
        return at.make(() -> new OwnJob(
                new Id.Own(at.whole("id")),
                at.text("name"),
                at.maybe("page").map(At::text).orElse(""),
                at.maybe("assembly").map(a -> new Id.Assembly(a.whole())),
                at.list("parts", p -> p.make(() -> new Id.Part(p.whole()))),
                at.maybe("notes").map(At::text).orElse("")));
    }
}
