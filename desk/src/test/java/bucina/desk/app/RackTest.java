package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.edit.AssemblyEdits;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import org.testfx.util.WaitForAsyncUtils;

/** What lists the build and its log follows what is done, without being made anew. */
class RackTest extends OnWindow {

    @Start
    void start(javafx.stage.Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private static List<Node> faces(FxRobot robot) {
        return new ArrayList<>(robot.lookup(".rack-face").queryAll());
    }

    private static String said(FxRobot robot, String query, int n) {
        return robot.lookup(query).nth(n).query().getAccessibleText();
    }

    private void sixAreSet(FxRobot robot) throws Exception {
        robot.clickOn(at(robot, "R1.3")).clickOn("#next");
        write(robot, "#log-who", "M");
        write(robot, "#log-minutes", "1");
        robot.clickOn("#log-go");
        settle(robot);
    }

    @Test
    void a_face_keeps_its_row_and_the_groups_stand_under_the_one_shown(FxRobot robot) throws Exception {
        List<Node> before = faces(robot);
        robot.interact(() -> face("Main spar web"));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(faces(robot)).isEqualTo(before);
        assertThat(before)
                .filteredOn(n -> n.getStyleClass().contains("current"))
                .containsExactly(before.get(2));
        Pane list = (Pane) before.get(2).getParent();
        List<String> groups =
                desk.face().face().groups().stream().map(g -> g.code()).toList();
        int at = list.getChildren().indexOf(before.get(2));
        assertThat(list.getChildren().subList(at + 1, at + 1 + groups.size()))
                .extracting(n -> n.getAccessibleText().split(" ")[1])
                .isEqualTo(groups);
        assertThat(robot.lookup(".rack-group").queryAll()).hasSize(groups.size());
    }

    @Test
    void what_is_set_is_counted_at_the_face_and_the_group(FxRobot robot) throws Exception {
        robot.interact(() -> face("Upper skin"));
        int all = desk.face().face().count();
        int done = desk.snapshot().installed(desk.face().face());
        assertThat(said(robot, ".rack-face", 0)).contains(done + " of " + all + " set");
        sixAreSet(robot);
        assertThat(said(robot, ".rack-face", 0)).contains(done + 6 + " of " + all + " set");
        assertThat(said(robot, ".rack-group", 0)).contains("US-1").endsWith(", chosen");
        robot.interact(() -> face("Lower skin"));
        robot.interact(() -> face("Upper skin"));
        assertThat(said(robot, ".rack-group", 0)).contains("US-1").doesNotContain("chosen");
    }

    @Test
    void another_name_and_another_order_are_seen(FxRobot robot) throws Exception {
        Face first = desk.snapshot().build().faces().getFirst().face();
        Id.Face id = first.id();
        List<Node> before = faces(robot);
        robot.interact(() -> desk.session()
                .plan(
                        "another name and place",
                        b -> AssemblyEdits.order(
                                AssemblyEdits.face(b, id, "Top", first.viewed(), first.xToward(), first.yToward()),
                                id,
                                false),
                        () -> {},
                        s -> {
                            throw new AssertionError(s);
                        }));
        settle(robot);
        List<Node> after = faces(robot);
        assertThat(after).hasSameSizeAs(before);
        assertThat(after.get(1).lookup(".rack-face-name"))
                .isInstanceOfSatisfying(
                        Labeled.class, l -> assertThat(l.getText()).isEqualTo("Top"));
        assertThat(after.getFirst()).isSameAs(before.get(1));
    }

    @Test
    void many_faces_come_some_at_a_time_and_all_of_them_in_order(FxRobot robot) throws Exception {
        robot.interact(() -> desk.session()
                .plan(
                        "many faces",
                        b -> {
                            Build more = b;
                            for (int i = 0; i < 45; i++) {
                                more = AssemblyEdits.addFace(
                                        more, b.assemblies().getFirst().id(), "F" + i, "from above", "aft", "outboard");
                            }
                            return more;
                        },
                        () -> {},
                        s -> {
                            throw new AssertionError(s);
                        }));
        until(() -> robot.lookup(".rack-face").queryAll().size() == 49);
        robot.interact(
                () -> assertThat(new ArrayList<>(robot.lookup(".rack-face-name").queryAllAs(Labeled.class)))
                        .extracting(Labeled::getText)
                        .isEqualTo(desk.snapshot().build().faces().stream()
                                .map(f -> f.face().name())
                                .toList()));
    }

    @Test
    void the_logbook_lists_what_was_logged_while_another_room_was_shown(FxRobot robot) throws Exception {
        robot.type(KeyCode.F7);
        ListView<?> list = robot.lookup("#log-list").queryAs(ListView.class);
        int before = list.getItems().size();
        robot.type(KeyCode.F3);
        sixAreSet(robot);
        assertThat(list.getItems()).hasSize(before);
        robot.type(KeyCode.F7);
        settle(robot);
        assertThat(list.getItems()).hasSizeGreaterThan(before);
    }
}
