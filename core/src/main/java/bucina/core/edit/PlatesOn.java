package bucina.core.edit;

import bucina.core.dress.Preparation;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.nutplate.NutPlateLayout;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import bucina.core.plan.Row;
import bucina.core.plan.Standing;
import bucina.core.rivet.HeadStyle;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Nut plates put on a face: one part, a layer for each plate, its lug rivets, and screws where they are new. */
final class PlatesOn {

    private static final Length SCREW_PLAY = Length.in(.002);

    private final Build build;
    private final NutPlateLayout layout;
    private final List<Hole> lugs = new ArrayList<>();
    private final List<Hole> screws = new ArrayList<>();
    private Face face;
    private long next;

    PlatesOn(Build build, Face face, NutPlateLayout layout) {
        this.build = build;
        this.layout = layout;
        this.face = face;
        this.next = build.nextId();
    }

    Build with(Length lug, boolean newScrews) {
        int order = build.parts().stream().mapToInt(Part::fittingOrder).max().orElse(0);
        String name = NutPlateEdits.free(build, "Nut plates #" + layout.plate().size());
        Part part = new Part(
                new Id.Part(next++),
                name,
                Material.parse("STEEL"),
                order,
                Standing.DRY,
                Part.Kind.NUT_PLATES,
                Particulars.NONE);
        layers(part, lug);
        lugRivets();
        if (newScrews) {
            screws();
        }
        List<Part> parts = new ArrayList<>(build.parts());
        parts.add(part);
        return build.withParts(parts, next).with(face, next);
    }

    private void layers(Part part, Length lug) {
        List<Layer> layers = new ArrayList<>(face.layers());
        for (NutPlateLayout.Laid laid : layout.plates()) {
            int n = screws.size() + 1;
            layers.add(new Layer(new Id.Layer(next++), part.id(), "Nut plate " + n, lug, laid.body()));
            screws.add(new Hole(new Id.Hole(next++), n, laid.screw(), Optional.empty()));
            for (Point p : laid.rivets()) {
                lugs.add(new Hole(new Id.Hole(next++), lugs.size() + 1, p, Optional.empty()));
            }
        }
        face = face.withLayers(layers);
    }

    private void lugRivets() {
        int dash = (int) Math.round(layout.plate().rivet().in() * 32);
        Row row = row(lugs);
        group("NP", "Nut plate lugs", new Fastener.SolidRivet(HeadStyle.FLUSH, "AD", dash), Preparation.AUTO, row);
    }

    private void screws() {
        String name = "#" + layout.plate().size();
        Length hole = layout.plate().hole();
        Row row = row(screws);
        group(
                "NS",
                "Screws " + name,
                new Fastener.Hardware("Screw " + name, hole.minus(SCREW_PLAY), hole, true),
                Preparation.NONE,
                row);
    }

    private Row row(List<Hole> holes) {
        return new Row(new Id.Row(next++), Edit.freeRowName(face), holes.size() + 1, holes);
    }

    private void group(String code, String name, Fastener fastener, Preparation preparation, Row row) {
        face = face.plus(new Group(
                new Id.Group(next++),
                Edit.freeCode(build, code),
                name,
                fastener,
                false,
                preparation,
                "",
                List.of(row),
                Optional.empty(),
                Set.of(),
                Set.of()));
    }
}
