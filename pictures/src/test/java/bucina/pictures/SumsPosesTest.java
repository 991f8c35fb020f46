package bucina.pictures;

import java.io.IOException;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** Every sum. */
class SumsPosesTest extends OnPoses {

    @Start
    void start(Stage first) throws IOException {
        open(first);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    @Test
    void every_sum(FxRobot robot) throws Exception {
        each(robot, CardPoses.sums(desk, window, stage.getScene()));
    }
}
