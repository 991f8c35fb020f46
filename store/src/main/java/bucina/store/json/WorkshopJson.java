package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;
import static bucina.store.json.PlanJson.array;

import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Batch;
import bucina.core.plan.Compound;
import bucina.core.plan.FitReading;
import bucina.core.plan.Id;
import bucina.core.plan.IndexMark;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Tool;
import bucina.core.plan.Workshop;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Kept sums, tools, batches, index marks and readings as JSON trees and back. */
public final class WorkshopJson {

    private WorkshopJson() {}

    static ObjectNode workshop(Workshop workshop) {
        ObjectNode node = NODES.objectNode();
        node.set("sums", array(workshop.sums(), WorkshopJson::sum));
        node.set("tools", array(workshop.tools(), WorkshopJson::tool));
        node.set("batches", array(workshop.batches(), WorkshopJson::batch));
        node.set("index", array(workshop.index(), WorkshopJson::index));
        return node.set("readings", array(workshop.readings(), WorkshopJson::reading));
    }

    static Workshop workshop(At at) {
        at.only("sums", "tools", "batches", "index", "readings");
        return new Workshop(
                at.list("sums", WorkshopJson::sum),
                at.list("tools", WorkshopJson::tool),
                at.maybe("batches").map(l -> l.list(WorkshopJson::batch)).orElse(List.of()),
                at.maybe("index").map(l -> l.list(WorkshopJson::index)).orElse(List.of()),
                at.maybe("readings").map(l -> l.list(WorkshopJson::reading)).orElse(List.of()));
    }

    /** A kept sum. */
    public static ObjectNode sum(KeptSum s) {
        ObjectNode node = NODES.objectNode()
                .put("id", s.id().n())
                .put("kind", s.kind())
                .put("name", s.name())
                .put("unit", s.unit().symbol());
        s.part().ifPresent(p -> node.put("part", p.n()));
        ObjectNode figures = node.putObject("figures");
        s.figures().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(e -> figures.put(e.getKey(), e.getValue()));
        return node;
    }

    private static KeptSum sum(At at) {
        at.only("id", "kind", "name", "unit", "part", "figures");
        Map<String, String> figures = new LinkedHashMap<>();
        At given = at.get("figures");
        given.names().forEach(n -> figures.put(n, given.text(n)));
        return at.make(() -> new KeptSum(
                new Id.Sum(at.whole("id")),
                at.text("kind"),
                at.text("name"),
                at.maybe("part").map(p -> new Id.Part(p.whole())),
                at.get("unit").word(Unit.values(), Unit::symbol),
                figures));
    }

    /** Reads a kept sum from one column of the build file. */
    public static KeptSum sumFrom(String text) {
        return sum(new At(Json.read(text), "sum"));
    }

    /** A tool. */
    public static ObjectNode tool(Tool t) {
        return NODES.objectNode()
                .put("id", t.id().n())
                .put("kind", t.kind().code())
                .put("name", t.name())
                .set("sizes", array(t.sizes(), l -> NODES.numberNode(Mm.of(l))));
    }

    private static Tool tool(At at) {
        at.only("id", "kind", "name", "sizes");
        return at.make(() -> new Tool(
                new Id.Tool(at.whole("id")),
                at.get("kind").word(Tool.Kind.values(), Tool.Kind::code),
                at.text("name"),
                at.list("sizes", At::length)));
    }

    /** Reads a tool from one column of the build file. */
    public static Tool toolFrom(String text) {
        return tool(new At(Json.read(text), "tool"));
    }

    /** A batch. */
    public static ObjectNode batch(Batch b) {
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

    private static Batch batch(At at) {
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

    /** Reads a batch from one column of the build file. */
    public static Batch batchFrom(String text) {
        return batch(new At(Json.read(text), "batch"));
    }

    /** An index mark. */
    public static ObjectNode index(IndexMark m) {
        return NODES.objectNode()
                .put("id", m.id().n())
                .put("part", m.part().n())
                .put("how", m.how())
                .put("at", m.at().toString());
    }

    private static IndexMark index(At at) {
        at.only("id", "part", "how", "at");
        return at.make(() -> new IndexMark(
                new Id.Index(at.whole("id")),
                new Id.Part(at.whole("part")),
                at.text("how"),
                Instant.parse(at.text("at"))));
    }

    /** Reads an index mark from one column of the build file. */
    public static IndexMark indexFrom(String text) {
        return index(new At(Json.read(text), "index"));
    }

    /** A reading of an assembly: lengths in mm, angles in degrees. */
    public static ObjectNode reading(FitReading r) {
        return NODES.objectNode()
                .put("id", r.id().n())
                .put("face", r.face().n())
                .put("kind", r.kind().code())
                .put("after", r.after())
                .put("at", r.at().toString())
                .set(
                        "values",
                        array(
                                r.values(),
                                v -> NODES.numberNode(r.kind().angle() ? BigDecimal.valueOf(v) : Mm.of(Length.nm(v)))));
    }

    private static FitReading reading(At at) {
        at.only("id", "face", "kind", "after", "at", "values");
        FitReading.Kind kind = at.get("kind").word(FitReading.Kind.values(), FitReading.Kind::code);
        return at.make(() -> new FitReading(
                new Id.Fit(at.whole("id")),
                new Id.Face(at.whole("face")),
                kind,
                at.flag("after"),
                at.list("values", v -> kind.angle() ? v.number() : v.nanometres()),
                Instant.parse(at.text("at"))));
    }

    /** Reads a reading of an assembly from one column of the build file. */
    public static FitReading readingFrom(String text) {
        return reading(new At(Json.read(text), "reading"));
    }
}
