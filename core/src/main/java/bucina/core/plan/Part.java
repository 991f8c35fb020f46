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
 * @param kind         what it is
 */
public record Part(Id.Part id, String name, Material material, int fittingOrder, boolean fitted, Kind kind) {

    /** What a part is, where work differs by it. */
    public enum Kind {
        /** Made from sheet: its holes are drilled, deburred and dressed. */
        SHEET("sheet"),
        /** Nut plates: their lugs come with holes and are riveted as they are. */
        NUT_PLATES("nut-plates");

        private final String code;

        Kind(String code) {
            this.code = code;
        }

        /** The word in files. */
        public String code() {
            return code;
        }
    }

    public Part {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(material, "material");
        Objects.requireNonNull(kind, "kind");
        Names.check("a part", name);
        if (fittingOrder < 0) {
            throw new InputException("fitting order must be at least 0, was " + fittingOrder);
        }
    }

    /** A part made from sheet. */
    public Part(Id.Part id, String name, Material material, int fittingOrder, boolean fitted) {
        this(id, name, material, fittingOrder, fitted, Kind.SHEET);
    }

    /** This part in place, or not yet. */
    public Part withFitted(boolean on) {
        return new Part(id, name, material, fittingOrder, on, kind);
    }

    /** This part going on at another time. */
    public Part withFittingOrder(int order) {
        return new Part(id, name, material, order, fitted, kind);
    }

    /** Its like for the other hand, not in place yet. */
    public Part like(Id.Part other, String otherName) {
        return new Part(other, otherName, material, fittingOrder, false, kind);
    }
}
