package bucina.core.sheet;

import bucina.core.measure.Length;
import java.util.List;
import java.util.Objects;

/**
 * The shape of a sheet: an outer ring and any number of openings.
 *
 * @param outer    the edge of the sheet
 * @param openings holes cut in it, such as lightening and access holes; not the rivet holes
 */
public record Outline(Ring outer, List<Ring> openings) {
    public Outline {
        Objects.requireNonNull(outer, "outer");
        openings = List.copyOf(openings);
    }

    /** An outline with no openings. */
    public static Outline of(Ring outer) {
        return new Outline(outer, List.of());
    }

    /** An upright rectangle of two opposite corners. */
    public static Outline rectangle(Point a, Point b) {
        return of(Ring.polygon(List.of(a, new Point(b.x(), a.y()), b, new Point(a.x(), b.y()))));
    }

    /** True if there is metal at the point. */
    public boolean covers(Point p) {
        if (!outer.contains(p)) {
            return false;
        }
        for (Ring opening : openings) {
            if (opening.contains(p)) {
                return false;
            }
        }
        return true;
    }

    /** Distance from the point to the nearest edge, outer or of an opening; meant for points on the sheet. */
    public Length edgeDistance(Point p) {
        Length nearest = outer.distance(p);
        for (Ring opening : openings) {
            nearest = nearest.min(opening.distance(p));
        }
        return nearest;
    }

    /** The smallest box around it. */
    public Box box() {
        return outer.box();
    }
}
