package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.plan.KeptSum;
import bucina.core.plan.Tool;
import bucina.core.sums.Bench;
import bucina.core.sums.Sums;
import bucina.desk.session.Prefs;
import bucina.desk.sumsroom.PictureView;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import org.testfx.util.WaitForAsyncUtils;

/** The bench sums in the real window. */
class SumsRoomTest extends OnWindow {

    private Stage stage;

    @Start
    void start(Stage first) throws IOException {
        stage = first;
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    /** What a number of the answer shows; empty while it is not there. */
    private static String number(FxRobot robot, String title) {
        for (Node node : robot.lookup(".number").queryAll()) {
            List<Label> labels = ((Button) node)
                    .getGraphic().lookupAll(".label").stream()
                            .map(l -> (Label) l)
                            .toList();
            if (labels.getFirst().getText().startsWith(title)) {
                return labels.get(1).getText();
            }
        }
        return "";
    }

    private static void waitFor(FxRobot robot, String title, String value) throws Exception {
        until(() -> number(robot, title).equals(value));
    }

    private static void waitSays(FxRobot robot, String words) throws Exception {
        until(() -> says(robot, words));
    }

    private void enter(FxRobot robot) throws Exception {
        robot.push(KeyCode.F5);
        waitFor(robot, "Developed length", "3.498 in");
    }

    @Test
    void what_is_typed_is_answered_at_once_and_nonsense_loses_nothing(FxRobot robot) throws Exception {
        enter(robot);
        write(robot, "#ask-legs", "1, 2, 1");
        write(robot, "#ask-angles", "90, 90");
        write(robot, "#ask-radius", ".160");
        write(robot, "#ask-k", "0.5");
        waitFor(robot, "Developed length", "3.765 in");
        write(robot, "#ask-legs", ".1, 2, 1");
        waitSays(robot, "Leg 1 of .1 in is too short by .1 in");
        assertThat(number(robot, "Developed length")).isEqualTo("3.765 in");
        write(robot, "#ask-legs", "1, 2, 1.5");
        waitFor(robot, "Developed length", "4.265 in");
        assertThat(says(robot, "too short by")).isFalse();
        robot.push(KeyCode.U);
        assertThat(robot.lookup("#ask-legs").queryAs(TextField.class).getText()).isEqualTo("1, 2, 1.5");
    }

    @Test
    void a_name_that_is_too_long_is_refused_in_a_sentence_and_nothing_is_kept(FxRobot robot) throws Exception {
        robot.push(KeyCode.F5);
        until(() -> robot.lookup("#sum-name").tryQuery().isPresent());
        int before = session.snapshot().build().workshop().sums().size();
        robot.interact(() -> {
            robot.lookup("#sum-name").queryAs(TextField.class).setText("x".repeat(121));
            robot.lookup("#sum-keep").queryAs(Button.class).fire();
        });
        until(() -> robot.lookup("#sum-error").queryAs(Label.class).getText().contains("1 to 120 characters"));
        assertThat(session.snapshot().build().workshop().sums()).hasSize(before);
    }

    @Test
    void a_leg_is_pulled_in_the_picture(FxRobot robot) throws Exception {
        enter(robot);
        write(robot, "#ask-legs", "1, 2");
        write(robot, "#ask-angles", "90");
        until(() -> !number(robot, "Developed length").equals("3.498 in"));
        WaitForAsyncUtils.waitForFxEvents();
        PictureView picture = robot.lookup("#sum-picture").queryAs(PictureView.class);
        Point2D end = picture.localToScreen(picture.gripAt(1).orElseThrow());
        robot.moveTo(end).press(MouseButton.PRIMARY).moveBy(20, 0).moveBy(20, 0).release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        String legs = robot.lookup("#ask-legs").queryAs(TextField.class).getText();
        assertThat(legs).startsWith("1, 2.").isNotEqualTo("1, 2");
        assertThat(robot.lookup("#ask-angles").queryAs(TextField.class).getText())
                .isEqualTo("90");
    }

    @Test
    void a_number_opens_to_its_formula(FxRobot robot) throws Exception {
        enter(robot);
        robot.interact(() -> robot.lookup(".number").queryAs(Button.class).fire());
        waitSays(robot, "flats and bend allowances laid end to end");
        robot.push(KeyCode.ESCAPE);
        assertThat(says(robot, "laid end to end")).isFalse();
    }

    @Test
    void a_sum_is_kept_with_the_build_and_opened_again_and_undone(FxRobot robot) throws Exception {
        enter(robot);
        write(robot, "#ask-legs", "1, 2, 1, .6");
        write(robot, "#sum-name", "Step clip");
        int before = session.snapshot().build().workshop().sums().size();
        robot.interact(() -> robot.lookup("#sum-keep").queryAs(Button.class).fire());
        settle(robot);
        try (BuildFile saved = BuildFile.openToRead(file)) {
            KeptSum kept = saved.read().build().workshop().sums().getLast();
            assertThat(kept.name()).isEqualTo("Step clip");
            assertThat(kept.figures()).containsEntry("legs", "1, 2, 1, .6");
        }
        robot.interact(() -> robot.lookup("#sum-bolt").queryAs(Button.class).fire());
        waitFor(robot, "Use", "AN3-5A");
        robot.interact(() -> robot.lookup("Step clip").queryAs(Button.class).fire());
        until(() -> robot.lookup("#ask-legs")
                .tryQueryAs(TextField.class)
                .filter(t -> t.getText().equals("1, 2, 1, .6"))
                .isPresent());
        robot.interact(() -> robot.lookup("#sum-drop").queryAs(Button.class).fire());
        settle(robot);
        assertThat(session.snapshot().build().workshop().sums()).hasSize(before);
        robot.interact(() -> session.history().undo(s -> {}));
        settle(robot);
        assertThat(session.snapshot().build().workshop().sums())
                .extracting(KeptSum::name)
                .contains("Step clip");
    }

    @Test
    void a_flat_is_written_in_true_size_and_no_file_is_lost(FxRobot robot) throws Exception {
        enter(robot);
        Path pdf = folder.resolve("clip.pdf");
        write(robot, "#sum-path", folder.resolve("clip.txt").toString());
        robot.interact(() -> robot.lookup("#sum-write").queryAs(Button.class).fire());
        waitSays(robot, "end it with .pdf, .dxf or .svg");
        write(robot, "#sum-path", pdf.toString());
        robot.interact(() -> robot.lookup("#sum-write").queryAs(Button.class).fire());
        waitSays(robot, "Written to");
        assertThat(Files.readAllBytes(pdf)).startsWith("%PDF".getBytes(StandardCharsets.US_ASCII));
        robot.interact(() -> robot.lookup("#sum-write").queryAs(Button.class).fire());
        waitSays(robot, "exists already");
    }

    @Test
    void a_sheet_on_the_bench_opens_the_bend_bench_with_its_material(FxRobot robot) throws Exception {
        robot.interact(() -> {
            face("Main spar web");
            desk.selectionProperty()
                    .set(desk.selectionProperty()
                            .get()
                            .one(desk.face().readings().getFirst()));
        });
        String part = desk.snapshot()
                .build()
                .part(desk.cursor().orElseThrow().layers().getLast().part())
                .name();
        robot.push(KeyCode.H);
        until(() -> robot.lookup("#sum-name")
                .tryQueryAs(TextField.class)
                .filter(t -> t.getText().equals(part))
                .isPresent());
        assertThat(robot.lookup("#ask-thickness").queryAs(TextField.class).getText())
                .isNotBlank();
    }

    @Test
    void a_step_drill_goes_into_the_tool_crib(FxRobot robot) throws Exception {
        enter(robot);
        robot.interact(() -> robot.lookup("#sum-opening").queryAs(Button.class).fire());
        until(() -> robot.lookup("#ask-drill").tryQuery().isPresent());
        robot.interact(() -> robot.lookup("#ask-drill").<String>queryComboBox().setValue("the steps below"));
        write(robot, "#ask-steps", "1/4, 3/8, 5/8");
        write(robot, "#sum-name", "Small step drill");
        waitFor(robot, "Stop at", "step 3, 5/8 in");
        robot.interact(() -> robot.lookup("#sum-crib").queryAs(Button.class).fire());
        settle(robot);
        assertThat(session.snapshot().build().workshop().tools())
                .extracting(Tool::name)
                .contains("Small step drill");
        waitSays(robot, "Stop at");
        until(() -> "Small step drill"
                .equals(robot.lookup("#ask-drill").<String>queryComboBox().getValue()));
    }

    @Test
    void every_sum_fits_the_window_without_scrolling_its_side(FxRobot robot) throws Exception {
        enter(robot);
        for (var sum : Sums.ALL) {
            robot.interact(() ->
                    robot.lookup("#sum-" + sum.code()).queryAs(Button.class).fire());
            String first = sum.asks(Bench.bare(session.catalogue())).getFirst().key();
            until(() -> robot.lookup("#ask-" + first).tryQuery().isPresent());
            settle(robot);
            WaitForAsyncUtils.sleep(250, TimeUnit.MILLISECONDS);
            ScrollPane side = robot.lookup(".bench-side .scroll-pane").queryAllAs(ScrollPane.class).stream()
                    .filter(p -> p.getScene() != null
                            && p.isVisible()
                            && p.getContent().lookup("#sum-error") != null)
                    .findFirst()
                    .orElseThrow();
            assertThat(side.getContent().getLayoutBounds().getHeight())
                    .as(sum.code())
                    .isLessThanOrEqualTo(side.getViewportBounds().getHeight() + 1);
        }
    }

    @Test
    void the_sums_work_with_no_build_at_all(FxRobot robot) throws Exception {
        robot.interact(() -> stage.setScene(SumsApp.scene(Prefs.in(folder.resolve("elsewhere")))));
        waitFor(robot, "Developed length", "3.498 in");
        robot.interact(() -> robot.lookup("#sums-unit").queryAs(Button.class).fire());
        waitFor(robot, "Developed length", "88.84 mm");
        assertThat(robot.lookup("#sum-keep").queryAs(Button.class).isDisabled()).isTrue();
        robot.interact(() -> robot.lookup(".number").queryAs(Button.class).fire());
        waitSays(robot, "laid end to end");
        robot.push(KeyCode.ESCAPE);
        assertThat(says(robot, "laid end to end")).isFalse();
    }

    @Test
    void a_gauge_serves_the_coupon_with_no_build_at_all(FxRobot robot) throws Exception {
        robot.interact(() -> stage.setScene(SumsApp.scene(Prefs.in(folder.resolve("elsewhere")))));
        robot.interact(() -> robot.lookup("#sum-coupon").queryAs(Button.class).fire());
        until(() -> robot.lookup("#ask-scrap").tryQuery().isPresent());
        TextField scrap = robot.lookup("#ask-scrap").queryAs(TextField.class);
        robot.interact(() -> {
            scrap.setText(".165");
            scrap.requestFocus();
        });
        robot.push(KeyCode.CONTROL, KeyCode.G);
        until(() -> robot.lookup("#gauge-card").tryQuery().isPresent());
        robot.interact(
                () -> robot.lookup("#gauge-simulated").queryAs(Button.class).fire());
        robot.interact(() -> {
            robot.lookup("#gauge-jaws").queryAs(TextField.class).setText("4.52 mm");
            robot.lookup("#gauge-send").queryAs(Button.class).fire();
        });
        until(() -> scrap.getText().equals(".165, .1780"));
        robot.push(KeyCode.ESCAPE);
        assertThat(robot.lookup("#gauge-card").tryQuery()).isEmpty();
    }
}
