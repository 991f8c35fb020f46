package bucina.desk.session;

import bucina.core.measure.Unit;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.refit.Misfit;
import bucina.core.refit.MisfitWords;
import bucina.core.sheet.Point;
import bucina.core.stack.HoleReading;
import java.util.List;

/**
 * A part whose holes do not meet, as measured at some of them.
 *
 * @param face    where
 * @param part    what the part is called
 * @param holes   where it was measured
 * @param offsets where the part's holes are, less where they should be, nm
 * @param misfit  what is the matter
 */
public record Misfitting(Face face, String part, List<HoleReading> holes, List<Point> offsets, Misfit misfit) {

    public Misfitting {
        holes = List.copyOf(holes);
        offsets = List.copyOf(offsets);
    }

    /** What is the matter, which cleco to pull and which way to move. */
    public String says(Unit unit) {
        return new MisfitWords(
                        part,
                        face.xToward(),
                        face.yToward(),
                        holes.stream().map(HoleReading::label).toList())
                .of(misfit)
                .in(unit);
    }

    /** True on the face it was measured on. */
    public boolean on(Id.Face shown) {
        return face.id().equals(shown);
    }
}
