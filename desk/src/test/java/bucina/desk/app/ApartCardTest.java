package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.Operation;
import bucina.core.plan.FitReading;
import bucina.core.plan.Id;
import bucina.core.progress.Task;
import bucina.desk.session.Stage;
import bucina.store.file.BuildFile;
import java.io.IOException;
import javafx.event.ActionEvent;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** Index marks and readings before taking apart, in the real window. */
class ApartCardTest extends OnWindow {

    @Start
    void start(javafx.stage.Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void type(FxRobot robot, String id, String text) throws Exception {
        robot.interact(() -> {
            TextField field = robot.lookup("#fit-" + upper().n() + "-" + id).queryAs(TextField.class);
            field.setText(text);
            field.fireEvent(new ActionEvent());
        });
        settle(robot);
    }

    private Id.Face upper() {
        return session.snapshot()
                .build()
                .face("Upper skin")
                .orElseThrow()
                .face()
                .id();
    }

    @Test
    void a_part_is_marked_once_and_what_is_riveted_is_not_asked_for(FxRobot robot) throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.D);
        until(robot, "1 of 1 parts that go back more than one way want a mark.");
        // The ribs of the demo are riveted to the webs: they cannot go back another way any more.
        assertThat(says(robot, "Nose rib 1")).isFalse();
        robot.interact(() ->
                robot.lookup("#apart-card .check-box").queryAs(CheckBox.class).fire());
        until(robot, "All 1 parts that go back more than one way are marked.");
        until(robot, "Has: \"Hinge plate\" and an arrow outboard");
        assertThat(session.snapshot().build().workshop().index()).hasSize(1);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        settle(robot);
        until(robot, "want a mark");
    }

    @Test
    void readings_are_judged_kept_and_compared_after(FxRobot robot) throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.D);
        until(robot, "readings to take");
        type(robot, "square-before-0", "62 13/32");
        assertThat(session.snapshot().build().workshop().readings()).isEmpty();
        type(robot, "square-before-1", "63.97");
        until(robot, "out of square, .060 in at most.");
        type(robot, "square-after-0", "62.50");
        type(robot, "square-after-1", "63.97");
        until(robot, "Look for a part that went on another way");
        type(robot, "twist-before-0", "level");
        type(robot, "twist-before-1", "0.1");
        until(robot, "\"level\" is not an angle: write degrees like 100 or 88.5°");
        assertThat(session.snapshot().build().workshop().reading(upper(), FitReading.Kind.TWIST, false))
                .isEmpty();
        try (BuildFile other = BuildFile.openToRead(file)) {
            assertThat(other.read().build().workshop().readings()).hasSize(2);
        }
        type(robot, "square-after-0", "");
        type(robot, "square-after-1", "");
        assertThat(session.snapshot().build().workshop().readings()).hasSize(1);
    }

    @Test
    void deburring_reminds_of_what_was_not_noted(FxRobot robot) throws Exception {
        robot.interact(() -> {
            desk.show(upper());
            desk.stageProperty().set(Stage.DRILL);
            desk.taskProperty().set(Task.of(Operation.DEBURRED));
        });
        until(
                robot,
                "Before taking apart: 1 part goes back more than one way and has no index mark; 7 readings are not "
                        + "taken.");
        robot.clickOn("#work-apart");
        until(robot, "want a mark");
    }
}
