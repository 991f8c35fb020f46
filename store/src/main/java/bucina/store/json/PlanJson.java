package bucina.store.json;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.form.PartForm;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Face;
import bucina.core.plan.Flange;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.SheetHoles;
import bucina.core.plan.Standing;
import bucina.core.plan.Twin;
import bucina.core.plan.Zone;
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
import java.util.List;
import java.util.Map;
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

    /** A part. */
    public static ObjectNode part(Part p) {
        ObjectNode node = NODES.objectNode()
                .put("id", p.id().n())
                .put("name", p.name())
                .put("material", p.material().code())
                .put("fittingOrder", p.fittingOrder())
                .put("standing", p.standing().code());
        if (p.kind() != Part.Kind.SHEET) {
            node.put("kind", p.kind().code());
        }
        return node.setAll(ParticularsJson.write(p.particulars()));
    }

    static Part part(At at) {
        at.only(ParticularsJson.with("id", "name", "material", "fittingOrder", "fitted", "standing", "kind"));
        Part.Kind kind = at.maybe("kind")
                .map(k -> k.word(Part.Kind.values(), Part.Kind::code))
                .orElse(Part.Kind.SHEET);
        return at.make(() -> new Part(
                new Id.Part(at.whole("id")),
                at.text("name"),
                Material.parse(at.text("material", PartForm.USUAL)),
                at.maybe("fittingOrder").isPresent() ? at.small("fittingOrder") : 1,
                standing(at),
                kind,
                ParticularsJson.read(at)));
    }

    /** Before version 7 a part was in place or not. */
    private static Standing standing(At at) {
        return at.maybe("standing")
                .map(s -> s.word(Standing.values(), Standing::code))
                .orElseGet(() -> at.maybe("fitted").isPresent() && at.flag("fitted") ? Standing.DRY : Standing.HERE);
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

    static ArrayNode point(Point p) {
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

    static Point point(At at) {
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
        if (!l.flange().equals(Flange.at(l.bends()))) {
            node.put("stands", l.flange().stands().code())
                    .put("standsHigh", Mm.of(l.flange().height()));
        }
        if (!l.holes().equals(SheetHoles.NONE)) {
            node.set("holes", SheetHolesJson.write(l.holes()));
        }
        return node;
    }

    static Layer layer(At at) {
        at.only("id", "part", "name", "thickness", "outline", "bends", "stands", "standsHigh", "holes");
        return at.make(() -> new Layer(
                new Id.Layer(at.whole("id")),
                new Id.Part(at.whole("part")),
                at.text("name"),
                at.length("thickness"),
                outline(at.get("outline")),
                flange(at),
                at.maybe("holes").map(SheetHolesJson::read).orElse(SheetHoles.NONE)));
    }

    private static Flange flange(At at) {
        return new Flange(
                at.maybe("bends").map(PlanJson::bends).orElse(List.of()),
                at.maybe("stands")
                        .map(s -> s.word(Flange.Stands.values(), Flange.Stands::code))
                        .orElse(Flange.Stands.UNSAID),
                at.maybe("standsHigh").map(At::length).orElse(Length.ZERO));
    }

    /** What of a sheet is bent, for one column of the build file. */
    public static ObjectNode flange(Flange flange) {
        return NODES.objectNode()
                .put("stands", flange.stands().code())
                .put("standsHigh", Mm.of(flange.height()))
                .set("bends", bends(flange.bends()));
    }

    /** Bend tangents: two points each. */
    public static ArrayNode bends(List<Segment> bends) {
        return array(bends, b -> NODES.arrayNode().add(point(b.a())).add(point(b.b())));
    }

    private static List<Segment> bends(At at) {
        return at.list(b -> new Segment(point(b.item(0)), point(b.item(1))));
    }

    /** Reads what of a sheet is bent from one column of the build file: tangents alone, or how they stand too. */
    public static Flange flangeFrom(String text) {
        At at = new At(Json.read(text), "bends");
        return text.startsWith("[") ? Flange.at(bends(at)) : flange(at.only("bends", "stands", "standsHigh"));
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

    // ---- faces and assemblies

    static ObjectNode face(Face f) {
        ObjectNode node = NODES.objectNode()
                .put("id", f.id().n())
                .put("name", f.name())
                .put("viewed", f.viewed())
                .put("xToward", f.xToward())
                .put("yToward", f.yToward());
        node.set("layers", array(f.layers(), PlanJson::layer));
        node.set("groups", array(f.groups(), GroupJson::group));
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
                at.text("viewed", ""),
                at.text("xToward", ""),
                at.text("yToward", ""),
                at.some("layers", PlanJson::layer),
                at.some("groups", GroupJson::group),
                at.maybe("zones").map(PlanJson::zones).orElse(List.of())));
    }

    static ObjectNode assembly(Assembly a) {
        ObjectNode node = NODES.objectNode()
                .put("id", a.id().n())
                .put("name", a.name())
                .put("hand", GroupJson.lower(a.hand()))
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
                at.or("hand", h -> h.word(Hand.values(), GroupJson::lower), Hand.NONE),
                at.or("unit", u -> u.word(Unit.values(), Unit::symbol), Unit.INCH),
                at.some("drawings", At::text),
                at.some("faces", PlanJson::face),
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
