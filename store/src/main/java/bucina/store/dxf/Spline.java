package bucina.store.dxf;

import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.store.curve.Arcs;
import bucina.store.curve.Fitted;
import bucina.store.curve.Placing;
import bucina.store.drawing.Limits;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A spline by its knots and control points, with weights or without. */
final class Spline {

    private static final int DEEPEST = 14;
    private static final int MOST = 20_000;

    private final int degree;
    private final double[] knots;
    private final double[][] points;
    private final Placing at;

    private Spline(int degree, double[] knots, double[][] points, Placing at) {
        this.degree = degree;
        this.knots = knots;
        this.points = points;
        this.at = at;
    }

    /** What is drawn, from end to end; empty where knots and control points do not fit. */
    static Optional<List<Corner>> corners(Entity e, Placing at) {
        int degree = (int) e.number(71, 3);
        double[] knots = e.all(40);
        double[] xs = e.all(10);
        double[] ys = e.all(20);
        double[] weights = e.all(41);
        boolean fits = degree >= 1
                && degree <= 25
                && xs.length > degree
                && ys.length == xs.length
                && knots.length == xs.length + degree + 1
                && (weights.length == 0 || weights.length == xs.length);
        for (int i = 1; fits && i < knots.length; i++) {
            fits = knots[i] >= knots[i - 1];
        }
        if (!fits) {
            return Optional.empty();
        }
        double[][] points = new double[xs.length][];
        for (int i = 0; i < xs.length; i++) {
            double w = weights.length == 0 ? 1 : weights[i];
            if (!(w > 0)) {
                return Optional.empty();
            }
            points[i] = new double[] {xs[i] * w, ys[i] * w, w};
        }
        return Optional.of(new Spline(degree, knots, points, at).all());
    }

    private List<Corner> all() {
        List<Point> along = new ArrayList<>();
        along.add(at(knots[degree]));
        for (int i = degree; i < points.length; i++) {
            double a = knots[i];
            double b = knots[i + 1];
            if (b > a) {
                split(a, along.getLast(), b, at(b), 0, along);
            }
        }
        return Fitted.arcs(along);
    }

    /** Adds points up to b so that chords stray little. */
    private void split(double a, Point pa, double b, Point pb, int depth, List<Point> along) {
        double m = (a + b) / 2;
        Point pm = at(m);
        boolean flat = depth >= 3
                && stray(pa, pb, pm) < Arcs.STRAY
                && stray(pa, pb, at((a + m) / 2)) < Arcs.STRAY
                && stray(pa, pb, at((m + b) / 2)) < Arcs.STRAY;
        if (flat || depth == DEEPEST || along.size() > MOST) {
            along.add(pb);
        } else {
            split(a, pa, m, pm, depth + 1, along);
            split(m, pm, b, pb, depth + 1, along);
        }
    }

    private static double stray(Point a, Point b, Point p) {
        double dx = b.x() - a.x();
        double dy = b.y() - a.y();
        double length = Math.hypot(dx, dy);
        return length == 0
                ? Math.hypot(p.x() - a.x(), p.y() - a.y())
                : Math.abs((p.x() - a.x()) * dy - (p.y() - a.y()) * dx) / length;
    }

    /** By de Boor's way. */
    private Point at(double t) {
        int span = degree;
        while (span < points.length - 1 && t >= knots[span + 1]) {
            span++;
        }
        double[][] d = new double[degree + 1][];
        for (int j = 0; j <= degree; j++) {
            d[j] = points[j + span - degree].clone();
        }
        for (int r = 1; r <= degree; r++) {
            for (int j = degree; j >= r; j--) {
                double low = knots[j + span - degree];
                double high = knots[j + 1 + span - r];
                double share = high == low ? 0 : (t - low) / (high - low);
                for (int k = 0; k < 3; k++) {
                    d[j][k] = (1 - share) * d[j - 1][k] + share * d[j][k];
                }
            }
        }
        double w = d[degree][2];
        Point p = at.at(d[degree][0] / w, d[degree][1] / w);
        return Limits.point(p.x(), p.y());
    }
}
