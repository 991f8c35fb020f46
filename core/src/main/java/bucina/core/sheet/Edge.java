package bucina.core.sheet;

/** One edge of a ring: a straight line or an arc of a circle. Package-private: an {@link Outline} is made of them. */
final class Edge {

    private final double ax;
    private final double ay;
    private final double bx;
    private final double by;
    private final double bulge;
    private final double cx;
    private final double cy;
    private final double radius;
    private final Box box;

    Edge(Point a, Point b, double bulge) {
        this.ax = a.x();
        this.ay = a.y();
        this.bx = b.x();
        this.by = b.y();
        this.bulge = bulge;
        double dx = bx - ax;
        double dy = by - ay;
        if (bulge == 0) {
            cx = 0;
            cy = 0;
            radius = 0;
        } else {
            double offset = (1 - bulge * bulge) / (4 * bulge);
            cx = (ax + bx) / 2 - dy * offset;
            cy = (ay + by) / 2 + dx * offset;
            radius = Math.hypot(ax - cx, ay - cy);
        }
        box = bounds();
    }

    boolean arc() {
        return bulge != 0;
    }

    Box box() {
        return box;
    }

    private Box bounds() {
        Box ends = Box.around(new Point(ax, ay), new Point(bx, by));
        if (!arc()) {
            return ends;
        }
        double[][] extremes = {{cx + radius, cy}, {cx - radius, cy}, {cx, cy + radius}, {cx, cy - radius}};
        for (double[] e : extremes) {
            if (onArcSide(e[0], e[1])) {
                Point p = new Point(e[0], e[1]);
                ends = ends.with(Box.around(p, p));
            }
        }
        return ends;
    }

    /** True if the point, seen from the circle's centre, lies toward the arc: on the arc's side of the chord. */
    private boolean onArcSide(double x, double y) {
        double side = (bx - ax) * (y - ay) - (by - ay) * (x - ax);
        return bulge > 0 ? side < 0 : side > 0;
    }

    /*
     * A point exactly on the chord must be taken to the same side by the chord's test and by the arc's, or points on
     * the diameter of a round
     * hole would fall between the two. Both use rightOfChord, which works from the lower end whichever way the edge
     * runs, so that an edge and
     * its reverse agree to the last bit. On a horizontal chord "right" means above.
     */
    private boolean rightOfChord(double x, double y) {
        if (ay == by) {
            return y >= ay;
        }
        boolean up = ay < by;
        double lowX = up ? ax : bx;
        double lowY = up ? ay : by;
        double highX = up ? bx : ax;
        double highY = up ? by : ay;
        return x >= lowX + (y - lowY) / (highY - lowY) * (highX - lowX);
    }

    /** True if a ray from the point toward +x crosses the chord, for the even-odd rule. */
    boolean chordCrosses(double x, double y) {
        return ay > y != by > y && !rightOfChord(x, y);
    }

    /** True if the point lies between the chord and the arc, where the chord alone tells the wrong side. */
    boolean inSegment(double x, double y) {
        if (!arc()) {
            return false;
        }
        boolean arcOnRight = ay == by ? bulge > 0 == bx < ax : bulge > 0 == by > ay;
        double dx = x - cx;
        double dy = y - cy;
        return rightOfChord(x, y) == arcOnRight && dx * dx + dy * dy < radius * radius;
    }

    /** Distance from the point to this edge. */
    double distance(double x, double y) {
        if (!arc()) {
            return toChord(x, y);
        }
        double angleSide = Math.hypot(x - cx, y - cy);
        if (sweeps(x, y)) {
            return Math.abs(angleSide - radius);
        }
        return Math.min(Math.hypot(x - ax, y - ay), Math.hypot(x - bx, y - by));
    }

    /** True if the ray from the centre through the point meets the arc. */
    private boolean sweeps(double x, double y) {
        double px = x - cx;
        double py = y - cy;
        if (px == 0 && py == 0) {
            return true;
        }
        double length = Math.hypot(px, py);
        return onArcSide(cx + px / length * radius, cy + py / length * radius);
    }

    private double toChord(double x, double y) {
        double dx = bx - ax;
        double dy = by - ay;
        double square = dx * dx + dy * dy;
        double t = square == 0 ? 0 : Math.clamp(((x - ax) * dx + (y - ay) * dy) / square, 0, 1);
        return Math.hypot(x - (ax + t * dx), y - (ay + t * dy));
    }

    /** A lower bound of {@link #distance}: distance to the box. */
    double atLeast(double x, double y) {
        double dx = Math.max(0, Math.max(box.minX() - x, x - box.maxX()));
        double dy = Math.max(0, Math.max(box.minY() - y, y - box.maxY()));
        return dx == 0 ? dy : dy == 0 ? dx : Math.hypot(dx, dy);
    }

    double area() {
        double chord = (ax * by - bx * ay) / 2;
        if (!arc()) {
            return chord;
        }
        double angle = 4 * Math.atan(bulge);
        return chord + radius * radius * (angle - Math.sin(angle)) / 2;
    }
}
