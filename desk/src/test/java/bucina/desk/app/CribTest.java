package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.Operation;
import bucina.core.measure.Length;
import bucina.core.plan.Tool;
import bucina.core.progress.Task;
import bucina.core.reach.ToolCrib;
import java.io.IOException;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** The tool crib and nut plates in the real window. */
class CribTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void fire(FxRobot robot, String query) throws Exception {
        robot.interact(() -> robot.lookup(query).queryAs(Button.class).fire());
        settle(robot);
    }

    @Test
    void a_tool_of_ones_own_takes_the_place_of_the_typical_ones_and_holes_are_picked_by_what_reaches(FxRobot robot)
            throws Exception {
        robot.push(KeyCode.V);
        until(robot, "dimpled: ");
        until(robot, "Squeezer with 3 in yoke");
        write(robot, "#crib-name", "Blue yoke");
        write(robot, "#crib-sizes", ".75");
        fire(robot, "#crib-add");
        until(robot, "throat and clear radius");
        write(robot, "#crib-sizes", ".75, .4");
        fire(robot, "#crib-add");
        assertThat(session.snapshot().build().workshop().tools()).anySatisfy(t -> {
            assertThat(t.name()).isEqualTo("Blue yoke");
            assertThat(t.kind()).isEqualTo(Tool.Kind.YOKE);
            assertThat(t.throat()).isEqualTo(Length.in(.75));
        });
        until(() -> !says(robot, "Squeezer with 3 in yoke") && says(robot, "dimpled: "));
        robot.interact(() -> robot.lookup("#reach-card .dress-pick").queryAllAs(Button.class).stream()
                .filter(b -> b.getText().endsWith("holes"))
                .findFirst()
                .orElseThrow()
                .fire());
        assertThat(desk.selectionProperty().get().holes().size()).isGreaterThan(1);
        assertThat(robot.lookup("#reach-card").tryQuery()).isEmpty();
    }

    @Test
    void nut_plates_go_behind_a_ring_of_screws_and_off_again(FxRobot robot) throws Exception {
        robot.interact(() -> face("Lower skin"));
        int layers = desk.face().face().layers().size();
        robot.push(KeyCode.O);
        assertThat(robot.lookup("#np-go").queryAs(Button.class).isDisabled()).isTrue();
        write(robot, "#np-lug", ".025");
        until(robot, "8 plates, 16 lug rivets, all along the edge.");
        fire(robot, "#np-go");
        assertThat(desk.face().face().layers()).hasSize(layers + 8);
        robot.interact(() -> session.history().undo(s -> {}));
        settle(robot);
        assertThat(desk.face().face().layers()).hasSize(layers);
    }

    @Test
    void a_typed_pattern_says_what_is_wrong_with_it(FxRobot robot) throws Exception {
        robot.interact(() -> face("Upper skin"));
        robot.push(KeyCode.O);
        robot.interact(
                () -> robot.lookup("#np-pattern").queryAs(TextField.class).setText("ring of 8"));
        until(robot, "is no pattern of screws");
        robot.interact(
                () -> robot.lookup("#np-pattern").queryAs(TextField.class).setText("row:3:.3"));
        until(robot, "their heads are .332 in across");
    }

    @Test
    void what_tools_reach_is_shown_on_the_sheet_hole_by_hole_and_put_away(FxRobot robot) throws Exception {
        robot.interact(() -> {
            face("Upper skin");
            desk.taskProperty().set(Task.of(Operation.COUNTERSUNK));
            desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R1.9")));
        });
        robot.push(KeyCode.Z);
        until(robot, "Reach, countersinking");
        until(robot, "another tool 68");
        assertThat(text(robot, "#reach-hole"))
                .isEqualTo("R1.9, countersunk: Piloted cutter by hand. Stop-cage countersink tips over the edge: it "
                        + "needs .500 in of "
                        + "sheet, there is .430 in.");
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R18.2"))));
        assertThat(text(robot, "#reach-hole")).isEqualTo("R18.2 is not countersunk.");
        fire(robot, "#reach-next");
        until(robot, "Reach, setting");
        // A tool of one's own changes what is shown.
        robot.interact(() -> session.plan(
                "adding a cage",
                b -> ToolCrib.plus(b, Tool.Kind.STOP_CAGE, "Small cage", List.of(Length.in(.4))),
                () -> {},
                s -> {}));
        fire(robot, "#reach-next");
        until(robot, "Reach, dimpling");
        fire(robot, "#reach-next");
        until(() -> says(robot, "Reach, countersinking") && !says(robot, "another tool 68"));
        robot.push(KeyCode.ESCAPE);
        assertThat(robot.lookup("#reach-bar").query().isVisible()).isFalse();
        assertThat(desk.cursor()).isPresent();
    }

    @Test
    void a_one_lug_plate_is_entered_from_the_drawing(FxRobot robot) throws Exception {
        robot.interact(() -> face("Lower skin"));
        robot.push(KeyCode.O);
        write(robot, "#np-lug", ".025");
        write(robot, "#np-places", ".344");
        until(robot, "are no places x, y from the screw");
        assertThat(robot.lookup("#np-go").queryAs(Button.class).isDisabled()).isTrue();
        write(robot, "#np-places", ".344, 0; .344, .3; -.344, 0");
        until(robot, "8 plates, 24 lug rivets");
    }
}
