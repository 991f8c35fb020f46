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
 * @param bends     tangents of its bends on this face, where the flat part ends; usually empty
 * @param holes     how its holes come from the kit
 */
public record Layer(
        Id.Layer id,
        Id.Part part,
        String name,
        Length thickness,
        Outline outline,
        List<Segment> bends,
        SheetHoles holes) {
    public Layer {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(part, "part");
        Objects.requireNonNull(outline, "outline");
        Objects.requireNonNull(holes, "holes");
        Names.check("a layer", name);
        bends = List.copyOf(bends);
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
        this(id, part, name, thickness, outline, bends, SheetHoles.NONE);
    }

    /** This layer with another outline. */
    public Layer withOutline(Outline changed) {
        return new Layer(id, part, name, thickness, changed, bends, holes);
    }

    /** This layer with another thickness. */
    public Layer withThickness(Length changed) {
        return new Layer(id, part, name, changed, outline, bends, holes);
    }

    /** This layer as a sheet of another part. */
    public Layer of(Id.Part other) {
        return new Layer(id, other, name, thickness, outline, bends, holes);
    }

    /** This layer under another name. */
    public Layer named(String other) {
        return new Layer(id, part, other, thickness, outline, bends, holes);
    }

    /** This layer with holes that come otherwise. */
    public Layer with(SheetHoles other) {
        return new Layer(id, part, name, thickness, outline, bends, other);
    }
}
