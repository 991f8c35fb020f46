package bucina.core.plan;

import bucina.core.measure.Unit;
import java.util.List;
import java.util.Objects;

/**
 * What is built as one: half a stabilator, a locker.
 *
 * @param id       its id
 * @param name     not blank
 * @param hand     which hand
 * @param unit     the unit of its drawings
 * @param drawings references to its drawings
 * @param faces    its joint planes
 */
public record Assembly(Id.Assembly id, String name, Hand hand, Unit unit, List<String> drawings, List<Face> faces) {
    public Assembly {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(hand, "hand");
        Objects.requireNonNull(unit, "unit");
        Names.check("an assembly", name);
        drawings = List.copyOf(drawings);
        faces = List.copyOf(faces);
    }

    /** This assembly with one face put in the place of the face with the same id. */
    public Assembly with(Face changed) {
        return new Assembly(id, name, hand, unit, drawings,
                faces.stream().map(f -> f.id().equals(changed.id()) ? changed : f).toList());
    }
}
