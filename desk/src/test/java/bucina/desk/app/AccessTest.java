package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.plan.Flange;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Tool;
import bucina.core.reach.Hatches;
import bucina.core.reach.ToolCrib;
import bucina.desk.session.Selection;
import java.io.IOException;
import java.util.Optional;
import java.util.Set;
import javafx.event.ActionEvent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** What keeps a tool or an arm away, said and asked in the real window. */
class AccessTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private Layer layer(String name) {
        return desk.face().face().layers().stream()
                .filter(l -> l.name().startsWith(name))
                .findFirst()
                .orElseThrow();
    }

    private Group group(String code) {
        return desk.face().face().groups().stream()
                .filter(g -> g.code().equals(code))
                .findFirst()
                .orElseThrow();
    }

    private void commit(FxRobot robot, String query, String text) throws Exception {
        robot.interact(() -> {
            TextField field = robot.lookup(query).queryAs(TextField.class);
            field.setText(text);
            field.fireEvent(new ActionEvent());
        });
        settle(robot);
    }

    @SuppressWarnings("unchecked") // TestFX knows nothing of what is in a box.
    private <T> void choose(FxRobot robot, String box, T value) throws Exception {
        robot.interact(() -> ((ComboBox<T>) robot.lookup(box).queryAs(ComboBox.class)).setValue(value));
        settle(robot);
    }

    private void press(FxRobot robot, String words) throws Exception {
        robot.interact(() -> robot.lookup(".button").queryAllAs(Button.class).stream()
                .filter(b -> words.equals(b.getAccessibleText()) || b.getText().startsWith(words))
                .findFirst()
                .orElseThrow()
                .fire());
        settle(robot);
    }

    @Test
    void a_flange_is_bent_to_one_side_so_high_and_bad_words_change_nothing(FxRobot robot) throws Exception {
        robot.interact(() -> {
            face("Upper skin");
            desk.changingProperty().set(true);
            desk.selectionProperty().set(Selection.none(desk.face().face().id()));
            desk.layerProperty().set(Optional.of(layer("Main rib 1").id()));
        });
        settle(robot);
        commit(robot, "#sheet-bends", "4, 0 up 4, 6");
        until(robot, "is no bend: write where its tangent begins and ends, like .4, 0 to .4, 12");
        assertThat(layer("Main rib 1").flange()).isEqualTo(Flange.NONE);
        commit(robot, "#sheet-bends", "11.2, -7 to 11.2, 0; 11.2, 1 to 11.2, 10");
        until(() -> layer("Main rib 1").bends().size() == 2);
        assertThat(layer("Main rib 1").flange().stands()).isEqualTo(Flange.Stands.UNSAID);
        choose(robot, "#sheet-stands", Flange.Stands.FAR);
        commit(robot, "#sheet-high", "2.75");
        until(() -> layer("Main rib 1").flange().height().in() == 2.75);
        assertThat(layer("Main rib 1").flange().stands()).isEqualTo(Flange.Stands.FAR);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> layer("Main rib 1").flange().height().in() == 0);
    }

    @Test
    void a_row_comes_under_a_sheet_and_is_set_with_what_is_chosen(FxRobot robot) throws Exception {
        robot.interact(() -> {
            face("Upper skin");
            desk.changingProperty().set(true);
            desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R1.5")));
        });
        settle(robot);
        until(robot, "Back-riveting gets at 48 of 48 in R1");
        choose(robot, "#group-with", Optional.of(Tool.Kind.BACK_RIVET));
        until(() -> group("US-1").holes().with().equals(Optional.of(Tool.Kind.BACK_RIVET)));
        int sheets = hole("R1.5").layers().size();
        Layer skin = layer("Upper skin");
        choose(robot, "#group-under", Set.of(skin.id()));
        until(() -> group("US-1").holes().under().equals(Set.of(skin.id())));
        until(() -> hole("R1.5").layers().size() == sheets - 1);
    }

    @Test
    void a_tool_that_is_not_there_is_planned_with_no_more_until_it_is_again(FxRobot robot) throws Exception {
        robot.push(KeyCode.V);
        until(robot, "dimpled: C-frame");
        press(robot, "There is no C-frame");
        until(() -> says(robot, "no c frame") && !says(robot, "dimpled: C-frame"));
        assertThat(ToolCrib.of(session.snapshot().build(), session.catalogue()))
                .noneMatch(t -> t.kind() == Tool.Kind.C_FRAME);
        press(robot, "Typical again");
        until(robot, "dimpled: C-frame");
    }

    @Test
    void hatches_are_proposed_for_what_no_arm_reaches_and_cut(FxRobot robot) throws Exception {
        robot.interact(() -> face("Upper skin"));
        settle(robot);
        robot.push(KeyCode.CONTROL, KeyCode.J);
        until(robot, "There is nothing to reach here.");
        choose(robot, "#hatch-for", Hatches.For.JOINTS);
        until(robot, "2 hatches would bring them within reach");
        until(robot, "nothing is taken for a wall");
        Id.Layer skin = layer("Upper skin").id();
        robot.push(KeyCode.CONTROL, KeyCode.ENTER);
        until(() -> desk.face().face().layers().stream()
                .anyMatch(l -> l.id().equals(skin) && l.outline().openings().size() == 2));
    }
}
