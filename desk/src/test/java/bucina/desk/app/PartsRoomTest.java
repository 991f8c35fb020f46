package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.Hours;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.stack.HoleReading;
import bucina.desk.session.PartLines;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
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
        robot.push(KeyCode.F3).push(KeyCode.F4);
        settle(robot);
        open(robot, name);
    }

    /** Waits until the part is shown with everything that is said of it. */
    private void open(FxRobot robot, String name) throws Exception {
        OnWindow.until(() -> {
            String shown = robot.lookup("#part-detail").query().getAccessibleText();
            return shown != null
                    && shown.startsWith(name + " ")
                    && shown.contains(
                            session.snapshot().parts().words(part(name).id()));
        });
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
    void a_part_that_is_added_is_named_at_once_and_no_other(FxRobot robot) throws Exception {
        pick(robot, "Main rib 6");
        fire(robot, "#part-add");
        OnWindow.until(() -> robot.lookup("#part-detail").query().getScene().getFocusOwner() instanceof TextField name
                && name.getText().equals("New part")
                && name.getSelectedText().equals("New part"));
        robot.write("Strap").push(KeyCode.ENTER);
        OnWindow.until(() -> session.snapshot().parts().named("Strap").isPresent());
        pick(robot, "Main rib 6");
        assertThat(robot.lookup("#part-detail").query().getScene().getFocusOwner())
                .isSameAs(robot.lookup("#part-list").query());
    }

    @Test
    void a_part_is_taken_off_by_key_ticked_off_and_is_so_on_the_disk(FxRobot robot) throws Exception {
        pick(robot, "Main rib 6");
        robot.push(KeyCode.CONTROL, KeyCode.DIGIT4);
        settle(robot);
        assertThat(part("Main rib 6").standing()).isEqualTo(Standing.OFF);
        open(robot, "Main rib 6");
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
        robot.push(KeyCode.F7);
        fire(robot, "#log-hours");
        Hours hours = Hours.of(session.snapshot().build(), session.snapshot().log());
        assertThat(says(robot, hours.total() / 60 + " h " + hours.total() % 60 + " min in all"))
                .isTrue();
        assertThat(says(robot, hours.total() / 60 + " h " + hours.total() % 60 + " min of work"))
                .isTrue();
    }

    @Test
    void a_part_of_the_list_is_drawn_onto_how_it_stands(FxRobot robot) throws Exception {
        pick(robot, "Main rib 6");
        robot.drag(robot.lookup(".list-cell .label")
                        .match((Labeled l) -> "Main rib 6".equals(l.getText()))
                        .<Labeled>query())
                .dropTo(robot.lookup("#stands-off").<Button>query());
        OnWindow.until(() -> part("Main rib 6").standing() == Standing.OFF);
    }

    @Test
    void a_job_of_my_own_is_kept_changed_and_taken_out_unless_hours_name_it(FxRobot robot) throws Exception {
        desk.prefs().keep("who", "M. Oake");
        int entries = session.snapshot().log().entries().size();
        int jobs = session.snapshot().build().workshop().jobs().size();
        work(robot, "a job of my own");
        write(robot, "#work-name", "Press the bushing");
        write(robot, "#work-page", "4-12");
        fire(robot, "#work-keep");
        assertThat(session.snapshot().build().workshop().jobs()).hasSize(jobs + 1);
        write(robot, "#work-notes", "flange outboard");
        fire(robot, "#work-keep");
        assertThat(session.snapshot().build().workshop().jobs())
                .hasSize(jobs + 1)
                .last()
                .satisfies(j -> assertThat(j.notes()).isEqualTo("flange outboard"));
        assertThat(session.snapshot().log().entries()).hasSize(entries);
        fire(robot, "#work-out");
        assertThat(session.snapshot().build().workshop().jobs()).hasSize(jobs);
        write(robot, "#work-name", "Read section 7 twice");
        write(robot, "#work-minutes", "40");
        fire(robot, "#work-go");
        assertThat(session.snapshot().log().entries()).hasSize(entries + 1);
        work(robot, "a job of my own");
        robot.interact(() -> robot.lookup("#work-job")
                .queryAs(ComboBox.class)
                .getSelectionModel()
                .selectLast());
        fire(robot, "#work-out");
        assertThat(says(robot, "Read section 7 twice stays: 1 entry names it.")).isTrue();
        assertThat(session.snapshot().build().workshop().jobs()).hasSize(jobs + 1);
    }

    @Test
    void a_row_that_was_riveted_before_is_said_to_be_in(FxRobot robot) throws Exception {
        HoleReading hole = hole("R16.2");
        assertThat(session.snapshot().log().installedBy(hole.hole().id())).isEmpty();
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole)));
        work(robot, "fasteners found in");
        robot.interact(() -> robot.lookup("#work-row")
                .queryAs(ComboBox.class)
                .getSelectionModel()
                .select(1 + hole.group().rows().indexOf(hole.row())));
        fire(robot, "#work-go");
        Labour.Found found = (Labour.Found) session.snapshot()
                .log()
                .entries()
                .getLast()
                .labour()
                .orElseThrow()
                .what();
        assertThat(found.holes()).hasSize(hole.row().holes().size());
        assertThat(session.snapshot().log().state(hole.hole(), hole.layers()).set())
                .isTrue();
    }

    @SuppressWarnings("unchecked")
    private static <K> String word(ComboBox<K> of, Object kind) {
        return of.getConverter().toString((K) kind);
    }

    private void work(FxRobot robot, String kind) throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.L);
        OnWindow.until(() -> robot.lookup("#work-kind").tryQuery().isPresent());
        robot.interact(() -> {
            ComboBox<?> what = robot.lookup("#work-kind").query();
            what.getSelectionModel()
                    .select(what.getItems().stream()
                            .map(k -> word(what, k))
                            .toList()
                            .indexOf(kind));
        });
        settle(robot);
    }
}
