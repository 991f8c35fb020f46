package bucina.store;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.LogEntry;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

class ChainTest {

    /** Six entries of the demo, the fifth of which corrects the second. */
    private static List<LogEntry> small() {
        List<LogEntry> entries = new ArrayList<>(Demo.document().log().entries().subList(0, 4));
        LogEntry second = entries.get(1);
        entries.add(new LogEntry(
                5, Instant.parse("2026-11-25T10:00:00Z"), Optional.of(2), second.deed(), "the date was wrong"));
        entries.add(new LogEntry(6, Instant.parse("2026-11-25T10:00:01Z"), Optional.empty(), second.deed(), ""));
        return entries;
    }

    private static List<Chain.Text> texts(List<LogEntry> entries) {
        Map<Integer, Chain.Link> links = Chain.bind(entries, Map.of());
        return new ArrayList<>(entries.stream()
                .map(e -> Chain.Text.of(e, Objects.requireNonNull(links.get(e.id()))))
                .toList());
    }

    private static Optional<Integer> broken(List<Chain.Text> is, List<Chain.Text> was) {
        return Chain.verify(
                        is,
                        was.size(),
                        Chain.heads(was.stream().map(Chain.Text::link).toList()))
                .broken();
    }

    @Test
    void what_was_written_is_found_whole() {
        List<Chain.Text> log = texts(small());
        assertThat(broken(log, log)).isEmpty();
        assertThat(log.stream().skip(1)).allMatch(t -> t.link().follows().size() == 1);
    }

    @Test
    void every_changed_byte_of_every_field_is_found() {
        List<Chain.Text> log = texts(small());
        int tried = 0;
        for (int i = 0; i < log.size(); i++) {
            Chain.Text e = log.get(i);
            List<Function<String, Chain.Text>> fields = List.of(
                    s -> new Chain.Text(
                            e.id(), s, e.corrects(), e.work(), e.reason(), e.follows(), e.first(), e.hash()),
                    s -> new Chain.Text(
                            e.id(), e.entered(), e.corrects(), s, e.reason(), e.follows(), e.first(), e.hash()),
                    s -> new Chain.Text(
                            e.id(), e.entered(), e.corrects(), e.work(), s, e.follows(), e.first(), e.hash()),
                    s -> new Chain.Text(
                            e.id(), e.entered(), e.corrects(), e.work(), e.reason(), s, e.first(), e.hash()),
                    s -> new Chain.Text(
                            e.id(), e.entered(), e.corrects(), e.work(), e.reason(), e.follows(), e.first(), s));
            List<String> values = List.of(e.entered(), String.valueOf(e.work()), e.reason(), e.follows(), e.hash());
            for (int f = 0; f < fields.size(); f++) {
                String value = values.get(f);
                for (int at = 0; at < value.length(); at++) {
                    for (int bit : new int[] {1, 16, 32}) {
                        String other =
                                value.substring(0, at) + (char) (value.charAt(at) ^ bit) + value.substring(at + 1);
                        List<Chain.Text> changed = new ArrayList<>(log);
                        changed.set(i, fields.get(f).apply(other));
                        assertThat(broken(changed, log))
                                .as("entry %d: %s", e.id(), other)
                                .isPresent();
                        tried++;
                    }
                }
            }
        }
        assertThat(tried).isGreaterThan(5000);
    }

    @Test
    void another_number_or_another_corrected_entry_is_found() {
        List<Chain.Text> log = texts(small());
        for (int i = 0; i < log.size(); i++) {
            Chain.Text e = log.get(i);
            for (int n = 1; n < 12; n++) {
                if (n != e.id()) {
                    List<Chain.Text> changed = new ArrayList<>(log);
                    changed.set(
                            i,
                            new Chain.Text(
                                    n,
                                    e.entered(),
                                    e.corrects(),
                                    e.work(),
                                    e.reason(),
                                    e.follows(),
                                    e.first(),
                                    e.hash()));
                    changed.sort(Comparator.comparing(Chain.Text::id));
                    assertThat(broken(changed, log)).as(e.id() + " as " + n).isPresent();
                }
                Integer other = Objects.equals(e.corrects(), n) ? null : Integer.valueOf(n);
                List<Chain.Text> changed = new ArrayList<>(log);
                changed.set(
                        i,
                        new Chain.Text(
                                e.id(), e.entered(), other, e.work(), e.reason(), e.follows(), e.first(), e.hash()));
                assertThat(broken(changed, log))
                        .as(e.id() + " corrects " + other)
                        .isPresent();
                changed.set(
                        i,
                        new Chain.Text(
                                e.id(),
                                e.entered(),
                                e.corrects(),
                                e.work(),
                                e.reason(),
                                e.follows(),
                                e.first() + n,
                                e.hash()));
                assertThat(broken(changed, log)).isPresent();
            }
        }
    }

    @Test
    void an_entry_taken_out_put_in_twice_or_moved_is_found() {
        List<Chain.Text> log = texts(small());
        for (int i = 0; i < log.size(); i++) {
            List<Chain.Text> fewer = new ArrayList<>(log);
            fewer.remove(i);
            assertThat(broken(fewer, log)).as("without " + (i + 1)).isPresent();
            List<Chain.Text> twice = new ArrayList<>(log);
            twice.add(i, log.get(i));
            assertThat(broken(twice, log)).isPresent();
            for (int k = i + 1; k < log.size(); k++) {
                List<Chain.Text> moved = new ArrayList<>(log);
                Collections.swap(moved, i, k);
                assertThat(broken(moved, log)).as(i + " with " + k).isPresent();
                Chain.Text a = log.get(i);
                Chain.Text b = log.get(k);
                moved.set(
                        i,
                        new Chain.Text(
                                a.id(),
                                b.entered(),
                                b.corrects(),
                                b.work(),
                                b.reason(),
                                b.follows(),
                                b.first(),
                                b.hash()));
                moved.set(
                        k,
                        new Chain.Text(
                                b.id(),
                                a.entered(),
                                a.corrects(),
                                a.work(),
                                a.reason(),
                                a.follows(),
                                a.first(),
                                a.hash()));
                assertThat(broken(moved, log)).as(i + " in the place of " + k).isPresent();
            }
        }
        assertThat(broken(List.of(), log)).isPresent();
        assertThat(broken(List.of(), List.of())).isEmpty();
    }

    @Test
    void a_log_chained_anew_after_a_change_has_another_head() {
        List<LogEntry> entries = small();
        List<Chain.Text> log = texts(entries);
        entries.set(
                3,
                new LogEntry(
                        4,
                        entries.get(3).entered(),
                        Optional.empty(),
                        entries.get(0).deed(),
                        ""));
        List<Chain.Text> forged = texts(entries);
        assertThat(broken(forged, forged)).isEmpty();
        assertThat(forged).noneMatch(t -> t.hash().equals(log.getLast().hash()));
    }
}
