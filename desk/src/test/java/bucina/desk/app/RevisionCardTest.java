package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.plan.Face;
import bucina.core.plan.Hole;
import bucina.core.sheet.Point;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** A drawing that is brought in again is laid over what is there; what was done on a hole is not moved unasked. */
class RevisionCardTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    /** The holes of the face shown as a table, two of them drawn elsewhere, one not drawn, one more. */
    private String revised(Hole logged, Hole free, Hole gone) {
        StringBuilder table = new StringBuilder("x_in,y_in\n");
        for (Hole h : holes()) {
            double by = h.id().equals(logged.id()) || h.id().equals(free.id()) ? .1 : 0;
            if (!h.id().equals(gone.id())) {
                table.append(String.format(
                        Locale.ROOT,
                        "%.6f,%.6f%n",
                        h.at().across().in() + by,
                        h.at().up().in()));
            }
        }
        return table.append("30,30\n").toString();
    }

    private Face face() {
        return desk.snapshot().build().face("Lower skin").orElseThrow().face();
    }

    private List<Hole> holes() {
        return face().groups().stream()
                .flatMap(g -> g.rows().stream())
                .flatMap(r -> r.holes().stream())
                .toList();
    }

    private Hole hole(boolean done) {
        return holes().stream()
                .filter(h -> desk.snapshot().log().installedBy(h.id()).isPresent() == done)
                .filter(h -> done
                        || desk.snapshot().log().marks().stream()
                                .noneMatch(m -> m.hole().equals(h.id()) && m.on()))
                .findFirst()
                .orElseThrow();
    }

    private Point at(Hole hole) {
        return holes().stream()
                .filter(h -> h.id().equals(hole.id()))
                .findFirst()
                .orElseThrow()
                .at();
    }

    @Test
    void what_is_ticked_is_taken_over_and_what_was_made_stays(FxRobot robot) throws Exception {
        robot.interact(() -> desk.show(face().id()));
        Hole logged = hole(true);
        Hole free = hole(false);
        Hole gone = holes().stream()
                .filter(h ->
                        h != free && desk.snapshot().log().installedBy(h.id()).isEmpty())
                .reduce((a, b) -> b)
                .orElseThrow();
        Path table = Files.writeString(folder.resolve("revised.csv"), revised(logged, free, gone));
        int before = holes().size();
        layOver(robot, table);
        until(robot, "4 changes.");
        List<CheckBox> ticks = List.copyOf(robot.lookup(".check-box").queryAllAs(CheckBox.class));
        CheckBox asked = ticks.stream()
                .filter(t -> t.getText().contains("logged as set"))
                .findFirst()
                .orElseThrow();
        assertThat(asked.isSelected()).isFalse();
        assertThat(ticks.stream().filter(CheckBox::isSelected)).hasSize(3);
        Point stays = at(logged);
        Point moves = at(free);
        robot.interact(() -> robot.lookup("#bring-go").queryAs(Button.class).fire());
        until(() -> at(free).to(moves).in() > .09);
        assertThat(at(logged)).isEqualTo(stays);
        assertThat(holes()).hasSize(before);
        assertThat(holes()).noneMatch(h -> h.id().equals(gone.id()));
    }

    private void layOver(FxRobot robot, Path table) throws Exception {
        robot.push(KeyCode.I);
        until(() -> robot.lookup("#bring-path").tryQuery().isPresent());
        write(robot, "#bring-path", table.toString());
        robot.interact(() -> robot.lookup("#bring-path")
                .queryAs(TextField.class)
                .getOnAction()
                .handle(null));
        until(robot, "tell no diameter");
        robot.interact(() -> robot.lookup("#bring-where")
                .queryAs(ComboBox.class)
                .getSelectionModel()
                .selectLast());
    }

    @Test
    void what_is_too_much_to_list_is_taken_over_only_where_it_is_ticked(FxRobot robot) throws Exception {
        robot.interact(() -> desk.show(face().id()));
        StringBuilder table = new StringBuilder("x_in,y_in\n");
        for (int i = 0; i < 400; i++) {
            table.append(100 + i).append(",30\n");
        }
        layOver(robot, Files.writeString(folder.resolve("elsewhere.csv"), table));
        until(() -> robot.lookup("#change-300").tryQuery().isPresent());
        int before = holes().size();
        robot.interact(() -> robot.lookup("Tick none").queryAs(Button.class).fire());
        robot.interact(() -> robot.lookup("#bring-go").queryAs(Button.class).fire());
        until(robot, "Nothing is ticked: the plan stays as it is.");
        assertThat(holes()).hasSize(before);
        robot.interact(() -> robot.lookup("#change-300").queryAs(CheckBox.class).fire());
        robot.interact(() -> robot.lookup("#bring-go").queryAs(Button.class).fire());
        until(() -> holes().size() > before);
    }
}
