package bucina.core.stack;

import bucina.core.measure.Length;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.dress.Preparation;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.rule.Level;
import bucina.core.sheet.Box;
import bucina.core.sheet.BoxIndex;
import bucina.core.sheet.Point;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/*
 * Design. A face has thousands of holes but few different stacks. The layers that cover a hole are found as a set of places in the face's
 * layer list; fastener, preparation, drilled size, head side and that set are the key under which the solution is worked out once. Only the
 * edge distances differ from hole to hole.
 */

/** Reads holes of one face. Not for more than one thread at a time. */
final class HoleReader {

    private record Key(Fastener fastener, Preparation preparation, Optional<Length> drilled, boolean far, BitSet covering) {
    }

    private record Answer(List<Layer> layers, Solution solution) {
    }

    private final Face face;
    private final Solver solver;
    private final BoxIndex<Integer> index;
    private final Map<Key, Answer> answers = new HashMap<>();

    HoleReader(Face face, Solver solver) {
        this.face = face;
        this.solver = solver;
        this.index = new BoxIndex<>(IntStream.range(0, face.layers().size()).boxed().toList(), i -> face.layers().get(i).outline().box());
    }

    private BitSet places(Point at) {
        BitSet places = new BitSet(face.layers().size());
        for (int i : index.in(Box.around(at, at))) {
            if (face.layers().get(i).outline().covers(at)) {
                places.set(i);
            }
        }
        return places;
    }

    HoleReading read(Group group, Row row, Hole hole) {
        Key key = new Key(group.fastenerAt(hole), group.preparationAt(hole), hole.deviation().flatMap(Deviation::hole), group.headFar(),
                places(hole.at()));
        Answer answer = answers.computeIfAbsent(key, this::answer);
        double[] edges = new double[answer.layers.size()];
        boolean edgeHolds = true;
        for (int i = 0; i < edges.length; i++) {
            Length distance = answer.layers.get(i).outline().edgeDistance(hole.at());
            edges[i] = distance.nanometres();
            edgeHolds &= answer.solution.edge().allows(distance);
        }
        return new HoleReading(group, row, hole, answer.layers, answer.solution, edges, worst(group, answer, edgeHolds));
    }

    private Answer answer(Key key) {
        List<Layer> near = key.covering.stream().mapToObj(face.layers()::get).toList();
        List<Layer> layers = key.far ? near.reversed() : near;
        List<Length> thicknesses = layers.stream().map(Layer::thickness).toList();
        return new Answer(layers, solver.solve(key.fastener, key.preparation, key.drilled, thicknesses, Optional.empty()));
    }

    private static Level worst(Group group, Answer answer, boolean edgeHolds) {
        if (!edgeHolds) {
            return Level.ERROR;
        }
        return java.util.stream.Stream.concat(answer.solution.faults().stream().map(f -> f.level()),
                StackCheck.levels(group, answer.layers).stream()).min(java.util.Comparator.naturalOrder()).orElse(null);
    }
}
