package bucina.store.curve;

import bucina.core.sheet.Point;
import bucina.store.drawing.Limits;

/**
 * Where something is put in the plane: x' = xx x + xy y + dx, y' = yx x + yy y + dy.
 */
public record Placing(double xx, double xy, double yx, double yy, double dx, double dy) {

    public static final Placing NONE = new Placing(1, 0, 0, 1, 0, 0);

    private static final double ALIKE = 1e-9;

    public static Placing scaled(double x, double y) {
        return new Placing(x, 0, 0, y, 0, 0);
    }

    public static Placing moved(double x, double y) {
        return new Placing(1, 0, 0, 1, x, y);
    }

    public static Placing turned(double degrees) {
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

    /** This, of what is first put where {@code inner} says. */
    public Placing of(Placing inner) {
        return new Placing(
                xx * inner.xx + xy * inner.yx,
                xx * inner.xy + xy * inner.yy,
                yx * inner.xx + yy * inner.yx,
                yx * inner.xy + yy * inner.yy,
                xx * inner.dx + xy * inner.dy + dx,
                yx * inner.dx + yy * inner.dy + dy);
    }

    public Point at(double x, double y) {
        return Limits.point(xx * x + xy * y + dx, yx * x + yy * y + dy);
    }

    /** True if it makes a left hand of a right one. */
    public boolean mirrors() {
        return xx * yy - xy * yx < 0;
    }

    /** True if a circle stays one. */
    public boolean keepsRound() {
        double a = Math.hypot(xx, yx);
        double b = Math.hypot(xy, yy);
        return Math.abs(a - b) <= ALIKE * Math.max(a, b) && Math.abs(xx * xy + yx * yy) <= ALIKE * a * b;
    }

    /** The most a length grows. */
    public double scale() {
        return Math.max(Math.hypot(xx, yx), Math.hypot(xy, yy));
    }
}
