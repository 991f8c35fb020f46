package bucina.core.stores;

import bucina.core.log.Disposition;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.core.plan.Id;
import bucina.core.stack.Derivation;
import java.util.HashMap;
import java.util.Map;

/*
 * Design. Every fastener that was driven is counted once, where it is now: used while it is in and sound, rejected once
 * it came out or is not sound. So used and rejected together are what left the box, and a correction moves counts and
 * makes none.
 */

/** What the log says went in and came out. */
final class Consumption {

    private final Logbook log;

    Consumption(Derivation derivation, Logbook log) {
        this.log = log;
    }

    void count(Counts counts) {
        Map<Id.Hole, String> in = new HashMap<>();
        for (LogEntry entry : log.entries()) {
            if (log.inForce(entry)) {
                entry.work().ifPresent(w -> work(w, in, counts));
            }
        }
    }

    private static void work(Work work, Map<Id.Hole, String> in, Counts counts) {
        Counts.Count count = counts.named(work.designation());
        int came = 0;
        int again = 0;
        for (Work.Reject reject : work.rejects()) {
            came += reject.what() == Disposition.LEFT ? 0 : reject.count();
            again += reject.what() == Disposition.REPLACED ? reject.count() : 0;
        }
        count.used += work.count() - came + again;
        count.rejected += came;
        for (Work.LoggedHole hole : work.holes()) {
            String before = in.get(hole.id());
            if (before != null && work.removal().isPresent()) {
                // What was in the hole is out.
                Counts.Count old = counts.named(before);
                old.used--;
                old.rejected++;
            }
            if (sound(work, hole)) {
                in.put(hole.id(), work.designation());
            } else {
                in.remove(hole.id());
            }
        }
    }

    /** True if what this entry set is in the hole after it. */
    private static boolean sound(Work work, Work.LoggedHole hole) {
        return work.rejects().stream()
                .filter(r -> r.hole().equals(hole.label()))
                .allMatch(r -> r.what() == Disposition.LEFT || r.what() == Disposition.REPLACED);
    }
}
