package bucina.desk.logbook;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.desk.session.Session;
import bucina.desk.session.Sessions;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LogLinesTest {

    @TempDir
    private Path folder;

    private Session session;
    private Logbook log;

    @BeforeEach
    void open() {
        session = Sessions.demo(folder);
        log = session.snapshot().log();
    }

    @AfterEach
    void close() {
        session.close();
    }

    private static List<Integer> numbers(List<LogLines.Line> lines) {
        return lines.stream()
                .filter(l -> l instanceof LogLines.Item)
                .map(l -> ((LogLines.Item) l).entry().id())
                .toList();
    }

    @Test
    void the_newest_day_comes_first_and_every_entry_stands_under_its_day() {
        List<LogLines.Line> lines = LogLines.of(log, "");
        assertThat(lines.getFirst()).isEqualTo(new LogLines.Day(LocalDate.parse("2026-11-22"), 0, 35));
        assertThat(lines.get(2)).isEqualTo(new LogLines.Day(LocalDate.parse("2026-11-21"), 14, 50));
        assertThat(numbers(lines)).hasSize(39).startsWith(39, 32);
        List<LocalDate> days = lines.stream()
                .filter(l -> l instanceof LogLines.Day)
                .map(l -> ((LogLines.Day) l).date())
                .toList();
        assertThat(days).isSortedAccordingTo(Comparator.reverseOrder()).doesNotHaveDuplicates();
    }

    @Test
    void a_days_total_counts_only_what_is_in_force() {
        // On 3 October entry 11 (9 rivets) was corrected on the next day; its correction counts on the day the work was
        // done.
        LogLines.Day day = (LogLines.Day) LogLines.of(log, "").stream()
                .filter(l -> l instanceof LogLines.Day d && d.date().equals(LocalDate.parse("2026-10-03")))
                .findFirst()
                .orElseThrow();
        int inForce = log.entries().stream()
                .filter(log::inForce)
                .flatMap(e -> e.work().stream())
                .filter(w -> w.done().toLocalDate().equals(day.date()))
                .mapToInt(w -> w.count())
                .sum();
        assertThat(day.count()).isEqualTo(inForce).isEqualTo(16);
    }

    @Test
    void the_filter_finds_group_rivet_name_note_date_and_number() {
        assertThat(numbers(LogLines.of(log, "ls-7"))).hasSize(1);
        assertThat(numbers(LogLines.of(log, "ms20470ad3"))).isNotEmpty().allMatch(n -> n <= 12);
        assertThat(numbers(LogLines.of(log, "T. Lind"))).isNotEmpty();
        assertThat(numbers(LogLines.of(log, "skin lies well"))).containsExactly(32);
        assertThat(numbers(LogLines.of(log, "2026-11-14"))).hasSize(2);
        assertThat(numbers(LogLines.of(log, "#32"))).containsExactly(32);
        assertThat(LogLines.of(log, "nothing like it")).isEmpty();
    }

    @Test
    void a_withdrawal_stands_on_the_day_of_what_it_withdraws() {
        Logbook with = log.plus(LogEntry.Draft.withdraw(32, "wrong").numbered(40, Sessions.CLOCK.instant()));
        List<LogLines.Line> lines = LogLines.of(with, "");
        assertThat(lines.get(2)).isEqualTo(new LogLines.Day(LocalDate.parse("2026-11-21"), 0, 0));
        assertThat(numbers(lines)).startsWith(39, 32, 40);
    }

    @Test
    void times_and_places_read_well() {
        assertThat(LogLines.time(59)).isEqualTo("59 min");
        assertThat(LogLines.time(85)).isEqualTo("1 h 25 min");
        assertThat(LogLines.where(log.entry(32).orElseThrow().work().orElseThrow()))
                .isEqualTo("R1.1 to R1.14");
    }
}
