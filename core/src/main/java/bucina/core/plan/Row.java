package bucina.core.plan;

import bucina.core.measure.InputException;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * A row of holes, in order along it.
 *
 * @param id        its id
 * @param name      unique on its face, {@code R3}
 * @param nextLabel the label the next new hole gets; over every label ever used in this row
 * @param holes     in order along the row
 */
public record Row(Id.Row id, String name, int nextLabel, List<Hole> holes) {
    public Row {
        Names.check("a row", name);
        holes = List.copyOf(holes);
        Set<Integer> labels = new HashSet<>();
        for (Hole hole : holes) {
            if (!labels.add(hole.label())) {
                throw new InputException("row " + name + " has two holes labelled " + hole.label());
            }
            if (hole.label() >= nextLabel) {
                throw new InputException(
                        "row " + name + ": next label must be over " + hole.label() + ", was " + nextLabel);
            }
        }
    }

    /** The name of one of its holes, {@code R3.14}. */
    public String label(Hole hole) {
        return name + "." + hole.label();
    }

    /** This row with other holes, in order; labels given out stay given out. */
    public Row withHoles(List<Hole> changed) {
        int next = nextLabel;
        for (Hole hole : changed) {
            next = Math.max(next, hole.label() + 1);
        }
        return new Row(id, name, next, changed);
    }
}
