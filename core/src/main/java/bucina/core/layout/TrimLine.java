package bucina.core.layout;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/*
 * Design. One edge is trimmed: the straight edge of the outline whose farthest hole is nearest to it. The trim line
 * runs along the holes, each
 * moved toward that edge by the least edge distance at right angles to the hole line there; at a bend of the hole
 * line the two offsets meet in
 * a mitre, so that no point of the line comes nearer to a hole than the least.
 */

/**
 * How far an edge may be cut back before a row of holes is too near.
 *
 * @param line    the trim line: metal must stay on the holes' side of it
 * @param largest what may be cut off parallel to the edge, at most; negative where the edge is too near already
 */
public record TrimLine(List<Point> line, Length largest) {

    public TrimLine {
        line = List.copyOf(line);
    }

    /**
     * The trim line of a row near a straight edge.
     *
     * @param holes   along the row, at least one, all on the sheet
     * @param outline of the sheet, corners joined by straight edges, at least three
     * @param least   least edge distance, over 0
     * @throws InputException if a hole lies off the sheet
     */
    public static TrimLine of(List<Point> holes, List<Point> outline, Length least) {
        Outline sheet = Outline.of(Ring.polygon(outline));
        for (Point hole : holes) {
            if (!sheet.covers(hole)) {
                throw new InputException("the hole at " + hole.across() + ", " + hole.up()
                        + " is not on the sheet: give holes inside the outline");
            }
        }
        int edge = IntStream.range(0, outline.size())
                .boxed()
                .min(Comparator.comparingDouble(i -> farthest(holes, outline, i)))
                .orElseThrow();
        Point a = outline.get(edge);
        Point b = outline.get((edge + 1) % outline.size());
        double length = Math.hypot(b.x() - a.x(), b.y() - a.y());
        double nx = (b.y() - a.y()) / length;
        double ny = (a.x() - b.x()) / length;
        double near = holes.stream()
                .mapToDouble(h -> Math.abs((h.x() - a.x()) * nx + (h.y() - a.y()) * ny))
                .min()
                .orElseThrow();
        boolean outward =
                (holes.getFirst().x() - a.x()) * nx + (holes.getFirst().y() - a.y()) * ny < 0;
        return new TrimLine(
                offset(holes, least.nanometres(), outward ? nx : -nx, outward ? ny : -ny),
                Length.nm(near).minus(least));
    }

    private static double farthest(List<Point> holes, List<Point> outline, int edge) {
        Point a = outline.get(edge);
        Point b = outline.get((edge + 1) % outline.size());
        return holes.stream().mapToDouble(h -> toEdge(h, a, b)).max().orElseThrow();
    }

    private static double toEdge(Point p, Point a, Point b) {
        double dx = b.x() - a.x();
        double dy = b.y() - a.y();
        double square = dx * dx + dy * dy;
        double t = square == 0 ? 0 : Math.clamp(((p.x() - a.x()) * dx + (p.y() - a.y()) * dy) / square, 0, 1);
        return Math.hypot(p.x() - a.x() - t * dx, p.y() - a.y() - t * dy);
    }

    /** Every hole moved toward (nx, ny), square to the hole line; a single hole straight toward it. */
    private static List<Point> offset(List<Point> holes, double by, double nx, double ny) {
        List<Point> line = new ArrayList<>();
        for (int i = 0; i < holes.size(); i++) {
            double[] before = i > 0 ? normal(holes.get(i - 1), holes.get(i), nx, ny) : null;
            double[] after = i < holes.size() - 1 ? normal(holes.get(i), holes.get(i + 1), nx, ny) : null;
            double[] m = before == null && after == null
                    ? new double[] {nx, ny}
                    : before == null
                            ? after
                            : after == null ? before : new double[] {before[0] + after[0], before[1] + after[1]};
            double size = Math.hypot(m[0], m[1]);
            double[] side = before != null ? before : after != null ? after : m;
            double along = size == 0 ? 1 : (m[0] * side[0] + m[1] * side[1]) / size;
            double k = by / Math.max(0.25, along) / Math.max(1e-12, size);
            line.add(new Point(holes.get(i).x() + m[0] * k, holes.get(i).y() + m[1] * k));
        }
        return line;
    }

    /** The unit normal of a stretch that points toward (nx, ny). */
    private static double[] normal(Point a, Point b, double nx, double ny) {
        double dx = b.x() - a.x();
        double dy = b.y() - a.y();
        double length = Math.hypot(dx, dy);
        if (length == 0) {
            return new double[] {nx, ny};
        }
        double sign = -dy * nx + dx * ny >= 0 ? 1 : -1;
        return new double[] {-dy / length * sign, dx / length * sign};
    }
}
