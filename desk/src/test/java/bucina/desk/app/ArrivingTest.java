package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.desk.session.Desk;
import bucina.desk.session.Prefs;
import bucina.desk.sheet.SheetView;
import java.io.IOException;
import java.time.Clock;
import javafx.scene.Scene;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

class ArrivingTest extends OnWindow {

    private Desk other;
    private double wide;

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    /** As a build is opened: with what now, then its sheet. */
    private void fromTonight(FxRobot robot) {
        other = new Desk(session, Prefs.in(folder));
        other.roomProperty().set(Desk.Room.TONIGHT);
        Scene scene = new DeskWindow(other, Clock.systemDefaultZone(), opened::add, guided).scene();
        ((Stage) robot.listWindows().getFirst()).setScene(scene);
        other.roomProperty().set(Desk.Room.SHEET);
        scene.getRoot().applyCss();
        scene.getRoot().layout();
        wide = ((SheetView) scene.lookup("#sheet")).getWidth();
        assertThat(scene.lookup(".rack")).isNull();
        assertThat(scene.lookup(".bench-side")).isNull();
    }

    @Test
    void what_stands_beside_the_sheet_comes_a_frame_later_and_moves_nothing(FxRobot robot) throws Exception {
        robot.interact(() -> fromTonight(robot));
        until(() -> robot.lookup(".bench-side").tryQuery().isPresent());
        assertThat(robot.lookup(".rack").tryQuery()).isPresent();
        settle(robot);
        assertThat(robot.lookup("#sheet").queryAs(SheetView.class).getWidth()).isEqualTo(wide);
    }

    @Test
    void a_room_that_was_left_comes_back_whole(FxRobot robot) throws Exception {
        robot.interact(() -> fromTonight(robot));
        until(() -> robot.lookup(".bench-side").tryQuery().isPresent());
        robot.interact(() -> {
            other.roomProperty().set(Desk.Room.TONIGHT);
            other.roomProperty().set(Desk.Room.SHEET);
            assertThat(robot.lookup(".rack").tryQuery()).isPresent();
            assertThat(robot.lookup(".bench-side").tryQuery()).isPresent();
        });
    }
}
