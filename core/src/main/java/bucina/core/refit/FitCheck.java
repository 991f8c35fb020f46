package bucina.core.refit;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Assembly;
import bucina.core.plan.Face;
import bucina.core.plan.FitReading;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * One thing to measure about an assembly in clecos.
 *
 * @param face     where
 * @param kind     what
 * @param how      how it is measured
 * @param expected what the plan says, one for each figure: lengths of the diagonals; nought for the rest
 */
public record FitCheck(Face face, FitReading.Kind kind, Sentence how, List<Double> expected) {

    /** A face is measured for square if it has at least this share of the largest face's area. */
    private static final double SHARE = .25;
    /** A diagonal this share off its figure was measured between other corners. */
    private static final double MISREAD = .02;
    /** A row this share of the longest is as good to measure along. */
    private static final double LONG = .9;

    private static final int LEAST_HOLES = 6;

    public FitCheck {
        expected = List.copyOf(expected);
    }

    /**
     * What to measure on an assembly: every large four-cornered face for square, its longest row for straightness;
     * the largest face for twist and level.
     */
    public static List<FitCheck> of(Assembly assembly) {
        List<FitCheck> checks = new ArrayList<>();
        double largest = assembly.faces().stream()
                .mapToDouble(f -> sheet(f).map(l -> l.outline().outer().area()).orElse(0.0))
                .max()
                .orElse(0);
        boolean first = true;
        for (Face face : assembly.faces()) {
            Optional<Layer> sheet = sheet(face);
            double area = sheet.map(l -> l.outline().outer().area()).orElse(0.0);
            sheet.filter(l -> area >= SHARE * largest)
                    .flatMap(l -> square(face, l))
                    .ifPresent(checks::add);
            row(face).ifPresent(r -> checks.add(straight(face, r)));
            if (first && area == largest && area > 0) {
                level(checks, face);
                first = false;
            }
        }
        return checks;
    }

    private static void level(List<FitCheck> checks, Face face) {
        checks.add(new FitCheck(
                face,
                FitReading.Kind.TWIST,
                Sentence.of("Digital level set to nought on the table, then across at both ends, " + face.xToward()
                        + " end last, the same way round."),
                List.of(0.0, 0.0)));
        checks.add(new FitCheck(
                face,
                FitReading.Kind.LEVEL,
                Sentence.of("Level along the longest row, "
                        + row(face).map(Row::name).orElse("the edge")
                        + ": degrees from where it should stand."),
                List.of(0.0)));
    }

    /** The sheet that makes the face: the largest. */
    private static Optional<Layer> sheet(Face face) {
        return face.layers().stream()
                .max(Comparator.comparingDouble(l -> l.outline().outer().area()));
    }

    private static Optional<FitCheck> square(Face face, Layer sheet) {
        List<Point> corners =
                sheet.outline().outer().corners().stream().map(Corner::at).toList();
        List<Point> four = four(corners);
        if (four.stream().distinct().count() < 4) {
            return Optional.empty();
        }
        Length a = four.get(0).to(four.get(1));
        Length b = four.get(2).to(four.get(3));
        return diagonals(face, sheet, a, b);
    }

    private static Optional<FitCheck> diagonals(Face face, Layer sheet, Length a, Length b) {
        return Optional.of(new FitCheck(
                face,
                FitReading.Kind.SQUARE,
                Sentence.of(
                        "Diagonals of " + sheet.name()
                                + ", corner to corner: first the one that rises "
                                + face.xToward() + ", {}, then the other, {}.",
                        a,
                        b),
                List.of(a.nanometres(), b.nanometres())));
    }

    private static List<Point> four(List<Point> corners) {
        return List.of(
                farthest(corners, p -> -p.x() - p.y()),
                farthest(corners, p -> p.x() + p.y()),
                farthest(corners, p -> -p.x() + p.y()),
                farthest(corners, p -> p.x() - p.y()));
    }

    private static Point farthest(List<Point> points, ToDoubleFunction<Point> way) {
        return points.stream().max(Comparator.comparingDouble(way)).orElseThrow();
    }

    /** The first row about as long as the longest: drawings begin with the main line. */
    private static Optional<Row> row(Face face) {
        List<Row> rows = face.groups().stream()
                .flatMap(g -> g.rows().stream())
                .filter(r -> r.holes().size() >= LEAST_HOLES)
                .toList();
        double longest = rows.stream().mapToDouble(FitCheck::span).max().orElse(0);
        return rows.stream().filter(r -> span(r) >= LONG * longest).findFirst();
    }

