package bucina.core.nutplate;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Shapes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Plates laid out behind screws. Each lies along the edge; where a lug rivet would come too near to a neighbour's
 * rivet or screw, or to an edge, the plate is
 * turned until it clears.
 *
 * @param plate    the plate
 * @param plates   one for each screw
 * @param findings what does not clear whichever way it is turned
 */
public record NutPlateLayout(NutPlate plate, List<Laid> plates, List<Finding> findings) {

    /** Metal of a lug beyond its rivet, and half the width of the body: typical. */
    private static final Length BEYOND = Length.in(.13);

    private static final Length HALF_WIDE = Length.in(.16);
    /** Turns tried, from the edge's direction. */
    private static final double[] TURNS = {0, 90, 45, -45, 30, -30, 60, -60};
    /** Turns tried for a plate that does not lie the same half round. */
    private static final double[] UNEVEN = {0, 180, 90, -90, 45, -45, 135, -135, 30, -30, 150, -150, 60, -60, 120, -120
    };

    /**
     * One plate.
     *
     * @param screw  where its screw is
     * @param turn   direction of the lugs, degrees from +x, 0 up to 180, or 360 where it matters
     * @param rivets its lug rivets
     */
    public record Laid(Point screw, double turn, List<Point> rivets) {
        public Laid {
            rivets = List.copyOf(rivets);
        }

        /** The metal of the plate as it lies: round its screw and its lug rivets, and straight between. */
        public Outline body() {
            List<Point> round = new ArrayList<>();
            square(screw, Math.toRadians(turn), HALF_WIDE, HALF_WIDE, round);
            for (Point p : rivets) {
                square(p, Math.atan2(p.y() - screw.y(), p.x() - screw.x()), BEYOND, HALF_WIDE, round);
            }
            return Shapes.hull(round);
        }

        private static void square(Point at, double turn, Length half, Length wide, List<Point> round) {
            double c = Math.cos(turn);
            double s = Math.sin(turn);
            double a = half.nanometres();
            double b = wide.nanometres();
            for (double[] k : new double[][] {{-a, -b}, {a, -b}, {a, b}, {-a, b}}) {
                round.add(new Point(at.x() + k[0] * c - k[1] * s, at.y() + k[0] * s + k[1] * c));
            }
        }
    }

    /**
     * Something behind the sheet that a plate must not lie over.
     *
     * @param name what it is
     */
    public record Behind(String name, Outline outline) {}

    public NutPlateLayout {
        plates = List.copyOf(plates);
        findings = List.copyOf(findings);
    }

    /**
     * Lays plates out.
     *
     * @param sheet the sheet they are riveted to, for edge distances; empty to leave them out
     * @param taken  rivets that are there already
     * @param behind parts that the plates must not lie over
     */
    public static NutPlateLayout of(
            ScrewPattern pattern,
            NutPlate plate,
            RuleSet rules,
            Optional<Outline> sheet,
            List<Point> taken,
            List<Behind> behind) {
        Check check = new Check(pattern, plate, rules, sheet, behind);
        List<Laid> plates = new ArrayList<>();
        List<Finding> findings = new ArrayList<>();
        List<Point> rivets = new ArrayList<>(taken);
        for (int i = 0; i < pattern.screws().size(); i++) {
            ScrewPattern.Screw screw = pattern.screws().get(i);
            Laid first = laid(screw, plate, 0);
            Laid best = null;
            for (double by : plate.even() ? TURNS : UNEVEN) {
                Laid one = laid(screw, plate, by);
                if (check.problem(one, i, rivets).isEmpty()) {
                    best = one;
                    break;
                }
            }
            if (best == null) {
                check.problem(first, i, rivets).ifPresent(findings::add);
                best = first;
            }
            plates.add(best);
            rivets.addAll(best.rivets);
        }
        return new NutPlateLayout(plate, plates, findings);
    }

    private static Laid laid(ScrewPattern.Screw screw, NutPlate plate, double by) {
        double turn = plate.even() ? ScrewPattern.turn(screw.along() + by) : ((screw.along() + by) % 360 + 360) % 360;
        double c = Math.cos(Math.toRadians(turn));
        double s = Math.sin(Math.toRadians(turn));
        Point at = screw.at();
        return new Laid(
                at,
                turn,
                plate.places().stream()
                        .map(p -> new Point(at.x() + p.x() * c - p.y() * s, at.y() + p.x() * s + p.y() * c))
                        .toList());
    }

    /** What a plate must clear. */
    private record Check(
            ScrewPattern pattern, NutPlate plate, RuleSet rules, Optional<Outline> sheet, List<Behind> behind) {

        Optional<Finding> problem(Laid laid, int i, List<Point> rivets) {
            Length apart = rules.times(RuleKey.PITCH_LEAST, plate.rivet());
            Length fromScrew = plate.hole().times(0.5).plus(rules.times(RuleKey.EDGE_LEAST_PROTRUDING, plate.rivet()));
            EdgeRule edge = EdgeRule.of(rules, plate.rivet(), true);
            for (Point r : laid.rivets) {
                for (Point other : rivets) {
                    if (!r.to(other).atLeast(apart)) {
                        return Optional.of(found(
                                "lug-rivets-too-near",
                                i,
                                r.to(other),
                                apart,
                                rules.rule(RuleKey.PITCH_LEAST).source(),
                                "a lug rivet is {} from another rivet; {} is the least"));
                    }
                }
                for (int k = 0; k < pattern.screws().size(); k++) {
                    Length away = r.to(pattern.screws().get(k).at());
                    if (k != i && !away.atLeast(fromScrew)) {
                        return Optional.of(found(
                                "lug-rivet-near-screw",
                                i,
                                away,
                                fromScrew,
                                rules.rule(RuleKey.EDGE_LEAST_PROTRUDING).source(),
                                "a lug rivet is {} from the next screw; {} is the least"));
                    }
                }
                if (sheet.isPresent()) {
                    Length e = sheet.get().covers(r) ? sheet.get().edgeDistance(r) : Length.ZERO;
                    if (!edge.allows(e)) {
                        return Optional.of(found(
                                "edge-distance-least",
                                i,
                                e,
                                edge.least(),
                                edge.source(),
                                "a lug rivet is {} from the edge; {} is the least"));
                    }
                }
            }
            return hit(laid, i);
        }

        private Optional<Finding> hit(Laid laid, int i) {
            Outline body = laid.body();
            return behind.stream()
                    .filter(b -> Shapes.overlap(body, b.outline))
                    .findFirst()
                    .map(b -> new Finding(
                            "plate-hits-part",
                            Level.ERROR,
                            new Finding.Place("", "", Integer.toString(i + 1), b.name),
                            Optional.empty(),
                            Optional.empty(),
                            "a plate lies flat on its sheet",
                            Sentence.of("At screw " + (i + 1) + " the plate lies over " + b.name
                                    + ", whichever way it is turned."),
                            Sentence.of(
                                    "Move the screw, or take a one-lug, corner or miniature plate from the drawing.")));
        }

        private static Finding found(
                String rule, int i, Length measured, Length required, String source, String words) {
            return new Finding(
                    rule,
                    Level.ERROR,
                    new Finding.Place("", "", Integer.toString(i + 1), ""),
                    Optional.of(measured),
                    Optional.of(required),
                    source,
                    Sentence.of(
                            "At screw " + (i + 1) + " " + words + ", whichever way the plate is turned.",
                            measured,
                            required),
                    Sentence.of("Give the screws more pitch, or take a one-lug, corner or miniature plate from the "
                            + "drawing."));
        }
    }
}
