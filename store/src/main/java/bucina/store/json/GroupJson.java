package bucina.store.json;

import bucina.core.dress.Preparation;
import bucina.core.plan.Bolting;
import bucina.core.plan.Deviation;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hold;
import bucina.core.plan.Hole;
import bucina.core.plan.HolePlan;
import bucina.core.plan.Id;
import bucina.core.plan.Row;
import bucina.core.plan.Tool;
import bucina.core.plan.TypedStack;
import bucina.core.rivet.HeadStyle;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** Groups, their rows and holes, fasteners and typed stacks as JSON. */
public final class GroupJson {

    private GroupJson() {}

    /** A fastener. */
    public static ObjectNode fastener(Fastener fastener) {
        return switch (fastener) {
            case Fastener.SolidRivet r ->
                PlanJson.NODES
                        .objectNode()
                        .put("kind", "solid-rivet")
                        .put("head", lower(r.head()))
                        .put("alloy", r.alloy())
                        .put("dash", r.dash());
            case Fastener.PulledRivet r ->
                PlanJson.NODES
                        .objectNode()
                        .put("kind", "pulled-rivet")
                        .put("family", r.family())
                        .put("diameter", Mm.of(r.diameter()))
                        .put("stainless", r.stainless());
            case Fastener.Hardware h -> hardware(h);
            case Fastener.RivetNut n ->
                PlanJson.NODES
                        .objectNode()
                        .put("kind", "rivet-nut")
                        .put("name", n.name())
                        .put("thread", n.thread())
                        .put("body", Mm.of(n.body()))
                        .put("hole", Mm.of(n.hole()))
                        .put("least", Mm.of(n.least()))
                        .put("most", Mm.of(n.most()))
                        .put("stroke", Mm.of(n.stroke()));
        };
    }

    private static ObjectNode hardware(Fastener.Hardware h) {
        ObjectNode node = PlanJson.NODES
                .objectNode()
                .put("kind", "hardware")
                .put("name", h.name())
                .put("shank", Mm.of(h.shank()))
                .put("hole", Mm.of(h.hole()))
                .put("flush", h.flush());
        if (!h.bolting().equals(Bolting.NONE)) {
            node.put("nut", h.bolting().nut())
                    .put("headTurns", h.bolting().headTurns())
                    .put("reamed", h.bolting().reamed());
        }
        return node;
    }

    private static Fastener hardware(At at) {
        at.only("kind", "name", "shank", "hole", "flush", "nut", "headTurns", "reamed");
        return at.make(() -> new Fastener.Hardware(
                at.text("name"),
                at.length("shank"),
                at.length("hole"),
                at.flag("flush"),
                new Bolting(at.text("nut", ""), at.flagged("headTurns"), at.flagged("reamed"))));
    }

    static Fastener fastener(At at) {
        String kind = at.text("kind");
        return switch (kind) {
            case "solid-rivet" -> {
                at.only("kind", "head", "alloy", "dash");
                HeadStyle head = at.get("head").word(HeadStyle.values(), GroupJson::lower);
                yield at.make(() -> new Fastener.SolidRivet(head, at.text("alloy"), at.small("dash")));
            }
            case "pulled-rivet" -> {
                at.only("kind", "family", "diameter", "stainless");
                yield at.make(
                        () -> new Fastener.PulledRivet(at.text("family"), at.length("diameter"), at.flag("stainless")));
            }
            case "hardware" -> hardware(at);
            case "rivet-nut" -> {
                at.only("kind", "name", "thread", "body", "hole", "least", "most", "stroke");
                yield at.make(() -> new Fastener.RivetNut(
                        at.text("name"),
                        at.text("thread"),
                        at.length("body"),
                        at.length("hole"),
                        at.length("least"),
                        at.length("most"),
                        at.length("stroke")));
            }
            default -> throw at.get("kind").wrong("must be solid-rivet, pulled-rivet, hardware or rivet-nut");
        };
    }

    /** Reads a fastener from one column of the build file. */
    public static Fastener fastenerFrom(String text) {
        return fastener(new At(Json.read(text), "fastener"));
    }

    static String lower(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }

    /** A deviation. */
    public static ObjectNode deviation(Deviation d) {
        ObjectNode node = PlanJson.NODES.objectNode();
        d.hole().ifPresent(h -> node.put("hole", Mm.of(h)));
        d.fastener().ifPresent(f -> node.set("fastener", fastener(f)));
        d.preparation().ifPresent(p -> node.put("preparation", p.code()));
        d.until().ifPresent(u -> node.put("until", u));
        return node.put("reason", d.reason());
    }

    static Deviation deviation(At at) {
        at.only("hole", "fastener", "preparation", "until", "reason");
        return at.make(() -> new Deviation(
                at.maybe("hole").map(At::length),
                at.maybe("fastener").map(GroupJson::fastener),
                at.maybe("preparation").map(GroupJson::preparation),
                at.maybe("until").map(At::text),
                at.text("reason")));
    }

    /** Reads a deviation from one column of the build file. */
    public static Deviation deviationFrom(String text) {
        return deviation(new At(Json.read(text), "deviation"));
    }

    static Preparation preparation(At at) {
        return at.word(Preparation.values(), Preparation::code);
    }

    /** A typed stack. */
    public static ObjectNode typed(TypedStack stack) {
        ObjectNode node = PlanJson.NODES.objectNode();
        node.set("layers", PlanJson.array(stack.layers(), t -> PlanJson.NODES.numberNode(Mm.of(t))));
        return node.put("count", stack.count());
    }

    static TypedStack typed(At at) {
        at.only("layers", "count");
        return at.make(() -> new TypedStack(at.list("layers", At::length), at.small("count")));
    }

