package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.log.LogEntry;
import bucina.core.log.Operation;
import bucina.core.progress.Task;
import bucina.desk.card.SearchCard;
import bucina.desk.session.Command;
import bucina.desk.session.CopyWish;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.Desk;
import bucina.desk.session.Prefs;
import bucina.desk.session.Session;
import bucina.desk.session.Sessions;
import bucina.desk.session.Stage;
import bucina.desk.session.ToOpen;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.StackPane;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import org.testfx.util.WaitForAsyncUtils;

/** Drives the real window by keyboard, and what it says when it may not write. */
class WindowKeysTest extends OnWindow {

    @Start
    void start(javafx.stage.Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void shortcut(FxRobot robot, KeyCode code) {
        robot.press(KeyCode.CONTROL).type(code).release(KeyCode.CONTROL);
    }

    @Test
    void a_group_is_found_picked_and_logged_without_the_mouse(FxRobot robot) throws Exception {
        shortcut(robot, KeyCode.K);
        robot.write("US-3").type(KeyCode.ENTER);
        assertThat(desk.selectionProperty().get().holes()).hasSize(39);
        shortcut(robot, KeyCode.ENTER);
        assertThat(desk.stageProperty().get()).isEqualTo(Stage.SET);
        WaitForAsyncUtils.waitForFxEvents();
        TextField who = robot.lookup("#log-who").queryAs(TextField.class);
        for (int i = 0; i < 60 && !who.isFocused(); i++) {
            robot.type(KeyCode.TAB);
        }
        assertThat(who.isFocused()).isTrue();
        robot.write("T");
        robot.type(KeyCode.TAB).write("30");
        shortcut(robot, KeyCode.ENTER);
        settle(robot);
        LogEntry last = desk.snapshot().log().entries().getLast();
        assertThat(last.id()).isEqualTo(40);
        assertThat(last.work().orElseThrow().groupCode()).isEqualTo("US-3");
        assertThat(last.work().orElseThrow().minutes()).isEqualTo(30);
    }

    @Test
    void letters_typed_into_a_field_are_no_commands(FxRobot robot) {
        robot.clickOn(at(robot, "R1.3")).type(KeyCode.DIGIT5);
        robot.clickOn("#log-tool").write("TBUNL 6");
        assertThat(robot.lookup("#log-tool").queryAs(TextField.class).getText()).isEqualTo("TBUNL 6");
        assertThat(desk.look().darkProperty().get()).isFalse();
        assertThat(desk.look().benchProperty().get()).isFalse();
        assertThat(robot.lookup("#typed-card").tryQuery()).isEmpty();
    }

    @Test
    void every_button_says_what_it_does_and_can_be_reached(FxRobot robot) {
        robot.clickOn(at(robot, "R1.3"));
        List<Button> buttons = new ArrayList<>(robot.lookup(".button").queryAllAs(Button.class));
        assertThat(buttons).hasSizeGreaterThan(20).allSatisfy(b -> {
            assertThat(b.isFocusTraversable()).isTrue();
            assertThat((b.getAccessibleText() == null ? "" : b.getAccessibleText()) + b.getText())
                    .isNotBlank();
        });
        assertThat(robot.lookup("#sheet").query().getAccessibleText()).contains("Upper skin", "hole R1.3", "-5");
        assertThat(robot.lookup("#strip").query().getAccessibleText()).contains("Root cuff ends");
    }

    @Test
    void no_word_is_cut_off_on_the_demo_at_1280_by_800(FxRobot robot) {
        List<String> cut = new ArrayList<>();
        for (String face : List.of("Upper skin", "Lower skin", "Main spar web", "Rear spar web")) {
            robot.interact(() -> face(face));
            robot.interact(() -> desk.selectionProperty()
                    .set(desk.selectionProperty().get().one(desk.face().reading(3))));
            WaitForAsyncUtils.waitForFxEvents();
            for (Label label : robot.lookup(".label").queryAllAs(Label.class)) {
                boolean shown = label.isVisible() && label.getScene() != null && !label.isWrapText();
                Node text = label.lookup(".text");
                if (shown && text instanceof Text t && !t.getText().equals(label.getText())) {
                    cut.add(label.getText());
                }
            }
        }
        assertThat(cut).isEmpty();
    }

    @Test
    void undo_is_a_button_too_and_says_what_it_takes_back(FxRobot robot) throws Exception {
        Button undo = robot.lookup("#undo").queryAs(Button.class);
        assertThat(undo.isDisabled()).isTrue();
        robot.clickOn(at(robot, "R1.3")).clickOn("#next");
        write(robot, "#log-who", "M");
        write(robot, "#log-minutes", "1");
        robot.clickOn("#log-go");
        settle(robot);
        assertThat(undo.getAccessibleText()).isEqualTo("Undo: logging 6 of US-1");
        robot.clickOn("#undo");
        settle(robot);
        assertThat(text(robot, "#status")).isEqualTo("Undone");
        assertThat(robot.lookup("#redo").queryAs(Button.class).isDisabled()).isFalse();
    }

    @Test
    void an_entry_is_withdrawn_from_the_logbook_by_key(FxRobot robot) throws Exception {
        robot.type(KeyCode.F7).type(KeyCode.W);
        settle(robot);
        LogEntry last = desk.snapshot().log().entries().getLast();
        assertThat(last.corrects()).contains(39);
        assertThat(last.deed()).isEmpty();
        assertThat(((ListView<?>) robot.lookup("#log-list").query()).getItems()).hasSizeGreaterThan(33);
    }

    @Test
    void the_rack_turns_to_faces_and_groups_and_the_strip_steps(FxRobot robot) {
        robot.clickOn(robot.lookup(".rack-face").nth(2).queryAs(Node.class));
        assertThat(desk.face().face().name()).isEqualTo("Main spar web");
        robot.clickOn(robot.lookup(".rack-group").nth(0).queryAs(Node.class));
        assertThat(desk.selectionProperty().get().holes()).hasSize(32);
        Node strip = robot.lookup("#strip").query();
        var bounds = strip.localToScreen(strip.getBoundsInLocal());
        robot.clickOn(bounds.getMaxX() - 26, bounds.getMaxY() - 40);
        int last = desk.row().orElseThrow().cells().size() - 1;
        assertThat(desk.row()
                        .orElseThrow()
                        .place(desk.cursor().orElseThrow().hole().id()))
                .isEqualTo(last);
        robot.type(KeyCode.LEFT);
        assertThat(desk.row()
                        .orElseThrow()
                        .place(desk.cursor().orElseThrow().hole().id()))
                .isEqualTo(last - 1);
    }

    @Test
    void the_slider_sets_the_rivet_on_the_drawing(FxRobot robot) {
        robot.clickOn(at(robot, "R1.3"));
        assertThat(text(robot, ".caption")).startsWith("As set: .144 in");
        robot.clickOn("#set-slider").type(KeyCode.HOME);
        assertThat(text(robot, ".caption")).startsWith("As it goes in: stands .125 in proud");
        robot.type(KeyCode.END);
        assertThat(text(robot, ".caption")).startsWith("Hit again");
    }

    @Test
    void the_next_finding_is_one_key_away_and_shows_its_remedy(FxRobot robot) {
        robot.type(KeyCode.F).type(KeyCode.F);
        assertThat(desk.cursor().orElseThrow().label()).isEqualTo("R8.1");
        assertThat(robot.lookup(".finding-error .soft").queryAs(Labeled.class).getText())
                .startsWith("Move the hole .015 in inward");
        robot.clickOn("#findings");
        assertThat(desk.cursor().orElseThrow().label()).isEqualTo("R8.2");
    }

    @Test
    void a_search_for_nothing_says_so(FxRobot robot) {
        shortcut(robot, KeyCode.K);
        robot.write("zzz");
        assertThat(robot.lookup("#search-card").queryAs(SearchCard.class).lookup(".placeholder"))
                .isNotNull();
        robot.type(KeyCode.ESCAPE);
        assertThat(robot.lookup("#search-card").tryQuery()).isEmpty();
    }

    @Test
    void a_second_window_says_it_only_reads_and_offers_no_writing(FxRobot robot) throws Exception {
        Session reading = Session.open(
                file,
                Optional.of("Open in another window: this one only reads."),
                CatalogueReader.shipped(),
                Sessions.CLOCK,
                Runnable::run,
                Runnable::run);
        robot.interact(() -> {
            Desk second = new Desk(reading, Prefs.in(folder));
            Scene scene = new DeskWindow(second, Sessions.CLOCK).scene();
            ((javafx.stage.Stage) robot.window(0)).setScene(scene);
            second.selectionProperty()
                    .set(second.selectionProperty().get().one(second.face().reading(2)));
            second.stageProperty().set(Stage.SET);
        });
        assertThat(text(robot, "#status")).isEqualTo("Only reads");
        assertThat(robot.lookup("#log-go").queryAs(Button.class).isDisabled()).isTrue();
        assertThat(robot.lookup("#add-typed").queryAs(Button.class).isDisabled())
                .isTrue();
        reading.close();
    }

    @Test
    void a_build_that_does_not_open_is_explained(FxRobot robot) {
        List<ToOpen> asked = new ArrayList<>();
        robot.interact(() -> ((javafx.stage.Stage) robot.window(0))
                .setScene(new Scene(
                        new StackPane(new TroubleView(
                                "noise.bucina is not a Bucina build.", Optional.empty(), CopyWish.USUAL, asked::add)),
                        1280,
                        800)));
        assertThat(robot.lookup(".stop-text").queryAs(Labeled.class).getText()).contains("noise.bucina");
        robot.clickOn("Open the demo instead");
        assertThat(asked).containsExactly(new ToOpen.Demo(DemoBuild.Which.STABILATOR, false));
    }

    @Test
    void text_grows_to_twice_its_size_and_no_further(FxRobot robot) {
        for (int i = 0; i < 6; i++) {
            shortcut(robot, KeyCode.EQUALS);
        }
        assertThat(desk.look().scaleProperty().get()).isEqualTo(200);
        assertThat(robot.lookup("#status").query().getScene().getRoot().getStyle())
                .contains("-fx-font-size: 26px");
        for (int i = 0; i < 8; i++) {
            shortcut(robot, KeyCode.MINUS);
        }
        assertThat(desk.look().scaleProperty().get()).isEqualTo(100);
    }

    @Test
    void no_key_means_two_things_in_any_two_rooms_and_every_command_has_its_own_name(FxRobot robot) {
        List<Command> all = new ArrayList<>();
        robot.interact(() -> {
            DeskWindow other = new DeskWindow(desk, Sessions.CLOCK);
            all.addAll(new Keys(desk, other).all());
            other.close();
        });
        assertThat(all).hasSizeGreaterThan(50).extracting(Command::id).doesNotHaveDuplicates();
        for (Command a : all) {
            for (Command b : all) {
                // Without a key it is found by its words.
                boolean alike = !a.key().isEmpty() && a.key().equals(b.key());
                assertThat(a == b || !alike)
                        .as("%s and %s both listen to %s, be it in two rooms", a.id(), b.id(), a.key())
                        .isTrue();
            }
        }
        assertThat(all.stream().filter(Command::changes).map(Command::key))
                .contains("Space", "Del", "A", "Ctrl+Enter", "Ctrl+Back", "Ctrl+Z");
    }

    private List<Command> emptyCommands(FxRobot robot) {
        List<Command> all = new ArrayList<>();
        robot.interact(() -> {
            EmptyView view = new EmptyView(session, desk.prefs(), o -> {}, f -> {}, guided);
            all.addAll(view.commands());
            view.end();
        });
        return all;
    }

    @Test
    void a_key_of_the_window_with_no_face_yet_means_the_same_as_in_the_window_it_becomes(FxRobot robot) {
        List<Command> empty = emptyCommands(robot);
        assertThat(empty)
                .hasSizeGreaterThan(12)
                .filteredOn(c -> !c.key().isEmpty())
                .allSatisfy(c -> assertThat(window.commands())
                        .filteredOn(w -> w.key().equals(c.key()))
                        .extracting(Command::id)
                        .containsExactly(c.id()));
    }

    @Test
    void what_is_not_seen_is_neither_marked_nor_logged(FxRobot robot) throws Exception {
        robot.interact(() -> {
            face("Lower skin");
            desk.stageProperty().set(Stage.DRILL);
            desk.taskProperty().set(Task.of(Operation.FINAL_SIZE));
            desk.pickFace();
        });
        settle(robot);
        int marks = session.snapshot().log().marks().size();
        int entries = session.snapshot().log().entries().size();
        for (Desk.Room room : Desk.Room.values()) {
            if (room != Desk.Room.SHEET) {
                robot.interact(() -> {
                    desk.roomProperty().set(room);
                    robot.lookup("#build-menu").query().getScene().getRoot().requestFocus();
                });
                settle(robot);
                robot.push(KeyCode.SPACE);
                robot.push(KeyCode.CONTROL, KeyCode.ENTER);
                robot.push(KeyCode.CONTROL, KeyCode.BACK_SPACE);
                settle(robot);
            }
        }
        assertThat(session.snapshot().log().marks()).hasSize(marks);
        assertThat(session.snapshot().log().entries()).hasSize(entries);
        robot.interact(() -> {
            desk.roomProperty().set(Desk.Room.SHEET);
            robot.lookup("#legend").queryAs(Button.class).requestFocus();
        });
        robot.push(KeyCode.SPACE);
        until(() -> desk.look().legendProperty().get());
        assertThat(session.snapshot().log().marks()).hasSize(marks);
        robot.interact(() -> robot.lookup("#sheet").query().requestFocus());
        robot.push(KeyCode.SPACE);
        until(() -> session.snapshot().log().marks().size() > marks);
    }
}
