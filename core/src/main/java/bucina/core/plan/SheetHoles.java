package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Point;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.UnaryOperator;

/**
 * How the holes of one sheet come from the kit.
 *
 * @param come     of every row of which nothing else is said
 * @param rows     of single rows
 * @param uncalled holes that the sheet has and no group calls for
 */
public record SheetHoles(Come come, Map<Id.Row, Come> rows, List<Uncalled> uncalled) {

    /**
     * A hole that nobody calls for.
     *
     * @param at       centre on the face
     * @param diameter over 0
     */
    public record Uncalled(Point at, Length diameter) {
        public Uncalled {
            Objects.requireNonNull(at, "at");
            if (!diameter.positive()) {
                throw new InputException("a hole's diameter must be over 0 like .098, was " + diameter);
            }
        }
    }

    /** Nothing is said. */
    public static final SheetHoles NONE = new SheetHoles(Come.UNKNOWN, Map.of(), List.of());

    public SheetHoles {
        Objects.requireNonNull(come, "come");
        rows = Map.copyOf(rows);
        uncalled = List.copyOf(uncalled);
    }

    /** How the holes of a row come. */
    public Come of(Id.Row row) {
        return rows.getOrDefault(row, come);
    }

    /** The same with every row coming so. */
    public SheetHoles all(Come every) {
        return new SheetHoles(every, Map.of(), uncalled);
    }

    /** The same with one row coming otherwise. */
    public SheetHoles with(Id.Row row, Come other) {
        Map<Id.Row, Come> next = new LinkedHashMap<>(rows);
        next.put(row, other);
        return new SheetHoles(come, next, uncalled);
    }

    /** The same for the rows that stand for these elsewhere. */
    public SheetHoles renumbered(UnaryOperator<Id.Row> other) {
        Map<Id.Row, Come> next = new LinkedHashMap<>();
        rows.forEach((row, said) -> next.put(other.apply(row), said));
        return new SheetHoles(come, next, uncalled);
    }

    /** The same with other holes that nobody calls for. */
    public SheetHoles withUncalled(List<Uncalled> others) {
        return new SheetHoles(come, rows, others);
    }
}
