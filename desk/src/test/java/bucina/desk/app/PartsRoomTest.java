package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.Hours;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.desk.session.PartLines;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

class PartsRoomTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private Part part(String name) {
        return session.snapshot().parts().named(name).orElseThrow();
    }

    private void pick(FxRobot robot, String name) throws Exception {
        robot.interact(() -> desk.partProperty().set(Optional.of(part(name).id())));
        robot.push(KeyCode.F1).push(KeyCode.F6);
        settle(robot);
    }

    private void fire(FxRobot robot, String query) throws Exception {
        robot.interact(() -> robot.lookup(query).queryAs(ButtonBase.class).fire());
        settle(robot);
    }

    private static List<PartLines.Line> lines(FxRobot robot) {
        ListView<PartLines.Line> list = robot.lookup("#part-list").query();
        return List.copyOf(list.getItems());
    }

    @Test
    void a_part_is_taken_off_by_key_ticked_off_and_is_so_on_the_disk(FxRobot robot) throws Exception {
        pick(robot, "Main rib 6");
        robot.push(KeyCode.CONTROL, KeyCode.DIGIT4);
        settle(robot);
        assertThat(part("Main rib 6").standing()).isEqualTo(Standing.OFF);
        int owed = session.snapshot().parts().owed(part("Main rib 6").id()).size();
        fire(robot, "#owed-deburr-edges");
        assertThat(session.snapshot().parts().owed(part("Main rib 6").id())).hasSize(owed - 1);
        write(robot, "#owe-more", "corner-relief");
        robot.interact(() -> robot.lookup("#owe-to")
                .queryAs(ComboBox.class)
                .getSelectionModel()
                .selectLast());
        fire(robot, "#owe-put");
        assertThat(session.snapshot().parts().owed(part("Nose rib 1").id()))
                .extracting(o -> o.task())
                .contains("corner-relief");
        try (BuildFile disk = BuildFile.openToRead(file)) {
            BuildFile.Contents held = disk.read();
            assertThat(held.build().part(part("Main rib 6").id()).standing()).isEqualTo(Standing.OFF);
            assertThat(held.log().tasks().done(part("Main rib 6").id(), "deburr-edges"))
                    .isPresent();
        }
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        settle(robot);
        assertThat(part("Main rib 6").standing()).isEqualTo(Standing.DRY);
        assertThat(session.snapshot().parts().owed(part("Main rib 6").id())).hasSize(owed);
    }

    @Test
    void parts_are_searched_joined_split_and_taken_in_from_a_list(FxRobot robot) throws Exception {
        pick(robot, "Access ring");
        write(robot, "#part-search", "nose rib");
        assertThat(lines(robot)).hasSize(9);
        write(robot, "#part-search", "");
        pick(robot, "Lower skin");
        int before = session.snapshot().build().parts().size();
        robot.interact(() -> {
            ComboBox<Part> with = robot.lookup("#join-with").query();
            with.setValue(part("Access ring"));
        });
        fire(robot, "#part-join");
        assertThat(session.snapshot().build().parts()).hasSize(before - 1);
        assertThat(part("Access ring").name()).isEqualTo("Lower skin");
        fire(robot, "#part-lists");
        OnWindow.until(() -> robot.lookup("#part-list-text").tryQuery().isPresent());
        robot.interact(() -> robot.lookup("#part-list-text")
                .queryAs(TextArea.class)
                .setText("number\tname\nDX-1\tFairing\nDX-2\tFairing clip"));
        fire(robot, "#part-list-take");
        assertThat(part("DX-2").name()).isEqualTo("Fairing clip");
        assertThat(lines(robot)).hasSize(before + 1);
    }

    @Test
    void marks_gather_into_the_entry_of_the_running_timer(FxRobot robot) throws Exception {
        desk.prefs().keep("who", "M. Oake");
        robot.push(KeyCode.M);
        robot.push(KeyCode.DIGIT3);
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R16.2"))));
        robot.push(KeyCode.SPACE);
        settle(robot);
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R16.3"))));
        robot.push(KeyCode.SPACE);
        settle(robot);
        int entries = session.snapshot().log().entries().size();
        robot.push(KeyCode.M);
        settle(robot);
        LogEntry last = session.snapshot().log().entries().getLast();
        assertThat(session.snapshot().log().entries()).hasSize(entries + 1);
        assertThat(last.labour().orElseThrow().what())
                .isInstanceOfSatisfying(
                        Labour.Holes.class,
                        h -> assertThat(h.sweeps())
                                .singleElement()
                                .satisfies(s -> assertThat(s.holes()).hasSize(2)));
        assertThat(last.labour().orElseThrow().minutes()).isLessThanOrEqualTo(1);
    }

    @Test
    void work_on_a_part_is_logged_and_its_minutes_are_in_every_sum(FxRobot robot) throws Exception {
        desk.prefs().keep("who", "M. Oake");
        robot.push(KeyCode.CONTROL, KeyCode.L);
        OnWindow.until(() -> robot.lookup("#work-part").tryQuery().isPresent());
        robot.interact(() -> {
            ComboBox<Part> box = robot.lookup("#work-part").query();
            box.setValue(part("Main rib 7"));
        });
        write(robot, "#work-minutes", "25");
        fire(robot, "#work-go");
        assertThat(session.snapshot()
                        .log()
                        .entries()
                        .getLast()
                        .labour()
                        .orElseThrow()
                        .minutes())
                .isEqualTo(25);
        assertThat(session.snapshot().log().tasks().of(part("Main rib 7").id())).containsKey("deburr-edges");
        robot.push(KeyCode.F3);
        fire(robot, "#log-hours");
        Hours hours = Hours.of(session.snapshot().build(), session.snapshot().log());
        assertThat(says(robot, hours.total() / 60 + " h " + hours.total() % 60 + " min in all"))
                .isTrue();
        assertThat(says(robot, hours.total() / 60 + " h " + hours.total() % 60 + " min of work"))
                .isTrue();
    }
}
