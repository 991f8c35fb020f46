package bucina.core.layout;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.Finding;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Holes of a row on the sheet.
 *
 * @param points   in order along the row
 * @param findings what breaks a rule; a layout with none is called good
 */
public record Rows(List<Point> points, List<Finding> findings) {

    /** A keep-out is found by looking this often along a line, then closing in to under a nanometre. */
    private static final int LOOKS = 4000;

    public Rows {
        points = List.copyOf(points);
        findings = List.copyOf(findings);
    }

    /** True if no rule is broken. */
    public boolean good() {
        return findings.isEmpty();
    }

    /**
     * How many holes a stretch gets.
     *
     * @param pitch wished pitch, over 0; empty where a count is given
     * @param count holes in the whole row, at least 2; empty where a pitch is given
     */
    public record Spacing(Optional<Length> pitch, Optional<Integer> count) {

        public Spacing {
            if (pitch.isPresent() == count.isPresent()) {
                throw new IllegalArgumentException("give a pitch or a count, one of the two");
            }
            if (pitch.isPresent() && !pitch.get().positive()) {
                throw new InputException("pitch must be over 0, was " + pitch.get() + ": write it like 1 or 25 mm");
            }
            if (count.isPresent() && !(count.get() >= 2 && count.get() <= RowLayout.MOST_SPACES)) {
                throw new InputException("a row has 2 to " + RowLayout.MOST_SPACES + " holes, was " + count.get()
                        + ": write it like 18");
            }
        }

        /** By a wished pitch. */
        public static Spacing pitch(Length pitch) {
            return new Spacing(Optional.of(pitch), Optional.empty());
        }

        /** By a count. */
        public static Spacing count(int count) {
            return new Spacing(Optional.empty(), Optional.of(count));
        }

        int spaces(double length) {
            return count.map(c -> c - 1).orElseGet(() -> {
                double ratio = length / pitch.orElseThrow().nanometres();
                if (!(ratio <= RowLayout.MOST_SPACES)) {
                    throw new InputException("a pitch of " + pitch.get() + " makes over " + RowLayout.MOST_SPACES
                            + " spaces: write a larger pitch, like 1");
                }
                return Math.max(1, (int) Math.floor(ratio + 0.5 + 1e-9));
            });
        }
    }

