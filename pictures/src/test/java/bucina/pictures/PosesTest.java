package bucina.pictures;

import bucina.desk.session.DemoBuild;
import bucina.desk.session.Session;
import java.io.IOException;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** Every view of the sheet that has a picture, of both demonstrations. */
class PosesTest extends OnPoses {

    @Start
    void start(Stage first) throws IOException {
        open(first);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    @Test
    void the_sheet_and_its_cards(FxRobot robot) throws Exception {
        each(robot, Poses.stabilator(desk, window, stage.getScene()));
    }

    @Test
    void the_locker_in_millimetres(FxRobot robot) throws Exception {
        robot.interact(() -> {
            Session first = session;
            begin(DemoBuild.Which.LOCKER);
            worker.execute(first::close);
        });
        rest(robot);
        each(robot, Poses.locker(desk, window, stage.getScene()));
    }
}
