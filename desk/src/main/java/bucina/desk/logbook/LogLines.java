package bucina.desk.logbook;

import bucina.core.log.Deed;
import bucina.core.log.Hours;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** The log as lines: newest day first, each day with its total, its entries in the order they were done. No nodes. */
final class LogLines {

    /** One line of the list. */
    sealed interface Line {}

    /**
     * A day.
     *
     * @param date    the day
     * @param count   fasteners set that day, by entries in force
     * @param minutes time that day, by entries in force
     */
    record Day(LocalDate date, int count, int minutes) implements Line {}

    /**
     * An entry.
     *
     * @param entry   the entry
     * @param inForce false if another corrects it
     */
    record Item(LogEntry entry, boolean inForce) implements Line {}

    private LogLines() {}

    /**
     * Lines for the entries that hold {@code filter} in group, designation, name, note or number; all for a blank one.
     */
    static List<Line> of(Logbook log, String filter) {
        return of(log, filter, Optional.empty());
    }

    /** The same for entries of one kind of work. */
    static List<Line> of(Logbook log, String filter, Optional<Hours.Kind> kind) {
        String wanted = filter.strip().toLowerCase(Locale.ROOT);
        SortedMap<LocalDate, List<Item>> days = new TreeMap<>(Comparator.reverseOrder());
        for (LogEntry entry : log.entries()) {
            LocalDate day = day(log, entry);
            if (is(entry, kind) && (wanted.isEmpty() || text(day, entry).contains(wanted))) {
                days.computeIfAbsent(day, d -> new ArrayList<>()).add(new Item(entry, log.inForce(entry)));
            }
        }
        List<Line> lines = new ArrayList<>();
        days.forEach((day, items) -> {
            lines.add(total(day, items));
            lines.addAll(items);
        });
        return lines;
    }

    private static boolean is(LogEntry entry, Optional<Hours.Kind> kind) {
        return kind.isEmpty() || entry.deed().map(Hours.Kind::of).equals(kind);
    }

    private static Day total(LocalDate day, List<Item> items) {
        List<Deed> deeds = items.stream()
                .filter(Item::inForce)
                .flatMap(i -> i.entry.deed().stream())
                .toList();
        return new Day(
                day,
                deeds.stream()
                        .mapToInt(d -> d instanceof Work w ? w.count() : 0)
                        .sum(),
                deeds.stream().mapToInt(Deed::minutes).sum());
    }

    /** The day an entry belongs to: when its work was done; a withdrawal stands with the entry it withdraws. */
    private static LocalDate day(Logbook log, LogEntry entry) {
        Optional<LogEntry> at = Optional.of(entry);
        while (at.isPresent() && at.get().deed().isEmpty()) {
            at = at.get().corrects().flatMap(log::entry);
        }
        return at.flatMap(LogEntry::deed).map(w -> w.done().toLocalDate()).orElse(LocalDate.EPOCH);
    }

    private static String text(LocalDate day, LogEntry entry) {
        return ("#" + entry.id() + " " + day + " " + entry.reason()
                        + entry.work()
                                .map(w -> " " + w.groupCode() + " " + w.designation() + " " + w.who() + " " + w.note()
                                        + " " + w.setup().tool() + " "
                                        + (w.holes().isEmpty()
                                                ? ""
                                                : w.holes().getFirst().label()))
                                .or(() -> entry.labour()
                                        .map(l -> " " + l.what().kind() + " "
                                                + l.what().words() + " " + l.page() + " " + l.who() + " " + l.note()))
                                .orElse(" withdrawn"))
                .toLowerCase(Locale.ROOT);
    }

    /** The holes of an entry in few words. */
    static String where(Work work) {
        if (work.holes().isEmpty()) {
            return "typed stack";
        }
        String first = work.holes().getFirst().label();
        String last = work.holes().getLast().label();
        return first.equals(last) ? first : first + " to " + last;
    }

    /** {@code 1 h 25 min}. */
    static String time(int minutes) {
        return minutes < 60 ? minutes + " min" : minutes / 60 + " h " + minutes % 60 + " min";
    }
}
