package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.progress.Task;
import bucina.core.stack.HoleReading;
import bucina.desk.session.Selection;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** Progress in the real window: a task, a pick, one key. */
class MarkingTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void task(FxRobot robot, String code) {
        robot.interact(() -> robot.lookup("#task-" + code).queryAs(Button.class).fire());
    }

    /** Marks an operation on every hole of the face, as if it had been done before. */
    private void done(FxRobot robot, Operation operation) throws Exception {
        robot.interact(() -> desk.session()
                .mark(
                        "marking what comes before",
                        Task.of(operation)
                                .marks(
                                        desk.snapshot().log(),
                                        desk.face().readings(),
                                        true,
                                        desk.session().instant()),
                        "done before",
                        () -> {},
                        s -> {}));
        settle(robot);
    }

    @Test
    void a_face_of_three_hundred_holes_is_marked_deburred_on_both_sides_in_four_actions(FxRobot robot)
            throws Exception {
        robot.interact(() -> face("Lower skin"));
        done(robot, Operation.FINAL_SIZE);
        Task both = Task.of(Operation.DEBURRED);
        int before = both.left(desk.snapshot().log(), desk.face()).size();
        assertThat(desk.face().size()).isGreaterThan(280);
        // 1 the stage, 2 the task, 3 the whole face, 4 mark.
        robot.push(KeyCode.DIGIT3);
        task(robot, "deburred");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.push(KeyCode.CONTROL, KeyCode.ENTER);
        settle(robot);
        assertThat(before).isGreaterThan(100);
        assertThat(both.left(desk.snapshot().log(), desk.face())).isEmpty();
        // What the window says is saved is in the file: read it as another program would, with no word to this one.
        try (BuildFile saved = BuildFile.openToRead(file)) {
            assertThat(both.left(saved.read().log(), desk.face())).isEmpty();
        }
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        settle(robot);
        assertThat(both.left(desk.snapshot().log(), desk.face())).hasSize(before);
        robot.push(KeyCode.CONTROL, KeyCode.Y);
        settle(robot);
        assertThat(both.left(desk.snapshot().log(), desk.face())).isEmpty();
    }

    @Test
    void one_hole_after_the_other_is_marked_with_the_space_bar_and_the_jumped_ones_are_said(FxRobot robot)
            throws Exception {
        robot.interact(() -> face("Upper skin"));
        robot.push(KeyCode.DIGIT3);
        task(robot, "match-drilled");
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R20.1"))));
        robot.push(KeyCode.SPACE);
        settle(robot);
        assertThat(desk.cursor().orElseThrow().label()).isEqualTo("R20.2");
        robot.push(KeyCode.RIGHT).push(KeyCode.SPACE);
        settle(robot);
        until(robot, "1 hole was jumped over");
        robot.push(KeyCode.J);
        assertThat(desk.cursor().orElseThrow().label()).isEqualTo("R20.2");
        robot.push(KeyCode.CONTROL, KeyCode.ENTER);
        settle(robot);
        until(() -> !says(robot, "jumped over"));
    }

    @Test
    void a_held_key_marks_once_and_what_was_done_is_said_large_with_its_undo(FxRobot robot) throws Exception {
        robot.interact(() -> face("Upper skin"));
        robot.push(KeyCode.DIGIT3);
        task(robot, "match-drilled");
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R20.1"))));
        int before = desk.snapshot().log().marks().size();
        // A held key is pressed again and again and let go once.
        robot.interact(() -> {
            var scene = robot.lookup("#sheet").query().getScene();
            for (int i = 0; i < 8; i++) {
                Event.fireEvent(
                        scene.getFocusOwner(),
                        new KeyEvent(KeyEvent.KEY_PRESSED, " ", " ", KeyCode.SPACE, false, false, false, false));
            }
            Event.fireEvent(
                    scene.getFocusOwner(),
                    new KeyEvent(KeyEvent.KEY_RELEASED, " ", " ", KeyCode.SPACE, false, false, false, false));
        });
        settle(robot);
        assertThat(desk.snapshot().log().marks().stream()
                        .skip(before)
                        .map(Mark::hole)
                        .distinct())
                .containsExactly(hole("R20.1").hole().id());
        assertThat(robot.lookup("#done-line").query().isVisible()).isTrue();
        until(robot, "Marked 1 hole match drilled, R20.1.");
        until(robot, "Ctrl+Z takes it back");
    }

    @Test
    void a_sweep_does_not_mark_holes_that_must_wait_without_a_word(FxRobot robot) throws Exception {
        robot.interact(() -> face("Upper skin"));
        robot.push(KeyCode.DIGIT3);
        task(robot, "match-drilled");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        Task task = desk.taskProperty().get();
        List<HoleReading> guarded = desk.face().readings().stream()
                .filter(r -> desk.snapshot()
                        .guards(desk.face().face().id())
                        .marking(task, r, desk.unit())
                        .isPresent())
                .toList();
        assertThat(guarded).isNotEmpty();
        until(robot, "of these must wait");
        robot.push(KeyCode.CONTROL, KeyCode.ENTER);
        settle(robot);
        assertThat(task.left(desk.snapshot().log(), desk.face())).containsExactlyInAnyOrderElementsOf(guarded);
        robot.push(KeyCode.CONTROL, KeyCode.A);
        settle(robot);
        Button mark = robot.lookup("#work-mark").queryAs(Button.class);
        assertThat(mark.getText()).startsWith("Say why to mark " + guarded.size() + " ");
        robot.interact(() -> robot.lookup("#work-why").queryAs(TextField.class).setText("the cuff is scrapped"));
        assertThat(mark.getText()).startsWith("Mark " + guarded.size() + " ");
        robot.push(KeyCode.CONTROL, KeyCode.ENTER);
        settle(robot);
        assertThat(task.left(desk.snapshot().log(), desk.face())).isEmpty();
        assertThat(desk.snapshot().log().marks()).extracting(Mark::note).contains("the cuff is scrapped");
    }

    @Test
    void dressing_asks_only_for_what_is_dimpled_and_a_mark_is_taken_back(FxRobot robot) throws Exception {
        robot.interact(() -> face("Upper skin"));
        done(robot, Operation.FINAL_SIZE);
        done(robot, Operation.DEBURRED);
        robot.push(KeyCode.DIGIT4);
        assertThat(desk.taskProperty().get().operation()).isEqualTo(Operation.DIMPLED);
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R20.1"))));
        robot.push(KeyCode.CONTROL, KeyCode.ENTER);
        settle(robot);
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R20.1"))));
        assertThat(desk.taskProperty().get().done(desk.snapshot().log(), hole("R20.1")))
                .isTrue();
        robot.push(KeyCode.CONTROL, KeyCode.BACK_SPACE);
        settle(robot);
        assertThat(desk.taskProperty().get().done(desk.snapshot().log(), hole("R20.1")))
                .isFalse();
    }

    @Test
    void a_row_nobody_has_drilled_is_logged_only_with_a_word_and_the_keyboard_is_where_it_goes(FxRobot robot)
            throws Exception {
        robot.interact(() -> {
            face("Lower skin");
            desk.selectionProperty()
                    .set(Selection.row(
                            desk.face(), desk.face().readings().getLast().row().id(), Optional.empty()));
        });
        robot.push(KeyCode.DIGIT5);
        int before = desk.snapshot().log().entries().size();
        write(robot, "#log-who", "M");
        write(robot, "#log-minutes", "5");
        robot.push(KeyCode.CONTROL, KeyCode.ENTER);
        settle(robot);
        assertThat(desk.snapshot().log().entries()).hasSize(before);
        assertThat(says(robot, "Nothing was logged: the explanation is missing."))
                .isTrue();
        Node word = robot.lookup("#log-explanation").query();
        assertThat(word.getScene().getFocusOwner()).isSameAs(word);
        double end = word.localToScene(word.getBoundsInLocal()).getMaxY();
        Node go = robot.lookup("#log-go").query();
        assertThat(end).isLessThan(go.localToScene(go.getBoundsInLocal()).getMinY());

        robot.write("drilled before the log was begun");
        robot.push(KeyCode.CONTROL, KeyCode.ENTER);
        settle(robot);
        assertThat(desk.snapshot().log().entries()).hasSize(before + 1);
        assertThat(desk.snapshot()
                        .log()
                        .entries()
                        .getLast()
                        .work()
                        .orElseThrow()
                        .explanation())
                .isEqualTo("drilled before the log was begun");
    }
}