    private static double span(Row row) {
        return row.holes().getFirst().at().to(row.holes().getLast().at()).nanometres();
    }

    private static FitCheck straight(Face face, Row row) {
        Point a = row.holes().getFirst().at();
        Point b = row.holes().getLast().at();
        return new FitCheck(
                face,
                FitReading.Kind.STRAIGHT,
                Sentence.of("Straight-edge or string along row " + row.name() + ", {}: the widest gap.", a.to(b)),
                List.of(0.0));
    }

    /**
     * The figure that is judged: diagonals against the plan, twist from end to end, the rest as read. Lengths in nm,
     * angles in degrees.
     */
    public double judged(List<Double> values) {
        return switch (kind) {
            case SQUARE -> values.get(0) - values.get(1) - (expected.get(0) - expected.get(1));
            case TWIST -> values.get(1) - values.get(0);
            case LEVEL, STRAIGHT -> values.get(0);
        };
    }

    private RuleKey limit() {
        return switch (kind) {
            case SQUARE -> RuleKey.FIT_SQUARE;
            case TWIST -> RuleKey.FIT_TWIST;
            case LEVEL -> RuleKey.FIT_LEVEL;
            case STRAIGHT -> RuleKey.FIT_STRAIGHT;
        };
    }

    /**
     * What a reading says.
     *
     * @param good   true if it holds its limit
     * @param words  the figure against its limit, and what to do where it does not hold
     * @param source of the limit
     */
    public record Verdict(boolean good, Sentence words, String source) {}

    /** Judges a reading by itself; limits are inclusive. */
    public Verdict verdict(FitReading reading, RuleSet rules) {
        double value = judged(reading.values());
        String source = rules.rule(limit()).source();
        if (kind == FitReading.Kind.SQUARE) {
            for (int i = 0; i < 2; i++) {
                if (Math.abs(reading.values().get(i) - expected.get(i)) > MISREAD * expected.get(i)) {
                    return new Verdict(
                            false,
                            Sentence.of(
                                    "{} is far from the plan's {}: measure corner to corner of the sheet named.",
                                    Length.nm(reading.values().get(i)),
                                    Length.nm(expected.get(i))),
                            source);
                }
            }
        }
        boolean good = within(value, limit(), rules);
        if (kind.angle()) {
            return new Verdict(
                    good,
                    Sentence.of("%.2f° %s, %.2f° at most.%s"
                            .formatted(
                                    Math.abs(value),
                                    kind == FitReading.Kind.TWIST ? "of twist" : "out of level",
                                    rules.factor(limit()),
                                    good ? "" : remedy())),
                    source);
        }
        Length off = Length.nm(Math.abs(value));
        return new Verdict(
                good,
                Sentence.of(
                        "{} " + (kind == FitReading.Kind.SQUARE ? "out of square" : "of gap") + ", {} at most."
                                + (good ? "" : remedy(value)),
                        off,
                        rules.length(limit())),
                source);
    }

    private String remedy() {
        return kind == FitReading.Kind.TWIST
                ? " Ease the clecos, block the low corner up, cleco again from the middle. Drill nothing before it "
                        + "is gone."
                : " Shim the table, not the part, and measure again.";
    }

    private String remedy(double value) {
        return kind == FitReading.Kind.SQUARE
                ? " The " + (value > 0 ? "first" : "second")
                        + " diagonal is long: ease the clecos, close it, measure again. Drill "
                        + "nothing before."
                : " Find the hole that is out and move the rib, not the skin.";
    }

    /** Judges what changed from before taking apart to after. */
    public Verdict change(FitReading before, FitReading after, RuleSet rules) {
        double moved = judged(after.values()) - judged(before.values());
        RuleKey key = kind.angle() ? RuleKey.FIT_TURN : RuleKey.FIT_SHIFT;
        boolean good = within(moved, key, rules);
        String end = good ? "" : " Look for a part that went on another way, or burrs between sheets.";
        String source = rules.rule(key).source();
        return kind.angle()
                ? new Verdict(
                        good,
                        Sentence.of("Changed by %.2f°, %.2f° at most.%s"
                                .formatted(Math.abs(moved), rules.factor(key), end)),
                        source)
                : new Verdict(
                        good,
                        Sentence.of("Changed by {}, {} at most." + end, Length.nm(Math.abs(moved)), rules.length(key)),
                        source);
    }

    private boolean within(double value, RuleKey key, RuleSet rules) {
        return kind.angle()
                ? Math.abs(value) <= rules.factor(key) + 1e-9
                : Length.nm(Math.abs(value)).atMost(rules.length(key));
    }
}
