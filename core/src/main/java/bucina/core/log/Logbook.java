package bucina.core.log;

import bucina.core.measure.InputException;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.pcollections.HashTreePMap;
import org.pcollections.PMap;
import org.pcollections.PVector;
import org.pcollections.TreePVector;

/*
 * Design. Adding to a logbook costs the same however much is in it: lists and maps share their structure with the
 * logbook before. What was marked on a hole in a layer is two bits for each operation.
 */

/** Every entry and mark, and what follows from them. Immutable: adding makes a new one. */
public final class Logbook {

    /** A logbook with nothing in it. */
    public static final Logbook EMPTY = new Logbook(
            TreePVector.empty(),
            TreePVector.empty(),
            TreePVector.empty(),
            HashTreePMap.empty(),
            Entered.NONE,
            HashTreePMap.empty(),
            HashTreePMap.empty(),
            PartTasks.NONE);

    private final PVector<LogEntry> entries;
    private final PVector<Mark> marks;
    private final PVector<PartMark> partMarks;
    /** Where each entry stands in the list. */
    private final PMap<Integer, Integer> places;

    private final Entered entered;
    private final PMap<Id.Hole, Map<Id.Layer, Integer>> done;
    /** When metal was cut last in each layer. */
    private final PMap<Id.Layer, Instant> cut;

    private final PartTasks tasks;

    private Logbook(
            PVector<LogEntry> entries,
            PVector<Mark> marks,
            PVector<PartMark> partMarks,
            PMap<Integer, Integer> places,
            Entered entered,
            PMap<Id.Hole, Map<Id.Layer, Integer>> done,
            PMap<Id.Layer, Instant> cut,
            PartTasks tasks) {
        this.entries = entries;
        this.marks = marks;
        this.partMarks = partMarks;
        this.places = places;
        this.entered = entered;
        this.done = done;
        this.cut = cut;
        this.tasks = tasks;
    }

    /**
     * The logbook with these entries and marks.
     *
     * @param entries   in the order of their numbers
     * @param marks     in the order they were made
     * @param partMarks in the order they were made
     * @throws InputException if numbers are not ascending, or an entry corrects one that is not there
     */
    public static Logbook of(List<LogEntry> entries, List<Mark> marks, List<PartMark> partMarks) {
        Logbook log = EMPTY;
        for (LogEntry entry : entries) {
            log = log.plus(entry);
        }
        Map<Id.Hole, Map<Id.Layer, Integer>> done = new HashMap<>();
        Map<Id.Layer, Instant> cut = new HashMap<>();
        for (Mark mark : marks) {
            boolean bolt = mark.operation().afterSet() || mark.operation() == Operation.TEMPORARY;
            if (bolt && log.setSince(mark)) {
                continue;
            }
            if (cuts(mark)) {
                cut.merge(mark.layer(), mark.at(), Logbook::later);
            }
            done.computeIfAbsent(mark.hole(), h -> new HashMap<>(4))
                    .merge(mark.layer(), Bits.of(0, mark), (was, x) -> Bits.of(was, mark));
        }
        return new Logbook(
                log.entries,
                TreePVector.from(marks),
                TreePVector.from(partMarks),
                log.places,
                log.entered,
                HashTreePMap.from(done),
                HashTreePMap.from(cut),
                PartTasks.of(partMarks));
    }

    /** A logbook in which nothing was marked on parts. */
    public static Logbook of(List<LogEntry> entries, List<Mark> marks) {
        return of(entries, marks, List.of());
    }

    /**
     * This logbook with one more entry.
     *
     * @throws InputException if its number is not over the last, or it corrects an entry that is not there
     */
    public Logbook plus(LogEntry entry) {
        int last = entries.isEmpty() ? 0 : entries.getLast().id();
        if (entry.id() <= last) {
            throw new InputException("entry " + entry.id() + " comes after entry " + last);
        }
        Optional<LogEntry> gone = entry.corrects().map(c -> corrected(entry, c));
        PMap<Id.Hole, Map<Id.Layer, Integer>> next = done;
        if (gone.isEmpty()) {
            for (Work.LoggedHole hole : Entered.holes(entry)) {
                Map<Id.Layer, Integer> marked = next.getOrDefault(hole.id(), Map.of());
                if (marked.values().stream().anyMatch(Bits::bolted)) {
                    next = next.plus(hole.id(), Bits.unbolted(marked));
                }
            }
        }
        return new Logbook(
                entries.plus(entry),
                marks,
                partMarks,
                places.plus(entry.id(), entries.size()),
                gone.map(entered::without).orElse(entered).plus(entry),
                next,
                cut,
                tasks);
    }

