package bucina.core.log;

import java.util.List;
import java.util.Optional;

/**
 * What is added to a log as one: an entry and what was marked with it, or either alone.
 *
 * @param draft an entry, before it has a number
 * @param marks on holes
 * @param parts on parts
 */
public record Addition(Optional<LogEntry.Draft> draft, List<Mark> marks, List<PartMark> parts) {

    public Addition {
        marks = List.copyOf(marks);
        parts = List.copyOf(parts);
    }

    /** Marks on holes alone. */
    public static Addition ofMarks(List<Mark> marks) {
        return new Addition(Optional.empty(), marks, List.of());
    }

    /** Marks on parts alone. */
    public static Addition ofParts(List<PartMark> parts) {
        return new Addition(Optional.empty(), List.of(), parts);
    }

    /** An entry alone. */
    public static Addition of(LogEntry.Draft draft) {
        return new Addition(Optional.of(draft), List.of(), List.of());
    }

    /**
     * What was added, as it is on the disk.
     *
     * @param entry the entry, if one was asked for
     * @param marks on holes
     * @param parts on parts
     */
    public record Done(Optional<LogEntry> entry, List<Mark> marks, List<PartMark> parts) {

        public Done {
            marks = List.copyOf(marks);
            parts = List.copyOf(parts);
        }

        /** A logbook with it. */
        public Logbook onto(Logbook log) {
            Logbook next = entry.map(log::plus).orElse(log);
            next = marks.isEmpty() ? next : next.plus(marks);
            return parts.isEmpty() ? next : next.plusOnParts(parts);
        }
    }
}
