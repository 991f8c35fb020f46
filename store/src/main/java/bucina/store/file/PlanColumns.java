package bucina.store.file;

import bucina.core.plan.Assembly;
import bucina.core.plan.Face;
import bucina.core.plan.Flange;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Kept;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.store.json.GroupJson;
import bucina.store.json.Json;
import bucina.store.json.Kinds;
import bucina.store.json.ParticularsJson;
import bucina.store.json.PlanJson;
import bucina.store.json.SheetHolesJson;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;

/** The table of each record of a plan, and what stands in its columns. */
final class PlanColumns {

    private PlanColumns() {}

    static String table(Object record) {
        return switch (record) {
            case Part p -> "part";
            case Assembly a -> "assembly";
            case Face f -> "face";
            case Layer l -> "layer";
            case Group g -> "fastener_group";
            case Row r -> "hole_row";
            case Hole h -> "hole";
            case Kept k -> Kinds.of(k).table();
            default -> throw new IllegalStateException("no table for " + record.getClass());
        };
    }

    /** Values by column; id, parent and position are not among them. */
    static Map<String, Object> of(Object record) {
        Map<String, Object> c = new LinkedHashMap<>();
        switch (record) {
            case Part p -> part(p, c);
            case Assembly a -> assembly(a, c);
            case Face f -> face(f, c);
            case Layer l -> layer(l, c);
            case Group g -> group(g, c);
            case Row r -> row(r, c);
            case Hole h -> hole(h, c);
            case Kept k -> c.put("body", Kinds.of(k).body(k));
            default -> throw new IllegalStateException("no columns for " + record.getClass());
        }
        return c;
    }

    private static void part(Part p, Map<String, Object> c) {
        c.put("name", p.name());
        c.put("material", p.material().code());
        c.put("fitting_order", p.fittingOrder());
        c.put("kind", p.kind().code());
        c.put("standing", p.standing().code());
        c.put("particulars", Json.line(ParticularsJson.write(p.particulars())));
    }

    private static void assembly(Assembly a, Map<String, Object> c) {
        c.put("name", a.name());
        c.put("hand", a.hand().name().toLowerCase(Locale.ROOT));
        c.put("unit", a.unit().symbol());
        c.put("drawings", Json.line(Json.mapper().valueToTree(a.drawings())));
        c.put("twin", a.twin().map(t -> Json.line(PlanJson.twin(t))).orElse(null));
    }

    private static void face(Face f, Map<String, Object> c) {
        c.put("name", f.name());
        c.put("viewed", f.viewed());
        c.put("x_toward", f.xToward());
        c.put("y_toward", f.yToward());
        c.put("zones", Json.line(PlanJson.zones(f.zones())));
    }

    private static void layer(Layer l, Map<String, Object> c) {
        c.put("part", l.part().n());
        c.put("name", l.name());
        c.put("thickness_nm", l.thickness().nanometres());
        c.put("outline", Json.line(PlanJson.outline(l.outline())));
        Flange flange = l.flange();
        boolean said = !flange.equals(Flange.at(flange.bends()));
        c.put("bends", Json.line(said ? PlanJson.flange(flange) : PlanJson.bends(flange.bends())));
        c.put("holes", Json.line(SheetHolesJson.write(l.holes())));
    }

    private static void group(Group g, Map<String, Object> c) {
        c.put("code", g.code());
        c.put("name", g.name());
        c.put("fastener", Json.line(GroupJson.fastener(g.fastener())));
        c.put("head_far", g.headFar() ? 1 : 0);
        c.put("preparation", g.preparation().code());
        c.put("callout", g.callout());
        c.put("typed", g.typed().map(t -> Json.line(GroupJson.typed(t))).orElse(null));
        c.put("expects", Json.line(GroupJson.layerIds(g.expects())));
        c.put("clears", Json.line(GroupJson.layerIds(g.clears())));
        c.put("holes", Json.line(GroupJson.holePlan(g.holes())));
        c.put("page", g.page());
    }

    private static void row(Row r, Map<String, Object> c) {
        c.put("name", r.name());
        c.put("next_label", r.nextLabel());
    }

    private static void hole(Hole h, Map<String, Object> c) {
        c.put("label", h.label());
        c.put("x_nm", h.at().x());
        c.put("y_nm", h.at().y());
        c.put(
                "deviation",
                h.deviation().map(d -> Json.line(GroupJson.deviation(d))).orElse(null));
    }
}
