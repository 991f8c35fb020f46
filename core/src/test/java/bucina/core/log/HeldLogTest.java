package bucina.core.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.callout.Queries;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Locker;
import bucina.core.guard.AllDone;
import bucina.core.guard.LogCheck;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Row;
import bucina.core.stack.Derivation;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What may not be logged yet, and pulled rivets as they are logged. */
class HeldLogTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build locker = Locker.build(catalogue.rules());

    private static Work work(Group group, Row row, int from, int to, String designation, String note) {
        List<Work.LoggedHole> holes = row.holes().stream()
                .filter(h -> h.label() >= from && h.label() <= to)
                .map(h -> new Work.LoggedHole(h.id(), row.label(h)))
                .toList();
        return new Work(
                group.id(),
                group.code(),
                holes,
                holes.size(),
                designation,
                Optional.of(Length.mm(6)),
                "M. Oake",
                LocalDateTime.of(2026, 11, 20, 18, 0),
                20,
                new Work.Setup("Puller", Optional.empty(), Optional.empty()),
                List.of(),
                List.of(),
                "",
                note,
                List.of());
    }

    private void accept(Build build, String code, int row, int from, int to, String designation, String note) {
        Group group = build.group(code).orElseThrow().group();
        new LogCheck(Derivation.of(build, catalogue), AllDone.log(Derivation.of(build, catalogue)))
                .accept(
                        LogEntry.Draft.install(work(group, group.rows().get(row), from, to, designation, note)),
                        LocalDateTime.of(2026, 11, 20, 20, 0));
    }

    @Test
    void a_group_in_query_waits_for_its_answer() {
        assertThatThrownBy(() -> accept(locker, "BS-1", 0, 5, 9, "ISO 15977 3.2 × 6", ""))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("held by a query of 2026-11-09");
        Build answered = Queries.answer(
                locker, locker.papers().queries().getFirst().id(), "18", "Sheet 53 rev B", LocalDate.of(2026, 11, 10));
        assertThatCode(() -> accept(answered, "BS-1", 0, 5, 9, "ISO 15977 3.2 × 6", ""))
                .doesNotThrowAnyException();
    }

    @Test
    void a_hole_held_open_waits_for_its_part() {
        Build answered = Queries.answer(
                locker, locker.papers().queries().getFirst().id(), "18", "Sheet 53 rev B", LocalDate.of(2026, 11, 10));
        assertThatThrownBy(() -> accept(answered, "BS-1", 0, 2, 6, "ISO 15977 3.2 × 6", ""))
                .hasMessageContaining("R1.2 is held open for Closing sheet");
        assertThatThrownBy(() -> accept(locker, "BS-2", 0, 1, 4, "ISO 15978 3.2 × 6", ""))
                .hasMessageContaining("held open for Closing sheet");
    }

    @Test
    void another_length_than_the_stack_takes_asks_for_a_word() {
        assertThatCode(() -> accept(locker, "LF-1", 0, 1, 14, "ISO 15977 3.2 × 6", ""))
                .doesNotThrowAnyException();
        assertThatThrownBy(() -> accept(locker, "LF-1", 0, 1, 14, "ISO 15977 3.2 × 8", ""))
                .hasMessageContaining("is not the ISO 15977 3.2 × 6 this stack takes");
        assertThatThrownBy(() -> accept(locker, "LF-1", 0, 1, 14, "ISO 15977 4 × 6", ""))
                .hasMessageContaining("is not the ISO 15977 3.2 of the plan");
        assertThatCode(() -> accept(locker, "LF-1", 0, 1, 14, "ISO 15977 3.2 × 8", "the maker's letter"))
                .doesNotThrowAnyException();
    }

    @Test
    void stainless_bodies_are_asked_about_twice() {
        assertThatThrownBy(() -> accept(locker, "LL-2", 0, 1, 9, "ISO 15977 3.2 stainless × 6", ""))
                .hasMessageContaining("nearly impossible to drill out");
        assertThatCode(() -> accept(locker, "LL-2", 0, 1, 9, "ISO 15977 3.2 stainless × 6", "checked twice"))
                .doesNotThrowAnyException();
    }

    @ParameterizedTest
    @CsvSource({
        "ISO 15977 3.2 × 8,ISO 15977 3.2 × 8,8",
        "15977-3.2x8,ISO 15977 3.2 × 8,8",
        "iso15977 3.2 x 10 mm,ISO 15977 3.2 × 10,10"
    })
    void a_pulled_rivet_is_read_leniently(String typed, String code, double length) {
        Used used = Used.parse(new Fastener.PulledRivet("iso15977", Length.mm(3.2), false), typed);
        assertThat(used.code()).isEqualTo(code);
        assertThat(used.length().orElseThrow().mm()).isEqualTo(length);
    }

    @Test
    void what_is_no_pulled_rivet_is_refused_with_an_example() {
        Fastener planned = new Fastener.PulledRivet("iso15977", Length.mm(3.2), false);
        assertThatThrownBy(() -> Used.parse(planned, "MS20470AD4-5"))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("ISO 15977 3.2 × 8");
        assertThatThrownBy(() -> Used.parse(planned, "blue ones"))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("ISO 15977 3.2 × 8");
        assertThat(Used.parse(new Fastener.Hardware("AN4-5A", Length.in(.25), Length.in(.25), false), " AN4-6A ")
                        .code())
                .isEqualTo("AN4-6A");
    }
}
