package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.measure.Unit;
import bucina.core.plan.Face;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** A drawing whose unit nobody has said does not come in by a guess. */
class BringUnitTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void bring(FxRobot robot, String unit) throws Exception {
        Path drawing = folder.resolve("plate.dxf");
        Files.writeString(
                drawing,
                ("0 SECTION 2 HEADER 9 $INSUNITS 70 " + unit + " 0 ENDSEC 0 SECTION 2 ENTITIES "
                                + "0 LWPOLYLINE 8 S 70 1 10 0 20 0 10 10 20 0 10 10 20 5 10 0 20 5 "
                                + "0 CIRCLE 8 H 10 1 20 1 40 .12 0 SPLINE 8 N 10 3 20 4 0 ENDSEC 0 EOF ")
                        .replace(' ', '\n'));
        read(robot, drawing);
        until(robot, "1 SPLINE on layer \"N\" is left out");
    }

    private void read(FxRobot robot, Path drawing) throws Exception {
        robot.push(KeyCode.I);
        until(() -> robot.lookup("#bring-path").tryQuery().isPresent());
        write(robot, "#bring-thickness", ".032");
        write(robot, "#bring-path", drawing.toString());
        robot.interact(() -> robot.lookup("#bring-path")
                .queryAs(TextField.class)
                .getOnAction()
                .handle(null));
    }

    private void go(FxRobot robot) {
        robot.interact(() -> robot.lookup("#bring-go").queryAs(Button.class).fire());
    }

    private double wide() {
        Face face = desk.snapshot().build().face("plate").orElseThrow().face();
        return face.layers().getFirst().outline().box().width() / Unit.INCH.nanometres();
    }

    @Test
    void it_is_asked_for_before_anything_comes_in(FxRobot robot) throws Exception {
        bring(robot, "0");
        go(robot);
        until(robot, "It is not said yet what the file leaves open: press an answer.");
        assertThat(desk.snapshot().build().face("plate")).isEmpty();
        until(() -> robot.lookup("#bring-answer-in").query().isFocused());
        robot.push(KeyCode.SPACE);
        until(() -> robot.lookup("#bring-answer-in").tryQuery().isEmpty());
        go(robot);
        until(() -> desk.snapshot().build().face("plate").isPresent());
        assertThat(wide()).isEqualTo(10);
    }

    @Test
    void lines_of_another_layer_in_a_sheet_are_asked_about(FxRobot robot) throws Exception {
        Path drawing = folder.resolve("plate.dxf");
        Files.writeString(
                drawing,
                ("0 SECTION 2 HEADER 9 $INSUNITS 70 1 0 ENDSEC 0 SECTION 2 ENTITIES "
                                + "0 LWPOLYLINE 8 S 70 1 10 0 20 0 10 10 20 0 10 10 20 5 10 0 20 5 "
                                + "0 CIRCLE 8 CUT 10 3 20 2 40 1 0 CIRCLE 8 H 10 8 20 1 40 .06425 0 ENDSEC 0 EOF ")
                        .replace(' ', '\n'));
        read(robot, drawing);
        until(robot, "Are they openings of it, or sheets of their own that lie on it?");
        until(robot, "1 hole of .1285 in is for MS20426AD4, not MS20426AD3.");
        robot.interact(
                () -> robot.lookup("#bring-answer-sheets").queryAs(Button.class).fire());
        until(robot, "2 sheets, 1 hole in 1 row.");
        go(robot);
        until(() -> desk.snapshot().build().face("plate").isPresent());
        assertThat(desk.snapshot().build().face("plate").orElseThrow().face().layers())
                .hasSize(2);
    }

    @Test
    void chosen_it_is_not_asked_for_again(FxRobot robot) throws Exception {
        bring(robot, "0");
        robot.interact(() -> robot.lookup("#bring-unit").<ComboBox<Unit>>query().setValue(Unit.MM));
        until(robot, "Sheet S: .39");
        go(robot);
        until(() -> desk.snapshot().build().face("plate").isPresent());
        assertThat(wide()).isBetween(.393, .394);
    }

    @Test
    void what_the_file_says_counts_and_is_told(FxRobot robot) throws Exception {
        bring(robot, "5");
        until(robot, "The file says its figures are centimetres.");
        assertThat(robot.lookup("#bring-unit").queryAs(ComboBox.class).getValue())
                .isEqualTo(Unit.MM);
        go(robot);
        until(() -> desk.snapshot().build().face("plate").isPresent());
        assertThat(wide()).isBetween(3.93, 3.94);
    }

    @Test
    void another_unit_than_the_file_says_is_asked_about_and_taken_as_answered(FxRobot robot) throws Exception {
        bring(robot, "5");
        robot.interact(() -> robot.lookup("#bring-unit").<ComboBox<Unit>>query().setValue(Unit.INCH));
        until(robot, "The file says its figures are centimetres, and in is asked for. Its figures are:");
        go(robot);
        until(robot, "It is not said yet what the file leaves open: press an answer.");
        assertThat(desk.snapshot().build().face("plate")).isEmpty();
        robot.interact(
                () -> robot.lookup("#bring-answer-file").queryAs(Button.class).fire());
        until(robot, "Sheet S: 3.937 in by");
        robot.interact(() -> robot.lookup("#bring-unit").<ComboBox<Unit>>query().setValue(Unit.INCH));
        until(() -> robot.lookup("#bring-answer-in").tryQuery().isPresent());
        robot.interact(
                () -> robot.lookup("#bring-answer-in").queryAs(Button.class).fire());
        until(robot, "Sheet S: 10.000 in by");
        go(robot);
        until(() -> desk.snapshot().build().face("plate").isPresent());
        assertThat(wide()).isEqualTo(10);
    }
}
