package bucina.core.sheet;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Arrays;
import java.util.List;

/** A closed line of corners, the last joined to the first. Either way round. */
public final class Ring {

    private final List<Corner> corners;
    private final Edge[] edges;
    private final Box box;

    /**
     * @param corners at least 3, or 2 where at least one edge is an arc
     * @throws InputException if there are too few
     */
    public Ring(List<Corner> corners) {
        this.corners = List.copyOf(corners);
        boolean curved = corners.stream().anyMatch(c -> c.bulge() != 0);
        if (corners.size() < (curved ? 2 : 3)) {
            throw new InputException("an outline needs at least 3 corners (2 with an arc), was " + corners.size());
        }
        this.edges = new Edge[corners.size()];
        Box around = around();
        this.box = around;
    }

    private Box around() {
        for (int i = 0; i < edges.length; i++) {
            Corner from = this.corners.get(i);
            edges[i] =
                    new Edge(from.at(), this.corners.get((i + 1) % edges.length).at(), from.bulge());
        }
        return Arrays.stream(edges).map(Edge::box).reduce(Box::with).orElseThrow();
    }

    /** A ring with straight edges through the points. */
    public static Ring polygon(List<Point> points) {
        return new Ring(points.stream().map(Corner::of).toList());
    }

    /** A full circle. */
    public static Ring circle(Point centre, Length radius) {
        double r = radius.nanometres();
        return new Ring(List.of(
                new Corner(new Point(centre.x() + r, centre.y()), 1),
                new Corner(new Point(centre.x() - r, centre.y()), 1)));
    }

    /** The corners, in order. */
    public List<Corner> corners() {
        return corners;
    }

    /** The smallest box around it. */
    public Box box() {
        return box;
    }

    /** True if the point lies inside, by the even-odd rule; on the line itself either answer may come. */
    public boolean contains(Point p) {
        if (!box.contains(p)) {
            return false;
        }
        boolean inside = false;
        for (Edge edge : edges) {
            inside ^= edge.chordCrosses(p.x(), p.y());
            inside ^= edge.inSegment(p.x(), p.y());
        }
        return inside;
    }

    /** Distance from the point to the nearest place on the line. */
    public Length distance(Point p) {
        double best = Double.MAX_VALUE;
        for (Edge edge : edges) {
            if (edge.atLeast(p.x(), p.y()) < best) {
                best = Math.min(best, edge.distance(p.x(), p.y()));
            }
        }
        return Length.nm(best);
    }

    /** Area inside in nm², never negative. */
    public double area() {
        return Math.abs(signedArea());
    }

    /** True if it runs round what it encloses with that at its left. */
    public boolean counterclockwise() {
        return signedArea() > 0;
    }

    private double signedArea() {
        return Arrays.stream(edges).mapToDouble(Edge::area).sum();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Ring that && corners.equals(that.corners);
    }

    @Override
    public int hashCode() {
        return corners.hashCode();
    }
}
