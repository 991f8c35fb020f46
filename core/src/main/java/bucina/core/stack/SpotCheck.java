package bucina.core.stack;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Layer;
import bucina.core.plan.Zone;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is wrong with the place of a hole: too near a neighbour, a bend tangent, an edge its head would stand on, a
 * wall behind, or in a keep-out.
 * Findings come without a place but for the layer or neighbour; {@link StackCheck} completes them. Not for more than
 * one thread at a time.
 */
final class SpotCheck {

    private static final String HEADS = "sheet-metal practice, FAA-H-8083-31";

    private final Face face;
    private final FaceHoles holes;
    private final Solver solver;
    private final RuleSet rules;
    private final Map<Fastener, Solution.Heads> heads = new HashMap<>();

    SpotCheck(Face face, FaceHoles holes, Solver solver) {
        this.face = face;
        this.holes = holes;
        this.solver = solver;
        this.rules = solver.rules();
    }

    /**
     * @param i       place of the hole
     * @param caught  the layers it goes through
     * @param first   place in the face of the first layer it goes through, from the near side
     * @param last    place of the last
     * @param nearby  places of the layers near it
     */
    List<Finding> findings(int i, Solution solution, List<Layer> caught, int first, int last, List<Integer> nearby) {
        List<Finding> found = new ArrayList<>(0);
        neighbours(i, solution, found);
        FaceHoles.Slot slot = holes.slot(i);
        Point at = slot.hole().at();
        for (Layer layer : caught) {
            tangents(layer, at, solution, found);
        }
        for (int l : caught.isEmpty() ? List.<Integer>of() : nearby) {
            boolean beyond = l < first || l > last;
            if (through(face.layers().get(l), at, solution, found)) {
                continue;
            }
            if (beyond) {
                Length reach = solution.heads().on(l < first != slot.group().headFar());
                edge(face.layers().get(l), at, reach, found);
            }
        }
        zones(at, solution, found);
        kind(slot, found);
        return found.isEmpty() ? List.of() : found;
    }

    private static void kind(FaceHoles.Slot slot, List<Finding> found) {
        slot.hole()
                .deviation()
                .flatMap(d -> d.fastener()
                        .filter(f -> otherKind(f, slot.group().fastener()))
                        .map(f -> new Finding(
                                RuleCode.KIND_IN_ROW,
                                Level.WARNING,
                                Finding.Place.NONE,
                                Optional.empty(),
                                Optional.empty(),
                                HEADS,
                                Sentence.of(" takes " + f.name() + " in a row of "
                                        + slot.group().fastener().name() + " ("
                                        + d.reason().replace("{}", "") + ")."),
                                Sentence.of("Mark the hole, or it gets the rivet of the row."))))
                .ifPresent(found::add);
    }

    /** True if more than the diameter differs. */
    private static boolean otherKind(Fastener a, Fastener b) {
        if (a instanceof Fastener.SolidRivet x && b instanceof Fastener.SolidRivet y) {
            return x.head() != y.head() || !x.alloy().equals(y.alloy());
        }
        if (a instanceof Fastener.PulledRivet x && b instanceof Fastener.PulledRivet y) {
            return !x.family().equals(y.family()) || x.stainless() != y.stainless();
        }
        return a.getClass() != b.getClass();
    }

    private Solution.Heads heads(FaceHoles.Slot slot) {
        return heads.computeIfAbsent(slot.group().fastenerAt(slot.hole()), solver::heads);
    }

    // ---- neighbours

    private void neighbours(int i, Solution solution, List<Finding> found) {
        FaceHoles.Slot slot = holes.slot(i);
        Point at = slot.hole().at();
        double reach = holes.reach();
        // In the order of the face: what is found must not depend on how the index was built.
        for (int j : holes.in(new Box(at.x() - reach, at.y() - reach, at.x() + reach, at.y() + reach))) {
            if (j != i) {
                neighbour(slot, solution, holes.slot(j), found);
            }
        }
    }

    private void neighbour(FaceHoles.Slot slot, Solution solution, FaceHoles.Slot other, List<Finding> found) {
        Length apart = slot.hole().at().to(other.hole().at());
        Fastener its = other.group().fastenerAt(other.hole());
        Length shank = solution.fastener().shank().max(its.shank());
        boolean row = slot.row().id().equals(other.row().id());
        RuleKey key = row ? RuleKey.PITCH_LEAST : RuleKey.GAUGE_LEAST;
        Length least = rules.times(key, shank);
        boolean rivets = solution.fastener().rivet() && its.rivet();
        String name = other.row().label(other.hole());
        if ((row || rivets) && !apart.atLeast(least)) {
            tooNear(found, row, name, apart, least, key);
            return;
        }
        heads(solution, other, slot, apart, found, name);
    }

    private void heads(
            Solution solution,
            FaceHoles.Slot other,
            FaceHoles.Slot slot,
            Length apart,
            List<Finding> found,
            String name) {
        Solution.Heads mine = solution.heads();
        Solution.Heads others = heads(other);
        boolean near = !slot.group().headFar();
        boolean otherNear = !other.group().headFar();
        Length needed =
                mine.on(near).plus(others.on(otherNear)).max(mine.on(!near).plus(others.on(!otherNear)));
        if (!apart.atLeast(needed)) {
            headsMeet(found, name, apart, needed);
        }
    }

    private static void headsMeet(List<Finding> found, String name, Length apart, Length needed) {
        found.add(new Finding(
                RuleCode.HEAD_INTERFERENCE,
                Level.ERROR,
                beside(name),
                Optional.of(apart),
                Optional.of(needed),
                HEADS,
                Sentence.of(" is {} from " + name + ": their heads need {}.", apart, needed),
                Sentence.of("Move one hole, or turn the head of one to the other side.")));
    }

