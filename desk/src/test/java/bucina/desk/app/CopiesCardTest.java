package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.desk.card.CopiesCard;
import bucina.desk.session.CopyWish;
import bucina.desk.session.ToOpen;
import bucina.store.file.Copies;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** Copies are made, looked at, gone back to and kept as wished, from the window. */
class CopiesCardTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    /** The card alone, so that what it opens is seen. */
    private void card(FxRobot robot) throws Exception {
        robot.interact(() -> ((Stage) robot.window(0))
                .setScene(new Scene(
                        new StackPane(new CopiesCard(session, desk.prefs(), opened::add, () -> {})), 1280, 800)));
        until(() -> !text(robot, "#copies-says").equals("Reading the copies."));
    }

    private List<Path> copies() {
        return desk.prefs().copies().of(file).of(file).stream()
                .map(Copies.Copy::path)
                .toList();
    }

    private void fire(FxRobot robot, String query) {
        robot.interact(() -> robot.lookup(query).queryAs(Button.class).fire());
    }

    @Test
    void a_copy_is_made_with_a_key_and_said(FxRobot robot) throws Exception {
        robot.press(KeyCode.CONTROL).push(KeyCode.S).release(KeyCode.CONTROL);
        until(robot, "Copied to " + folder.resolve("copies"));
        assertThat(copies()).hasSize(1);
        robot.press(KeyCode.CONTROL).push(KeyCode.B).release(KeyCode.CONTROL);
        until(robot, "Nothing would be lost.");
        robot.push(KeyCode.ESCAPE);
        until(() -> robot.lookup("#copies-card").tryQuery().isEmpty());
    }

    @Test
    void what_would_be_lost_is_said_and_the_copy_looked_at_or_gone_back_to(FxRobot robot) throws Exception {
        card(robot);
        assertThat(text(robot, "#copies-says")).contains("There is no copy in " + folder.resolve("copies"));
        fire(robot, "#copies-now");
        until(robot, "Nothing would be lost.");
        robot.interact(() -> session.plan("changing it", b -> b.withStock(Map.of("AN426AD3-4", 3)), () -> {}, s -> {}));
        settle(robot);
        card(robot);
        until(robot, "Lost would be the changes of the plan.");
        Path copy = copies().getFirst();
        robot.clickOn("Look at it");
        robot.clickOn("Go back to it");
        assertThat(opened).containsExactly(new ToOpen.Copy(copy, file), new ToOpen.Back(copy, file));
    }

    @Test
    void a_damaged_copy_is_not_offered(FxRobot robot) throws Exception {
        card(robot);
        fire(robot, "#copies-now");
        until(robot, "Nothing would be lost.");
        byte[] bytes = Files.readAllBytes(copies().getFirst());
        bytes[bytes.length - 200] ^= 4;
        Files.write(copies().getFirst(), bytes);
        card(robot);
        until(robot, "This copy is damaged.");
        assertThat(robot.lookup("Go back to it").queryAs(Button.class).isDisabled())
                .isTrue();
        assertThat(robot.lookup("Look at it").queryAs(Button.class).isDisabled())
                .isTrue();
    }

    @Test
    void how_copies_are_kept_is_chosen_and_what_makes_no_sense_refused(FxRobot robot) throws Exception {
        card(robot);
        Path stick = folder.resolve("stick");
        write(robot, "#copies-folder", stick.toString());
        write(robot, "#copies-many", "3");
        write(robot, "#copies-days", "90");
        robot.interact(() -> robot.lookup("#copies-days")
                .queryAs(TextField.class)
                .getOnAction()
                .handle(null));
        robot.interact(() ->
                robot.lookup("#copies-every").<ComboBox<CopyWish.Every>>query().setValue(CopyWish.Every.HOUR));
        assertThat(desk.prefs().copies()).isEqualTo(new CopyWish(Optional.of(stick), CopyWish.Every.HOUR, 3, 90));
        write(robot, "#copies-many", "none");
        robot.interact(() -> robot.lookup("#copies-many")
                .queryAs(TextField.class)
                .getOnAction()
                .handle(null));
        until(robot, "\"none\" is no number from 1 to 9999: write one like 10");
        assertThat(desk.prefs().copies().many()).isEqualTo(3);
    }
}
