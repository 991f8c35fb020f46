package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.HoleState;
import bucina.desk.session.Playing;
import java.io.IOException;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** The cleco plan played in the real window. */
class ClecoBarTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private Playing play(FxRobot robot) throws Exception {
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R18.3"))));
        robot.push(KeyCode.Q);
        until(() -> desk.over().playingProperty().get().isPresent());
        return desk.over().playingProperty().get().orElseThrow();
    }

    @SuppressWarnings("unchecked")
    private static void work(FxRobot robot, Playing.Work work) {
        robot.lookup("#cleco-work").queryAs(ComboBox.class).setValue(work);
    }

    @Test
    void the_picked_row_is_stepped_through_and_back_with_the_keyboard(FxRobot robot) throws Exception {
        Playing first = play(robot);
        assertThat(first.row().row().name()).isEqualTo("R18");
        // Seven holes from the middle: the locating clecos at 2 and 6, then 4 is drilled.
        until(robot, "1 of 12.  Cleco R18.2, R18.6, drill R18.4.");
        assertThat(first.states().get(hole("R18.4").hole().id())).isEqualTo(HoleState.DRILLED);
        assertThat(first.states().get(hole("R18.2").hole().id())).isEqualTo(HoleState.CLECOED);
        robot.push(KeyCode.PERIOD);
        until(robot, "2 of 12.  Cleco R18.4, drill R18.5.");
        robot.push(KeyCode.COMMA);
        assertThat(desk.over().playingProperty().get().orElseThrow().step()).isZero();
        robot.push(KeyCode.ESCAPE);
        assertThat(desk.over().playingProperty().get()).isEmpty();
    }

    @Test
    void two_people_share_the_row_and_the_next_row_follows(FxRobot robot) throws Exception {
        play(robot);
        robot.interact(() -> work(robot, Playing.Work.TWO));
        until(() -> desk.over()
                .playingProperty()
                .get()
                .filter(p -> p.work() == Playing.Work.TWO)
                .isPresent());
        robot.push(KeyCode.PERIOD);
        until(robot, "One drills R18.4");
        robot.interact(() -> robot.lookup("#cleco-next").queryAs(Button.class).fire());
        until(() -> desk.over()
                .playingProperty()
                .get()
                .filter(p -> !p.row().row().name().equals("R18"))
                .isPresent());
    }

    @Test
    void a_drilled_row_is_riveted_from_the_middle_a_cleco_pulled_at_a_time(FxRobot robot) throws Exception {
        play(robot);
        robot.interact(() -> work(robot, Playing.Work.RIVET));
        until(() -> desk.over()
                .playingProperty()
                .get()
                .filter(p -> p.work() == Playing.Work.RIVET)
                .isPresent());
        // Seven holes: clecos in 1, 3, 5, 7; then 4, 2, 6 are set, then 3, 5, 1, 7.
        until(robot, "1 of 8.  Cleco R18.1, R18.3, R18.5, R18.7.");
        robot.push(KeyCode.PERIOD);
        until(robot, "2 of 8.  Set R18.4.");
        for (int i = 0; i < 3; i++) {
            robot.push(KeyCode.PERIOD);
        }
        until(robot, "5 of 8.  Pull the cleco from R18.3, set R18.3.");
        assertThat(desk.over()
                        .playingProperty()
                        .get()
                        .orElseThrow()
                        .states()
                        .get(hole("R18.3").hole().id()))
                .isEqualTo(HoleState.SET);
        assertThat(desk.over().playingProperty().get().orElseThrow().inUse()).isEqualTo(3);
    }

    @Test
    void it_plays_by_itself_to_the_end_and_stops(FxRobot robot) throws Exception {
        play(robot);
        robot.push(KeyCode.SLASH);
        until(() -> desk.over()
                .playingProperty()
                .get()
                .filter(p -> p.step() == p.steps(desk.snapshot().holds()) - 1)
                .isPresent());
        until(() -> robot.lookup("#cleco-play").queryAs(Button.class).getText().equals("Play"));
        assertThat(desk.over().playingProperty().get().orElseThrow().states().values())
                .contains(HoleState.CLECOED);
    }

    @Test
    void the_whole_face_is_located_in_waves_with_its_corners_last(FxRobot robot) throws Exception {
        play(robot);
        robot.interact(() -> work(robot, Playing.Work.LOCATE));
        until(robot, "Clecos: the whole face");
        until(robot, "Every 8th hole: cleco ");
        until(robot, "Flat sheet: from the middle outward, the corners last.");
        int steps = desk.over()
                .playingProperty()
                .get()
                .orElseThrow()
                .steps(desk.snapshot().holds());
        robot.interact(() -> desk.over()
                .playingProperty()
                .set(desk.over()
                        .playingProperty()
                        .get()
                        .map(p -> p.at(desk.snapshot().holds(), steps))));
        until(robot, "Corners last: slack has run out to them.");
        // The bin of the demo has 120: every second hole of 267 would take more.
        until(robot, "The bin holds every 4th hole: not more.");
        assertThat(desk.over().playingProperty().get().orElseThrow().states().values())
                .allMatch(s -> s == HoleState.CLECOED)
                .hasSizeLessThanOrEqualTo(120);
    }
}
