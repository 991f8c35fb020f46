package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.desk.session.ToOpen;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** The file is taken away while the window is open. */
class LostTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void look(FxRobot robot) throws Exception {
        robot.interact(() -> desk.session().look());
        settle(robot);
    }

    @Test
    void a_file_that_was_moved_away_is_said_at_once_and_written_back(FxRobot robot) throws Exception {
        Path away = file.resolveSibling("away.bucina");
        Files.move(file, away);
        look(robot);
        until(robot, "The build file is gone");
        assertThat(says(robot, "is not there any more")).isTrue();
        assertThat(says(robot, "File lost")).isTrue();
        Files.move(away, file);
        look(robot);
        until(() -> robot.lookup("#lost-card").tryQuery().isEmpty());

        Files.move(file, away);
        look(robot);
        until(() -> robot.lookup("#lost-back").tryQuery().isPresent());
        robot.interact(() -> robot.lookup("#lost-back").queryAs(Button.class).fire());
        until(() -> Files.exists(file));
        settle(robot);
        try (BuildFile back = BuildFile.openToRead(file)) {
            assertThat(back.read().build()).isEqualTo(desk.snapshot().build());
            assertThat(back.read().log().entries())
                    .isEqualTo(desk.snapshot().log().entries());
        }
    }

    @Test
    void a_file_that_another_lies_in_the_place_of_is_not_written_to(FxRobot robot) throws Exception {
        Path other = file.resolveSibling("other.bucina");
        Files.copy(file, other);
        byte[] theirs = Files.readAllBytes(other);
        Files.move(other, file, StandardCopyOption.REPLACE_EXISTING);
        look(robot);
        until(robot, "Another file lies there now");
        assertThat(robot.lookup("#lost-open").tryQuery()).isPresent();
        assertThat(Files.readAllBytes(file)).isEqualTo(theirs);
    }

    @Test
    void what_is_typed_into_another_card_is_still_there_once_the_file_is(FxRobot robot) throws Exception {
        robot.push(KeyCode.I);
        until(() -> robot.lookup("#bring-name").tryQuery().isPresent());
        robot.interact(
                () -> robot.lookup("#bring-name").queryAs(TextField.class).setText("Patch"));
        Path away = file.resolveSibling("away.bucina");
        Files.move(file, away);
        look(robot);
        until(robot, "The build file is gone");
        Files.move(away, file);
        look(robot);
        until(() -> robot.lookup("#bring-name").tryQuery().isPresent());
        assertThat(robot.lookup("#bring-name").queryAs(TextField.class).getText())
                .isEqualTo("Patch");
        robot.push(KeyCode.ESCAPE);
        until(() -> robot.lookup("#bring-card").tryQuery().isEmpty());
    }

    @Test
    void a_build_that_is_damaged_offers_its_last_good_copy(FxRobot robot) throws Exception {
        robot.press(KeyCode.CONTROL).push(KeyCode.S).release(KeyCode.CONTROL);
        until(robot, "Copied to");
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file);
                Statement s = c.createStatement()) {
            s.execute("UPDATE build SET aircraft = 'Another'");
        }
        robot.interact(() -> session.plan("x", b -> b.withNextId(b.nextId() + 1), () -> {}, s -> {}));
        until(robot, "The build file is damaged");
        until(robot, "The last good copy is of");
        assertThat(says(robot, "Nothing would be lost.")).isTrue();
        robot.clickOn("#last-good-back");
        assertThat(opened)
                .containsExactly(new ToOpen.Back(
                        desk.prefs().copies().of(file).of(file).getFirst().path(), file));
    }
}
