package bucina.core.demo;

import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.List;

/** The stabilator's shape: x runs outboard from the root edge, s forward of the main spar web. Inches. */
final class Planform {

    private static final double SPAN = 58;

    private Planform() {}

    /** Where the leading edge is. */
    static double lead(double x) {
        return 9 - 3 * x / SPAN;
    }

    /** Where the trailing edge is. */
    static double trail(double x) {
        return -21 + 7 * x / SPAN;
    }

    /** Where the rear spar web is. */
    static double rear(double x) {
        return -13 + 4 * x / SPAN;
    }

    /** A point of a skin: {@code side} is -1 for the upper skin (aft up), 1 for the lower (forward up). */
    static Point at(int side, double x, double s) {
        return Point.in(Sketch.mil(x), Sketch.mil(side * s));
    }

    static Outline quad(int side, double[][] corners) {
        List<Point> points = new ArrayList<>();
        for (double[] c : corners) {
            points.add(at(side, c[0], c[1]));
        }
        return Outline.of(Ring.polygon(points));
    }

    /** The whole skin. */
    static Outline skin(int side) {
        return quad(side, new double[][] {{0, lead(0)}, {SPAN, lead(SPAN)}, {SPAN, trail(SPAN)}, {0, trail(0)}});
    }

    /** A flange along a rib, from one s to another. */
    static Outline rib(int side, double x, double from, double to, double half) {
        return quad(side, new double[][] {{x - half, from}, {x + half, from}, {x + half, to}, {x - half, to}});
    }

    /** Half the height of the main spar web. */
    static double half(double x) {
        return 2.4 - .8 * x / SPAN;
    }

    /** Half the height of the rear spar web. */
    static double rearHalf(double x) {
        return 1.35 - .25 * x / SPAN;
    }
}