    /** Points evenly from one end to the other, in whole spaces. */
    public static List<Point> line(Point from, Point to, Spacing spacing) {
        double length = from.to(to).nanometres();
        if (!(length > 0)) {
            throw new InputException(
                    "first and last hole are at the same place: a row needs a length, such as first .5, last 20");
        }
        int spaces = spacing.spaces(length);
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= spaces; i++) {
            points.add(i == spaces ? to : along(from, to, (double) i / spaces));
        }
        return points;
    }

    private static Point along(Point from, Point to, double t) {
        return new Point(from.x() + (to.x() - from.x()) * t, from.y() + (to.y() - from.y()) * t);
    }

    /**
     * As {@link #line}, but out of keep-outs: the line is parted where it comes nearer than {@code clear} to one, and
     * each stretch is laid out in
     * whole spaces with a hole at either end. A stretch shorter than half a pitch gets one hole in its middle. With a
     * count the pitch is that of
     * the whole row.
     */
    public static List<Point> around(Point from, Point to, Spacing spacing, List<Outline> keepOuts, Length clear) {
        if (keepOuts.isEmpty()) {
            return line(from, to, spacing);
        }
        double length = from.to(to).nanometres();
        Length pitch = spacing.pitch().orElseGet(() -> Length.nm(length / spacing.spaces(length)));
        List<Point> points = between(from, to, keepOuts, clear, length, pitch);
        if (points.isEmpty()) {
            throw new InputException("the whole line lies in keep-outs: move the row, or take a keep-out away");
        }
        return points;
    }

    private static List<Point> between(
            Point from, Point to, List<Outline> keepOuts, Length clear, double length, Length pitch) {
        List<Point> points = new ArrayList<>();
        for (double[] stretch : stretches(from, to, keepOuts, clear)) {
            double run = (stretch[1] - stretch[0]) * length;
            Point a = along(from, to, stretch[0]);
            Point b = along(from, to, stretch[1]);
            if (run < pitch.nanometres() / 2) {
                points.add(along(a, b, 0.5));
            } else {
                points.addAll(line(a, b, Spacing.pitch(pitch)));
            }
        }
        return points;
    }

    private static List<double[]> stretches(Point from, Point to, List<Outline> keepOuts, Length clear) {
        List<double[]> stretches = new ArrayList<>();
        double start = -1;
        double before = 0;
        for (int i = 0; i <= LOOKS; i++) {
            double t = (double) i / LOOKS;
            boolean free = free(along(from, to, t), keepOuts, clear);
            if (free && start < 0) {
                start = i == 0 ? 0 : border(from, to, t, before, keepOuts, clear);
            } else if (!free && start >= 0) {
                stretches.add(new double[] {start, border(from, to, before, t, keepOuts, clear)});
                start = -1;
            }
            before = t;
        }
        if (start >= 0) {
            stretches.add(new double[] {start, 1});
        }
        return stretches;
    }

    /** The last free place between a free one and one that is not. */
    private static double border(
            Point from, Point to, double free, double taken, List<Outline> keepOuts, Length clear) {
        double a = free;
        double b = taken;
        for (int i = 0; i < 50; i++) {
            double middle = (a + b) / 2;
            if (free(along(from, to, middle), keepOuts, clear)) {
                a = middle;
            } else {
                b = middle;
            }
        }
        return a;
    }

    private static boolean free(Point p, List<Outline> keepOuts, Length clear) {
        return keepOuts.stream()
                .noneMatch(k -> k.covers(p) || !k.edgeDistance(p).atLeast(clear));
    }

    /**
     * A second row beside the first, staggered: one hole in the middle of each space, at {@code gauge} to the left of
     * the way along the row.
     */
    public static List<Point> staggered(List<Point> row, Length gauge) {
        List<Point> points = new ArrayList<>();
        for (int i = 1; i < row.size(); i++) {
            Point a = row.get(i - 1);
            Point b = row.get(i);
            double length = a.to(b).nanometres();
            double k = gauge.nanometres() / length;
            points.add(new Point((a.x() + b.x()) / 2 - (b.y() - a.y()) * k, (a.y() + b.y()) / 2 + (b.x() - a.x()) * k));
        }
        return points;
    }

    /**
     * A row beside the first that shares its station lines, at {@code gauge} to the left of the way from its first hole
     * to its last.
     */
    public static List<Point> beside(List<Point> row, Length gauge) {
        Point a = row.getFirst();
        Point b = row.getLast();
        double k = gauge.nanometres() / a.to(b).nanometres();
        return row.stream()
                .map(p -> new Point(p.x() - (b.y() - a.y()) * k, p.y() + (b.x() - a.x()) * k))
                .toList();
    }

    /** Where a line crosses the station lines (upright, at x) of another row; stations off its ends are left out. */
    public static List<Point> shared(List<Length> stations, Segment line) {
        List<Point> points = new ArrayList<>();
        double dx = line.b().x() - line.a().x();
        for (Length station : stations) {
            double t = (station.nanometres() - line.a().x()) / dx;
            if (dx != 0 && t >= 0 && t <= 1) {
                points.add(new Point(
                        station.nanometres(),
                        line.a().y() + t * (line.b().y() - line.a().y())));
            }
        }
        return points;
    }

    /** Holes on a bolt circle, the first at {@code startDegrees} from +x, going round to the left. */
    public static List<Point> circle(Point centre, Length diameter, int count, double startDegrees) {
        if (!(count >= 1 && count <= 1000) || !diameter.positive()) {
            throw new InputException("a bolt circle has 1 to 1000 holes on a diameter over 0, was " + count + " on "
                    + diameter + ": write it like 8 on 3");
        }
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double a = Math.toRadians(startDegrees + 360.0 * i / count);
            points.add(new Point(
                    centre.x() + diameter.nanometres() / 2 * Math.cos(a),
                    centre.y() + diameter.nanometres() / 2 * Math.sin(a)));
        }
        return points;
    }

    /**
     * Holes around a rectangle with one at each corner, each side in whole spaces, from the lower left corner round to
     * the left.
     */
    public static List<Point> rectangle(Point low, Point high, Spacing spacing) {
        Point right = new Point(high.x(), low.y());
        Point left = new Point(low.x(), high.y());
        Point[] corners = {low, right, high, left, low};
        Spacing by = by(spacing, high, low);
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            List<Point> side = line(corners[i], corners[i + 1], by);
            points.addAll(side.subList(0, side.size() - 1));
        }
        return points;
    }

    private static Spacing by(Spacing spacing, Point high, Point low) {
        return spacing.pitch().isPresent()
                ? spacing
                : Spacing.pitch(Length.nm(2
                        * (Math.abs(high.x() - low.x()) + Math.abs(high.y() - low.y()))
                        / spacing.count().orElseThrow()));
    }

    /**
     * Judges holes laid out: the space between each two neighbours, and the edge distance in every sheet a hole lies
     * on.
     *
     * @param points   in order along the row
     * @param thinnest thinnest sheet; empty to judge by the shank alone
     * @param sheets   the sheets they go through
     */
    public static Rows judged(
            List<Point> points, EdgeRule edge, Optional<Length> thinnest, List<Outline> sheets, RuleSet rules) {
        List<Finding> findings = new ArrayList<>();
        pitches(points, edge, thinnest, rules, findings);
        edges(points, sheets, edge, findings);
        return new Rows(points, findings);
    }

    private static void edges(List<Point> points, List<Outline> sheets, EdgeRule edge, List<Finding> findings) {
        for (int i = 0; i < points.size(); i++) {
            for (Outline sheet : sheets) {
                Point p = points.get(i);
                if (sheet.covers(p) && !edge.allows(sheet.edgeDistance(p))) {
                    findings.add(edge.tooShort(Finding.Place.NONE, "Hole " + (i + 1), sheet.edgeDistance(p)));
                }
            }
        }
    }

    private static void pitches(
            List<Point> points, EdgeRule edge, Optional<Length> thinnest, RuleSet rules, List<Finding> findings) {
        for (int i = 1; i < points.size(); i++) {
            String words = "Hole " + i + " to " + (i + 1) + ": ";
            RowLayout.judge(points.get(i - 1).to(points.get(i)), edge.shank(), thinnest, false, rules)
                    .forEach(f -> findings.add(f.at(f.place(), words)));
        }
    }

    /** Running dimensions of a row from its first hole, along the row. */
    public static List<Length> running(List<Point> points) {
        List<Length> stations = new ArrayList<>();
        double sum = 0;
        for (int i = 0; i < points.size(); i++) {
            sum += i == 0 ? 0 : points.get(i - 1).to(points.get(i)).nanometres();
            stations.add(Length.nm(sum));
        }
        return stations;
    }

    /** A sentence about a layout: how many holes at which pitch. */
    public Sentence sentence() {
        if (points.size() < 2) {
            return Sentence.of(points.size() + " hole.");
        }
        Length least = points.get(0).to(points.get(1));
        Length most = least;
        for (int i = 2; i < points.size(); i++) {
            Length d = points.get(i - 1).to(points.get(i));
            least = least.min(d);
            most = most.max(d);
        }
        return most.minus(least).nanometres() < 100
                ? Sentence.of(points.size() + " holes, " + (points.size() - 1) + " spaces of {}.", least)
                : Sentence.of(points.size() + " holes, {} to {} apart.", least, most);
    }
}
