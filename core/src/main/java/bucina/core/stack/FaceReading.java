package bucina.core.stack;

import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** All readings of one face, and where its holes lie. Immutable. */
public final class FaceReading {

    private final Face face;
    private final FaceHoles holes;
    private final HoleReading[] readings;
    private final Accepted accepted;
    private final int workedOut;
    private final List<Finding> rowFindings;

    private FaceReading(
            Face face, FaceHoles holes, HoleReading[] readings, RuleSet rules, Accepted accepted, int workedOut) {
        this.face = face;
        this.holes = holes;
        this.readings = readings;
        this.accepted = accepted;
        this.workedOut = workedOut;
        this.rowFindings = rows(rules);
    }

    /** Works out every hole of a face. */
    static FaceReading of(Face face, HoleReader.Around around) {
        FaceHoles holes = new FaceHoles(face, around.solver().rules());
        HoleReader reader = new HoleReader(face, holes, around);
        HoleReading[] readings = new HoleReading[holes.size()];
        for (int i = 0; i < readings.length; i++) {
            readings[i] = reader.read(i);
        }
        return new FaceReading(face, holes, readings, around.solver().rules(), around.accepted(), readings.length);
    }

    /**
     * The readings of this face as it has become. Worked out again are the holes near layers and zones that came,
     * went or changed, the holes of
     * rows that changed, the holes near a hole that came, went or moved, and those about which something else is
     * accepted; the rest keep their
     * figures. Where the layers that stayed changed their order everything is worked out.
     */
    FaceReading after(Face changed, HoleReader.Around around) {
        Optional<List<Box>> near = changedBoxes(changed);
        if (near.isEmpty()) {
            return of(changed, around);
        }
        FaceHoles next = changed.groups() == face.groups()
                ? holes
                : new FaceHoles(changed, around.solver().rules());
        HoleReader reader = new HoleReader(changed, next, around);
        boolean[] again = new Touched(next).touched(near.get(), around.accepted());
        HoleReading[] made = new HoleReading[next.size()];
        int count = 0;
        for (int i = 0; i < made.length; i++) {
            if (again[i]) {
                made[i] = reader.read(i);
                count++;
            } else {
                FaceHoles.Slot slot = next.slot(i);
                made[i] =
                        readings[Objects.requireNonNull(holes.place(slot.hole().id()))].in(slot.group(), slot.row());
            }
        }
        return new FaceReading(changed, next, made, around.solver().rules(), around.accepted(), count);
    }

    /** Finds the holes that a change touches. */
    private final class Touched {

        private final FaceHoles next;
        private final double reach;
        private final boolean[] again;

        Touched(FaceHoles next) {
            this.next = next;
            this.reach = Math.max(next.reach(), holes.reach());
            this.again = new boolean[next.size()];
        }

        boolean[] touched(List<Box> near, Accepted now) {
            near.forEach(this::around);
            if (next != holes) {
                rows();
            }
            for (Id subject : now.differing(accepted)) {
                Integer place = subject instanceof Id.Hole hole ? next.place(hole) : null;
                if (place != null) {
                    again[place] = true;
                }
            }
            return again;
        }

        private void rows() {
            boolean[] stayed = new boolean[holes.size()];
            for (int i = 0; i < again.length; i++) {
                FaceHoles.Slot slot = next.slot(i);
                Integer before = holes.place(slot.hole().id());
                if (before != null) {
                    FaceHoles.Slot old = holes.slot(before);
                    stayed[before] = old.hole().equals(slot.hole()) && alike(old, slot);
                }
                if (before == null || !stayed[before]) {
                    again[i] = true;
                    around(box(slot.hole().at()));
                }
            }
            for (int i = 0; i < stayed.length; i++) {
                if (!stayed[i]) {
                    around(box(holes.slot(i).hole().at()));
                }
            }
        }

        /** True if a hole that did not move itself is read as before: its row keeps its name and its group its ways. */
        private boolean alike(FaceHoles.Slot old, FaceHoles.Slot slot) {
            return (old.group() == slot.group()
                            || old.group().id().equals(slot.group().id())
                                    && old.group().readsAs(slot.group()))
                    && old.row().id().equals(slot.row().id())
                    && old.row().name().equals(slot.row().name());
        }

        private void around(Box box) {
            for (int i :
                    next.in(new Box(box.minX() - reach, box.minY() - reach, box.maxX() + reach, box.maxY() + reach))) {
                again[i] = true;
            }
        }
    }

    private static Box box(Point p) {
        return Box.around(p, p);
    }

    /** Boxes of layers and zones that came, went or changed; empty if the layers that stayed changed their order. */
    private Optional<List<Box>> changedBoxes(Face changed) {
        Map<Layer, Boolean> before = new IdentityHashMap<>();
        face.layers().forEach(l -> before.put(l, true));
        Map<Layer, Boolean> after = new IdentityHashMap<>();
        changed.layers().forEach(l -> after.put(l, true));
        List<Layer> stayed = face.layers().stream().filter(after::containsKey).toList();
        List<Layer> staying =
                changed.layers().stream().filter(before::containsKey).toList();
        for (int i = 0; i < stayed.size(); i++) {
            if (stayed.get(i) != staying.get(i)) {
                return Optional.empty();
            }
        }
        List<Box> boxes = new ArrayList<>();
        face.layers().stream()
                .filter(l -> !after.containsKey(l))
                .forEach(l -> boxes.add(l.outline().box()));
        changed.layers().stream()
                .filter(l -> !before.containsKey(l))
                .forEach(l -> boxes.add(l.outline().box()));
        if (changed.zones() != face.zones()) {
            face.zones().stream()
                    .filter(z -> !changed.zones().contains(z))
                    .forEach(z -> boxes.add(z.outline().box()));
            changed.zones().stream()
                    .filter(z -> !face.zones().contains(z))
                    .forEach(z -> boxes.add(z.outline().box()));
        }
        return Optional.of(boxes);
    }

    private List<Finding> rows(RuleSet rules) {
        List<Finding> found = new ArrayList<>();
        List<HoleReading> all = readings();
        int from = 0;
        for (int i = 1; i <= readings.length; i++) {
            if (i == readings.length
                    || !readings[i].row().id().equals(readings[from].row().id())) {
                found.addAll(RowCheck.findings(face.name(), all.subList(from, i), rules, accepted));
                from = i;
            }
        }
        return List.copyOf(found);
    }

    /** Findings about rows as wholes: their place names the row. */
    public List<Finding> rowFindings() {
        return rowFindings;
    }

    /** What is wrong with a row as a whole, worse than a note and not accepted. */
    public List<Finding> rowFaults(Row row) {
        return rowFindings.stream()
                .filter(f -> f.level() != Level.NOTE
                        && f.accepted().isEmpty()
                        && f.place().hole().equals(row.name()))
                .toList();
    }

    /** How many findings there are that nobody accepted: holes with one, and rows with one as a whole. */
    public int found() {
        int holesWrong = 0;
        for (HoleReading reading : readings) {
            holesWrong += reading.worst().isPresent() ? 1 : 0;
        }
        return holesWrong
                + (int) rowFindings.stream()
                        .filter(f -> f.level() != Level.NOTE && f.accepted().isEmpty())
                        .count();
    }

    /** The face read. */
    public Face face() {
        return face;
    }

    /** Every reading, in the order of groups, rows and holes. */
    public List<HoleReading> readings() {
        return Collections.unmodifiableList(Arrays.asList(readings));
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
        return Optional.ofNullable(holes.place(hole)).map(i -> readings[i]);
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
