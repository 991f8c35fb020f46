package bucina.core.nutplate;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
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
    /** Head of a 3/32 flush rivet in its diameters: .179 / .094. */
    private static final double LUG_HEAD = 1.91;
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
        Check check = new Check(pattern, plate, rules, sheet, taken, behind);
        List<Finding> findings = new ArrayList<>(check.heads());
        List<Laid> plates = alike(check).orElseGet(() -> oneByOne(check, findings));
        return new NutPlateLayout(plate, plates, findings);
    }

    /** All turned alike from the line of their screws, if one turn clears everywhere. */
    private static Optional<List<Laid>> alike(Check check) {
        for (double by : check.turns()) {
            List<Laid> plates = new ArrayList<>();
            for (int i = 0; i < check.pattern.screws().size(); i++) {
                Laid one = laid(check.pattern.screws().get(i), check.plate, by);
                if (check.problem(one, i, plates).isPresent()) {
                    break;
                }
                plates.add(one);
            }
            if (plates.size() == check.pattern.screws().size()) {
                return Optional.of(plates);
            }
        }
        return Optional.empty();
    }

    private static List<Laid> oneByOne(Check check, List<Finding> findings) {
        List<Laid> plates = new ArrayList<>();
        for (int i = 0; i < check.pattern.screws().size(); i++) {
            ScrewPattern.Screw screw = check.pattern.screws().get(i);
            Laid first = laid(screw, check.plate, 0);
            Laid best = null;
            for (double by : check.turns()) {
                Laid one = laid(screw, check.plate, by);
                if (check.problem(one, i, plates).isEmpty()) {
                    best = one;
                    break;
                }
            }
            if (best == null) {
                check.problem(first, i, plates).ifPresent(findings::add);
                best = first;
            }
            plates.add(best);
        }
        return plates;
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
            ScrewPattern pattern,
            NutPlate plate,
            RuleSet rules,
            Optional<Outline> sheet,
            List<Point> taken,
            List<Behind> behind) {

        double[] turns() {
            return plate.even() ? TURNS : UNEVEN;
        }

        /** A 100 degree screw head is about twice its clearance hole across. */
        private Length screwHead() {
            return plate.hole().times(2);
        }

        /** Screws so near to each other that their heads meet. */
        List<Finding> heads() {
            List<Finding> found = new ArrayList<>();
            for (int i = 0; i < pattern.screws().size(); i++) {
                for (int k = i + 1; k < pattern.screws().size(); k++) {
                    Length apart = pattern.screws()
                            .get(i)
                            .at()
                            .to(pattern.screws().get(k).at());
                    if (!apart.atLeast(screwHead())) {
                        headsMeet(found, i, apart, k);
                    }
                }
            }
            return found;
        }

        private void headsMeet(List<Finding> found, int i, Length apart, int k) {
            found.add(new Finding(
                    RuleCode.SCREW_HEADS_MEET,
                    Level.ERROR,
                    new Finding.Place("", "", Integer.toString(i + 1), ""),
                    Optional.of(apart),
                    Optional.of(screwHead()),
                    "MS24693, typical head",
                    Sentence.of(
                            "Screws " + (i + 1) + " and " + (k + 1) + " are {} apart, and their heads are {} across.",
                            apart,
                            screwHead()),
                    Sentence.of("Give the screws more pitch, or take a smaller size.")));
        }

        private Finding tooNear(int i, Length away, Length apart) {
            return found(
                    RuleCode.LUG_RIVETS_TOO_NEAR,
                    i,
                    away,
                    apart,
                    rules.rule(RuleKey.PITCH_LEAST).source(),
                    "a lug rivet is {} from another rivet; {} is the least");
        }

        Optional<Finding> problem(Laid laid, int i, List<Laid> others) {
            List<Point> rivets = new ArrayList<>(taken);
            others.forEach(o -> rivets.addAll(o.rivets));
            Length apart = rules.times(RuleKey.PITCH_LEAST, plate.rivet());
            Length fromScrew = plate.hole()
                    .times(0.5)
                    .plus(rules.times(RuleKey.EDGE_LEAST_PROTRUDING, plate.rivet()))
                    .max(screwHead().times(0.5).plus(plate.rivet().times(LUG_HEAD / 2)));
            EdgeRule edge = EdgeRule.of(rules, plate.rivet(), true);
            for (Point r : laid.rivets) {
                Optional<Finding> near = rivets.stream()
                        .filter(other -> !r.to(other).atLeast(apart))
                        .findFirst()
                        .map(other -> tooNear(i, r.to(other), apart));
                if (near.isPresent()) {
                    return near;
                }
                for (int k = 0; k < pattern.screws().size(); k++) {
                    Length away = r.to(pattern.screws().get(k).at());
                    if (k != i && !away.atLeast(fromScrew)) {
                        return Optional.of(found(
                                RuleCode.LUG_RIVET_NEAR_SCREW,
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
                                RuleCode.EDGE_DISTANCE_LEAST,
                                i,
                                e,
                                edge.least(),
                                edge.source(),
                                "a lug rivet is {} from the edge; {} is the least"));
                    }
                }
            }
            return onOther(laid, i, others).or(() -> hit(laid, i));
        }

        /** A plate that lies over the next one, or whose metal another screw's nut needs. */
        private Optional<Finding> onOther(Laid laid, int i, List<Laid> others) {
            Outline body = laid.body();
            for (int k = 0; k < others.size(); k++) {
                boolean near = !laid.screw
                        .to(others.get(k).screw)
                        .atLeast(plate.lug().plus(BEYOND).plus(HALF_WIDE).times(2));
                if (near && Shapes.overlap(body, others.get(k).body())) {
                    return Optional.of(new Finding(
                            RuleCode.PLATES_OVERLAP,
                            Level.ERROR,
                            new Finding.Place("", "", Integer.toString(i + 1), ""),
                            Optional.empty(),
                            Optional.empty(),
                            "a plate lies flat on its sheet",
                            Sentence.of("At screw " + (i + 1) + " the plate lies over that of screw " + (k + 1)
                                    + ", whichever way it is turned."),
                            Sentence.of("Give the screws more pitch, or take a one-lug, corner or miniature plate from "
                                    + "the drawing.")));
                }
            }
            return Optional.empty();
        }

        private Optional<Finding> hit(Laid laid, int i) {
            Outline body = laid.body();
            return behind.stream()
                    .filter(b -> Shapes.overlap(body, b.outline))
                    .findFirst()
                    .map(b -> new Finding(
                            RuleCode.PLATE_HITS_PART,
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
                RuleCode rule, int i, Length measured, Length required, String source, String words) {
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
