package bucina.core.panel;

import bucina.core.dress.Preparation;
import bucina.core.edit.AssemblyEdits;
import bucina.core.edit.Edit;
import bucina.core.edit.HoleEdits;
import bucina.core.edit.PartEdits;
import bucina.core.layout.Rows;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Come;
import bucina.core.plan.Face;
import bucina.core.plan.Flange;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import bucina.core.plan.SheetHoles;
import bucina.core.plan.Standing;
import bucina.core.rule.EdgeRule;
import bucina.core.sheet.Box;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Segment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Ribs and frames put into an assembly in one go: web, a flange on each of several faces, and their holes there. */
public final class Ribs {

    /** Metal between the end of a flange and the least edge distance of its last hole. */
    private static final Length SPARE = Length.in(.03);

    private static final Length RADIUS = Length.in(.125);

    private Build build;
    private final RibPlan plan;
    private final Length margin;

    private Ribs(Build build, RibPlan plan) {
        this.build = build;
        this.plan = plan;
        this.margin = EdgeRule.of(
                        build.rules(), plan.fastener().shank(), plan.fastener().flush())
                .least()
                .plus(SPARE);
    }

    /**
     * The build with the ribs in it, each one part.
     *
     * @throws InputException if a flange leaves its face, or a name is taken
     */
    public static Build add(Build build, Id.Assembly into, RibPlan plan) {
        Ribs ribs = new Ribs(build, plan);
        int order = build.parts().stream().mapToInt(Part::fittingOrder).max().orElse(0) + 1;
        for (int i = 0; i < plan.stations().size(); i++) {
            ribs.rib(into, i, order);
        }
        return ribs.build.checked();
    }

    private void rib(Id.Assembly into, int i, int order) {
        String name = plan.called(i);
        if (build.parts().stream().anyMatch(p -> p.name().equalsIgnoreCase(name))) {
            throw new InputException("there is a part " + name + " already: give the ribs another name");
        }
        Part part = new Part(
                new Id.Part(build.nextId()),
                name,
                plan.material(),
                order,
                Standing.HERE,
                Part.Kind.RIB,
                Particulars.NONE.withGauge(Optional.of(plan.flange().thickness()), Optional.empty()));
        build = PartEdits.add(build, part);
        for (RibPlan.On on : plan.on()) {
            flange(part, on, plan.stations().get(i).nanometres());
        }
        plan.web().ifPresent(web -> web(into, part, web));
    }

    private void flange(Part part, RibPlan.On on, double x) {
        Face face = Edit.face(build, on.face());
        double half = plan.flange().width().nanometres() / 2;
        double low = on.from().nanometres();
        double high = on.to().nanometres();
        Layer skin = largest(face);
        for (Point corner : List.of(
                new Point(x - half, low),
                new Point(x + half, low),
                new Point(x - half, high),
                new Point(x + half, high))) {
            if (!skin.outline().covers(corner)) {
                throw new InputException("the flange of " + part.name() + " leaves " + face.name() + " at "
                        + corner.across() + ", " + corner.up() + ": give stations and ends inside it");
            }
        }
        double bend = x - half + RADIUS.plus(plan.flange().thickness()).nanometres();
        Come come = new Come(on.fromSkin() ? Come.State.BLANK : Come.State.PILOT, Optional.empty());
        Layer layer = new Layer(
                new Id.Layer(build.nextId()),
                part.id(),
                part.name() + " flange, " + face.name(),
                plan.flange().thickness(),
                Outline.rectangle(new Point(x - half, low), new Point(x + half, high)),
                Flange.at(List.of(new Segment(new Point(bend, low), new Point(bend, high))))
                        .with(Flange.Stands.FAR, Length.ZERO),
                SheetHoles.NONE.all(come));
        Come others = new Come(on.fromSkin() ? Come.State.PILOT : Come.State.BLANK, Optional.empty());
        build = Edit.face(build, face.id(), f -> {
                    List<Layer> layers = new ArrayList<>(f.layers());
                    layers.replaceAll(l -> l.id().equals(skin.id()) ? told(l, others) : l);
                    layers.add(layer);
                    return f.withLayers(layers);
                })
                .withNextId(build.nextId() + 1);
        if (!on.fromSkin()) {
            row(face.id(), x, low, high);
        }
    }

