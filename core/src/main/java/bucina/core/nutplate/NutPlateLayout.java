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
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Plates laid out behind screws. Each lies along the edge; where a lug rivet would come too near to a neighbour's rivet or screw, or to an edge, the plate is
 * turned until it clears.
 *
 * @param plate    the plate
 * @param plates   one for each screw
 * @param findings what does not clear whichever way it is turned
 */
public record NutPlateLayout(NutPlate plate, List<Laid> plates, List<Finding> findings) {

    /** Turns tried, from the edge's direction. */
    private static final double[] TURNS = {0, 90, 45, -45, 30, -30, 60, -60};

    /**
     * One plate.
     *
     * @param screw  where its screw is
     * @param turn   direction of the lugs, degrees from +x, 0 up to 180
     * @param rivets its two lug rivets
     */
    public record Laid(Point screw, double turn, List<Point> rivets) {
        public Laid {
            rivets = List.copyOf(rivets);
        }
    }

    public NutPlateLayout {
        plates = List.copyOf(plates);
        findings = List.copyOf(findings);
    }

    /**
     * Lays plates out.
     *
     * @param sheet the sheet they are riveted to, for edge distances; empty to leave them out
     * @param taken rivets that are there already
     */
    public static NutPlateLayout of(ScrewPattern pattern, NutPlate plate, RuleSet rules, Optional<Outline> sheet, List<Point> taken) {
        Check check = new Check(pattern, plate, rules, sheet, taken);
        List<Laid> plates = new ArrayList<>();
        List<Finding> findings = new ArrayList<>();
        List<Point> rivets = new ArrayList<>(taken);
        for (int i = 0; i < pattern.screws().size(); i++) {
            ScrewPattern.Screw screw = pattern.screws().get(i);
            Laid first = laid(screw, plate, 0);
            Laid best = null;
            for (double by : TURNS) {
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
        double turn = ScrewPattern.turn(screw.along() + by);
        double dx = plate.lug().nanometres() * Math.cos(Math.toRadians(turn));
        double dy = plate.lug().nanometres() * Math.sin(Math.toRadians(turn));
        Point at = screw.at();
        return new Laid(at, turn, List.of(new Point(at.x() - dx, at.y() - dy), new Point(at.x() + dx, at.y() + dy)));
    }

    /** What a plate must clear. */
    private record Check(ScrewPattern pattern, NutPlate plate, RuleSet rules, Optional<Outline> sheet, List<Point> taken) {

        Optional<Finding> problem(Laid laid, int i, List<Point> rivets) {
            Length apart = rules.times(RuleKey.PITCH_LEAST, plate.rivet());
            Length fromScrew = plate.hole().times(0.5).plus(rules.times(RuleKey.EDGE_LEAST_PROTRUDING, plate.rivet()));
            EdgeRule edge = EdgeRule.of(rules, plate.rivet(), true);
            for (Point r : laid.rivets) {
                for (Point other : rivets) {
                    if (!r.to(other).atLeast(apart)) {
                        return Optional.of(found("lug-rivets-too-near", i, r.to(other), apart, rules.rule(RuleKey.PITCH_LEAST).source(),
                                "a lug rivet is {} from another rivet; {} is the least"));
                    }
                }
                for (int k = 0; k < pattern.screws().size(); k++) {
                    Length away = r.to(pattern.screws().get(k).at());
                    if (k != i && !away.atLeast(fromScrew)) {
                        return Optional.of(found("lug-rivet-near-screw", i, away, fromScrew, rules.rule(RuleKey.EDGE_LEAST_PROTRUDING).source(),
                                "a lug rivet is {} from the next screw; {} is the least"));
                    }
                }
                if (sheet.isPresent()) {
                    Length e = sheet.get().covers(r) ? sheet.get().edgeDistance(r) : Length.ZERO;
                    if (!edge.allows(e)) {
                        return Optional.of(found("edge-distance-least", i, e, edge.least(), edge.source(), "a lug rivet is {} from the edge; {} is the least"));
                    }
                }
            }
            return Optional.empty();
        }

        private static Finding found(String rule, int i, Length measured, Length required, String source, String words) {
            return new Finding(rule, Level.ERROR, new Finding.Place("", "", Integer.toString(i + 1), ""), Optional.of(measured), Optional.of(required), source,
                    Sentence.of("At screw " + (i + 1) + " " + words + ", whichever way the plate is turned.", measured, required),
                    Sentence.of("Give the screws more pitch, or take a one-lug or miniature plate from the drawing."));
        }
    }
}
