package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.rule.RuleKey;
import bucina.desk.session.Prefs;
import bucina.store.file.BuildFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/**
 * Somebody who never saw the program: from the first start to a logged group of a panel of their own, then the guided
 * job on the demonstration, in the real application. They do what the step that is shown says. One action is a click, a
 * key command or a committed field; two seconds each.
 */
class StrangerTest {

    private static final int MOST = 60;
    private static final int SECONDS_AN_ACTION = 2;

    private final FxRobot robot = new FxRobot();
    private String home = "";
    private Path folder = Path.of("");
    private int actions;

    @BeforeEach
    void start() throws Exception {
        folder = Files.createTempDirectory("bucina-stranger");
        home = System.setProperty("user.home", folder.toString());
        FxToolkit.registerPrimaryStage();
        FxToolkit.setupApplication(DeskApp.class);
        FxToolkit.setupStage(s -> {
            s.setX(0);
            s.setY(0);
            s.setWidth(1280);
            s.setHeight(800);
        });
    }

    @AfterEach
    void stop() throws Exception {
        FxToolkit.cleanupStages();
        System.setProperty("user.home", home);
    }

    private static void until(Callable<Boolean> so) throws Exception {
        WaitForAsyncUtils.waitFor(
                30, TimeUnit.SECONDS, () -> WaitForAsyncUtils.asyncFx(so).get());
    }

    /** Waits until the guided job asks for a step. */
    private void asked(String step) throws Exception {
        until(() -> robot.lookup("#guided-step")
                .tryQueryAs(Label.class)
                .filter(l -> l.getText().equals(step))
                .isPresent());
    }

    private void key(KeyCode... codes) {
        robot.push(codes);
        actions++;
    }

    private void click(String query) {
        robot.interact(() -> robot.lookup(query).queryAs(Labeled.class).requestFocus());
        robot.clickOn(query);
        actions++;
    }

    private void field(String query, String text) throws Exception {
        until(() -> robot.lookup(query).tryQuery().isPresent());
        robot.interact(() -> {
            TextField field = robot.lookup(query).queryAs(TextField.class);
            field.requestFocus();
            field.selectAll();
        });
        robot.write(text, 0);
        actions++;
    }

    @Test
    void from_the_first_start_to_a_logged_group_of_ones_own_panel_and_through_the_first_job() throws Exception {
        Path mine = folder.resolve("mine.bucina");
        questions(mine);
        panel();
        assertThat(actions).isLessThanOrEqualTo(MOST);
        assertThat(actions * SECONDS_AN_ACTION).isLessThanOrEqualTo(5 * 60);
        // docs/trust.md says twenty-four.
        assertThat(actions).isEqualTo(24);
        try (BuildFile file = BuildFile.openToRead(mine)) {
            assertThat(file.read().log().entries())
                    .singleElement()
                    .satisfies(e -> assertThat(e.work().orElseThrow().minutes()).isEqualTo(20));
            assertThat(file.read().build().rules().rule(RuleKey.SHOP_SCHOOL))
                    .satisfies(r -> assertThat(r.value()).isEqualTo("process"))
                    .satisfies(r -> assertThat(r.reason()).contains("first start"));
        }
        firstJob();
    }

    private void questions(Path mine) throws Exception {
        until(() -> robot.lookup("#first-start").tryQuery().isPresent());
        click("#first-unit-in");
        click("#first-rivets-solid");
        click("#first-shop-school-process");
        assertThat(robot.lookup("#first-shop-school-gauge")
                        .queryAs(ToggleButton.class)
                        .isSelected())
                .isFalse();
        field("#first-file", mine.toString());
        click("#first-new");
    }

    private void panel() throws Exception {
        until(() -> robot.lookup("#empty-lead").tryQuery().isPresent());
        click("#empty-lead");
        asked("Make a panel");
        key(KeyCode.P);
        asked("Type the skin");
        field("#panel-name", "Shelf");
        field("#panel-length", "12");
        field("#panel-root", "6");
        field("#panel-tip", "6");
        asked("Put a spar under it");
        field("#panel-spars", "3");
        asked("Choose the rivet");
        field("#panel-rivet", "MS20470AD3");
        asked("Make it");
        key(KeyCode.ENTER);
        asked("Go to Drill");
        key(KeyCode.DIGIT3);
        asked("Pick the whole face");
        key(KeyCode.CONTROL, KeyCode.A);
        asked("Drilled to final size");
        key(KeyCode.CONTROL, KeyCode.ENTER);
        asked("Now deburring");
        click("#task-deburred");
        asked("Deburred");
        key(KeyCode.CONTROL, KeyCode.A);
        key(KeyCode.CONTROL, KeyCode.ENTER);
        asked("Go to Set");
        key(KeyCode.DIGIT5);
        asked("Log it");
        field("#log-who", "AB");
        field("#log-minutes", "20");
        key(KeyCode.CONTROL, KeyCode.ENTER);
        asked("Done");
    }

    private void firstJob() throws Exception {
        robot.clickOn("#guided-leave");
        until(() -> robot.lookup("#guided").tryQuery().isEmpty());
        key(KeyCode.CONTROL, KeyCode.K);
        robot.write("guided job: a first");
        key(KeyCode.ENTER);
        asked("Find a group");
        until(() -> robot.lookup("#build-menu").queryAs(Labeled.class).getText().startsWith("Dunlin"));
        key(KeyCode.CONTROL, KeyCode.K);
        robot.write("US-3");
        key(KeyCode.ENTER);
        asked("Step along the row");
        key(KeyCode.RIGHT);
        asked("Ask a number why");
        click(".number");
        asked("Put it away");
        key(KeyCode.ESCAPE);
        asked("Pick the whole group");
        key(KeyCode.G);
        asked("Go to Set");
        key(KeyCode.DIGIT5);
        asked("Who, and how long");
        field("#log-who", "AB");
        field("#log-minutes", "25");
        asked("Log it");
        key(KeyCode.CONTROL, KeyCode.ENTER);
        asked("Look it up");
        key(KeyCode.F7);
        asked("Take it back");
        key(KeyCode.CONTROL, KeyCode.Z);
        asked("What now?");
        key(KeyCode.F2);
        asked("Done");
        // Practice is not what is opened next time.
        assertThat(Prefs.in(folder.resolve(".config/bucina")).last())
                .hasValueSatisfying(p -> assertThat(p).hasFileName("mine.bucina"));
    }
}
