package bucina.core.plan;

import bucina.core.measure.Unit;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * What is built as one: half a stabilator, a locker.
 *
 * @param id       its id
 * @param name     not blank
 * @param hand     which hand
 * @param unit     the unit of its drawings
 * @param drawings references to its drawings
 * @param faces    its joint planes
 * @param twin     how it follows the other hand; empty if it was not mirrored
 */
public record Assembly(
        Id.Assembly id,
        String name,
        Hand hand,
        Unit unit,
        List<String> drawings,
        List<Face> faces,
        Optional<Twin> twin) {
    public Assembly {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(hand, "hand");
        Objects.requireNonNull(unit, "unit");
        Objects.requireNonNull(twin, "twin");
        Names.check("an assembly", name);
        drawings = List.copyOf(drawings);
        faces = List.copyOf(faces);
    }

    /** An assembly drawn for itself. */
    public Assembly(Id.Assembly id, String name, Hand hand, Unit unit, List<String> drawings, List<Face> faces) {
        this(id, name, hand, unit, drawings, faces, Optional.empty());
    }

    /** This assembly with one face put in the place of the face with the same id. */
    public Assembly with(Face changed) {
        return withFaces(faces.stream()
                .map(f -> f.id().equals(changed.id()) ? changed : f)
                .toList());
    }

    /** This assembly with other faces. */
    public Assembly withFaces(List<Face> changed) {
        return new Assembly(id, name, hand, unit, drawings, changed, twin);
    }

    /** This assembly following the other hand so. */
    public Assembly withTwin(Twin changed) {
        return new Assembly(id, name, hand, unit, drawings, faces, Optional.of(changed));
    }

    /** This assembly under another name, of another hand, drawn on other sheets. */
    public Assembly as(String otherName, Hand otherHand, Unit otherUnit, List<String> otherDrawings) {
        return new Assembly(id, otherName, otherHand, otherUnit, otherDrawings, faces, twin);
    }
}
