package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.gauge.GaugeLines;
import bucina.core.measure.Length;
import bucina.core.sums.Sums;
import bucina.desk.gauge.Pty;
import bucina.desk.session.Desk;
import java.io.IOException;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** Readings of a gauge in the real window. */
class GaugeCardTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private static TextField field(FxRobot robot, String id) {
        return robot.lookup(id).queryAs(TextField.class);
    }

    private void coupon(FxRobot robot) throws Exception {
        robot.push(KeyCode.F5);
        until(() -> desk.roomProperty().get() == Desk.Room.SUMS);
        robot.clickOn(Sums.of("coupon").orElseThrow().title());
        until(() -> robot.lookup("#ask-scrap").tryQuery().isPresent());
        robot.interact(() -> {
            field(robot, "#ask-scrap").setText(".165");
            field(robot, "#ask-checks").setText("");
            field(robot, "#ask-scrap").requestFocus();
        });
        robot.push(KeyCode.CONTROL, KeyCode.G);
        until(() -> robot.lookup("#gauge-card").tryQuery().isPresent());
    }

    @Test
    void the_simulated_caliper_adds_to_the_field_that_had_the_keyboard_and_the_answer_follows(FxRobot robot)
            throws Exception {
        coupon(robot);
        until(robot, "Readings go to: Read on scrap.");
        robot.clickOn("#gauge-simulated");
        robot.clickOn("#gauge-jaws").write("4.52 mm").push(KeyCode.ENTER);
        until(() -> field(robot, "#ask-scrap").getText().equals(".165, .1780"));
        robot.clickOn("#gauge-jaws").write("four").push(KeyCode.ENTER);
        until(robot, "Jaws: ");
        assertThat(field(robot, "#ask-scrap").getText()).isEqualTo(".165, .1780");
        robot.push(KeyCode.ESCAPE);
        until(robot, "scrap 2");
    }

    @Test
    void a_serial_gauge_sends_into_the_field_is_unplugged_and_the_readings_stay(FxRobot robot) throws Exception {
        coupon(robot);
        try (Pty pty = new Pty()) {
            robot.interact(() -> field(robot, "#gauge-port").setText(pty.device()));
            robot.clickOn("#gauge-connect");
            until(() -> says(robot, "Ready: " + pty.device()));
            for (int i = 0; i < 100; i++) {
                pty.send(GaugeLines.line(Length.mm(4.5)));
            }
            pty.send("4.5\r\n");
            until(robot, "is no reading, not used");
            assertThat(field(robot, "#ask-scrap").getText().split(",")).hasSize(101);
        }
        until(robot, "no longer there");
        assertThat(field(robot, "#ask-scrap").getText().split(",")).hasSize(101);
        robot.interact(() -> field(robot, "#gauge-port").setText(""));
        robot.clickOn("#gauge-off");
        robot.clickOn("#gauge-connect");
        until(robot, "No port is named");
    }
}
