package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;

import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.Particulars;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What is said of a part, as JSON fields and back; what is not said has no field. */
public final class ParticularsJson {

    private static final List<String> FIELDS = List.of(
            "number",
            "aliases",
            "hand",
            "called",
            "measured",
            "page",
            "place",
            "due",
            "tasks",
            "waived",
            "forGood",
            "instead");

    private ParticularsJson() {}

    /** What is said of a part. */
    public static ObjectNode write(Particulars p) {
        ObjectNode node = NODES.objectNode();
        text(node, "number", p.number());
        texts(node, "aliases", p.aliases());
        if (p.hand() != Hand.NONE) {
            node.put("hand", GroupJson.lower(p.hand()));
        }
        p.called().ifPresent(t -> node.put("called", Mm.of(t)));
        p.measured().ifPresent(t -> node.put("measured", Mm.of(t)));
        text(node, "page", p.page());
        text(node, "place", p.place());
        p.due().ifPresent(d -> node.put("due", d.toString()));
        texts(node, "tasks", p.tasks());
        texts(node, "waived", p.waived().stream().sorted().toList());
        if (!p.forGood().isEmpty()) {
            node.set(
                    "forGood",
                    PlanJson.array(p.forGood().stream().map(Id.Face::n).sorted().toList(), NODES::numberNode));
        }
        p.instead().ifPresent(i -> node.put("instead", i.n()));
        return node;
    }

    private static void text(ObjectNode node, String field, String text) {
        if (!text.isEmpty()) {
            node.put(field, text);
        }
    }

    private static void texts(ObjectNode node, String field, Collection<String> texts) {
        if (!texts.isEmpty()) {
            node.set(field, PlanJson.texts(texts));
        }
    }

    /** The fields of a part: those named, and these. */
    static String[] with(String... named) {
        return Stream.concat(Stream.of(named), FIELDS.stream()).toArray(String[]::new);
    }

    static Particulars read(At at) {
        return at.make(() -> new Particulars(
                text(at, "number"),
                texts(at, "aliases"),
                at.maybe("hand")
                        .map(h -> h.word(Hand.values(), GroupJson::lower))
                        .orElse(Hand.NONE),
                at.maybe("called").map(At::length),
                at.maybe("measured").map(At::length),
                text(at, "page"),
                text(at, "place"),
                at.maybe("due").isPresent() ? Optional.of(at.date("due")) : Optional.empty(),
                texts(at, "tasks"),
                new HashSet<>(texts(at, "waived")),
                new HashSet<>(at.maybe("forGood")
                        .map(l -> l.list(f -> f.make(() -> new Id.Face(f.whole()))))
                        .orElse(List.of())),
                at.maybe("instead").map(i -> i.make(() -> new Id.Part(i.whole())))));
    }

    private static String text(At at, String field) {
        return at.maybe(field).map(At::text).orElse("");
    }

    private static List<String> texts(At at, String field) {
        return at.maybe(field).map(l -> l.list(At::text)).orElse(List.of());
    }

    /** Reads it from one column of the build file. */
    public static Particulars from(String text) {
        At at = new At(Json.read(text), "particulars");
        return read(at.only(FIELDS.toArray(String[]::new)));
    }
}
