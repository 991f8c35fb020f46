package bucina.core.plan;

import bucina.core.material.Material;
import bucina.core.measure.InputException;
import java.util.Objects;

/**
 * A part of the kit.
 *
 * @param id           its id
 * @param name         as marked on the part, not blank
 * @param material     alloy and temper
 * @param fittingOrder parts go on in ascending order; equal numbers go on together; at least 0
 * @param fitted       true once it is in place: clecoed or riveted on
 */
public record Part(Id.Part id, String name, Material material, int fittingOrder, boolean fitted) {
    public Part {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(material, "material");
        Names.check("a part", name);
        if (fittingOrder < 0) {
            throw new InputException("fitting order must be at least 0, was " + fittingOrder);
        }
    }

    /** This part in place, or not yet. */
    public Part withFitted(boolean on) {
        return new Part(id, name, material, fittingOrder, on);
    }
}
