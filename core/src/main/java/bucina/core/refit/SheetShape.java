package bucina.core.refit;

import bucina.core.measure.Length;
import bucina.core.plan.Layer;
import bucina.core.sheet.Box;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.PointGrid;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Segment;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** One sheet as far as matters for how it goes on: edge, openings, bends and holes. */
final class SheetShape {

    private static final double BULGE = 2e-3;
    private static final double AREA = 5e-3;

    private final Layer layer;
    private final List<HoleReading> holes;
    private final List<Point> corners;
    private final double area;
    /** Made when it is first asked for: most sheets never are. */
    private @Nullable PointGrid grid;

    SheetShape(Layer layer, List<HoleReading> holes) {
        this.layer = layer;
        this.holes = holes;
        this.corners =
                layer.outline().outer().corners().stream().map(Corner::at).toList();
        this.area = layer.outline().outer().area();
    }

    Layer layer() {
        return layer;
    }

    List<HoleReading> holes() {
        return holes;
    }

    /** False if this can surely not lie on the other: asked before anything is worked out. */
    boolean alike(SheetShape other) {
        Outline mine = layer.outline();
        Outline its = other.layer.outline();
        return corners.size() == other.corners.size()
                && holes.size() == other.holes.size()
                && mine.openings().size() == its.openings().size()
                && layer.bends().size() == other.layer.bends().size()
                && layer.thickness().same(other.layer.thickness())
                && Math.abs(area - other.area) <= AREA * area;
    }

    /**
     * A way this sheet lies on another, holes over holes.
     *
     * @param out how far the worst hole is out, nm
     */
    record Onto(Isometry by, double out) {}

    /**
     * Every way this sheet lies on another with edges and holes out by no more than {@code most}; lying still is one
     * where the two are the same sheet.
     */
    List<Onto> onto(SheetShape other, Length most) {
        List<Onto> found = new ArrayList<>();
        if (!alike(other)) {
            return found;
        }
        double tol = most.nanometres();
        for (Isometry by : candidates(other, tol)) {
            out(by, other, tol).ifPresent(out -> {
                if (found.stream().noneMatch(f -> same(f.by, by, tol))) {
                    found.add(new Onto(by, out));
                }
            });
        }
        return found;
    }

    private boolean same(Isometry a, Isometry b, double tol) {
        return a.over() == b.over()
                && corners.stream().allMatch(c -> a.of(c).to(b.of(c)).nanometres() <= 2 * tol);
    }

    /** True if a motion leaves this sheet where it is. */
    boolean still(Isometry by, Length most) {
        return !by.over() && corners.stream().allMatch(c -> by.of(c).to(c).nanometres() <= 2 * most.nanometres());
    }

    /** True for a disc. */
    boolean round() {
        return corners.size() == 2
                && layer.outline().outer().corners().stream().allMatch(c -> Math.abs(Math.abs(c.bulge()) - 1) < BULGE);
    }

    private List<Isometry> candidates(SheetShape other, double tol) {
        return round() && other.round() ? round(other, tol) : corners(other, tol);
    }

    /** Corner on corner, from each, either way round. */
    private List<Isometry> corners(SheetShape other, double tol) {
        List<Isometry> found = new ArrayList<>();
        List<Corner> mine = layer.outline().outer().corners();
        List<Corner> its = other.layer.outline().outer().corners();
        int n = mine.size();
        for (boolean back : new boolean[] {false, true}) {
            boolean over = back
                    == (winding(layer.outline().outer())
                            == winding(other.layer.outline().outer()));
            for (int k = 0; k < n; k++) {
                List<Point> to = new ArrayList<>();
                boolean bulges = true;
                for (int i = 0; i < n; i++) {
                    int j = Math.floorMod(back ? k - i : k + i, n);
                    to.add(its.get(j).at());
                    double bulge = back
                            ? -its.get(Math.floorMod(j - 1, n)).bulge()
                            : its.get(j).bulge();
                    bulges &= Math.abs(mine.get(i).bulge() - (over ? -bulge : bulge)) <= BULGE;
                }
                if (bulges) {
                    Isometry by = Isometry.fit(corners, to, over);
                    if (fits(by, to, tol)) {
                        found.add(by);
                    }
                }
            }
        }
        return found;
    }

    private boolean fits(Isometry by, List<Point> to, double tol) {
        for (int i = 0; i < corners.size(); i++) {
            if (by.of(corners.get(i)).to(to.get(i)).nanometres() > tol) {
                return false;
            }
        }
        return true;
    }

