package bucina.desk.session;

import bucina.core.log.LogEntry;
import bucina.core.log.Mark;
import bucina.core.plan.Build;
import java.util.List;
import java.util.Optional;

/** One thing done in this session that can be taken back and done again. */
sealed interface Doing {

    /** In words, for the status line: {@code logging 14 of US-1}. */
    String words();

    /**
     * An entry written down.
     *
     * @param entry   the entry in force now because of it; empty while it is withdrawn
     * @param content what to write to bring it back
     * @param instead the entry it corrected, to bring back on undo; empty for a first entry
     * @param words   in words
     */
    record Logged(Optional<Integer> entry, LogEntry content, Optional<LogEntry> instead, String words)
            implements Doing {

        /** An entry just written. */
        static Logged of(LogEntry entry, Optional<LogEntry> instead) {
            String words = entry.work()
                    .map(w -> "logging " + w.count() + " of " + w.groupCode())
                    .orElse("withdrawing entry " + entry.corrects().orElse(0));
            return new Logged(Optional.of(entry.id()), entry, instead, words);
        }

        /** The same after another entry has undone it or done it again. */
        Logged as(int by) {
            return new Logged(Optional.of(by), content, instead, words);
        }
    }

    /**
     * Progress marked, or taken back.
     *
     * @param marks as they were written
     * @param words in words
     */
    record Marked(List<Mark> marks, String words) implements Doing {}

    /**
     * A change of the plan.
     *
     * @param before the build before
     * @param after  the build after
     * @param words  in words
     */
    record Planned(Build before, Build after, String words) implements Doing {}
}