    /** Reads a typed stack from one column of the build file. */
    public static TypedStack typedFrom(String text) {
        return typed(new At(Json.read(text), "typed"));
    }

    /** Layer ids, ascending. */
    public static ArrayNode layerIds(Set<Id.Layer> ids) {
        return PlanJson.array(ids.stream().map(Id.Layer::n).sorted().toList(), PlanJson.NODES::numberNode);
    }

    static Set<Id.Layer> layerIds(At at) {
        return new HashSet<>(at.list(id -> id.make(() -> new Id.Layer(id.whole()))));
    }

    /** Reads layer ids from one column of the build file. */
    public static Set<Id.Layer> layerIdsFrom(String text) {
        return layerIds(new At(Json.read(text), "layers"));
    }

    static ObjectNode hole(Hole h) {
        ObjectNode node = PlanJson.NODES.objectNode().put("id", h.id().n()).put("label", h.label());
        node.set("at", PlanJson.point(h.at()));
        h.deviation().ifPresent(d -> node.set("deviation", deviation(d)));
        return node;
    }

    static Hole hole(At at) {
        at.only("id", "label", "at", "deviation");
        return at.make(() -> new Hole(
                new Id.Hole(at.whole("id")),
                at.small("label"),
                PlanJson.point(at.get("at")),
                at.maybe("deviation").map(GroupJson::deviation)));
    }

    static ObjectNode row(Row r) {
        return PlanJson.NODES
                .objectNode()
                .put("id", r.id().n())
                .put("name", r.name())
                .put("nextLabel", r.nextLabel())
                .set("holes", PlanJson.array(r.holes(), GroupJson::hole));
    }

    static Row row(At at) {
        at.only("id", "name", "nextLabel", "holes");
        List<Hole> holes = at.some("holes", GroupJson::hole);
        int next = holes.stream().mapToInt(Hole::label).max().orElse(0) + 1;
        return at.make(() -> new Row(
                new Id.Row(at.whole("id")),
                at.text("name"),
                at.maybe("nextLabel").isPresent() ? at.small("nextLabel") : next,
                holes));
    }

    static ObjectNode group(Group g) {
        ObjectNode node = PlanJson.NODES
                .objectNode()
                .put("id", g.id().n())
                .put("code", g.code())
                .put("name", g.name());
        node.set("fastener", fastener(g.fastener()));
        node.put("headFar", g.headFar())
                .put("preparation", g.preparation().code())
                .put("callout", g.callout());
        g.typed().ifPresent(t -> node.set("typed", typed(t)));
        node.set("expects", layerIds(g.expects()));
        node.set("clears", layerIds(g.clears()));
        if (!g.holes().equals(HolePlan.NONE)) {
            node.set("holes", holePlan(g.holes()));
        }
        if (!g.page().isEmpty()) {
            node.put("page", g.page());
        }
        return node.set("rows", PlanJson.array(g.rows(), GroupJson::row));
    }

    static Group group(At at) {
        at.only(
                "id",
                "code",
                "name",
                "fastener",
                "headFar",
                "preparation",
                "callout",
                "typed",
                "expects",
                "clears",
                "holes",
                "page",
                "rows");
        Optional<TypedStack> typed = at.maybe("typed").map(GroupJson::typed);
        Fastener fastener = fastener(at.get("fastener"));
        return at.make(() -> new Group(
                new Id.Group(at.whole("id")),
                at.text("code"),
                at.text("name", at.text("code")),
                fastener,
                at.flagged("headFar"),
                at.or("preparation", GroupJson::preparation, fastener.flush() ? Preparation.AUTO : Preparation.NONE),
                at.text("callout", ""),
                at.some("rows", GroupJson::row),
                typed,
                at.or("expects", GroupJson::layerIds, Set.of()),
                at.or("clears", GroupJson::layerIds, Set.of()),
                at.maybe("holes").map(GroupJson::holePlan).orElse(HolePlan.NONE),
                at.maybe("page").map(At::text).orElse("")));
    }

    /** What the drawing says about the holes of a group. */
    public static ObjectNode holePlan(HolePlan plan) {
        ObjectNode node = PlanJson.NODES.objectNode().put("hold", plan.hold().code());
        plan.present().ifPresent(p -> node.put("present", Mm.of(p)));
        if (!plan.until().isEmpty()) {
            node.put("until", plan.until());
        }
        plan.dieAngle().ifPresent(a -> node.put("dieAngle", a));
        if (plan.wet()) {
            node.put("wet", true);
        }
        if (!plan.headWhy().isEmpty()) {
            node.put("headWhy", plan.headWhy());
        }
        if (!plan.under().isEmpty()) {
            node.set("under", layerIds(plan.under()));
        }
        plan.with().ifPresent(k -> node.put("with", k.code()));
        return node;
    }

    static HolePlan holePlan(At at) {
        at.only("hold", "present", "until", "dieAngle", "wet", "headWhy", "under", "with");
        return at.make(() -> new HolePlan(
                at.maybe("present").map(At::length),
                at.get("hold").word(Hold.values(), Hold::code),
                at.maybe("until").map(At::text).orElse(""),
                at.maybe("dieAngle").map(a -> at.small("dieAngle")),
                at.flagged("wet"),
                at.text("headWhy", ""),
                at.or("under", GroupJson::layerIds, Set.of()),
                at.maybe("with").map(w -> w.word(Tool.Kind.values(), Tool.Kind::code))));
    }

    /** Reads it from one column of the build file. */
    public static HolePlan holePlanFrom(String text) {
        return holePlan(new At(Json.read(text), "holes"));
    }
}
