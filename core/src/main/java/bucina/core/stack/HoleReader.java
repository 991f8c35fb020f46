package bucina.core.stack;

import bucina.core.dress.Preparation;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Zone;
import bucina.core.rule.Finding;
import bucina.core.rule.RuleKey;
import bucina.core.sheet.Box;
import bucina.core.sheet.BoxIndex;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;

/*
 * Design. A face has thousands of holes but few different stacks. The layers that cover a hole are found as a set of
 * places in the face's
 * layer list; fastener, preparation, drilled size, head side and that set are the key under which the solution is
 * worked out once. Only the
 * edge distances differ from hole to hole.
 */

/** Reads holes of one face. Not for more than one thread at a time. */
final class HoleReader {

    private record Key(
            Fastener fastener,
            Preparation preparation,
            Optional<Length> drilled,
            boolean far,
            Optional<Integer> dies,
            Optional<Length> room,
            BitSet covering) {}

    /**
     * What a face is read with.
     *
     * @param solver    works out stacks
     * @param accepted  what the builder accepted
     * @param materials of the build's parts
     */
    record Around(Solver solver, Accepted accepted, Function<Id.Part, Material> materials) {}

    private record Answer(List<Layer> layers, Solution solution) {}

    private final Face face;
    private final FaceHoles holes;
    private final Solver solver;
    private final Accepted accepted;
    private final Function<Id.Part, Material> materials;
    private final SpotCheck spots;
    private final BoxIndex<Integer> index;
    private final Map<Key, Answer> answers = new HashMap<>();

    HoleReader(Face face, FaceHoles holes, Around around) {
        this.face = face;
        this.holes = holes;
        this.solver = around.solver();
        this.accepted = around.accepted();
        this.materials = around.materials();
        this.spots = new SpotCheck(face, holes, solver);
        this.index = new BoxIndex<>(
                IntStream.range(0, face.layers().size()).boxed().toList(),
                i -> face.layers().get(i).outline().box());
    }

    HoleReading read(int i) {
        FaceHoles.Slot slot = holes.slot(i);
        Group group = slot.group();
        Hole hole = slot.hole();
        Point at = hole.at();
        double reach = holes.reach();
        List<Integer> near = index.in(new Box(at.x() - reach, at.y() - reach, at.x() + reach, at.y() + reach));
        near.sort(null);
        BitSet places = new BitSet(face.layers().size());
        List<Integer> beside = new ArrayList<>(0);
        for (int l : near) {
            if (group.holes().under().contains(face.layers().get(l).id())) {
                continue;
            }
            if (face.layers().get(l).outline().covers(at)) {
                places.set(l);
            } else {
                beside.add(l);
            }
        }
        Fastener fastener = group.fastenerAt(hole);
        Key key = key(fastener, group, hole, at, places);
        Answer answer = answers.computeIfAbsent(key, this::answer);
        double[] edges = new double[answer.layers.size()];
        boolean edgeHolds = true;
        for (int l = 0; l < edges.length; l++) {
            Length distance = answer.layers.get(l).outline().edgeDistance(at);
            edges[l] = distance.nanometres();
            edgeHolds &= answer.solution.edge().allows(distance);
        }
        List<Finding> here =
                spots.findings(i, answer.solution, answer.layers, places.nextSetBit(0), places.length() - 1, beside);
        boolean well = edgeHolds
                && here.isEmpty()
                && answer.solution.faults().isEmpty()
                && StackCheck.catchesWell(group, answer.layers);
        return new HoleReading(
                slot,
                answer.layers,
                answer.solution,
                edges,
                here,
                accepted.about(hole.id()),
                well ? Optional.empty() : Optional.of(face));
    }

    private Key key(Fastener fastener, Group group, Hole hole, Point at, BitSet places) {
        return new Key(
                fastener,
                group.preparationAt(hole),
                hole.deviation().flatMap(Deviation::hole),
                group.headFar(),
                group.holes().dieAngle(),
                room(fastener, at),
                places);
    }

    /**
     * What is free behind a pulled rivet: the least of what stands behind within its tail's radius; empty where nothing
     * does.
     */
    private Optional<Length> room(Fastener fastener, Point at) {
        if (!(fastener instanceof Fastener.PulledRivet) || face.zones().isEmpty()) {
            return Optional.empty();
        }
        Length tail =
                solver.rules().times(RuleKey.TAIL_DIAMETER, fastener.shank()).times(0.5);
        return face.zones().stream()
                .filter(z -> z.kind() == Zone.Kind.BEHIND)
                .filter(z -> z.outline().covers(at)
                        || z.room().positive() && !z.outline().edgeDistance(at).atLeast(tail))
                .map(Zone::room)
                .reduce(Length::min);
    }

    private Answer answer(Key key) {
        List<Layer> near = key.covering.stream().mapToObj(face.layers()::get).toList();
        List<Layer> layers = key.far ? near.reversed() : near;
        List<Length> thicknesses = layers.stream().map(Layer::thickness).toList();
        return new Answer(
                layers,
                solver.solve(new Solver.Ask(
                        key.fastener,
                        key.preparation,
                        key.drilled,
                        thicknesses,
                        Optional.empty(),
                        key.room,
                        key.dies,
                        layers.stream().map(l -> materials.apply(l.part())).toList())));
    }
}
