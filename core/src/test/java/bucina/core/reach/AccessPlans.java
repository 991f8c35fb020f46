package bucina.core.reach;

import bucina.core.Plans;
import bucina.core.edit.SheetEdits;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.plan.Bolting;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Flange;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.SheetHoles;
import bucina.core.plan.Standing;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A row of five holes an inch apart along y = 2 through a skin and a strip; beside them parts of their own that stand
 * up.
 */
final class AccessPlans {

    static final Fastener PULLED = new Fastener.PulledRivet("iso15977", Length.mm(3.2), false);
    static final Fastener BOLT = new Fastener.Hardware("AN4", Length.in(.25), Length.in(.25), false, Bolting.NONE);

    private AccessPlans() {}

    static Build plain(Fastener fastener) {
        return Plans.build(Plans.face(
                List.of(Plans.layer(11, "Skin", .125, 0, 0, 20, 8), Plans.layer(12, "Strip", .125, 0, 0, 20, 8)),
                List.of(Plans.group(20, "G-1", fastener, List.of(Plans.row(1000, "R1", 2, 5))))));
    }

    /** A part of its own with one flange that stands up along a line, and nothing of it over the holes. */
    static Build wall(Build build, String name, Standing standing, Flange.Stands side, double high, Segment at) {
        long id = build.nextId();
        Part part = new Part(new Id.Part(id), name, Material.parse("2024-T3"), 5, true).with(standing);
        List<Part> parts = new ArrayList<>(build.parts());
        parts.add(part);
        Layer layer = new Layer(
                new Id.Layer(id + 1),
                part.id(),
                name,
                Length.in(.032),
                Outline.rectangle(Point.in(15, 5), Point.in(16, 6)),
                new Flange(List.of(at), side, Length.in(high)),
                SheetHoles.NONE);
        return held(SheetEdits.addLayer(build.withParts(parts, id + 2), new Id.Face(3), 2, layer), 15.5, 5.5);
    }

    /** A part that goes on has a rivet of its own that holds it. */
    static Build held(Build build, double x, double y) {
        long id = build.nextId();
        Row row = new Row(
                new Id.Row(id),
                "R" + id,
                2,
                List.of(new Hole(new Id.Hole(id + 1), 1, Point.in(x, y), Optional.empty())));
        return build.with(
                build.faces().getFirst().face().plus(Plans.group(id + 2, "G-" + id, Plans.UNIVERSAL, List.of(row))),
                id + 3);
    }

    static Segment along(double y) {
        return new Segment(Point.in(-10, y), Point.in(30, y));
    }
}
