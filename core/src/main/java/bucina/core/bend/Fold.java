package bucina.core.bend;

import bucina.core.measure.Length;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * The folded profile of a flat: its two faces as they go round the bends. It begins at the origin on the right face,
 * heading along +x; a bend of positive
 * turn goes to the left.
 *
 * @param pieces flats and bends in turn, first and last are flats
 */
public record Fold(List<Piece> pieces) {

    /** Steps that an arc is drawn in, degrees. */
    private static final double STEP = 4;

    /**
     * A place on the right face and the way the sheet runs there.
     *
     * @param heading radians, counter-clockwise from +x
     */
    public record Pose(Point at, double heading) {

        /** The place so far along and so far to the left, nm. */
        public Point off(double along, double left) {
            return new Point(
                    at.x() + along * Math.cos(heading) - left * Math.sin(heading),
                    at.y() + along * Math.sin(heading) + left * Math.cos(heading));
        }
    }

    /**
     * A flat or a bend.
     *
     * @param turn  radians to the left; 0 for a flat
     * @param right the right face, from start to end
     * @param left  the left face, from start to end
     */
    public record Piece(Pose from, Pose to, double turn, List<Point> right, List<Point> left) {

        public Piece {
            right = List.copyOf(right);
            left = List.copyOf(left);
        }
    }

    public Fold {
        pieces = List.copyOf(pieces);
    }

    /** Folds a flat up. */
    public static Fold of(FlatPattern flat) {
        List<Piece> pieces = new ArrayList<>();
        Pose pose = new Pose(new Point(0, 0), 0);
        double t = flat.bends().getFirst().thickness().nanometres();
        for (int i = 0; i < flat.flats().size(); i++) {
            Pose end = new Pose(pose.off(flat.flats().get(i).nanometres(), 0), pose.heading);
            straight(pieces, pose, end, t);
            pose = end;
            if (i < flat.bends().size()) {
                Piece bend = bend(pose, flat.bends().get(i), t);
                pieces.add(bend);
                pose = bend.to;
            }
        }
        return new Fold(pieces);
    }

    private static void straight(List<Piece> pieces, Pose pose, Pose end, double t) {
        pieces.add(new Piece(pose, end, 0, List.of(pose.at, end.at), List.of(pose.off(0, t), end.off(0, t))));
    }

    private static Piece bend(Pose from, Bend bend, double t) {
        double r = bend.radius().nanometres();
        double turn = bend.turn().radians();
        double centre = turn > 0 ? t + r : -r;
        Point c = from.off(0, centre);
        int steps = (int) Math.max(2, Math.ceil(Math.abs(bend.turn().degrees()) / STEP));
        List<Point> right = new ArrayList<>();
        List<Point> left = new ArrayList<>();
        for (int i = 0; i <= steps; i++) {
            double h = from.heading + turn * i / steps;
            right.add(new Point(c.x() + centre * Math.sin(h), c.y() - centre * Math.cos(h)));
            left.add(new Point(c.x() + (centre - t) * Math.sin(h), c.y() - (centre - t) * Math.cos(h)));
        }
        return new Piece(from, new Pose(right.getLast(), from.heading + turn), turn, right, left);
    }

    /** The whole section as one closed line: along the right face and back along the left. */
    public List<Point> outline() {
        List<Point> line = new ArrayList<>();
        pieces.forEach(p -> line.addAll(p.right));
        List<Point> back = new ArrayList<>();
        pieces.forEach(p -> back.addAll(p.left));
        Collections.reverse(back);
        line.addAll(back);
        return line;
    }

    /** The leg with this number, counted from 0. */
    public Piece leg(int i) {
        return pieces.get(2 * i);
    }

    /** The first two legs that would run through each other, counted from 1; empty list if the profile folds clear. */
    public List<Integer> clash() {
        List<List<Point>> middles = new ArrayList<>();
        for (Piece p : pieces) {
            List<Point> middle = new ArrayList<>();
            for (int i = 0; i < p.right.size(); i++) {
                middle.add(new Point(
                        (p.right.get(i).x() + p.left.get(i).x()) / 2,
                        (p.right.get(i).y() + p.left.get(i).y()) / 2));
            }
            middles.add(middle);
        }
        for (int i = 0; i < middles.size(); i++) {
            for (int j = i + 2; j < middles.size(); j++) {
                if (cross(middles.get(i), middles.get(j))) {
                    return List.of(i / 2 + 1, (j + 1) / 2 + 1);
                }
            }
        }
        return List.of();
    }

    private static boolean cross(List<Point> a, List<Point> b) {
        for (int i = 1; i < a.size(); i++) {
            for (int j = 1; j < b.size(); j++) {
                if (cross(a.get(i - 1), a.get(i), b.get(j - 1), b.get(j))) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean cross(Point a, Point b, Point c, Point d) {
        return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
    }

    private static double side(Point a, Point b, Point p) {
        return Math.signum((b.x() - a.x()) * (p.y() - a.y()) - (b.y() - a.y()) * (p.x() - a.x()));
    }

    /** How wide and high the section is, for a list of two lengths. */
    public List<Length> size() {
        List<Point> all = outline();
        return List.of(
                Length.nm(all.stream().mapToDouble(Point::x).max().orElse(0)
                        - all.stream().mapToDouble(Point::x).min().orElse(0)),
                Length.nm(all.stream().mapToDouble(Point::y).max().orElse(0)
                        - all.stream().mapToDouble(Point::y).min().orElse(0)));
    }
}
