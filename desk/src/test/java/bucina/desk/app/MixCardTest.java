package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.plan.Batch;
import bucina.core.plan.Compound;
import bucina.core.rule.RuleKey;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import org.testfx.util.WaitForAsyncUtils;

/** Primer and sealant with their clocks in the real window. */
class MixCardTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
        desk.look().sound(false);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void mix(FxRobot robot, String compound, String ago, String sheet) throws Exception {
        robot.interact(() -> face("Lower skin"));
        robot.push(KeyCode.CONTROL, KeyCode.M);
        until(robot, "Nothing is mixed");
        robot.interact(() -> {
            ComboBox<?> box = robot.lookup("#mix-compound").queryAs(ComboBox.class);
            for (int i = 0; i < box.getItems().size(); i++) {
                if (((Compound) box.getItems().get(i)).name().equals(compound)) {
                    box.getSelectionModel().select(i);
                }
            }
        });
        until(() -> robot.lookup(".check-box").queryAllAs(CheckBox.class).stream()
                .anyMatch(c -> c.getText().equals(sheet)));
        write(robot, "#mix-ago", ago);
        robot.interact(() -> {
            robot.lookup(".check-box").queryAllAs(CheckBox.class).stream()
                    .filter(c -> !c.getText().equals("Sound the alarm"))
                    .forEach(c -> c.setSelected(c.getText().equals(sheet)));
            robot.lookup("#mix-go").queryAs(Button.class).fire();
        });
        settle(robot);
    }

    private void fire(FxRobot robot, String query) throws Exception {
        robot.interact(() -> robot.lookup(query).queryAs(Button.class).fire());
        settle(robot);
    }

    private Batch only() {
        return session.snapshot().build().workshop().batches().getLast();
    }

    @Test
    void a_sealant_tells_how_many_go_in_calls_when_it_closes_and_is_ended(FxRobot robot) throws Exception {
        mix(robot, "Sealant class B-2", "80", "Lower skin on Rear spar flange");
        until(robot, "surely go in");
        until(robot, "Sealant class B-2: may be used.");
        assertThat(robot.lookup("#batch-alarm").query().isVisible()).isFalse();
        write(robot, "#mix-pace", ".25");
        until(robot, "all 43 holes that wait go in: about 11 min.");
        // Eleven minutes before its end it calls, and the call stays until it was seen.
        robot.interact(() -> session.plan(
                "earlier",
                b -> b.withWorkshop(
                        b.workshop()
                                .with(Batch.mixed(
                                        only().id(),
                                        only().compound(),
                                        session.instant().minus(Duration.ofMinutes(109)),
                                        only().covers())),
                        b.nextId()),
                () -> {},
                s -> {}));
        until(robot, "Sealant class B-2 goes off in 11 min");
        // It counts on while the button stays the same: what has the keyboard keeps it.
        Button seen = robot.lookup("#batch-seen").queryAs(Button.class);
        String first = text(robot, "#batch-words");
        WaitForAsyncUtils.sleep(2200, TimeUnit.MILLISECONDS);
        assertThat(robot.lookup("#batch-seen").queryAs(Button.class)).isSameAs(seen);
        assertThat(first).contains("11 min");
        fire(robot, "#batch-seen");
        assertThat(robot.lookup("#batch-alarm").query().isVisible()).isFalse();
        fire(robot, "#mix-end");
        until(robot, "Nothing is mixed");
        assertThat(robot.lookup("#batch-bar").query().isVisible()).isFalse();
        assertThat(only().ended()).isPresent();
    }

    @Test
    void sheets_whose_holes_must_wait_are_primed_only_with_a_reason(FxRobot robot) throws Exception {
        robot.interact(() -> session.plan(
                "priming",
                b -> b.withRules(b.rules().with(RuleKey.PRIME_SCHOOL, "all", "salt water")),
                () -> {},
                s -> {}));
        settle(robot);
        mix(robot, "Two-part epoxy primer", "31", "Rear spar flange");
        until(() -> robot.lookup("#mix-primed").tryQuery().isPresent());
        int before = session.snapshot().log().marks().size();
        assertThat(robot.lookup("#mix-why").query().isVisible()).isFalse();
        fire(robot, "#mix-primed");
        until(robot, "not drilled to final size, not deburred, not dimpled, which comes before primed");
        assertThat(session.snapshot().log().marks()).hasSize(before);
        assertThat(robot.lookup("#mix-why").query().isVisible()).isTrue();
        write(robot, "#mix-why", "primed at the kit's maker");
        fire(robot, "#mix-primed");
        var marks = session.snapshot().log().marks();
        assertThat(marks.subList(before, marks.size()))
                .hasSizeGreaterThan(40)
                .anySatisfy(m -> assertThat(m.note()).isEqualTo("primed at the kit's maker"));
        assertThat(robot.lookup("#mix-why").query().isVisible()).isFalse();
    }

    @Test
    void a_primer_past_its_induction_may_be_used_is_stirred_and_marks_its_sheets(FxRobot robot) throws Exception {
        mix(robot, "Two-part epoxy primer", "31", "Rear spar flange");
        until(robot, "Stir the Two-part epoxy primer");
        fire(robot, "#batch-stirred");
        until(robot, "has stood its 30 min: it may be used.");
        assertThat(only().stirred()).isAfter(only().mixed());
        until(() -> robot.lookup("#mix-primed").tryQuery().isPresent());
        int before = session.snapshot().log().marks().size();
        fire(robot, "#mix-primed");
        var rear = only().covers().getFirst().layer();
        assertThat(session.snapshot()
                        .log()
                        .marks()
                        .subList(before, session.snapshot().log().marks().size()))
                .hasSizeGreaterThan(40)
                .allSatisfy(m -> {
                    assertThat(m.operation()).isEqualTo(Operation.PRIMED);
                    assertThat(m.layer()).isEqualTo(rear);
                    assertThat(m.side()).isEqualTo(Mark.Side.BOTH);
                });
        robot.push(KeyCode.ESCAPE);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        settle(robot);
        assertThat(session.snapshot()
                        .log()
                        .marked(
                                session.snapshot().log().marks().get(before).hole(),
                                rear,
                                Operation.PRIMED,
                                Mark.Side.BOTH))
                .isFalse();
    }

    @Test
    void a_time_that_is_none_and_nothing_ticked_are_refused_and_what_runs_is_in_the_file(FxRobot robot)
            throws Exception {
        mix(robot, "Sealant class B-4", "soon", "Lower skin on Trailing edge strip");
        until(robot, "Mixed \"soon\" is no time in minutes: write it like 45, 1:30 or 2 h.");
        assertThat(session.snapshot().build().workshop().running()).isEmpty();
        write(robot, "#mix-ago", "0");
        write(robot, "#mix-life", "0");
        fire(robot, "#mix-go");
        until(robot, "work life must be 1 to 10080 minutes, like 120, was 0.");
        write(robot, "#mix-life", "1:30");
        fire(robot, "#mix-go");
        assertThat(only().compound().life()).isEqualTo(90);
        try (BuildFile other = BuildFile.openToRead(file)) {
            assertThat(other.read().build().workshop().running()).containsExactly(only());
        }
    }

    @Test
    void a_compound_whose_only_can_is_past_its_shelf_life_is_not_mixed(FxRobot robot) throws Exception {
        mix(robot, "Two-part wash primer", "0", "Lower skin");
        until(robot, "No can of Two-part wash primer in the stores may be used: past its shelf life since 31 Oct 2026");
        assertThat(session.snapshot().build().workshop().running()).isEmpty();
    }
}
