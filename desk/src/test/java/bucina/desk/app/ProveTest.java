package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.HoleState;
import bucina.core.log.Proof;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.desk.session.HoleLook;
import bucina.desk.session.ProofLook;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** Stage Prove in the window: the sample, one head judged and decided, drilled out and replaced. */
class ProveTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void prove(FxRobot robot) throws Exception {
        robot.interact(() -> face("Main spar web"));
        robot.type(KeyCode.F3);
        robot.type(KeyCode.DIGIT6);
        settle(robot);
        until(() -> looked().groups().size() == 2);
        robot.type(KeyCode.F9);
        settle(robot);
        until(robot, "MW-1: 3 of a sample of 8 measured.");
    }

    private ProofLook looked() {
        return desk.over()
                .proofProperty()
                .get()
                .filter(p -> p.face().equals(desk.selectionProperty().get().face()))
                .orElseGet(() -> new ProofLook(desk.selectionProperty().get().face(), Map.of(), Map.of()));
    }

    private static void go(FxRobot robot) {
        robot.press(KeyCode.CONTROL).type(KeyCode.ENTER).release(KeyCode.CONTROL);
    }

    private Proof.Head last() {
        return ((Proof) session.snapshot()
                        .log()
                        .entries()
                        .getLast()
                        .labour()
                        .orElseThrow()
                        .what())
                .heads()
                .getFirst();
    }

    @Test
    void a_head_is_measured_left_and_the_next_of_the_sample_offered() throws Exception {
        FxRobot robot = new FxRobot();
        prove(robot);
        assertThat(desk.cursor().orElseThrow().label()).isEqualTo("R1.4");
        write(robot, "#prove-who", "M. Oake");
        write(robot, "#prove-head", ".190x.062");
        assertThat(text(robot, "#prove-verdict")).isEqualTo("Leave it");
        go(robot);
        until(() -> session.snapshot().state(hole("R1.4")) == HoleState.PROVED);
        assertThat(last().reading()).contains(new Work.Reading(Length.in(.190), Length.in(.062)));
        until(() -> desk.cursor().orElseThrow().label().equals("R1.5"));
        until(robot, "MW-1: 4 of a sample of 8 measured.");
        try (BuildFile file = BuildFile.openToRead(file())) {
            assertThat(file.read().log().entries().getLast().labour()).isPresent();
        }
    }

    private Path file() {
        return file;
    }

    @Test
    void what_is_decided_otherwise_than_the_table_says_keeps_its_reason() throws Exception {
        FxRobot robot = new FxRobot();
        prove(robot);
        write(robot, "#prove-who", "M. Oake");
        robot.interact(
                () -> robot.lookup("#seen-cut").queryAs(ToggleButton.class).fire());
        write(robot, "#prove-head", ".190x.062");
        write(robot, "#prove-size", ".004");
        until(robot, "is over .0016 in, 2.5 % of .063 in (2024-T3 clad): ask.");
        robot.interact(
                () -> robot.lookup("#decide-leave").queryAs(ToggleButton.class).fire());
        go(robot);
        until(robot, "give the reason");
        write(robot, "#prove-reason", "the drawing allows it");
        go(robot);
        until(() -> session.snapshot().state(hole("R1.4")) == HoleState.PROVED);
        assertThat(last().judged()).isEqualTo(Verdict.ASK);
        assertThat(last().decided()).isEqualTo(Verdict.LEAVE);
        assertThat(last().reason()).isEqualTo("the drawing allows it");
    }

    @Test
    void a_failed_head_widens_the_sample_is_drilled_out_and_the_hole_carries_its_size() throws Exception {
        FxRobot robot = new FxRobot();
        prove(robot);
        write(robot, "#prove-who", "M. Oake");
        write(robot, "#prove-head", ".130x.030");
        assertThat(text(robot, "#prove-verdict")).isEqualTo("Replace it");
        go(robot);
        until(robot, "Drill with #31 (.120 in)");
        until(robot, "1 failed: the sample is wider");
        assertThat(looked().holes().get(hole("R1.4").hole().id())).isEqualTo(HoleLook.Overlay.FAILED);
        assertThat(looked().holes()).containsValue(HoleLook.Overlay.DOUBT);
        go(robot);
        until(robot, "the hole was not measured");
        write(robot, "#mend-hole", ".133");
        until(robot, "Then the same rivet: MS20470AD4-5.");
        write(robot, "#mend-head", ".190x.062");
        // A rivet that is too short is refused: then the hole does not carry a size that no entry tells of.
        int entries = session.snapshot().log().entries().size();
        write(robot, "#mend-designation", "MS20470AD4-2");
        robot.interact(() -> robot.lookup("#mend-write").queryAs(Button.class).fire());
        until(() -> !text(robot, "#mend-error").isEmpty()
                && hole("R1.4").hole().deviation().isEmpty());
        assertThat(session.snapshot().log().entries()).hasSize(entries);
        write(robot, "#mend-designation", "MS20470AD4-5");
        robot.interact(() -> robot.lookup("#mend-write").queryAs(Button.class).fire());
        until(() -> session.snapshot()
                .log()
                .entries()
                .getLast()
                .work()
                .filter(w -> w.removal().isPresent())
                .isPresent());
        Work mended = session.snapshot().log().entries().getLast().work().orElseThrow();
        assertThat(mended.removal().orElseThrow())
                .isEqualTo(new Work.Removal(Optional.of(Length.in(.133)), "its head measured .130 in × .030 in"));
        assertThat(hole("R1.4").hole().deviation().orElseThrow().hole()).contains(Length.in(.133));
        assertThat(hole("R1.4").solution().hole()).isEqualTo(Length.in(.133));
        until(() -> looked().holes().get(hole("R1.4").hole().id()) == null);
        assertThat(looked().holes()).containsValue(HoleLook.Overlay.DOUBT);
    }

    @Test
    void a_hole_too_large_for_every_rivet_is_asked_about() throws Exception {
        FxRobot robot = new FxRobot();
        prove(robot);
        write(robot, "#prove-who", "M. Oake");
        robot.interact(
                () -> robot.lookup("#seen-fold").queryAs(ToggleButton.class).fire());
        go(robot);
        until(robot, "Drill with #31 (.120 in)");
        write(robot, "#mend-hole", ".200");
        until(robot, "Then stop and ask the kit's maker.");
        write(robot, "#mend-head", ".190x.062");
        write(robot, "#mend-designation", "MS20470AD6-5");
        go(robot);
        until(robot, "type the answer and who gave it");
    }
}