    /** True if a fastener went into a hole after it was marked: what was done to the one before is gone with it. */
    private boolean setSince(Mark mark) {
        LogEntry by = entered.by(mark.hole()).orElse(null);
        while (by != null && by.corrects().isPresent()) {
            by = entry(by.corrects().get()).orElse(null);
        }
        return by != null && by.entered().isAfter(mark.at());
    }

    private LogEntry corrected(LogEntry entry, int id) {
        LogEntry first = entry(id)
                .orElseThrow(() -> new InputException(
                        "entry " + entry.id() + " corrects entry " + id + ", which is not in the log"));
        return standing(first);
    }

    /**
     * What stands in the place of an entry. Two benches may correct the same entry: once their logs are brought
     * together the later correction stands in the place of the one before.
     */
    private LogEntry standing(LogEntry first) {
        if (inForce(first)) {
            return first;
        }
        LogEntry stands = first;
        Set<Integer> put = new HashSet<>(Set.of(first.id()));
        for (LogEntry later : entries) {
            if (later.corrects().filter(put::contains).isPresent()) {
                stands = later;
                put.add(later.id());
            }
        }
        return stands;
    }

    /** This logbook with more marks. */
    public Logbook plus(List<Mark> more) {
        PMap<Id.Hole, Map<Id.Layer, Integer>> next = done;
        PMap<Id.Layer, Instant> cutting = cut;
        for (Mark mark : more) {
            Map<Id.Layer, Integer> layers = new HashMap<>(next.getOrDefault(mark.hole(), Map.of()));
            layers.put(mark.layer(), Bits.of(layers.getOrDefault(mark.layer(), 0), mark));
            next = next.plus(mark.hole(), Map.copyOf(layers));
            if (cuts(mark)) {
                cutting = cutting.plus(mark.layer(), later(cutting.getOrDefault(mark.layer(), mark.at()), mark.at()));
            }
        }
        return new Logbook(entries, marks.plusAll(more), partMarks, places, entered, next, cutting, tasks);
    }

    /** This logbook with more marks on parts. */
    public Logbook plusOnParts(List<PartMark> more) {
        PartTasks next = tasks;
        for (PartMark mark : more) {
            next = next.plus(mark);
        }
        return new Logbook(entries, marks, partMarks.plusAll(more), places, entered, done, cut, next);
    }

    private static boolean cuts(Mark mark) {
        return mark.on()
                && switch (mark.operation()) {
                    case MATCH_DRILLED, FINAL_SIZE, REAMED, DEBURRED, COUNTERSUNK, CLEARED -> true;
                    case PILOT, CLECOED, DIMPLED, PRIMED, TEMPORARY, TORQUED, STRIPED, WIRED, PINNED -> false;
                };
    }

    private static Instant later(Instant a, Instant b) {
        return a.isAfter(b) ? a : b;
    }

    /** When metal was cut last at a hole in a layer, by the marks; empty if it never was. */
    public Optional<Instant> cut(Id.Layer layer) {
        return Optional.ofNullable(cut.get(layer));
    }

    /** True if an operation was done to a hole in a layer; what is done from a side counts for that side only. */
    public boolean marked(Id.Hole hole, Id.Layer layer, Operation operation, Mark.Side side) {
        return Bits.covers(done.getOrDefault(hole, Map.of()).getOrDefault(layer, 0), operation, side);
    }

    /** Every entry, oldest first. */
    public List<LogEntry> entries() {
        return entries;
    }

    /** True if an entry in force says that a job of the builder's own was done. */
    public boolean logged(Id.Own job) {
        return entries.stream()
                .filter(this::inForce)
                .flatMap(e -> e.labour().stream())
                .anyMatch(l -> l.what() instanceof Labour.Own o && o.job().equals(job));
    }

