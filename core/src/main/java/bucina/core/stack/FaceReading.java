package bucina.core.stack;

import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.sheet.Box;
import bucina.core.sheet.BoxIndex;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** All readings of one face, and where its holes lie. Immutable. */
public final class FaceReading {

    private final Face face;
    private final HoleReading[] readings;
    private final Map<Id.Hole, Integer> places;
    private final BoxIndex<Integer> holes;
    private final int workedOut;

    private FaceReading(Face face, HoleReading[] readings, Map<Id.Hole, Integer> places, BoxIndex<Integer> holes, int workedOut) {
        this.face = face;
        this.readings = readings;
        this.places = places;
        this.holes = holes;
        this.workedOut = workedOut;
    }

    /** Works out every hole of a face. */
    public static FaceReading of(Face face, Solver solver) {
        HoleReader reader = new HoleReader(face, solver);
        List<HoleReading> all = new ArrayList<>();
        for (var group : face.groups()) {
            for (Row row : group.rows()) {
                row.holes().forEach(hole -> all.add(reader.read(group, row, hole)));
            }
        }
        HoleReading[] readings = all.toArray(HoleReading[]::new);
        Map<Id.Hole, Integer> places = new HashMap<>(readings.length * 2);
        for (int i = 0; i < readings.length; i++) {
            places.put(readings[i].hole().id(), i);
        }
        BoxIndex<Integer> index = new BoxIndex<>(IntStream.range(0, readings.length).boxed().toList(), i -> box(readings[i].hole().at()));
        return new FaceReading(face, readings, places, index, readings.length);
    }

    private static Box box(Point p) {
        return Box.around(p, p);
    }

    /**
     * The readings of this face as it has become: where only layers changed, only the holes in the boxes of those layers (as they were and as
     * they are) are worked out again; otherwise all.
     */
    public FaceReading after(Face changed, Solver solver) {
        Optional<List<Box>> near = changed.groups() == face.groups() ? changedBoxes(changed) : Optional.empty();
        if (near.isEmpty()) {
            return of(changed, solver);
        }
        HoleReader reader = new HoleReader(changed, solver);
        HoleReading[] next = readings.clone();
        boolean[] done = new boolean[next.length];
        int count = 0;
        for (Box box : near.get()) {
            for (int i : holes.in(box)) {
                if (!done[i]) {
                    done[i] = true;
                    count++;
                    next[i] = reader.read(next[i].group(), next[i].row(), next[i].hole());
                }
            }
        }
        return new FaceReading(changed, next, places, holes, count);
    }

    /** Boxes of layers that came, went or changed; empty if the layers that stayed changed their order. */
    private Optional<List<Box>> changedBoxes(Face changed) {
        Map<Layer, Boolean> before = new IdentityHashMap<>();
        face.layers().forEach(l -> before.put(l, true));
        Map<Layer, Boolean> after = new IdentityHashMap<>();
        changed.layers().forEach(l -> after.put(l, true));
        List<Layer> stayed = face.layers().stream().filter(after::containsKey).toList();
        List<Layer> staying = changed.layers().stream().filter(before::containsKey).toList();
        for (int i = 0; i < stayed.size(); i++) {
            if (stayed.get(i) != staying.get(i)) {
                return Optional.empty();
            }
        }
        List<Box> boxes = new ArrayList<>();
        face.layers().stream().filter(l -> !after.containsKey(l)).forEach(l -> boxes.add(l.outline().box()));
        changed.layers().stream().filter(l -> !before.containsKey(l)).forEach(l -> boxes.add(l.outline().box()));
        return Optional.of(boxes);
    }

    /** The face read. */
    public Face face() {
        return face;
    }

    /** Every reading, in the order of groups, rows and holes. */
    public List<HoleReading> readings() {
        return List.of(readings);
    }

    /** How many holes there are. */
    public int size() {
        return readings.length;
    }

    /** The i-th reading, 0 to {@link #size()} - 1. */
    public HoleReading reading(int i) {
        return readings[i];
    }

    /** The reading of one hole; empty if it is not on this face. */
    public Optional<HoleReading> of(Id.Hole hole) {
        return Optional.ofNullable(places.get(hole)).map(i -> readings[i]);
    }

    /** Places, in {@link #readings()}, of the holes whose centre lies in the box, in no order. */
    public List<Integer> in(Box box) {
        return holes.in(box);
    }

    /** How many holes were worked out to make this reading: all at first, then those near a change. */
    public int workedOut() {
        return workedOut;
    }
}
