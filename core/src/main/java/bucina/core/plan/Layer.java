package bucina.core.plan;

import bucina.core.measure.Length;
import bucina.core.sheet.Outline;
import java.util.Objects;

/**
 * One sheet of a face.
 *
 * @param id        its id
 * @param part      the part it belongs to
 * @param name      what the bench calls it, {@code Rib 4 flange}; not blank
 * @param thickness over 0
 * @param outline   its shape on this face
 */
public record Layer(Id.Layer id, Id.Part part, String name, Length thickness, Outline outline) {
    public Layer {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(part, "part");
        Objects.requireNonNull(outline, "outline");
        Names.check("a layer", name);
        if (!thickness.positive()) {
            throw new IllegalArgumentException("thickness must be over 0, was " + thickness);
        }
    }

    /** This layer with another outline. */
    public Layer withOutline(Outline changed) {
        return new Layer(id, part, name, thickness, changed);
    }
}