    /** True if the ring runs to the left. */
    private static boolean winding(Ring ring) {
        double sum = 0;
        List<Corner> c = ring.corners();
        for (int i = 0; i < c.size(); i++) {
            Point a = c.get(i).at();
            Point b = c.get((i + 1) % c.size()).at();
            double chord = a.to(b).nanometres();
            // The area under the chord, and of the segment that the arc adds to it.
            double turn = 4 * Math.atan(c.get(i).bulge());
            double r = c.get(i).bulge() == 0 ? 0 : chord / 2 / Math.sin(Math.abs(turn) / 2);
            sum += (a.x() * b.y() - b.x() * a.y()) / 2 + r * r / 2 * (turn - Math.sin(turn));
        }
        return sum > 0;
    }

    /** A disc lies on another any way its holes do: the hole farthest out on each of the other's. */
    private List<Isometry> round(SheetShape other, double tol) {
        Point centre = middle(corners);
        Point its = middle(other.corners);
        double r = corners.get(0).to(corners.get(1)).nanometres() / 2;
        if (Math.abs(r - other.corners.get(0).to(other.corners.get(1)).nanometres() / 2) > tol || holes.isEmpty()) {
            return List.of();
        }
        Point first = outermost(centre);
        List<Isometry> found = new ArrayList<>();
        if (first.to(centre).nanometres() < tol) {
            return found;
        }
        for (HoleReading h : other.holes) {
            if (Math.abs(h.hole().at().to(its).nanometres() - first.to(centre).nanometres()) <= tol) {
                for (boolean over : new boolean[] {false, true}) {
                    found.add(about(centre, first, its, h.hole().at(), over));
                }
            }
        }
        return found;
    }

    private Point outermost(Point centre) {
        return holes.stream()
                .map(h -> h.hole().at())
                .max(Comparator.comparingDouble(p -> p.to(centre).nanometres()))
                .orElseThrow();
    }

    /** Turned about the centre until one hole points as another does; the centre comes exactly on the other. */
    private static Isometry about(Point centre, Point a, Point to, Point b, boolean over) {
        double ay = over ? centre.y() - a.y() : a.y() - centre.y();
        double turn = Math.atan2(b.y() - to.y(), b.x() - to.x()) - Math.atan2(ay, a.x() - centre.x());
        Isometry turned = new Isometry(Math.cos(turn), Math.sin(turn), over, 0, 0);
        Point at = turned.of(centre);
        return new Isometry(turned.cos(), turned.sin(), over, to.x() - at.x(), to.y() - at.y());
    }

    private static Point middle(List<Point> points) {
        return new Point(
                points.stream().mapToDouble(Point::x).average().orElseThrow(),
                points.stream().mapToDouble(Point::y).average().orElseThrow());
    }

    /** How far the worst hole is out; empty if something does not come to lie on its like. */
    private Optional<Double> out(Isometry by, SheetShape other, double tol) {
        for (Ring opening : layer.outline().openings()) {
            Point at = by.of(centre(opening));
            if (other.layer.outline().openings().stream()
                    .noneMatch(o -> centre(o).to(at).nanometres() <= tol
                            && Math.abs(o.area() - opening.area()) <= AREA * o.area())) {
                return Optional.empty();
            }
        }
        for (Segment bend : layer.bends()) {
            Point a = by.of(bend.a());
            Point b = by.of(bend.b());
            if (other.layer.bends().stream()
                    .noneMatch(s ->
                            near(s.a(), a, tol) && near(s.b(), b, tol) || near(s.a(), b, tol) && near(s.b(), a, tol))) {
                return Optional.empty();
            }
        }
        return worst(by, other, tol);
    }

    private Optional<Double> worst(Isometry by, SheetShape other, double tol) {
        double worst = 0;
        for (HoleReading hole : holes) {
            Point at = by.of(hole.hole().at());
            double nearest = other.nearest(at, tol, hole);
            if (nearest > tol) {
                return Optional.empty();
            }
            worst = Math.max(worst, nearest);
        }
        return Optional.of(worst);
    }

    /** How far the nearest hole of the same size is, of those within {@code tol}. */
    private double nearest(Point at, double tol, HoleReading like) {
        if (grid == null) {
            grid = new PointGrid(holes.stream().map(h -> h.hole().at()).toList(), 4 * tol);
        }
        double nearest = Double.MAX_VALUE;
        for (int i : grid.in(new Box(at.x() - tol, at.y() - tol, at.x() + tol, at.y() + tol))) {
            if (holes.get(i).solution().hole().same(like.solution().hole())) {
                nearest = Math.min(nearest, holes.get(i).hole().at().to(at).nanometres());
            }
        }
        return nearest;
    }

    private static boolean near(Point a, Point b, double tol) {
        return a.to(b).nanometres() <= tol;
    }

    private static Point centre(Ring ring) {
        return new Point(
                (ring.box().minX() + ring.box().maxX()) / 2,
                (ring.box().minY() + ring.box().maxY()) / 2);
    }
}
