package bucina.store.dxf;

import bucina.core.sheet.Point;
import bucina.store.drawing.Limits;
import java.util.Optional;

/**
 * Where something is put in the plane: x' = xx x + xy y + dx, y' = yx x + yy y + dy.
 */
record Placing(double xx, double xy, double yx, double yy, double dx, double dy) {

    static final Placing NONE = new Placing(1, 0, 0, 1, 0, 0);

    private static final double ALIKE = 1e-9;
    private static final double UPRIGHT = 0.999_999;

    static Placing scaled(double x, double y) {
        return new Placing(x, 0, 0, y, 0, 0);
    }

    static Placing moved(double x, double y) {
        return new Placing(1, 0, 0, 1, x, y);
    }

    static Placing turned(double degrees) {
        double quarter = degrees / 90;
        // Quarter turns are exact.
        if (quarter == Math.rint(quarter)) {
            double[] c = {1, 0, -1, 0};
            int q = (int) (((long) quarter % 4 + 4) % 4);
            return new Placing(c[q], -c[(q + 3) % 4], c[(q + 3) % 4], c[q], 0, 0);
        }
        double r = Math.toRadians(degrees);
        return new Placing(Math.cos(r), -Math.sin(r), Math.sin(r), Math.cos(r), 0, 0);
    }

    /**
     * The plane an entity is drawn in, seen from above; empty if it is tilted. Turned over, its x runs the other way.
     */
    static Optional<Placing> plane(Entity e) {
        double x = e.number(210, 0);
        double y = e.number(220, 0);
        double z = e.number(230, 1);
        double up = z / Math.sqrt(x * x + y * y + z * z);
        if (up > UPRIGHT) {
            return Optional.of(NONE);
        }
        return up < -UPRIGHT ? Optional.of(scaled(-1, 1)) : Optional.empty();
    }

    /** This, of what is first put where {@code inner} says. */
    Placing of(Placing inner) {
        return new Placing(
                xx * inner.xx + xy * inner.yx,
                xx * inner.xy + xy * inner.yy,
                yx * inner.xx + yy * inner.yx,
                yx * inner.xy + yy * inner.yy,
                xx * inner.dx + xy * inner.dy + dx,
                yx * inner.dx + yy * inner.dy + dy);
    }

    Point at(double x, double y) {
        return Limits.point(xx * x + xy * y + dx, yx * x + yy * y + dy);
    }

    /** True if it makes a left hand of a right one. */
    boolean mirrors() {
        return xx * yy - xy * yx < 0;
    }

    /** True if a circle stays one. */
    boolean keepsRound() {
        double a = Math.hypot(xx, yx);
        double b = Math.hypot(xy, yy);
        return Math.abs(a - b) <= ALIKE * Math.max(a, b) && Math.abs(xx * xy + yx * yy) <= ALIKE * a * b;
    }

    /** The most a length grows. */
    double scale() {
        return Math.max(Math.hypot(xx, yx), Math.hypot(xy, yy));
    }
}
