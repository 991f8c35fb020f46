package bucina.store.json;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Preparation;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hold;
import bucina.core.plan.Hole;
import bucina.core.plan.HolePlan;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.Twin;
import bucina.core.plan.TypedStack;
import bucina.core.plan.Zone;
import bucina.core.rivet.HeadStyle;
import bucina.core.rule.Rule;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Segment;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** The plan's records as JSON trees and back. Each pair of methods is one shape of the published schema. */
public final class PlanJson {

    static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private PlanJson() {}

    static <T> ArrayNode array(Collection<T> values, Function<T, ? extends JsonNode> each) {
        ArrayNode array = NODES.arrayNode();
        values.forEach(v -> array.add(each.apply(v)));
        return array;
    }

    static ArrayNode texts(Collection<String> values) {
        return array(values, NODES::textNode);
    }

    // ---- rules
    // ----------------------------------------------------------------------

    /** A rule set. */
    public static ObjectNode rules(RuleSet rules) {
        return NODES.objectNode()
                .put("name", rules.name())
                .set(
                        "rules",
                        array(
                                rules.rules(),
                                r -> NODES.objectNode()
                                        .put("key", r.key().code())
                                        .put("value", r.value())
                                        .put("source", r.source())
                                        .put("reason", r.reason())));
    }

    static RuleSet rules(At at) {
        at.only("name", "rules");
        List<Rule> rules = at.list("rules", r -> {
            r.only("key", "value", "source", "reason");
            RuleKey key = RuleKey.of(r.text("key"))
                    .orElseThrow(() -> r.get("key").wrong("must be a rule such as edge.least.flush"));
            return new Rule(key, r.text("value"), r.text("source"), r.text("reason"));
        });
        try {
            return RuleSet.filled(at.text("name"), rules, CatalogueReader.shippedRules());
        } catch (InputException e) {
            throw new InputException("at /rules: " + e.getMessage(), e);
        }
    }

    /** Reads a rule set from one column of the build file. */
    public static RuleSet rulesFrom(String text) {
        return rules(new At(Json.read(text), "rules"));
    }

    // ---- parts and layers
    // ----------------------------------------------------------------------

    static ObjectNode part(Part p) {
        return NODES.objectNode()
                .put("id", p.id().n())
                .put("name", p.name())
                .put("material", p.material().code())
                .put("fittingOrder", p.fittingOrder())
                .put("fitted", p.fitted());
    }

    static Part part(At at) {
        at.only("id", "name", "material", "fittingOrder", "fitted");
        return at.make(() -> new Part(
                new Id.Part(at.whole("id")),
                at.text("name"),
                Material.parse(at.text("material")),
                at.small("fittingOrder"),
                at.flag("fitted")));
    }

    /** An outline: rings of corners {@code [x, y]} or {@code [x, y, bulge]}. */
    public static ObjectNode outline(Outline outline) {
        ObjectNode node = NODES.objectNode();
        node.set("outer", ring(outline.outer()));
        if (!outline.openings().isEmpty()) {
            node.set("openings", array(outline.openings(), PlanJson::ring));
        }
        return node;
    }

    private static ArrayNode ring(Ring ring) {
        return array(ring.corners(), c -> {
            ArrayNode corner = point(c.at());
            return c.bulge() == 0 ? corner : corner.add(c.bulge());
        });
    }

    private static ArrayNode point(Point p) {
        return NODES.arrayNode().add(Mm.of(p.x())).add(Mm.of(p.y()));
    }

    static Outline outline(At at) {
        at.only("outer", "openings");
        List<Ring> openings =
                at.maybe("openings").map(o -> o.list(PlanJson::ring)).orElse(List.of());
        return new Outline(ring(at.get("outer")), openings);
    }

    /** Reads an outline from one column of the build file. */
    public static Outline outlineFrom(String text) {
        return outline(new At(Json.read(text), "outline"));
    }

    private static Ring ring(At at) {
        List<Corner> corners = at.list(c ->
                c.make(() -> new Corner(point(c), c.size() > 2 ? c.item(2).number() : 0)));
        return at.make(() -> new Ring(corners));
    }

