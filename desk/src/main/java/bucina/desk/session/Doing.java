package bucina.desk.session;

import bucina.core.log.Addition;
import bucina.core.log.Deed;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Mark;
import bucina.core.log.PartMark;
import bucina.core.log.Work;
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
     * @param marks   made with it
     * @param parts   marks on parts made with it
     * @param instead the entry it corrected, to bring back on undo; empty for a first entry
     * @param words   in words
     */
    record Logged(
            Optional<Integer> entry,
            LogEntry content,
            List<Mark> marks,
            List<PartMark> parts,
            Optional<LogEntry> instead,
            String words)
            implements Doing {

        /** An entry just written. */
        static Logged of(Addition.Done done, Optional<LogEntry> instead) {
            LogEntry entry = done.entry().orElseThrow();
            String words = entry.deed()
                    .map(Logged::words)
                    .orElse("withdrawing entry " + entry.corrects().orElse(0));
            return new Logged(Optional.of(entry.id()), entry, done.marks(), done.parts(), instead, words);
        }

        private static String words(Deed deed) {
            return switch (deed) {
                case Work w -> "logging " + w.count() + " of " + w.groupCode();
                case Labour l -> "logging " + l.what().words();
            };
        }

        /** The same after another entry has undone it or done it again. */
        Logged as(int by) {
            return new Logged(Optional.of(by), content, marks, parts, instead, words);
        }
    }

    /**
     * Progress marked, or taken back.
     *
     * @param marks as they were written
     * @param parts on parts, as they were written
     * @param words in words
     */
    record Marked(List<Mark> marks, List<PartMark> parts, String words) implements Doing {}

    /**
     * A change of the plan.
     *
     * @param before the build before
     * @param after  the build after
     * @param words  in words
     */
    record Planned(Build before, Build after, String words) implements Doing {}
}
