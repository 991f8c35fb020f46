package bucina.core.plan;

import bucina.core.material.Material;
import bucina.core.measure.InputException;
import java.util.Objects;
import java.util.Optional;

/**
 * A part of the kit. It is one thing on every face it lies on.
 *
 * @param id           its id
 * @param name         as people call it, not blank
 * @param material     alloy and temper
 * @param fittingOrder parts go on in ascending order; equal numbers go on together; at least 0
 * @param standing     how it stands, as the builder says
 * @param kind         what it is
 * @param particulars  what else is said of it
 */
public record Part(
        Id.Part id,
        String name,
        Material material,
        int fittingOrder,
        Standing standing,
        Kind kind,
        Particulars particulars) {

    /** What a part is, where work differs by it. */
    public enum Kind {
        /** Made from sheet: its holes are drilled, deburred and dressed. */
        SHEET("sheet", "sheet"),
        /** An outer sheet. */
        SKIN("skin", "skin"),
        /** A rib or a frame: a web with flanges that are turned and fluted. */
        RIB("rib", "rib or frame"),
        /** A spar or its web. */
        SPAR("spar", "spar or web"),
        /** An angle, a stiffener, a bracket. */
        ANGLE("angle", "angle or bracket"),
        /** Nut plates: their lugs come with holes and are riveted as they are. */
        NUT_PLATES("nut-plates", "nut plates");

        private final String code;
        private final String word;

        Kind(String code, String word) {
            this.code = code;
            this.word = word;
        }

        /** The word in files. */
        public String code() {
            return code;
        }

        /** In plain words. */
        public String word() {
            return word;
        }
    }

    public Part {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(material, "material");
        Objects.requireNonNull(standing, "standing");
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(particulars, "particulars");
        Names.check("a part", name);
        if (fittingOrder < 0) {
            throw new InputException("fitting order must be at least 0, was " + fittingOrder);
        }
    }

    /** A part made from sheet of which nothing more is said: on dry, or here and not on. */
    public Part(Id.Part id, String name, Material material, int fittingOrder, boolean fitted) {
        this(id, name, material, fittingOrder, fitted ? Standing.DRY : Standing.HERE, Kind.SHEET, Particulars.NONE);
    }

    /** True while it is in place: clecoed or riveted on. */
    public boolean fitted() {
        return standing.inPlace();
    }

    /** This part in place, or taken off. */
    public Part withFitted(boolean on) {
        return with(on ? Standing.DRY : Standing.OFF);
    }

    /** This part standing otherwise; one that is not out has no date it is due. */
    public Part with(Standing next) {
        Particulars said = next == Standing.OUT ? particulars : particulars.withDue(Optional.empty());
        return new Part(id, name, material, fittingOrder, next, kind, said);
    }

    /** This part going on at another time. */
    public Part withFittingOrder(int order) {
        return new Part(id, name, material, order, standing, kind, particulars);
    }

    /** This part with something else said of it. */
    public Part with(Particulars said) {
        return new Part(id, name, material, fittingOrder, standing, kind, said);
    }

    /** This part under another name, of another material or kind. */
    public Part as(String otherName, Material other, Kind otherKind) {
        return new Part(id, otherName, other, fittingOrder, standing, otherKind, particulars);
    }

    /** Its like for the other hand, not here yet. */
    public Part like(Id.Part other, String otherName) {
        return new Part(other, otherName, material, fittingOrder, Standing.CRATE, kind, particulars.forTheOtherHand());
    }
}