    private static Point point(At at) {
        return new Point(at.item(0).nanometres(), at.item(1).nanometres());
    }

    static ObjectNode layer(Layer l) {
        ObjectNode node = NODES.objectNode()
                .put("id", l.id().n())
                .put("part", l.part().n())
                .put("name", l.name())
                .put("thickness", Mm.of(l.thickness()))
                .set("outline", outline(l.outline()));
        if (!l.bends().isEmpty()) {
            node.set("bends", bends(l.bends()));
        }
        return node;
    }

    static Layer layer(At at) {
        at.only("id", "part", "name", "thickness", "outline", "bends");
        return at.make(() -> new Layer(
                new Id.Layer(at.whole("id")),
                new Id.Part(at.whole("part")),
                at.text("name"),
                at.length("thickness"),
                outline(at.get("outline")),
                at.maybe("bends").map(PlanJson::bends).orElse(List.of())));
    }

    /** Bend tangents: two points each. */
    public static ArrayNode bends(List<Segment> bends) {
        return array(bends, b -> NODES.arrayNode().add(point(b.a())).add(point(b.b())));
    }

    private static List<Segment> bends(At at) {
        return at.list(b -> new Segment(point(b.item(0)), point(b.item(1))));
    }

    /** Reads bend tangents from one column of the build file. */
    public static List<Segment> bendsFrom(String text) {
        return bends(new At(Json.read(text), "bends"));
    }

    /** The zones of a face. */
    public static ArrayNode zones(List<Zone> zones) {
        return array(
                zones,
                z -> NODES.objectNode()
                        .put("id", z.id().n())
                        .put("name", z.name())
                        .put("kind", z.kind().code())
                        .put("room", Mm.of(z.room()))
                        .set("outline", outline(z.outline())));
    }

    private static List<Zone> zones(At at) {
        return at.list(z -> {
            z.only("id", "name", "kind", "room", "outline");
            return z.make(() -> new Zone(
                    new Id.Zone(z.whole("id")),
                    z.text("name"),
                    z.get("kind").word(Zone.Kind.values(), Zone.Kind::code),
                    outline(z.get("outline")),
                    z.length("room")));
        });
    }

    /** Reads zones from one column of the build file. */
    public static List<Zone> zonesFrom(String text) {
        return zones(new At(Json.read(text), "zones"));
    }

    // ---- groups
    // ----------------------------------------------------------------------

    /** A fastener. */
    public static ObjectNode fastener(Fastener fastener) {
        return switch (fastener) {
            case Fastener.SolidRivet r ->
                NODES.objectNode()
                        .put("kind", "solid-rivet")
                        .put("head", lower(r.head()))
                        .put("alloy", r.alloy())
                        .put("dash", r.dash());
            case Fastener.PulledRivet r ->
                NODES.objectNode()
                        .put("kind", "pulled-rivet")
                        .put("family", r.family())
                        .put("diameter", Mm.of(r.diameter()))
                        .put("stainless", r.stainless());
            case Fastener.Hardware h ->
                NODES.objectNode()
                        .put("kind", "hardware")
                        .put("name", h.name())
                        .put("shank", Mm.of(h.shank()))
                        .put("hole", Mm.of(h.hole()))
                        .put("flush", h.flush());
        };
    }

