package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import java.util.HashMap;
import java.util.Map;

/** What no sheet metal aircraft has, whoever says so: figures beyond are a damaged file or a wrong unit. */
final class Bounds {

    /** The highest number an id may have. */
    static final long MOST_ID = 1_000_000_000_000L;

    private static final Length THINNEST = Length.mm(.01);
    private static final Length THICKEST = Length.mm(100);
    private static final Length FARTHEST = Length.mm(100_000);

    private static final int CROWD = 20;

    private Bounds() {}

    static void check(Face face) {
        for (Layer layer : face.layers()) {
            String what = "layer " + layer.name() + " of face " + face.name();
            if (!layer.thickness().atLeast(THINNEST) || !layer.thickness().atMost(THICKEST)) {
                throw new InputException(what + " is " + layer.thickness() + " thick: no sheet is under " + THINNEST
                        + " or over " + THICKEST + ", a common one is .032 in");
            }
            check(layer.outline().box(), what);
            layer.bends().forEach(b -> {
                check(b.a(), what);
                check(b.b(), what);
            });
        }
        face.zones().forEach(z -> check(z.outline().box(), "zone " + z.name() + " of face " + face.name()));
        Map<Long, Integer> crowd = new HashMap<>();
        for (Group group : face.groups()) {
            for (Row row : group.rows()) {
                for (Hole h : row.holes()) {
                    String what = "hole " + row.label(h) + " of face " + face.name();
                    check(h.at(), what);
                    crowded(crowd.merge(spot(h.at()), 1, Integer::sum), what);
                }
            }
        }
    }

    /** The square millimetre a place lies in. */
    private static long spot(Point at) {
        return Math.round(at.x() / 1e6) * 1_000_003L + Math.round(at.y() / 1e6);
    }

    private static void crowded(int holes, String what) {
        if (holes > CROWD) {
            throw new InputException(what + " lies within a millimetre of " + CROWD
                    + " others: no sheet has them; take out those that are drawn twice");
        }
    }

    private static void check(Box box, String what) {
        check(new Point(box.minX(), box.minY()), what);
        check(new Point(box.maxX(), box.maxY()), what);
    }

    private static void check(Point at, String what) {
        double most = FARTHEST.nanometres();
        if (!(Math.abs(at.x()) <= most && Math.abs(at.y()) <= most)) {
            throw new InputException(what + " reaches to " + Length.nm(at.x()) + ", " + Length.nm(at.y())
                    + ": nothing on a face is farther than " + FARTHEST + " from its origin");
        }
    }

    static void checkNext(long nextId) {
        if (nextId < 1 || nextId > MOST_ID) {
            throw new InputException("the next id to give out is " + nextId + ": ids run from 1 to " + MOST_ID);
        }
    }
}
