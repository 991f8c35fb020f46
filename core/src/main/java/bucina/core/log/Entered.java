package bucina.core.log;

import bucina.core.plan.Id;
import java.util.List;
import java.util.Optional;
import org.pcollections.ConsPStack;
import org.pcollections.HashTreePMap;
import org.pcollections.HashTreePSet;
import org.pcollections.PMap;
import org.pcollections.PSet;
import org.pcollections.PStack;

/**
 * What follows from the entries in force.
 *
 * @param corrected numbers of entries that another corrects
 * @param holes     the entries in force that cover a hole, the last one on top
 * @param typed     how many of a group without geometry are in and sound
 * @param found     how often a part is said to be found finished
 * @param proved    numbers of the entries in force that prove a hole's head, the last on top
 */
record Entered(
        PSet<Integer> corrected,
        PMap<Id.Hole, PStack<Placed>> holes,
        PMap<Id.Group, Integer> typed,
        PMap<Id.Part, Integer> found,
        PMap<Id.Hole, PStack<Integer>> proved) {

    /**
     * Where a hole stands in an entry that covers it.
     *
     * @param place among the holes of the entry, from 0
     */
    record Placed(LogEntry entry, int place) {}

    static final Entered NONE = new Entered(
            HashTreePSet.empty(),
            HashTreePMap.empty(),
            HashTreePMap.empty(),
            HashTreePMap.empty(),
            HashTreePMap.empty());

    /** The number of the last entry that proves a hole's head. */
    Optional<Integer> provedBy(Id.Hole hole) {
        return Optional.ofNullable(proved.get(hole)).map(s -> s.get(0));
    }

    /** The entry that counts for a hole. */
    Optional<LogEntry> by(Id.Hole hole) {
        return placed(hole).map(Placed::entry);
    }

    /** The entry that counts for a hole, and where the hole stands in it. */
    Optional<Placed> placed(Id.Hole hole) {
        PStack<Placed> entries = holes.get(hole);
        return entries == null ? Optional.empty() : Optional.of(entries.get(0));
    }

    /** The holes an entry covers. */
    static List<Work.LoggedHole> holes(LogEntry entry) {
        return entry.deed()
                .map(d -> switch (d) {
                    case Work w -> w.holes();
                    case Labour l -> l.what() instanceof Labour.Found f ? f.holes() : List.<Work.LoggedHole>of();
                })
                .orElse(List.of());
    }

    /** With one entry more. */
    Entered plus(LogEntry entry) {
        PMap<Id.Hole, PStack<Placed>> next = holes;
        List<Work.LoggedHole> covered = holes(entry);
        for (int i = 0; i < covered.size(); i++) {
            Id.Hole hole = covered.get(i).id();
            next = next.plus(hole, next.getOrDefault(hole, ConsPStack.empty()).plus(new Placed(entry, i)));
        }
        return new Entered(corrected, next, typed, found, proved).counted(entry, 1);
    }

    /** Without an entry, which another corrects. */
    Entered without(LogEntry entry) {
        PMap<Id.Hole, PStack<Placed>> next = holes;
        List<Work.LoggedHole> covered = holes(entry);
        for (int i = 0; i < covered.size(); i++) {
            Id.Hole hole = covered.get(i).id();
            PStack<Placed> left = next.getOrDefault(hole, ConsPStack.empty()).minus(new Placed(entry, i));
            next = left.isEmpty() ? next.minus(hole) : next.plus(hole, left);
        }
        return new Entered(corrected.plus(entry.id()), next, typed, found, proved).counted(entry, -1);
    }

    private Entered counted(LogEntry entry, int sign) {
        PMap<Id.Group, Integer> counts = typed;
        PMap<Id.Part, Integer> parts = found;
        if (entry.work().filter(w -> w.holes().isEmpty()).isPresent()) {
            Work work = entry.work().get();
            counts = more(counts, work.group(), sign * work.sound());
        }
        if (entry.labour().map(Labour::what).orElse(null) instanceof Labour.Found f) {
            for (Id.Group group : f.group()) {
                counts = more(counts, group, sign * f.count());
            }
            for (Id.Part part : f.parts()) {
                parts = more(parts, part, sign);
            }
        }
        return new Entered(corrected, holes, counts, parts, proofs(entry, sign > 0));
    }

    /** A head that was measured and left is proved. */
    private PMap<Id.Hole, PStack<Integer>> proofs(LogEntry entry, boolean added) {
        PMap<Id.Hole, PStack<Integer>> next = proved;
        if (entry.labour().map(Labour::what).orElse(null) instanceof Proof proof) {
            for (Proof.Head head : proof.heads()) {
                if (head.hole().isPresent() && head.decided() == Verdict.LEAVE) {
                    Id.Hole hole = head.hole().get().id();
                    PStack<Integer> was = next.getOrDefault(hole, ConsPStack.empty());
                    PStack<Integer> is = added ? was.plus(entry.id()) : was.minus(Integer.valueOf(entry.id()));
                    next = is.isEmpty() ? next.minus(hole) : next.plus(hole, is);
                }
            }
        }
        return next;
    }

    private static <K> PMap<K, Integer> more(PMap<K, Integer> counts, K key, int by) {
        int next = counts.getOrDefault(key, 0) + by;
        return next == 0 ? counts.minus(key) : counts.plus(key, next);
    }
}
