package bucina.core.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.Plans;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.guard.AllDone;
import bucina.core.guard.LogCheck;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Layer;
import bucina.core.stack.Derivation;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class LogbookTest {

    private static final LocalDateTime DONE = LocalDateTime.parse("2026-11-20T19:30");
    private static final LocalDateTime NOW = LocalDateTime.parse("2026-11-23T10:00");
    private final Build build = Plans.build(8.5);
    private final Derivation derivation = Derivation.of(build, CatalogueReader.shipped());
    private final Group group = build.group("G-1").orElseThrow().group();
    private final Group typed = build.group("T-1").orElseThrow().group();

    private Hole hole(int label) {
        return group.rows().getFirst().holes().get(label - 1);
    }

    private Work work(int from, int to, String designation, List<Work.Reject> rejects, String explanation) {
        List<Work.LoggedHole> holes = IntStream.rangeClosed(from, to)
                .mapToObj(i -> new Work.LoggedHole(hole(i).id(), "R1." + i))
                .toList();
        return new Work(
                group.id(),
                "G-1",
                holes,
                holes.size(),
                designation,
                Optional.empty(),
                "M. Oake",
                DONE,
                10,
                Work.Setup.NONE,
                List.of(),
                rejects,
                explanation,
                "",
                List.of());
    }

    private Work typedWork(int count, List<Work.Reject> rejects) {
        return new Work(
                typed.id(),
                "T-1",
                List.of(),
                count,
                "MS20470AD4-4",
                Optional.empty(),
                "M. Oake",
                DONE,
                10,
                Work.Setup.NONE,
                List.of(),
                rejects,
                "",
                "",
                List.of());
    }

    private static Logbook with(Logbook log, LogEntry.Draft draft) {
        return log.plus(draft.numbered(log.nextId(), Instant.parse("2026-11-20T20:00:00Z")));
    }

    private void accept(Logbook log, LogEntry.Draft draft) {
        new LogCheck(derivation, log.plus(AllDone.log(derivation).marks())).accept(draft, NOW);
    }

    @Test
    void logged_holes_are_set_and_counted() {
        Logbook log = with(Logbook.EMPTY, LogEntry.Draft.install(work(1, 5, "MS20470AD4-5", List.of(), "")));
        assertThat(log.state(hole(5), List.of())).isEqualTo(HoleState.SET);
        assertThat(log.state(hole(6), List.of())).isEqualTo(HoleState.PLANNED);
        assertThat(log.installed(group)).isEqualTo(5);
    }

    @Test
    void a_correction_stands_in_place_and_the_first_stays_on_record() {
        Logbook log = with(Logbook.EMPTY, LogEntry.Draft.install(work(1, 5, "MS20470AD4-5", List.of(), "")));
        log = with(log, LogEntry.Draft.replace(1, work(1, 3, "MS20470AD4-5", List.of(), ""), "counted wrong"));
        assertThat(log.installed(group)).isEqualTo(3);
        assertThat(log.entries()).hasSize(2);
        assertThat(log.inForce(log.entries().getFirst())).isFalse();
        assertThat(log.state(hole(4), List.of())).isEqualTo(HoleState.PLANNED);
    }

    @Test
    void a_withdrawal_takes_back_and_can_itself_be_corrected() {
        Logbook log = with(Logbook.EMPTY, LogEntry.Draft.install(work(1, 5, "MS20470AD4-5", List.of(), "")));
        log = with(log, LogEntry.Draft.withdraw(1, "wrong row"));
        assertThat(log.installed(group)).isZero();
        log = with(log, LogEntry.Draft.replace(2, work(1, 5, "MS20470AD4-5", List.of(), ""), "right after all"));
        assertThat(log.installed(group)).isEqualTo(5);
    }

    @Test
    void an_entry_is_corrected_once_and_only_if_it_is_there() {
        Logbook log = with(
                with(Logbook.EMPTY, LogEntry.Draft.install(work(1, 2, "MS20470AD4-5", List.of(), ""))),
                LogEntry.Draft.withdraw(1, "x"));
        assertThatThrownBy(() -> accept(log, LogEntry.Draft.withdraw(1, "again")))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("corrected already");
        assertThatThrownBy(() -> accept(log, LogEntry.Draft.withdraw(9, "x")))
                .hasMessageContaining("entry 9 is not in the log");
    }

    @Test
    void of_two_benches_corrections_of_one_entry_the_later_stands() {
        Logbook log = with(
                with(
                        with(Logbook.EMPTY, LogEntry.Draft.install(work(1, 2, "MS20470AD4-5", List.of(), ""))),
                        LogEntry.Draft.replace(1, work(1, 3, "MS20470AD4-5", List.of(), ""), "one more")),
                LogEntry.Draft.replace(1, work(1, 4, "MS20470AD4-5", List.of(), ""), "two more"));
        assertThat(log.entries())
                .filteredOn(log::inForce)
                .extracting(LogEntry::id)
                .containsExactly(3);
        assertThat(log.installed(group)).isEqualTo(4);
        assertThat(with(log, LogEntry.Draft.withdraw(1, "none")).installed(group))
                .isZero();
    }

    @Test
    void a_reject_left_open_is_open_and_may_be_logged_again() {
        List<Work.Reject> open = List.of(new Work.Reject("R1.2", 1, Disposition.OPEN, ""));
        Logbook log = with(Logbook.EMPTY, LogEntry.Draft.install(work(1, 3, "MS20470AD4-5", open, "")));
        assertThat(log.state(hole(2), List.of())).isEqualTo(HoleState.REJECTED);
        assertThat(log.installed(group)).isEqualTo(2);
        accept(log, LogEntry.Draft.install(work(2, 2, "MS20470AD4-5", List.of(), "")));
        Logbook mended = with(log, LogEntry.Draft.install(work(2, 2, "MS20470AD4-5", List.of(), "")));
        assertThat(mended.installed(group)).isEqualTo(3);
    }

    @Test
    void a_hole_is_not_logged_twice() {
        Logbook log = with(Logbook.EMPTY, LogEntry.Draft.install(work(1, 5, "MS20470AD4-5", List.of(), "")));
        assertThatThrownBy(() -> accept(log, LogEntry.Draft.install(work(5, 6, "MS20470AD4-5", List.of(), ""))))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("R1.5 is logged as set in entry 1");
        accept(log, LogEntry.Draft.replace(1, work(1, 6, "MS20470AD4-5", List.of(), ""), "one more"));
    }

    @Test
    void a_short_or_long_length_or_another_rivet_asks_for_a_word() {
        // Holes 8 and 9 take -5 and -4: the doubler ends between them.
        accept(Logbook.EMPTY, LogEntry.Draft.install(work(7, 8, "MS20470AD4-5", List.of(), "")));
        assertThatThrownBy(
                        () -> accept(Logbook.EMPTY, LogEntry.Draft.install(work(8, 9, "MS20470AD4-4", List.of(), ""))))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("-4 is graded short at R1.8")
                .hasMessageContaining("explanation");
        accept(Logbook.EMPTY, LogEntry.Draft.install(work(8, 9, "MS20470AD4-4", List.of(), "drawing calls for it")));
        assertThatThrownBy(
                        () -> accept(Logbook.EMPTY, LogEntry.Draft.install(work(1, 1, "MS20470AD3-4", List.of(), ""))))
                .hasMessageContaining("not the MS20470AD4 of the plan");
    }

    @Test
    void work_in_the_future_is_refused() {
        LogEntry.Draft draft = LogEntry.Draft.install(work(1, 1, "MS20470AD4-5", List.of(), ""));
        assertThatThrownBy(() -> new LogCheck(derivation, AllDone.log(derivation)).accept(draft, DONE.minusDays(1)))
                .hasMessageContaining("lies in the future");
    }

    @Test
    void a_typed_group_is_counted_down() {
        Logbook log = with(
                Logbook.EMPTY,
                LogEntry.Draft.install(typedWork(7, List.of(new Work.Reject("", 1, Disposition.OPEN, "")))));
        assertThat(log.installed(typed)).isEqualTo(6);
        assertThatThrownBy(() -> accept(log, LogEntry.Draft.install(typedWork(5, List.of()))))
                .hasMessageContaining("has 4 of 10 left");
        accept(log, LogEntry.Draft.install(typedWork(4, List.of())));
    }

    @Test
    void a_corrected_entry_gives_back_only_what_was_sound() {
        Logbook log = with(
                Logbook.EMPTY,
                LogEntry.Draft.install(typedWork(7, List.of(new Work.Reject("", 2, Disposition.OPEN, "")))));
        assertThat(log.installed(typed)).isEqualTo(5);
        accept(log, LogEntry.Draft.replace(1, typedWork(10, List.of()), "all of them"));
        assertThatThrownBy(() -> accept(log, LogEntry.Draft.replace(1, typedWork(11, List.of()), "one too many")))
                .hasMessageContaining("has 10 of 10 left");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(
                        () -> work(1, 3, "MS20470AD4-5", List.of(new Work.Reject("R1.9", 1, Disposition.OPEN, "")), ""))
                .withMessageContaining("R1.9");
    }

    @Test
    void progress_shows_the_layer_furthest_behind() {
        Layer skin = build.face("Top").orElseThrow().face().layers().get(0);
        Layer flange = build.face("Top").orElseThrow().face().layers().get(2);
        Instant at = Instant.parse("2026-11-20T20:00:00Z");
        Logbook log = Logbook.of(
                List.of(),
                List.of(
                        new Mark(hole(1).id(), skin.id(), Mark.Side.BOTH, Operation.DEBURRED, at),
                        new Mark(hole(1).id(), skin.id(), Mark.Side.NEAR, Operation.DIMPLED, at),
                        new Mark(hole(1).id(), flange.id(), Mark.Side.BOTH, Operation.DEBURRED, at)));
        assertThat(log.state(hole(1), List.of(skin, flange))).isEqualTo(HoleState.DEBURRED);
        assertThat(log.state(hole(1), List.of(skin))).isEqualTo(HoleState.DIMPLED);
    }

    @Test
    void an_entry_that_cannot_be_is_refused_with_its_value() {
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> typedWork(0, List.of()))
                .withMessageContaining("count must be over 0, was 0");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> typedWork(2, List.of(new Work.Reject("", 3, Disposition.LEFT, ""))))
                .withMessageContaining("3 of 2");
        assertThatExceptionOfType(InputException.class).isThrownBy(() -> new Work.Reading(Length.ZERO, Length.in(.05)));
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> new LogEntry(1, Instant.EPOCH, Optional.empty(), Optional.empty(), ""));
    }
}