    private static Layer told(Layer skin, Come come) {
        boolean unsaid = skin.holes().come().state() == Come.State.UNKNOWN;
        return unsaid ? skin.with(skin.holes().all(come)) : skin;
    }

    private static Layer largest(Face face) {
        return face.layers().stream()
                .max(Comparator.comparingDouble(l -> l.outline().outer().area()))
                .orElseThrow(() -> new InputException(
                        "face " + face.name() + " has no sheet that a rib could lie on: make or bring in one first"));
    }

    /** The rib's holes on a face: a row of the group of the ribs there. */
    private void row(Id.Face id, double x, double low, double high) {
        Point from = new Point(x, low + margin.nanometres());
        Point to = new Point(x, high - margin.nanometres());
        if (to.y() - from.y() < plan.fastener().shank().nanometres()) {
            throw new InputException("a flange from " + Length.nm(low) + " to " + Length.nm(high)
                    + " is too short for two rivets: make it longer, or let the skin have the holes");
        }
        Face face = Edit.face(build, id);
        Group group = face.groups().stream()
                .filter(g ->
                        g.name().equals(plan.name().strip()) && g.fastener().equals(plan.fastener()))
                .findFirst()
                .orElseGet(() -> group(id));
        build = HoleEdits.addRow(build, group.id(), Rows.line(from, to, Rows.Spacing.pitch(plan.pitch())));
    }

    private Group group(Id.Face id) {
        Group group = new Group(
                new Id.Group(build.nextId()),
                Edit.freeCode(build, "RB"),
                plan.name().strip(),
                plan.fastener(),
                false,
                plan.fastener().flush() ? Preparation.AUTO : Preparation.NONE,
                plan.callout(),
                List.of(),
                Optional.empty(),
                Set.of(),
                Set.of());
        build = Edit.face(build, id, f -> f.plus(group)).withNextId(build.nextId() + 1);
        return group;
    }

    /** The web as a face of its own, with its lightening holes spread along the middle. */
    private void web(Id.Assembly into, Part part, RibPlan.Web web) {
        double w = web.length().nanometres();
        double h = web.height().nanometres();
        List<Ring> openings = new ArrayList<>();
        for (int i = 0; i < web.openings(); i++) {
            openings.add(Ring.circle(
                    new Point(w * (i + 1) / (web.openings() + 1), h / 2),
                    web.diameter().times(.5)));
        }
        checkOpenings(web, w, h);
        Id.Face face = new Id.Face(build.nextId());
        build = AssemblyEdits.addFace(build, into, part.name() + " web", "from inboard", "aft", "up");
        Outline flat = Outline.rectangle(new Point(0, 0), new Point(w, h));
        Layer layer = new Layer(
                new Id.Layer(build.nextId()),
                part.id(),
                part.name() + " web",
                plan.flange().thickness(),
                new Outline(flat.outer(), openings));
        build = Edit.face(build, face, f -> f.withLayers(List.of(layer))).withNextId(build.nextId() + 1);
    }

    private static void checkOpenings(RibPlan.Web web, double w, double h) {
        double d = web.openings() == 0 ? 0 : web.diameter().nanometres();
        if (d >= h || d * web.openings() >= w * web.openings() / (web.openings() + 1.0)) {
            throw new InputException(
                    web.openings() + " lightening holes of " + web.diameter() + " do not fit into a web of "
                            + web.length() + " x " + web.height() + ": give fewer or smaller ones");
        }
    }

    /** Where a flange runs on a face unless something else is said: from edge to edge of its largest sheet. */
    public static Optional<Box> extent(Face face) {
        return face.layers().isEmpty()
                ? Optional.empty()
                : Optional.of(largest(face).outline().box());
    }
}
