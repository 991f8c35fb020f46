package bucina.core.refit;

import bucina.core.measure.Length;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.ojalgo.matrix.decomposition.SingularValue;
import org.ojalgo.matrix.store.MatrixStore;
import org.ojalgo.matrix.store.R064Store;

/**
 * A part's holes fitted to where they should be by shift and turn, perhaps with one thing more.
 *
 * @param motion   shift and turn
 * @param about    the middle of the holes fitted
 * @param holes    where every hole should be, from that middle, nm
 * @param left     what is left at every hole, nm
 * @param without  the hole left out; -1 for none
 * @param freedoms figures measured less figures fitted
 */
record Fitted(Isometry motion, Point about, List<Point> holes, List<Point> left, int without, int freedoms) {

    /** What a part can have beside a wrong place. */
    enum Shape {
        /** Longer or shorter along its holes. */
        STRETCH,
        /** Curved across them. */
        PARABOLA
    }

    /** Holes fitted by shift and turn alone. */
    static Fitted of(List<Point> holes, List<Point> offsets, int without) {
        List<Point> from = new ArrayList<>();
        List<Point> to = new ArrayList<>();
        for (int i = 0; i < holes.size(); i++) {
            if (i != without) {
                from.add(holes.get(i));
                to.add(plus(holes.get(i), offsets.get(i)));
            }
        }
        double x = from.stream().mapToDouble(Point::x).average().orElseThrow();
        double y = from.stream().mapToDouble(Point::y).average().orElseThrow();
        Isometry motion = Isometry.fit(from, to, false);
        List<Point> relative = new ArrayList<>();
        List<Point> left = new ArrayList<>();
        for (int i = 0; i < holes.size(); i++) {
            relative.add(new Point(holes.get(i).x() - x, holes.get(i).y() - y));
            left.add(minus(plus(holes.get(i), offsets.get(i)), motion.of(holes.get(i))));
        }
        return new Fitted(motion, new Point(x, y), relative, left, without, 2 * from.size() - 3);
    }

    /** The same with one thing more fitted, together with shift and turn, to what was left. */
    Fitted plus(Shape shape) {
        double axis = axis();
        double ux = Math.cos(axis);
        double uy = Math.sin(axis);
        double size =
                holes.stream().mapToDouble(h -> Math.hypot(h.x(), h.y())).max().orElseThrow();
        R064Store rows = R064Store.FACTORY.make(2 * holes.size(), 4);
        R064Store wanted = R064Store.FACTORY.make(2 * holes.size(), 1);
        for (int i = 0; i < holes.size(); i++) {
            Point h = holes.get(i);
            double along = (h.x() * ux + h.y() * uy) / size;
            double ex = shape == Shape.STRETCH ? along * ux : -along * along * uy;
            double ey = shape == Shape.STRETCH ? along * uy : along * along * ux;
            // The part is turned: what it has more is turned with it.
            double sx = motion.cos() * ex - motion.sin() * ey;
            double sy = motion.sin() * ex + motion.cos() * ey;
            row(rows, 2 * i, 1, 0, -h.y() / size, sx);
            row(rows, 2 * i + 1, 0, 1, h.x() / size, sy);
            wanted.set(2 * i, 0, left.get(i).x());
            wanted.set(2 * i + 1, 0, left.get(i).y());
        }
        // Values are asked for by their singular parts: at the corners of a rectangle a parabola is a shift.
        SingularValue<Double> solver = SingularValue.R064.make(rows);
        solver.decompose(rows);
        MatrixStore<Double> rest = wanted.subtract(rows.multiply(solver.getSolution(wanted)));
        List<Point> remains = new ArrayList<>();
        for (int i = 0; i < holes.size(); i++) {
            remains.add(new Point(rest.doubleValue(2 * i, 0), rest.doubleValue(2 * i + 1, 0)));
        }
        return new Fitted(motion, about, holes, remains, without, freedoms - 1);
    }

    private static void row(R064Store rows, int at, double... values) {
        for (int i = 0; i < values.length; i++) {
            rows.set(at, i, values[i]);
        }
    }

    /** Direction of the longest extent of the holes, radians. */
    private double axis() {
        double xx = 0;
        double xy = 0;
        double yy = 0;
        for (Point h : holes) {
            xx += h.x() * h.x();
            xy += h.x() * h.y();
            yy += h.y() * h.y();
        }
        return Math.atan2(2 * xy, xx - yy) / 2;
    }

    /** True if nothing more is left than may be, at the holes fitted. */
    boolean within(Length most) {
        for (int i = 0; i < left.size(); i++) {
            if (i != without && !new Point(0, 0).to(left.get(i)).atMost(most)) {
                return false;
            }
        }
        return true;
    }

    /** Root mean square of what is left, for each freedom. */
    double perFreedom() {
        double sum = 0;
        for (int i = 0; i < left.size(); i++) {
            if (i != without) {
                Point l = left.get(i);
                sum += l.x() * l.x() + l.y() * l.y();
            }
        }
        return Math.sqrt(sum / freedoms);
    }

    Misfit says(Misfit.Verdict verdict, OptionalInt pull) {
        Point to = motion.of(about);
        return new Misfit(
                verdict,
                minus(to, about),
                motion.degrees(),
                about,
                left.stream().map(l -> new Point(0, 0).to(l)).toList(),
                pull);
    }

    private static Point plus(Point a, Point b) {
        return new Point(a.x() + b.x(), a.y() + b.y());
    }

    private static Point minus(Point a, Point b) {
        return new Point(a.x() - b.x(), a.y() - b.y());
    }
}