    /** Every mark, oldest first. */
    public List<Mark> marks() {
        return marks;
    }

    /** Every mark on a part, oldest first. */
    public List<PartMark> partMarks() {
        return partMarks;
    }

    /** How many marks there are, on holes and on parts. */
    public int marked() {
        return marks.size() + partMarks.size();
    }

    /** What was done to parts. */
    public PartTasks tasks() {
        return tasks;
    }

    /** The entry with this number; empty if there is none. */
    public Optional<LogEntry> entry(int id) {
        return Optional.ofNullable(places.get(id)).map(entries::get);
    }

    /** True if no other entry corrects this one. */
    public boolean inForce(LogEntry entry) {
        return !entered.corrected().contains(entry.id());
    }

    /** The number the next entry gets. */
    public int nextId() {
        return entries.isEmpty() ? 1 : entries.getLast().id() + 1;
    }

    /** The entry in force that covers a hole; empty if none does. */
    public Optional<LogEntry> installedBy(Id.Hole hole) {
        return entered.by(hole);
    }

    /** The holes that an entry says have a fastener. */
    public static Set<Id.Hole> covered(LogEntry entry) {
        return Entered.holes(entry).stream().map(Work.LoggedHole::id).collect(Collectors.toSet());
    }

    /** True if a part was found finished, as it is. */
    public boolean found(Id.Part part) {
        return entered.found().containsKey(part);
    }

    /** True if a temporary bolt holds a place until the one that stays is in. */
    public boolean temporary(Id.Hole hole, List<Layer> layers) {
        return layers.stream().anyMatch(l -> marked(hole, l.id(), Operation.TEMPORARY, Mark.Side.BOTH));
    }

    /**
     * Where a hole stands: by the log if it is logged, otherwise by the layer that is furthest behind among those it
     * goes through. In a part that was found finished nothing is behind.
     *
     * @param layers the layers the hole goes through
     */
    public HoleState state(Hole hole, List<Layer> layers) {
        Optional<Entered.Placed> entry = entered.placed(hole.id());
        if (entry.isPresent()) {
            return logged(entry.get(), hole.id());
        }
        Map<Id.Layer, Integer> marked = done.get(hole.id());
        if (marked == null) {
            return HoleState.PLANNED;
        }
        HoleState behind = null;
        for (Layer layer : layers) {
            HoleState furthest =
                    found(layer.part()) ? HoleState.PRIMED : Bits.furthest(marked.getOrDefault(layer.id(), 0));
            behind = behind == null || furthest.compareTo(behind) < 0 ? furthest : behind;
        }
        return behind == null ? HoleState.PLANNED : behind;
    }

    /** True if a sound fastener is in a hole, by the log. */
    public boolean set(Hole hole) {
        Optional<Entered.Placed> entry = entered.placed(hole.id());
        return entry.isPresent() && logged(entry.get(), hole.id()).set();
    }

    private HoleState logged(Entered.Placed in, Id.Hole hole) {
        LogEntry entry = in.entry();
        Optional<Integer> proof = entered.provedBy(hole);
        boolean proved = proof.isPresent() && proof.get() > entry.id();
        if (entry.work().isEmpty()) {
            return proved ? HoleState.PROVED : HoleState.SET;
        }
        Work work = entry.work().get();
        String label = work.holes().get(in.place()).label();
        boolean open = work.rejects().stream()
                .anyMatch(r -> r.hole().equals(label) && !r.what().filled());
        boolean read = proved || work.reading(in.place()).isPresent();
        return open ? HoleState.REJECTED : read ? HoleState.PROVED : HoleState.SET;
    }

    /** How many fasteners of a group are in and sound. */
    public int installed(Group group) {
        if (group.typed().isPresent()) {
            return entered.typed().getOrDefault(group.id(), 0);
        }
        int count = 0;
        for (var row : group.rows()) {
            for (Hole hole : row.holes()) {
                if (set(hole)) {
                    count++;
                }
            }
        }
        return count;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Logbook that
                && entries.equals(that.entries)
                && marks.equals(that.marks)
                && partMarks.equals(that.partMarks);
    }

    @Override
    public int hashCode() {
        return 31 * entries.hashCode() + marks.hashCode();
    }
}
