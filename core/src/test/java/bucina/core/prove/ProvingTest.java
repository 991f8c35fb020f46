package bucina.core.prove;

import static bucina.core.prove.Histories.numbers;
import static bucina.core.prove.Histories.range;
import static bucina.core.prove.Histories.reading;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.guard.LogCheck;
import bucina.core.log.HoleState;
import bucina.core.log.LogEntry;
import bucina.core.log.Seen;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.plan.Id;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ProvingTest {

    private final Histories history = new Histories();

    private HoleState state(int hole) {
        return history.log().state(Histories.GROUP.rows().getFirst().holes().get(hole - 1), List.of());
    }

    @Test
    void the_sample_is_numbered_in_setting_order_and_the_last_comes_with_the_last() {
        history.set("A", Work.Setup.NONE, List.of(), range(31, 60));
        assertThat(numbers(history.proving().due())).containsExactly(1, 2, 3, 4, 5, 15, 25);
        assertThat(history.proving().lines().getFirst().called()).isEqualTo("R1.31");
        history.set("A", Work.Setup.NONE, List.of(), range(1, 30));
        assertThat(numbers(history.proving().due())).containsExactly(1, 2, 3, 4, 5, 15, 25, 35, 45, 55, 60);
    }

    @Test
    void a_person_or_a_day_left_out_gives_its_first_hole() {
        history.set("A", Work.Setup.NONE, List.of(), range(1, 15));
        history.set("B", Work.Setup.NONE, List.of(), range(16, 18));
        history.nextDay();
        history.set("A", Work.Setup.NONE, List.of(), range(19, 21));
        assertThat(numbers(history.proving().due())).containsExactly(1, 2, 3, 4, 5, 15, 16, 19);
    }

    @Test
    void a_failure_widens_the_sample_and_a_second_takes_all() {
        history.set("A", Work.Setup.NONE, List.of(reading(.15, .04).of("R1.1")), range(1, 60));
        Proving once = history.proving();
        assertThat(once.failed()).isEqualTo(1);
        assertThat(numbers(once.open())).containsExactly(1);
        assertThat(numbers(once.due()))
                .containsExactly(2, 3, 4, 5, 6, 7, 8, 9, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55, 60);
        history.prove(2, Optional.empty(), Verdict.REPLACE, Seen.of(Seen.What.FOLD));
        assertThat(history.proving().due()).hasSize(58);
    }

    @Test
    void a_head_that_is_measured_and_left_is_proved_and_no_other() {
        history.set("A", Work.Setup.NONE, List.of(reading(.19, .06)), range(1, 10));
        assertThat(state(1)).isEqualTo(HoleState.PROVED);
        assertThat(state(2)).isEqualTo(HoleState.SET);
        history.prove(2, Optional.of(reading(.19, .06)), Verdict.LEAVE);
        LogEntry bad = history.prove(3, Optional.of(reading(.14, .06)), Verdict.REPLACE);
        assertThat(state(2)).isEqualTo(HoleState.PROVED);
        assertThat(state(3)).isEqualTo(HoleState.SET);
        assertThat(numbers(history.proving().open())).containsExactly(3);
        assertThat(history.log()
                        .plus(LogEntry.Draft.withdraw(bad.id() - 1, "wrong hole")
                                .numbered(bad.id() + 1, bad.entered()))
                        .state(Histories.GROUP.rows().getFirst().holes().get(1), List.of()))
                .isEqualTo(HoleState.SET);
    }

    @Test
    void a_rivet_drilled_out_keeps_its_number_counts_as_failed_and_is_measured_anew() {
        history.set("A", Work.Setup.NONE, List.of(reading(.15, .04)), range(1, 60));
        history.replace("A", 1, reading(.19, .06));
        Proving now = history.proving();
        assertThat(now.failed()).isEqualTo(1);
        assertThat(now.open()).isEmpty();
        assertThat(now.lines().getFirst().called()).isEqualTo("R1.1");
        assertThat(now.lines().getFirst().last().orElseThrow().decided()).isEqualTo(Verdict.LEAVE);
    }

    @Test
    void what_is_not_set_cannot_be_proved_and_what_is_set_is_drilled_out_with_its_reason() {
        history.set("A", Work.Setup.NONE, List.of(), range(1, 10));
        LogCheck check = new LogCheck(Histories.DERIVATION, history.log());
        LocalDateTime now = LocalDateTime.parse("2026-12-01T10:00");
        LogEntry.Draft unset = LogEntry.Draft.install(new Histories()
                .prove(11, Optional.empty(), Verdict.LEAVE)
                .deed()
                .orElseThrow());
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> check.accept(unset, now))
                .withMessageContaining("R1.11 has no fastener in");
        LogEntry.Draft open = LogEntry.Draft.install(
                new Histories().replace("A", 11, reading(.19, .06)).deed().orElseThrow());
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> check.accept(open, now))
                .withMessageContaining("R1.11 has no fastener in that could be drilled out");
        LogEntry again = history.replace("A", 1, reading(.19, .06));
        LogCheck then = new LogCheck(Histories.DERIVATION, history.log());
        LogEntry.Draft second = LogEntry.Draft.install(again.deed().orElseThrow());
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> then.accept(second, now))
                .withMessageContaining("second time");
        then.accept(
                LogEntry.Draft.install(again.deed().orElseThrow().explained("the kit's maker says so, by letter")),
                now);
    }

    @Test
    void a_group_without_geometry_is_proved_by_number() {
        Id.Group typed = new Id.Group(21);
        assertThat(Proving.of(
                                Histories.DERIVATION,
                                history.log(),
                                Histories.FACE,
                                Histories.BUILD.group("T-1").orElseThrow().group())
                        .lines())
                .isEmpty();
        assertThat(typed.n()).isEqualTo(21);
    }
}
