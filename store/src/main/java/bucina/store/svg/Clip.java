package bucina.store.svg;

import bucina.core.drawing.Drawing;
import bucina.core.measure.InputException;
import bucina.core.sheet.Box;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.store.curve.Arcs;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** What stays of what is drawn: all inside of some lines. */
final class Clip {

    /** Lines nearer than this, nm, to the edge of a clip are inside. */
    private static final double ON = 10_000;

    /** A line is tried at no more than so many places. */
    private static final int TRIED = 400;

    /** How something lies to a clip. */
    enum Lies {
        INSIDE,
        OUTSIDE,
        ACROSS
    }

    /** Corners of a clip by places tried: more than this no drawing needs. */
    private static final long MOST = 4_000_000_000L;

    private final List<Ring> rings;
    private final boolean evenOdd;
    private final int corners;
    private long tried;

    private Clip(List<Ring> rings, boolean evenOdd) {
        this.rings = rings;
        this.evenOdd = evenOdd;
        corners = rings.stream().mapToInt(r -> r.corners().size()).sum();
    }

    /** All inside of a box. */
    static Clip of(List<Point> corners) {
        return of(List.of(corners.stream().map(Corner::of).toList()), false);
    }

    /** All inside of closed lines; those that have no area cut everything away. */
    static Clip of(List<List<Corner>> lines, boolean evenOdd) {
        List<Ring> rings = new ArrayList<>();
        for (List<Corner> line : lines) {
            try {
                rings.add(new Ring(line));
            } catch (InputException e) {
                // No area.
            }
        }
        return new Clip(rings, evenOdd);
    }

    /** How a line with its arcs lies to it. */
    Lies lies(Drawing.Path path) {
        List<Point> points = points(path);
        tried += (long) points.size() * corners;
        if (tried > MOST) {
            throw new InputException("a clip path of the SVG has " + corners
                    + " corners and cuts too much: bring in the drawing without it");
        }
        boolean in = false;
        boolean out = false;
        for (Point p : points) {
            boolean here = holds(p);
            in |= here;
            out |= !here && rings.stream().noneMatch(r -> r.distance(p).nanometres() <= ON);
        }
        if (!out) {
            return Lies.INSIDE;
        }
        return in || around(path) ? Lies.ACROSS : Lies.OUTSIDE;
    }

    private boolean holds(Point p) {
        long around = rings.stream().filter(r -> r.contains(p)).count();
        return evenOdd ? around % 2 == 1 : around > 0;
    }

    /** True if the line goes around what it is cut by. */
    private boolean around(Drawing.Path path) {
        if (!path.closed()) {
            return false;
        }
        try {
            Ring own = new Ring(path.corners());
            return rings.stream()
                    .anyMatch(r -> own.contains(r.corners().getFirst().at()));
        } catch (InputException e) {
            return false;
        }
    }

    /** The box of places nm that everything is in. */
    static boolean apart(Box a, Box b) {
        return a.minX() > b.maxX() + ON
                || a.maxX() < b.minX() - ON
                || a.minY() > b.maxY() + ON
                || a.maxY() < b.minY() - ON;
    }

    /** True if a box is in another. */
    static boolean within(Box inner, Box outer) {
        return inner.minX() >= outer.minX() - ON
                && inner.maxX() <= outer.maxX() + ON
                && inner.minY() >= outer.minY() - ON
                && inner.maxY() <= outer.maxY() + ON;
    }

    private static List<Point> points(Drawing.Path path) {
        List<Point> points = new ArrayList<>();
        int n = path.corners().size();
        int edges = path.closed() ? n : n - 1;
        int steps = Math.clamp(TRIED / Math.max(1, edges), 1, 8);
        for (int i = 0; i < edges && points.size() < 8 * TRIED; i++) {
            Corner a = path.corners().get(i);
            Point b = path.corners().get((i + 1) % n).at();
            points.addAll(between(a, b, steps).toList());
        }
        points.add(path.corners().getLast().at());
        return points;
    }

    private static Stream<Point> between(Corner a, Point b, int steps) {
        if (a.bulge() == 0) {
            return Stream.iterate(0, k -> k < steps, k -> k + 1)
                    .map(k -> new Point(
                            a.at().x() + (b.x() - a.at().x()) * k / steps,
                            a.at().y() + (b.y() - a.at().y()) * k / steps));
        }
        Arcs.Arc arc = Arcs.bulged(a.at().x(), a.at().y(), b.x(), b.y(), a.bulge());
        return Stream.iterate(0, k -> k < 8, k -> k + 1).map(k -> arc.at(arc.from() + arc.sweep() * k / 8));
    }
}
