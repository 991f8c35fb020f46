package bucina.core.log;

import bucina.core.measure.InputException;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Every entry and mark, and what follows from them. Immutable: adding makes a new one. */
public final class Logbook {

    /** A logbook with nothing in it. */
    public static final Logbook EMPTY = new Logbook(List.of(), List.of());

    private final List<LogEntry> entries;
    private final List<Mark> marks;
    private final Set<Integer> corrected = new HashSet<>();
    private final Map<Id.Hole, LogEntry> installedBy = new HashMap<>();
    private final Map<Id.Group, Integer> typedInstalled = new HashMap<>();
    private final Map<Id.Hole, Map<Id.Layer, Map<Operation, Integer>>> done = new HashMap<>();

    /**
     * @param entries in the order of their numbers
     * @param marks   in the order they were made
     * @throws InputException if numbers are not ascending, or an entry corrects one that is not there or is
     *     corrected already
     */
    public Logbook(List<LogEntry> entries, List<Mark> marks) {
        this.entries = List.copyOf(entries);
        this.marks = List.copyOf(marks);
        Set<Integer> known = new HashSet<>();
        int last = 0;
        for (LogEntry entry : this.entries) {
            if (entry.id() <= last) {
                throw new InputException("entry " + entry.id() + " comes after entry " + last);
            }
            last = entry.id();
            correct(entry, known);
            known.add(entry.id());
        }
        this.entries.stream().filter(this::inForce).forEach(this::take);
        for (Mark m : this.marks) {
            put(m);
        }
    }

    private void put(Mark m) {
        Map<Operation, Integer> sides = done.computeIfAbsent(m.hole(), h -> new HashMap<>())
                .computeIfAbsent(m.layer(), l -> new EnumMap<>(Operation.class));
        int before = sides.getOrDefault(m.operation(), 0);
        sides.put(
                m.operation(),
                m.on() ? before | m.side().bits() : before & ~m.side().bits());
    }

    private void correct(LogEntry entry, Set<Integer> known) {
        entry.corrects().ifPresent(c -> {
            if (!known.contains(c)) {
                throw new InputException("entry " + entry.id() + " corrects entry " + c + ", which is not in the log");
            }
            if (!corrected.add(c)) {
                throw new InputException(
                        "entry " + entry.id() + " corrects entry " + c + ", which is corrected already");
            }
        });
    }

    private void take(LogEntry entry) {
        entry.work().ifPresent(work -> {
            work.holes().forEach(hole -> installedBy.put(hole.id(), entry));
            if (work.holes().isEmpty()) {
                typedInstalled.merge(work.group(), work.sound(), Integer::sum);
            }
        });
    }

    /** This logbook with one more entry. */
    public Logbook plus(LogEntry entry) {
        List<LogEntry> more = new ArrayList<>(entries);
        more.add(entry);
        return new Logbook(more, marks);
    }

    /** This logbook with more marks. */
    public Logbook plus(List<Mark> more) {
        List<Mark> all = new ArrayList<>(marks);
        all.addAll(more);
        return new Logbook(entries, all);
    }

    /** True if an operation was done to a hole in a layer; what is done from a side counts for that side only. */
    public boolean marked(Id.Hole hole, Id.Layer layer, Operation operation, Mark.Side side) {
        int sides =
                done.getOrDefault(hole, Map.of()).getOrDefault(layer, Map.of()).getOrDefault(operation, 0);
        return covers(operation, sides, side);
    }

    private static boolean covers(Operation operation, int sides, Mark.Side side) {
        return operation == Operation.DEBURRED ? (sides & side.bits()) == side.bits() : sides != 0;
    }

    /** Every entry, oldest first. */
    public List<LogEntry> entries() {
        return entries;
    }

    /** Every mark, oldest first. */
    public List<Mark> marks() {
        return marks;
    }

    /** The entry with this number; empty if there is none. */
    public Optional<LogEntry> entry(int id) {
        return entries.stream().filter(e -> e.id() == id).findFirst();
    }

    /** True if no other entry corrects this one. */
    public boolean inForce(LogEntry entry) {
        return !corrected.contains(entry.id());
    }

    /** The number the next entry gets. */
    public int nextId() {
        return entries.isEmpty() ? 1 : entries.getLast().id() + 1;
    }

    /** The entry in force that covers a hole; empty if none does. */
    public Optional<LogEntry> installedBy(Id.Hole hole) {
        return Optional.ofNullable(installedBy.get(hole));
    }

    /**
     * Where a hole stands: by the log if it is logged, otherwise by the layer that is furthest behind among those it
     * goes through.
     *
     * @param layers the layers the hole goes through
     */
    public HoleState state(Hole hole, List<Layer> layers) {
        LogEntry entry = installedBy.get(hole.id());
        if (entry != null) {
            return logged(entry.work().orElseThrow(), hole.id());
        }
        Map<Id.Layer, Map<Operation, Integer>> marked = done.get(hole.id());
        if (marked == null) {
            return HoleState.PLANNED;
        }
        HoleState behind = null;
        for (Layer layer : layers) {
            HoleState furthest = furthest(marked.getOrDefault(layer.id(), Map.of()));
            behind = behind == null || furthest.compareTo(behind) < 0 ? furthest : behind;
        }
        return behind == null ? HoleState.PLANNED : behind;
    }

    private static HoleState furthest(Map<Operation, Integer> marked) {
        HoleState furthest = HoleState.PLANNED;
        for (Map.Entry<Operation, Integer> step : marked.entrySet()) {
            if (covers(step.getKey(), step.getValue(), Mark.Side.BOTH)) {
                HoleState there = HoleState.of(step.getKey());
                furthest = there.compareTo(furthest) > 0 ? there : furthest;
            }
        }
        return furthest;
    }

    private static HoleState logged(Work work, Id.Hole hole) {
        for (Work.LoggedHole logged : work.holes()) {
            if (logged.id().equals(hole)) {
                boolean open = work.rejects().stream()
                        .anyMatch(r ->
                                r.hole().equals(logged.label()) && !r.what().filled());
                return open ? HoleState.REJECTED : work.readings().isEmpty() ? HoleState.SET : HoleState.PROVED;
            }
        }
        throw new IllegalStateException("hole " + hole.n() + " is indexed under an entry that does not name it");
    }

    /** How many fasteners of a group are in and sound. */
    public int installed(Group group) {
        if (group.typed().isPresent()) {
            return typedInstalled.getOrDefault(group.id(), 0);
        }
        int count = 0;
        for (var row : group.rows()) {
            for (Hole hole : row.holes()) {
                if (installedBy.containsKey(hole.id()) && state(hole, List.of()).set()) {
                    count++;
                }
            }
        }
        return count;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Logbook that && entries.equals(that.entries) && marks.equals(that.marks);
    }

    @Override
    public int hashCode() {
        return 31 * entries.hashCode() + marks.hashCode();
    }
}
