package bucina.pictures;

import java.io.IOException;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** Every view of the sheet in the largest text. */
class LargeTextTest extends OnPoses {

    @Start
    void start(Stage first) throws IOException {
        open(first);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    /** Text twice as large: long words may be cut then, but everything is still there to be worked with. */
    @Test
    void nothing_hangs_over_the_edge_in_the_largest_text(FxRobot robot) throws Exception {
        robot.interact(() -> desk.look().scaleProperty().set(200));
        each(robot, Poses.stabilator(desk, window, stage.getScene()));
    }
}
