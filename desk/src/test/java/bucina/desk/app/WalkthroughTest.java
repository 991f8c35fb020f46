package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.log.Operation;
import bucina.core.measure.Unit;
import bucina.core.plan.Face;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.progress.Task;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import bucina.desk.look.Type;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.Desk;
import bucina.desk.session.PartLines;
import bucina.desk.session.Prefs;
import bucina.desk.session.Session;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import org.testfx.util.WaitForAsyncUtils;

/**
 * The script of docs/walkthrough.md: an empty build to a checked skin, every action counted. One action: a click, a
 * committed field or a key command.
 */
@ExtendWith(ApplicationExtension.class)
class WalkthroughTest {

    private static final int MOST = 40;

    private Session session;
    private BuildStage shown;
    private ExecutorService worker;
    private int actions;

    @Start
    void start(Stage stage) throws IOException {
        Type.load();
        Path folder = Files.createTempDirectory("bucina-walk");
        Path file = DemoBuild.empty(folder.resolve("new.bucina"), CatalogueReader.shippedRules());
        worker = Executors.newSingleThreadExecutor();
        session = Session.open(
                file,
                Optional.empty(),
                CatalogueReader.shipped(),
                Clock.systemDefaultZone(),
                worker,
                Platform::runLater);
        shown = new BuildStage(stage, session, Prefs.in(folder), Clock.systemDefaultZone());
        stage.setX(0);
        stage.setY(0);
        stage.setWidth(1280);
        stage.setHeight(800);
        stage.show();
    }

