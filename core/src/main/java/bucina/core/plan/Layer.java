package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Segment;
import java.util.List;
import java.util.Objects;

/**
 * One sheet of a face.
 *
 * @param id        its id
 * @param part      the part it belongs to
 * @param name      what the bench calls it, {@code Rib 4 flange}; not blank
 * @param thickness over 0
 * @param outline   its shape on this face
 * @param flange    what of it is bent away from this face; usually nothing
 * @param holes     how its holes come from the kit
 */
public record Layer(
        Id.Layer id, Id.Part part, String name, Length thickness, Outline outline, Flange flange, SheetHoles holes) {
    public Layer {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(part, "part");
        Objects.requireNonNull(outline, "outline");
        Objects.requireNonNull(holes, "holes");
        Names.check("a layer", name);
        Objects.requireNonNull(flange, "flange");
        if (!thickness.positive()) {
            throw new InputException("thickness must be over 0, was " + thickness);
        }
    }

    /** A layer with no bend on this face. */
    public Layer(Id.Layer id, Id.Part part, String name, Length thickness, Outline outline) {
        this(id, part, name, thickness, outline, List.of());
    }

    /** A layer of which nothing is said how its holes come. */
    public Layer(Id.Layer id, Id.Part part, String name, Length thickness, Outline outline, List<Segment> bends) {
        this(id, part, name, thickness, outline, Flange.at(bends), SheetHoles.NONE);
    }

    /** This layer with another outline. */
    public Layer withOutline(Outline changed) {
        return new Layer(id, part, name, thickness, changed, flange, holes);
    }

    /** This layer with another thickness. */
    public Layer withThickness(Length changed) {
        return new Layer(id, part, name, changed, outline, flange, holes);
    }

    /** This layer as a sheet of another part. */
    public Layer of(Id.Part other) {
        return new Layer(id, other, name, thickness, outline, flange, holes);
    }

    /** This layer under another name. */
    public Layer named(String other) {
        return new Layer(id, part, other, thickness, outline, flange, holes);
    }

    /** This layer with holes that come otherwise. */
    public Layer with(SheetHoles other) {
        return new Layer(id, part, name, thickness, outline, flange, other);
    }

    /** Tangents of its bends on this face, where the flat part ends; usually none. */
    public List<Segment> bends() {
        return flange.bends();
    }

    /** This layer bent otherwise. */
    public Layer with(Flange other) {
        return new Layer(id, part, name, thickness, outline, other, holes);
    }
}
