package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Id;
import bucina.core.plan.IndexMark;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;

/** Index marks as JSON trees and back. */
final class IndexMarkJson {

    static final Kind<IndexMark> KIND = new Kind<>(
            IndexMark.class, Kind.On.WORKSHOP, "index", "index_mark", false, IndexMarkJson::write, IndexMarkJson::read);

    private IndexMarkJson() {}

    /** An index mark. */
    static ObjectNode write(IndexMark m) {
        return NODES.objectNode()
                .put("id", m.id().n())
                .put("part", m.part().n())
                .put("how", m.how())
                .put("at", m.at().toString());
    }

    static IndexMark read(At at) {
        at.only("id", "part", "how", "at");
        return at.make(() -> new IndexMark(
                new Id.Index(at.whole("id")),
                new Id.Part(at.whole("part")),
                at.text("how"),
                Instant.parse(at.text("at"))));
    }
}