    @Stop
    void stop() throws InterruptedException {
        worker.execute(session::close);
        worker.shutdown();
        assertThat(worker.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
    }

    private void settle() throws Exception {
        worker.submit(() -> {}).get(30, TimeUnit.SECONDS);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void click(FxRobot robot, String query) throws Exception {
        robot.clickOn(query);
        actions++;
        settle();
    }

    private void key(FxRobot robot, KeyCode... codes) throws Exception {
        robot.push(codes);
        actions++;
        settle();
    }

    /** Types into the field that has the keyboard or is clicked: one committed field is one action. */
    private void field(FxRobot robot, String query, String text) throws Exception {
        WaitForAsyncUtils.waitFor(
                30,
                TimeUnit.SECONDS,
                () -> WaitForAsyncUtils.asyncFx(
                                () -> robot.lookup(query).tryQuery().isPresent())
                        .get());
        robot.interact(() -> {
            TextField field = robot.lookup(query).queryAs(TextField.class);
            field.requestFocus();
            field.selectAll();
        });
        robot.write(text, 0);
        actions++;
        settle();
    }

    @Test
    void an_empty_build_becomes_a_checked_skin_over_five_ribs_and_two_spars_in_forty_actions(FxRobot robot)
            throws Exception {
        assertThat(robot.lookup("#empty-panel").tryQuery()).isPresent();
        key(robot, KeyCode.P);
        field(robot, "#panel-name", "Upper skin");
        field(robot, "#panel-length", "48");
        field(robot, "#panel-root", "20");
        field(robot, "#panel-tip", "16");
        field(robot, "#panel-thickness", ".032");
        field(robot, "#panel-spars", "2.5, 14:11");
        field(robot, "#panel-ribs", "1.5, 12.5, 24, 35.5, 46.5");
        field(robot, "#panel-doubler", "0.1,1.9 to 12,3.1");
        field(robot, "#panel-rivet", "MS20426AD3");
        field(robot, "#panel-pitch", ".75");
        key(robot, KeyCode.ENTER);
        settle();
        Desk desk = shown.desk();
        Face face = desk.face().face();
        assertThat(face.name()).isEqualTo("Upper skin");
        assertThat(face.count()).isGreaterThanOrEqualTo(150);
        assertThat(face.layers())
                .anyMatch(l -> l.name().equals("Doubler"))
                .anyMatch(l -> l.name().startsWith("Rib 5"))
                .anyMatch(l -> l.name().startsWith("Spar 2"));
        assertThat(robot.lookup("#findings").queryAs(Labeled.class).getText()).isEqualTo("no findings");

        // Check it as a careful builder would: cut a hole of the doubler's row open, take a row off by hand, see the
        // finding, put it right.
        key(robot, KeyCode.RIGHT);
        key(robot, KeyCode.E);
        field(robot, "#hole-y", "2.2");
        key(robot, KeyCode.ENTER);
        FaceReading reading = desk.face();
        assertThat(reading.readings().stream().filter(r -> r.worst().isPresent()))
                .isNotEmpty();
        key(robot, KeyCode.ESCAPE);
        key(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(desk.face().readings()).allSatisfy(r -> assertThat(r.worst()).isEmpty());
        assertThat(session.snapshot().derivation().findings(() -> false)).isEmpty();
        assertThat(actions).isLessThanOrEqualTo(MOST);
        assertThat(actions).as("docs/walkthrough.md says eighteen").isEqualTo(18);
    }

    /** Chooses in a box: one action. */
    private void choose(FxRobot robot, String query, String word) throws Exception {
        robot.interact(() -> {
            ComboBox<?> box = robot.lookup(query).queryAs(ComboBox.class);
            for (int i = 0; i < box.getItems().size(); i++) {
                if (words(box, i).equals(word)) {
                    box.getSelectionModel().select(i);
                    return;
                }
            }
            throw new AssertionError("no " + word + " in " + query);
        });
        actions++;
        settle();
    }

    private static <T> String words(ComboBox<T> box, int i) {
        return box.getConverter().toString(box.getItems().get(i));
    }

    private void panel(FxRobot robot, String name, String height, String spars, String ribs) throws Exception {
        key(robot, KeyCode.P);
        field(robot, "#panel-name", name);
        field(robot, "#panel-length", "24");
        field(robot, "#panel-root", height);
        field(robot, "#panel-tip", height);
        if (!spars.isEmpty()) {
            field(robot, "#panel-spars", spars);
        }
        field(robot, "#panel-ribs", ribs);
    }

    @Test
    void an_empty_build_becomes_a_box_of_parts_that_lie_on_three_faces_in_seventy_actions(FxRobot robot)
            throws Exception {
        panel(robot, "Upper skin", "12", "6", "2, 12, 22");
        field(robot, "#panel-doubler", "9,7 to 15,11");
        key(robot, KeyCode.ENTER);
        key(robot, KeyCode.CONTROL, KeyCode.E);
        field(robot, "#assembly-name", "Box");
        key(robot, KeyCode.ENTER);
        key(robot, KeyCode.ESCAPE);
        panel(robot, "Lower skin", "12", "6", "2, 12, 22");
        choose(robot, "#panel-into", "Box");
        assertThat(OnWindow.says(robot, "The same parts as there already: Spar 1, Rib 1, Rib 2, Rib 3"))
                .isTrue();
        key(robot, KeyCode.ENTER);
        panel(robot, "Web", "4", "", "2, 12, 22");
        choose(robot, "#panel-into", "Box");
        choose(robot, "#panel-skin", "Spar 1");
        key(robot, KeyCode.ENTER);
        assertBox();

        key(robot, KeyCode.F4);
        robot.interact(() -> {
            ListView<?> list = robot.lookup("#part-list").queryAs(ListView.class);
            for (int i = 0; i < list.getItems().size(); i++) {
                if (((PartLines.Line) list.getItems().get(i)).part().name().equals("Rib 2")) {
                    list.getSelectionModel().clearAndSelect(i);
                }
            }
        });
        actions++;
        key(robot, KeyCode.CONTROL, KeyCode.DIGIT4);
        Snapshot off = session.snapshot();
        Part rib = off.parts().named("Rib 2").orElseThrow();
        assertThat(rib.standing()).isEqualTo(Standing.OFF);
        assertWaits(off, rib);
        key(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(session.snapshot().parts().part(rib.id()).standing()).isEqualTo(Standing.DRY);
        assertThat(actions).isLessThanOrEqualTo(70);
        assertThat(actions).as("docs/walkthrough.md says thirty-five").isEqualTo(35);
    }

    /** Every hole through the part waits, on all its faces, and no other does. */
    private static void assertWaits(Snapshot off, Part rib) {
        for (Face face : off.parts().faces(rib.id())) {
            FaceReading reading = off.face(face.id());
            List<HoleReading> through = reading.readings().stream()
                    .filter(r -> r.layers().stream().anyMatch(l -> l.part().equals(rib.id())))
                    .toList();
            assertThat(through).as(face.name()).isNotEmpty().allSatisfy(r -> {
                assertThat(off.holds().of(r)).isPresent();
                assertThat(off.guards(face.id()).setting(r, Unit.INCH)).isPresent();
                assertThat(off.guards(face.id()).marking(Task.of(Operation.FINAL_SIZE), r, Unit.INCH))
                        .isPresent();
            });
            assertThat(reading.readings().stream()
                            .filter(r -> !through.contains(r))
                            .filter(r -> off.holds().of(r).isPresent()))
                    .as("no other hole of %s waits", face.name())
                    .isEmpty();
        }
    }

    /** Two skins, a web, three ribs on all three, a doubler: seven parts, not one for each sheet. */
    private void assertBox() {
        Snapshot now = session.snapshot();
        assertThat(now.build().assemblies()).hasSize(1);
        assertThat(now.build().faces()).hasSize(3);
        assertThat(now.build().parts())
                .extracting(Part::name)
                .containsExactlyInAnyOrder("Upper skin", "Lower skin", "Spar 1", "Rib 1", "Rib 2", "Rib 3", "Doubler");
        for (String name : List.of("Spar 1", "Rib 1", "Rib 2", "Rib 3")) {
            Part part = now.parts().named(name).orElseThrow();
            assertThat(now.parts().faces(part.id()))
                    .extracting(Face::name)
                    .containsExactly("Upper skin", "Lower skin", "Web");
        }
    }

    @Test
    void a_build_with_nothing_in_it_has_its_copies_and_says_when_its_file_is_gone(FxRobot robot) throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.B);
        OnWindow.until(robot, "There is no copy in");
        robot.interact(() -> robot.lookup("#copies-now").queryAs(Button.class).fire());
        OnWindow.until(robot, "0 entries. Nothing would be lost.");
        robot.push(KeyCode.ESCAPE);
        robot.push(KeyCode.P);
        OnWindow.until(() -> robot.lookup("#panel-name").tryQuery().isPresent());
        robot.interact(
                () -> robot.lookup("#panel-name").queryAs(TextField.class).setText("Patch"));
        Files.move(session.path(), session.path().resolveSibling("away.bucina"));
        robot.interact(session::look);
        OnWindow.until(robot, "The build file is gone");
        Files.move(session.path().resolveSibling("away.bucina"), session.path());
        robot.interact(session::look);
        OnWindow.until(() -> robot.lookup("#panel-name").tryQuery().isPresent());
        assertThat(robot.lookup("#panel-name").queryAs(TextField.class).getText())
                .isEqualTo("Patch");
    }

    @Test
    void with_no_face_yet_the_guide_and_the_build_menu_are_there_all_the_same(FxRobot robot) throws Exception {
        robot.push(KeyCode.F1);
        OnWindow.until(robot, "First steps");
        // The keyboard is in the search field of the guide now.
        robot.push(KeyCode.F1);
        OnWindow.until(() -> robot.lookup("#help").tryQuery().isEmpty());
        MenuButton menu = robot.lookup("#build-menu").queryAs(MenuButton.class);
        assertThat(menu.getItems())
                .extracting(MenuItem::getId)
                .contains("menu-new-build", "menu-open-build", "menu-copies", "menu-help", "menu-about");
        robot.push(KeyCode.CONTROL, KeyCode.EQUALS);
        assertThat(robot.lookup("#build-menu").query().getScene().getRoot().getStyle())
                .contains("-fx-font-size: 16px;");
        robot.push(KeyCode.CONTROL, KeyCode.MINUS);
        robot.interact(() -> menu.getItems().stream()
                .filter(m -> "menu-about".equals(m.getId()))
                .findFirst()
                .orElseThrow()
                .fire());
        OnWindow.until(robot, "What it is made of, and under which licences");
        robot.push(KeyCode.ESCAPE);
        OnWindow.until(() -> robot.lookup("#about-card").tryQuery().isEmpty());
    }
}