    static Fastener fastener(At at) {
        String kind = at.text("kind");
        return switch (kind) {
            case "solid-rivet" -> {
                at.only("kind", "head", "alloy", "dash");
                HeadStyle head = at.get("head").word(HeadStyle.values(), PlanJson::lower);
                yield at.make(() -> new Fastener.SolidRivet(head, at.text("alloy"), at.small("dash")));
            }
            case "pulled-rivet" -> {
                at.only("kind", "family", "diameter", "stainless");
                yield at.make(
                        () -> new Fastener.PulledRivet(at.text("family"), at.length("diameter"), at.flag("stainless")));
            }
            case "hardware" -> {
                at.only("kind", "name", "shank", "hole", "flush");
                yield at.make(() -> new Fastener.Hardware(
                        at.text("name"), at.length("shank"), at.length("hole"), at.flag("flush")));
            }
            default -> throw at.get("kind").wrong("must be solid-rivet, pulled-rivet or hardware");
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
        ObjectNode node = NODES.objectNode();
        d.hole().ifPresent(h -> node.put("hole", Mm.of(h)));
        d.fastener().ifPresent(f -> node.set("fastener", fastener(f)));
        d.preparation().ifPresent(p -> node.put("preparation", p.code()));
        return node.put("reason", d.reason());
    }

    static Deviation deviation(At at) {
        at.only("hole", "fastener", "preparation", "reason");
        return at.make(() -> new Deviation(
                at.maybe("hole").map(At::length),
                at.maybe("fastener").map(PlanJson::fastener),
                at.maybe("preparation").map(PlanJson::preparation),
                at.text("reason")));
    }

    /** Reads a deviation from one column of the build file. */
    public static Deviation deviationFrom(String text) {
        return deviation(new At(Json.read(text), "deviation"));
    }

    private static Preparation preparation(At at) {
        return at.word(Preparation.values(), Preparation::code);
    }

    /** A typed stack. */
    public static ObjectNode typed(TypedStack stack) {
        ObjectNode node = NODES.objectNode();
        node.set("layers", array(stack.layers(), t -> NODES.numberNode(Mm.of(t))));
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
        return array(ids.stream().map(Id.Layer::n).sorted().toList(), NODES::numberNode);
    }

    static Set<Id.Layer> layerIds(At at) {
        return new HashSet<>(at.list(id -> id.make(() -> new Id.Layer(id.whole()))));
    }

    /** Reads layer ids from one column of the build file. */
    public static Set<Id.Layer> layerIdsFrom(String text) {
        return layerIds(new At(Json.read(text), "layers"));
    }

    private static ObjectNode hole(Hole h) {
        ObjectNode node = NODES.objectNode().put("id", h.id().n()).put("label", h.label());
        node.set("at", point(h.at()));
        h.deviation().ifPresent(d -> node.set("deviation", deviation(d)));
        return node;
    }

    private static Hole hole(At at) {
        at.only("id", "label", "at", "deviation");
        return at.make(() -> new Hole(
                new Id.Hole(at.whole("id")),
                at.small("label"),
                point(at.get("at")),
                at.maybe("deviation").map(PlanJson::deviation)));
    }

    static ObjectNode row(Row r) {
        return NODES.objectNode()
                .put("id", r.id().n())
                .put("name", r.name())
                .put("nextLabel", r.nextLabel())
                .set("holes", array(r.holes(), PlanJson::hole));
    }

    static Row row(At at) {
        at.only("id", "name", "nextLabel", "holes");
        return at.make(() -> new Row(
                new Id.Row(at.whole("id")), at.text("name"), at.small("nextLabel"), at.list("holes", PlanJson::hole)));
    }

    static ObjectNode group(Group g) {
        ObjectNode node =
                NODES.objectNode().put("id", g.id().n()).put("code", g.code()).put("name", g.name());
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
        return node.set("rows", array(g.rows(), PlanJson::row));
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
                "rows");
        Optional<TypedStack> typed = at.maybe("typed").map(PlanJson::typed);
        return at.make(() -> new Group(
                new Id.Group(at.whole("id")),
                at.text("code"),
                at.text("name"),
                fastener(at.get("fastener")),
                at.flag("headFar"),
                preparation(at.get("preparation")),
                at.text("callout"),
                at.list("rows", PlanJson::row),
                typed,
                layerIds(at.get("expects")),
                layerIds(at.get("clears")),
                at.maybe("holes").map(PlanJson::holePlan).orElse(HolePlan.NONE)));
    }