    private void tooNear(List<Finding> found, boolean row, String name, Length apart, Length least, RuleKey key) {
        found.add(new Finding(
                row ? RuleCode.PITCH_LEAST : RuleCode.GAUGE_LEAST,
                Level.ERROR,
                beside(name),
                Optional.of(apart),
                Optional.of(least),
                rules.rule(key).source(),
                Sentence.of(
                        " is {} from " + name + "; " + rules.rule(key).value() + " D = {} is the least "
                                + (row ? "in a row." : "between rows."),
                        apart,
                        least),
                Sentence.of(
                        row
                                ? "Take fewer holes in the row, or a smaller diameter."
                                : "Move one of the rows by {}, or leave one of the two holes out.",
                        row ? new Length[0] : new Length[] {least.minus(apart)})));
    }

    private static Finding.Place beside(String name) {
        return new Finding.Place("", "", "", name);
    }

    // ---- bends, edges, zones

    private void tangents(Layer layer, Point at, Solution solution, List<Finding> found) {
        Length clear = rules.length(RuleKey.TANGENT_CLEAR);
        Length needed = solution.heads().most().plus(clear);
        for (Segment bend : layer.bends()) {
            Length distance = bend.distance(at);
            if (!distance.atLeast(needed)) {
                nearTangent(found, layer, distance, needed, clear);
                return;
            }
        }
    }

    private void nearTangent(List<Finding> found, Layer layer, Length distance, Length needed, Length clear) {
        found.add(new Finding(
                RuleCode.BEND_TANGENT,
                Level.ERROR,
                beside(layer.name()),
                Optional.of(distance),
                Optional.of(needed),
                rules.rule(RuleKey.TANGENT_CLEAR).source(),
                Sentence.of(
                        " is {} from the bend tangent of " + layer.name()
                                + "; head radius and {} of clear metal make {}.",
                        distance,
                        clear,
                        needed),
                Sentence.of("Move the hole {} away from the bend.", needed.minus(distance))));
    }

    /** True if the edge of a sheet that the hole's centre is not in cuts the hole: metal is left in part of it. */
    private static boolean through(Layer layer, Point at, Solution solution, List<Finding> found) {
        Length distance = layer.outline().edgeDistance(at);
        Length radius = solution.hole().times(0.5);
        if (distance.atLeast(radius)) {
            return false;
        }
        cut(found, layer, distance, radius);
        return true;
    }

    private static void cut(List<Finding> found, Layer layer, Length distance, Length radius) {
        found.add(new Finding(
                RuleCode.EDGE_THROUGH_HOLE,
                Level.ERROR,
                beside(layer.name()),
                Optional.of(distance),
                Optional.of(radius),
                HEADS,
                Sentence.of(
                        " is cut by the edge of " + layer.name()
                                + ": it lies {} from the centre, and the hole has a radius of {}.",
                        distance,
                        radius),
                Sentence.of(
                        "Move the hole, or mend the outline of " + layer.name().replace("{}", "") + ".")));
    }

    private static void edge(Layer layer, Point at, Length reach, List<Finding> found) {
        Length distance = layer.outline().edgeDistance(at);
        if (!distance.atLeast(reach)) {
            found.add(new Finding(
                    RuleCode.HEAD_ON_EDGE,
                    Level.ERROR,
                    beside(layer.name()),
                    Optional.of(distance),
                    Optional.of(reach),
                    HEADS,
                    Sentence.of(
                            " is {} from the edge of " + layer.name()
                                    + ", which it does not catch: its head of {} radius stands on the edge.",
                            distance,
                            reach),
                    Sentence.of(
                            "Move the hole {} away, or into the sheet by its edge distance.", reach.minus(distance))));
        }
    }

    private void zones(Point at, Solution solution, List<Finding> found) {
        for (Zone zone : face.zones()) {
            boolean in = zone.outline().box().contains(at) && zone.outline().covers(at);
            if (zone.kind() == Zone.Kind.KEEP_OUT
                    && (in || near(zone, at, solution.hole().times(0.5)))) {
                found.add(new Finding(
                        RuleCode.KEEP_OUT,
                        Level.ERROR,
                        beside(zone.name()),
                        Optional.empty(),
                        Optional.empty(),
                        "the drawing's keep-out",
                        Sentence.of(" lies in the keep-out " + zone.name() + "."),
                        Sentence.of("Move the hole out, or take the keep-out away.")));
            }
            boolean wall = zone.kind() == Zone.Kind.BEHIND
                    && !zone.room().positive()
                    && solution.fastener() instanceof Fastener.PulledRivet;
            if (wall && !in && near(zone, at, solution.heads().tail())) {
                Length distance = zone.outline().edgeDistance(at);
                found.add(new Finding(
                        RuleCode.TAIL_AT_WALL,
                        Level.WARNING,
                        beside(zone.name()),
                        Optional.of(distance),
                        Optional.of(solution.heads().tail()),
                        rules.rule(RuleKey.TAIL_DIAMETER).source(),
                        Sentence.of(
                                " is {} from " + zone.name() + " behind; the set tail has a radius of {}.",
                                distance,
                                solution.heads().tail()),
                        Sentence.of("Try it on scrap beside a wall, or move the hole.")));
            }
        }
    }

    private static boolean near(Zone zone, Point at, Length radius) {
        Box b = zone.outline().box();
        double r = radius.nanometres();
        return at.x() > b.minX() - r
                && at.x() < b.maxX() + r
                && at.y() > b.minY() - r
                && at.y() < b.maxY() + r
                && !zone.outline().edgeDistance(at).atLeast(radius);
    }
}
