package bucina.core.refit;

import bucina.core.sheet.Point;
import java.util.List;

/**
 * A motion of the plane that keeps lengths: turned by an angle, mirrored first if it is turned over, then moved.
 *
 * @param cos    of the angle
 * @param sin    of the angle
 * @param over   true if y is mirrored before it is turned
 * @param dx     nm
 * @param dy     nm
 */
record Isometry(double cos, double sin, boolean over, double dx, double dy) {

    /** Where a point goes. */
    Point of(Point p) {
        double y = over ? -p.y() : p.y();
        return new Point(cos * p.x() - sin * y + dx, sin * p.x() + cos * y + dy);
    }

    /**
     * The one that brings points nearest to others, in the same order: least squares. At least two, not all the same.
     */
    static Isometry fit(List<Point> from, List<Point> to, boolean over) {
        double mx = 0;
        double my = 0;
        double nx = 0;
        double ny = 0;
        int n = from.size();
        for (int i = 0; i < n; i++) {
            mx += from.get(i).x() / n;
            my += (over ? -from.get(i).y() : from.get(i).y()) / n;
            nx += to.get(i).x() / n;
            ny += to.get(i).y() / n;
        }
        double dot = 0;
        double cross = 0;
        for (int i = 0; i < n; i++) {
            double ax = from.get(i).x() - mx;
            double ay = (over ? -from.get(i).y() : from.get(i).y()) - my;
            double bx = to.get(i).x() - nx;
            double by = to.get(i).y() - ny;
            dot += ax * bx + ay * by;
            cross += ax * by - ay * bx;
        }
        double h = Math.hypot(dot, cross);
        double cos = h == 0 ? 1 : dot / h;
        double sin = h == 0 ? 0 : cross / h;
        return new Isometry(cos, sin, over, nx - cos * mx + sin * my, ny - sin * mx - cos * my);
    }

    /** How it turns, in degrees over -180 up to 180. */
    double degrees() {
        return Math.toDegrees(Math.atan2(sin, cos));
    }
}