    /** What the drawing says about the holes of a group. */
    public static ObjectNode holePlan(HolePlan plan) {
        ObjectNode node = NODES.objectNode().put("hold", plan.hold().code());
        plan.present().ifPresent(p -> node.put("present", Mm.of(p)));
        if (!plan.until().isEmpty()) {
            node.put("until", plan.until());
        }
        plan.dieAngle().ifPresent(a -> node.put("dieAngle", a));
        return node;
    }

    private static HolePlan holePlan(At at) {
        at.only("hold", "present", "until", "dieAngle");
        return at.make(() -> new HolePlan(
                at.maybe("present").map(At::length),
                at.get("hold").word(Hold.values(), Hold::code),
                at.maybe("until").map(At::text).orElse(""),
                at.maybe("dieAngle").map(a -> at.small("dieAngle"))));
    }

    /** Reads it from one column of the build file. */
    public static HolePlan holePlanFrom(String text) {
        return holePlan(new At(Json.read(text), "holes"));
    }

    // ---- faces and assemblies
    // ----------------------------------------------------------------------

    static ObjectNode face(Face f) {
        ObjectNode node = NODES.objectNode()
                .put("id", f.id().n())
                .put("name", f.name())
                .put("viewed", f.viewed())
                .put("xToward", f.xToward())
                .put("yToward", f.yToward());
        node.set("layers", array(f.layers(), PlanJson::layer));
        node.set("groups", array(f.groups(), PlanJson::group));
        if (!f.zones().isEmpty()) {
            node.set("zones", zones(f.zones()));
        }
        return node;
    }

    static Face face(At at) {
        at.only("id", "name", "viewed", "xToward", "yToward", "layers", "groups", "zones");
        return at.make(() -> new Face(
                new Id.Face(at.whole("id")),
                at.text("name"),
                at.text("viewed"),
                at.text("xToward"),
                at.text("yToward"),
                at.list("layers", PlanJson::layer),
                at.list("groups", PlanJson::group),
                at.maybe("zones").map(PlanJson::zones).orElse(List.of())));
    }

    static ObjectNode assembly(Assembly a) {
        ObjectNode node = NODES.objectNode()
                .put("id", a.id().n())
                .put("name", a.name())
                .put("hand", lower(a.hand()))
                .put("unit", a.unit().symbol());
        node.set("drawings", texts(a.drawings()));
        node.set("faces", array(a.faces(), PlanJson::face));
        a.twin().ifPresent(t -> node.set("twin", twin(t)));
        return node;
    }

    static Assembly assembly(At at) {
        at.only("id", "name", "hand", "unit", "drawings", "faces", "twin");
        return at.make(() -> new Assembly(
                new Id.Assembly(at.whole("id")),
                at.text("name"),
                at.get("hand").word(Hand.values(), PlanJson::lower),
                at.get("unit").word(Unit.values(), Unit::symbol),
                at.list("drawings", At::text),
                at.list("faces", PlanJson::face),
                at.maybe("twin").map(PlanJson::twin)));
    }

    /** How an assembly follows the other hand. */
    public static ObjectNode twin(Twin twin) {
        ObjectNode node = NODES.objectNode().put("of", twin.of().n());
        node.set(
                "pairs",
                array(
                        twin.pairs().entrySet().stream()
                                .sorted(Map.Entry.comparingByKey())
                                .toList(),
                        e -> NODES.arrayNode().add(e.getKey()).add(e.getValue())));
        return node.set(
                "exceptions",
                array(
                        twin.exceptions(),
                        e -> NODES.objectNode().put("id", e.id()).put("name", e.name())));
    }

    private static Twin twin(At at) {
        at.only("of", "pairs", "exceptions");
        Map<Long, Long> pairs = new HashMap<>();
        at.list("pairs", p -> pairs.put(p.item(0).whole(), p.item(1).whole()));
        return at.make(() -> new Twin(new Id.Assembly(at.whole("of")), pairs, at.list("exceptions", e -> {
            e.only("id", "name");
            return e.make(() -> new Twin.Exception(e.whole("id"), e.text("name")));
        })));
    }

    /** Reads it from one column of the build file. */
    public static Twin twinFrom(String text) {
        return twin(new At(Json.read(text), "twin"));
    }
}
