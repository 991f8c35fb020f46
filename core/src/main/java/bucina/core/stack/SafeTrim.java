package bucina.core.stack;

import bucina.core.measure.Length;
import bucina.core.plan.Face;
import bucina.core.plan.Layer;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import java.util.ArrayList;
import java.util.List;

/**
 * How far one straight edge of a sheet may be cut back parallel to itself before a hole through the sheet is too near.
 *
 * @param edge    number of the edge in the outer ring, from 0
 * @param outer   the edge as it is
 * @param line    where metal must stay: the edge moved in by the largest trim
 * @param largest what may be cut off; negative where a hole is too near already
 * @param hole    the hole that sets it
 */
public record SafeTrim(int edge, Segment outer, Segment line, Length largest, HoleReading hole) {

    /**
     * The safe trim of every straight edge of a layer; edges of a layer with no holes have none. A hole counts for an
     * edge where its foot falls within the edge, widened by its least edge distance; beyond an end that is an arc or an
     * obtuse corner too, since there the cut runs on through the sheet.
     */
    public static List<SafeTrim> of(Layer layer, FaceReading face) {
        List<HoleReading> holes = through(face, layer);
        List<Corner> corners = layer.outline().outer().corners();
        int turn = layer.outline().outer().counterclockwise() ? 1 : -1;
        List<SafeTrim> trims = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            if (corners.get(i).bulge() == 0) {
                edge(
                        i,
                        corners.get(i).at(),
                        corners.get((i + 1) % corners.size()).at(),
                        turn,
                        new Ends(runsOn(corners, i, turn), runsOn(corners, (i + 1) % corners.size(), turn)),
                        holes,
                        trims);
            }
        }
        return trims;
    }

    private static List<HoleReading> through(FaceReading face, Layer layer) {
        return face.readings().stream()
                .filter(r -> r.layers().stream().anyMatch(l -> l.id().equals(layer.id())))
                .toList();
    }

    /** Whether a cut along an edge runs on beyond its first and its second end. */
    private record Ends(boolean first, boolean second) {}

    /** True if a cut past this corner runs on through the sheet: an arc meets it, or it is convex and obtuse. */
    private static boolean runsOn(List<Corner> corners, int corner, int turn) {
        int n = corners.size();
        Corner before = corners.get((corner + n - 1) % n);
        Corner here = corners.get(corner);
        if (before.bulge() != 0 || here.bulge() != 0) {
            return true;
        }
        Point p = before.at();
        Point q = here.at();
        Point r = corners.get((corner + 1) % n).at();
        double cross = (q.x() - p.x()) * (r.y() - q.y()) - (q.y() - p.y()) * (r.x() - q.x());
        double dot = (q.x() - p.x()) * (r.x() - q.x()) + (q.y() - p.y()) * (r.y() - q.y());
        return cross * turn > 0 && dot > 1e-6 * p.to(q).nanometres() * q.to(r).nanometres();
    }

    private static void edge(
            int edge, Point a, Point b, int turn, Ends ends, List<HoleReading> holes, List<SafeTrim> trims) {
        double length = a.to(b).nanometres();
        if (length == 0) {
            return;
        }
        // Inward normal: left of the way for a ring that turns left.
        double nx = -turn * (b.y() - a.y()) / length;
        double ny = turn * (b.x() - a.x()) / length;
        HoleReading nearest = null;
        double least = Double.MAX_VALUE;
        for (HoleReading r : holes) {
            Point p = r.hole().at();
            double along = ((p.x() - a.x()) * (b.x() - a.x()) + (p.y() - a.y()) * (b.y() - a.y())) / length;
            double keep = r.solution().edge().least().nanometres();
            double spare = (p.x() - a.x()) * nx + (p.y() - a.y()) * ny - keep;
            boolean beside = (along >= -keep || ends.first) && (along <= length + keep || ends.second);
            if (beside && spare > -keep && spare < least) {
                least = spare;
                nearest = r;
            }
        }
        if (nearest != null) {
            trims.add(new SafeTrim(
                    edge,
                    new Segment(a, b),
                    new Segment(
                            new Point(a.x() + nx * least, a.y() + ny * least),
                            new Point(b.x() + nx * least, b.y() + ny * least)),
                    Length.nm(least),
                    nearest));
        }
    }

    /** Which way the edge looks, in the words of the face: {@code toward outboard}. */
    public String looks(Face face) {
        double dx = (outer.a().x() + outer.b().x() - line.a().x() - line.b().x())
                * Math.signum(largest.nanometres() + 1e-9);
        double dy = (outer.a().y() + outer.b().y() - line.a().y() - line.b().y())
                * Math.signum(largest.nanometres() + 1e-9);
        boolean across = Math.abs(dx) > Math.abs(dy);
        return ((across ? dx : dy) > 0 ? "toward " : "away from ") + (across ? face.xToward() : face.yToward());
    }
}
