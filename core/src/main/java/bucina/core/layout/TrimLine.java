package bucina.core.layout;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Crossing;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/*
 * Design. One edge is trimmed: the straight edge of the outline whose farthest hole is nearest to it. The trim line
 * runs along the holes, each
 * moved toward that edge by the least edge distance at right angles to the hole line there; at a bend of the hole
 * line the two offsets meet in a mitre. Where holes are staggered so tightly that such a line would come nearer to a
 * hole than the least, it runs round the holes that stand out instead.
 */

/**
 * How far an edge may be cut back before a row of holes is too near.
 *
 * @param line    the trim line: metal must stay on the holes' side of it
 * @param largest what may be cut off parallel to the edge, at most; negative where the edge is too near already
 */
public record TrimLine(List<Point> line, Length largest) {

    /** Less area than this, nm², is no sheet: a hundredth of a square millimetre. */
    private static final double SMALLEST = 1e10;

    /** A line round a hole goes in steps of up to 60 degrees. */
    private static final double STEP = Math.PI / 3;

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
        Ring ring = Ring.polygon(outline);
        boolean crosses = new Crossing(ring).crosses();
        if (ring.area() < SMALLEST || crosses) {
            throw new InputException("the outline "
                    + (crosses ? "crosses itself" : "holds no metal")
                    + ": give its corners in turn round the sheet, like 0,0;10,0;10,4;0,4");
        }
        Outline sheet = Outline.of(ring);
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
        double tx = outward ? nx : -nx;
        double ty = outward ? ny : -ny;
        List<Point> line = offset(holes, least.nanometres(), tx, ty);
        if (tooNear(line, holes, least)) {
            line = round(hull(holes, tx, ty), least.nanometres(), tx, ty);
        }
        return new TrimLine(line, Length.nm(near).minus(least));
    }

    /** True if a point of a line lies nearer to a hole than the least. */
    private static boolean tooNear(List<Point> line, List<Point> holes, Length least) {
        for (Point hole : holes) {
            for (int i = 0; i + 1 < line.size(); i++) {
                if (toEdge(hole, line.get(i), line.get(i + 1)) < least.nanometres() - 1) {
                    return true;
                }
            }
        }
        return false;
    }

    /**
     * The holes that stand out toward (nx, ny), in order along the edge: all others lie behind the lines between them.
     */
    private static List<Point> hull(List<Point> holes, double nx, double ny) {
        List<Point> sorted = sorted(holes, nx, ny);
        List<Point> hull = new ArrayList<>();
        for (Point p : sorted) {
            // Of holes one behind the other only the first stands out.
            if (!hull.isEmpty() && Math.abs(along(p, nx, ny) - along(hull.getLast(), nx, ny)) < 1) {
                continue;
            }
            while (hull.size() > 1 && !standsOut(hull.get(hull.size() - 2), hull.getLast(), p)) {
                hull.removeLast();
            }
            hull.add(p);
        }
        return hull;
    }

    private static List<Point> sorted(List<Point> holes, double nx, double ny) {
        return holes.stream()
                .sorted(Comparator.comparingDouble((Point p) -> along(p, nx, ny))
                        .thenComparingDouble(p -> -p.x() * nx - p.y() * ny))
                .toList();
    }

    private static double along(Point p, double nx, double ny) {
        return p.x() * ny - p.y() * nx;
    }

    /** True if going from a over b to c turns away from the edge. */
    private static boolean standsOut(Point a, Point b, Point c) {
        return (b.x() - a.x()) * (c.y() - a.y()) - (b.y() - a.y()) * (c.x() - a.x()) < 0;
    }

    /** A line round points that stand out, never nearer than {@code by}: at each point it goes round in flat steps. */
    private static List<Point> round(List<Point> points, double by, double nx, double ny) {
        List<Point> line = new ArrayList<>();
        double facing = Math.atan2(ny, nx);
        for (int i = 0; i < points.size(); i++) {
            Point p = points.get(i);
            double[] before = i > 0 ? normal(points.get(i - 1), p, nx, ny) : new double[] {nx, ny};
            double[] after = i < points.size() - 1 ? normal(p, points.get(i + 1), nx, ny) : new double[] {nx, ny};
            corner(facing, before, after, by, line, p);
        }
        return line;
    }

    private static void corner(double facing, double[] before, double[] after, double by, List<Point> line, Point p) {
        double from = facing + turn(facing, Math.atan2(before[1], before[0]));
        double by2 = turn(from, Math.atan2(after[1], after[0]));
        int steps = Math.max(1, (int) Math.ceil(Math.abs(by2) / STEP));
        for (int k = 0; k < steps; k++) {
            double at = from + (k + 0.5) * by2 / steps;
            double out = by / Math.cos(by2 / steps / 2);
            line.add(new Point(p.x() + out * Math.cos(at), p.y() + out * Math.sin(at)));
        }
    }

    private static double turn(double from, double to) {
        return Math.IEEEremainder(to - from, 2 * Math.PI);
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
            double @Nullable [] before = i > 0 ? normal(holes.get(i - 1), holes.get(i), nx, ny) : null;
            double @Nullable [] after = i < holes.size() - 1 ? normal(holes.get(i), holes.get(i + 1), nx, ny) : null;
            double[] m = between(before, after, nx, ny);
            double size = Math.hypot(m[0], m[1]);
            double[] side = before != null ? before : after != null ? after : m;
            double along = size == 0 ? 1 : (m[0] * side[0] + m[1] * side[1]) / size;
            double k = by / Math.max(0.25, along) / Math.max(1e-12, size);
            line.add(new Point(holes.get(i).x() + m[0] * k, holes.get(i).y() + m[1] * k));
        }
        return line;
    }

    /** The way out between two stretches, of any length; of a hole with none, toward (nx, ny). */
    private static double[] between(double @Nullable [] before, double @Nullable [] after, double nx, double ny) {
        if (before == null || after == null) {
            return before != null ? before : after != null ? after : new double[] {nx, ny};
        }
        return new double[] {before[0] + after[0], before[1] + after[1]};
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
