package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.LogEntry;
import bucina.core.measure.Unit;
import bucina.core.sheet.Point;
import bucina.desk.bench.LogPanel;
import bucina.desk.session.Stage;
import bucina.desk.sheet.SheetView;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import javafx.geometry.Point2D;
import javafx.geometry.VerticalDirection;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import org.testfx.util.WaitForAsyncUtils;

/** Drives the real window by hand. */
class WindowTest extends OnWindow {

    @Start
    void start(javafx.stage.Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    @Test
    void a_hole_is_picked_read_and_stepped_along(FxRobot robot) {
        robot.clickOn(at(robot, "R1.6"));
        assertThat(desk.cursor().orElseThrow().label()).isEqualTo("R1.6");
        assertThat(text(robot, ".bench-title")).isEqualTo("R1.6");
        assertThat(text(robot, "#next"))
                .startsWith("Set 6 × -5, R1.1 to R1.6\nthen ")
                .endsWith(": reset");
        robot.type(KeyCode.RIGHT);
        assertThat(desk.cursor().orElseThrow().label()).isEqualTo("R1.7");
        assertThat(robot.lookup(".attention-text").queryAllAs(Labeled.class))
                .extracting(Labeled::getText)
                .anyMatch(t -> t.contains("close the squeezer by .050 in"));
        robot.type(KeyCode.UP);
        assertThat(desk.cursor().orElseThrow().row().name()).isNotEqualTo("R1");
    }

    @Test
    void rows_groups_ranges_and_sweeps_are_picked_by_hand(FxRobot robot) {
        // On a busy machine the second click of a double one may come too late to be one.
        for (int i = 0; i < 4 && desk.selectionProperty().get().holes().size() != 48; i++) {
            robot.doubleClickOn(at(robot, "R1.20"));
        }
        assertThat(desk.selectionProperty().get().holes()).hasSize(48);
        robot.clickOn(at(robot, "R1.10"))
                .press(KeyCode.SHIFT)
                .clickOn(at(robot, "R1.14"))
                .release(KeyCode.SHIFT);
        assertThat(desk.selectionProperty().get().holes()).hasSize(5);
        robot.press(KeyCode.CONTROL).clickOn(at(robot, "R1.12")).release(KeyCode.CONTROL);
        assertThat(desk.selectionProperty().get().holes()).hasSize(4);
        robot.clickOn(at(robot, "R14.3")).type(KeyCode.G);
        assertThat(desk.selectionProperty().get().holes()).hasSize(63);
        Point2D from = at(robot, "R1.30").subtract(6, 9);
        Point2D to = at(robot, "R1.33").add(6, 9);
        robot.moveTo(from).press(MouseButton.PRIMARY).moveTo(to).release(MouseButton.PRIMARY);
        assertThat(desk.selectionProperty().get().holes()).hasSizeBetween(4, 6);
        robot.type(KeyCode.ESCAPE);
        assertThat(desk.selectionProperty().get().holes()).isEmpty();
    }

    @Test
    void a_row_is_logged_undone_and_stands_in_the_logbook(FxRobot robot) throws Exception {
        robot.clickOn(at(robot, "R1.3")).clickOn("#next");
        assertThat(desk.stageProperty().get()).isEqualTo(Stage.SET);
        assertThat(desk.selectionProperty().get().holes()).hasSize(6);
        write(robot, "#log-who", "T. Lind");
        write(robot, "#log-minutes", "25");
        write(robot, "#log-readings", ".146x.047");
        robot.clickOn("#log-go");
        settle(robot);
        assertThat(text(robot, "#status")).isEqualTo("Entry 40 saved");
        assertThat(desk.snapshot().state(hole("R1.6")).set()).isTrue();
        try (BuildFile disk = BuildFile.openToRead(file)) {
            LogEntry last = disk.read().log().entries().getLast();
            assertThat(last.work().orElseThrow().who()).isEqualTo("T. Lind");
            assertThat(last.work().orElseThrow().designation()).isEqualTo("MS20426AD3-5");
        }
        assertThat(text(robot, "#next")).startsWith("Set 12 × -4.5, R1.7 to R1.18\nthen ");
        robot.clickOn("#next");
        assertThat(text(robot, ".log-lead")).isEqualTo("R1.7 to R1.18, 12 holes");
        robot.type(KeyCode.F7);
        assertThat(text(robot, ".bench-title")).isEqualTo("Entry 40");
        robot.press(KeyCode.CONTROL).type(KeyCode.Z).release(KeyCode.CONTROL);
        settle(robot);
        assertThat(desk.snapshot().log().entries().getLast().corrects()).contains(40);
        assertThat(desk.snapshot().state(hole("R1.6")).set()).isFalse();
        robot.press(KeyCode.CONTROL).type(KeyCode.Y).release(KeyCode.CONTROL);
        settle(robot);
        assertThat(desk.snapshot().state(hole("R1.6")).set()).isTrue();
    }

    @Test
    void a_short_rivet_asks_for_a_word_and_keeps_what_is_typed(FxRobot robot) throws Exception {
        robot.clickOn(at(robot, "R1.3")).type(KeyCode.DIGIT5);
        write(robot, "#log-designation", "426AD3-3.5");
        write(robot, "#log-who", "M");
        write(robot, "#log-minutes", "2");
        robot.clickOn("#log-go");
        settle(robot);
        assertThat(robot.lookup(".stop-text").queryAllAs(Labeled.class))
                .extracting(Labeled::getText)
                .anyMatch(t -> t.contains("graded short"));
        assertThat(robot.lookup("#log-designation").queryAs(TextField.class).getText())
                .isEqualTo("426AD3-3.5");
        write(robot, "#log-explanation", "drawing calls for it");
        robot.press(KeyCode.CONTROL).type(KeyCode.ENTER).release(KeyCode.CONTROL);
        settle(robot);
        assertThat(desk.snapshot()
                        .log()
                        .entries()
                        .getLast()
                        .work()
                        .orElseThrow()
                        .explanation())
                .isEqualTo("drawing calls for it");
    }

    @Test
    void an_entry_is_corrected_from_the_logbook(FxRobot robot) throws Exception {
        robot.type(KeyCode.F7);
        write(robot, "#log-filter", "#32");
        robot.clickOn("#log-correct");
        assertThat(text(robot, ".log-lead")).isEqualTo("Correcting entry 32");
        write(robot, "#log-minutes", "61");
        write(robot, "#log-reason", "looked at the clock");
        robot.clickOn("#log-go");
        settle(robot);
        LogEntry last = desk.snapshot().log().entries().getLast();
        assertThat(last.corrects()).contains(32);
        assertThat(last.reason()).isEqualTo("looked at the clock");
        assertThat(last.work().orElseThrow().minutes()).isEqualTo(61);
        robot.type(KeyCode.F7);
        write(robot, "#log-filter", "");
        robot.clickOn("#log-filter").write("#32");
        assertThat(robot.lookup(".struck").queryAll()).isNotEmpty();
    }

    @Test
    void a_reject_and_a_photograph_go_into_the_entry(FxRobot robot) throws Exception {
        Path picture = folder.resolve("p.png");
        Files.write(
                picture, WindowTest.class.getResourceAsStream("/one-pixel.png").readAllBytes());
        robot.clickOn(at(robot, "R2.2")).type(KeyCode.DIGIT5);
        write(robot, "#log-who", "M");
        write(robot, "#log-minutes", "2");
        robot.clickOn("#log-add-reject");
        robot.interact(() -> robot.lookup("#log-panel").queryAs(LogPanel.class).addPhoto(picture));
        until(() -> robot.lookup(n -> n instanceof ImageView).tryQuery().isPresent());
        robot.clickOn("#log-go");
        settle(robot);
        LogEntry last = desk.snapshot().log().entries().getLast();
        assertThat(last.work().orElseThrow().rejects())
                .singleElement()
                .satisfies(r -> assertThat(r.hole()).isEqualTo("R2.2"));
        try (BuildFile disk = BuildFile.openToRead(file)) {
            assertThat(disk.photo(last.work().orElseThrow().photos().getFirst())
                            .orElseThrow()
                            .type())
                    .isEqualTo("image/png");
        }
    }

    @Test
    void a_typed_stack_gives_its_answer_and_becomes_a_group(FxRobot robot) throws Exception {
        robot.type(KeyCode.N);
        write(robot, "#typed-layers", ".032, .040");
        write(robot, "#typed-diameter", "1/8");
        write(robot, "#typed-count", "14");
        assertThat(robot.lookup("#typed-layers").queryAs(TextField.class).getText())
                .isEqualTo(".032, .040");
        assertThat(robot.lookup("#typed-card .why-value").queryAs(Labeled.class).getText())
                .isEqualTo("MS20470AD4-4");
        robot.clickOn("#typed-go");
        settle(robot);
        assertThat(desk.snapshot().build().group("T-1").orElseThrow().group().count())
                .isEqualTo(14);
        assertThat(text(robot, ".bench-title")).isEqualTo("T-1");
        robot.clickOn("#next");
        write(robot, "#log-who", "M");
        write(robot, "#log-minutes", "9");
        robot.clickOn("#log-go");
        settle(robot);
        assertThat(desk.snapshot()
                        .log()
                        .installed(desk.snapshot()
                                .build()
                                .group("T-1")
                                .orElseThrow()
                                .group()))
                .isEqualTo(14);
    }

    @Test
    void search_finds_and_goes_there(FxRobot robot) {
        robot.press(KeyCode.CONTROL).type(KeyCode.K).release(KeyCode.CONTROL);
        robot.write("MW-2").type(KeyCode.ENTER);
        assertThat(desk.face().face().name()).isEqualTo("Main spar web");
        assertThat(desk.selectionProperty().get().holes()).hasSize(38);
        assertThat(robot.lookup("#search-card").tryQuery()).isEmpty();
    }

    @Test
    void unit_theme_text_size_legend_and_bench_mode_have_keys(FxRobot robot) {
        robot.clickOn(at(robot, "R1.3")).type(KeyCode.U);
        assertThat(desk.unit()).isEqualTo(Unit.MM);
        assertThat(robot.lookup(".number-value").queryAllAs(Labeled.class))
                .extracting(Labeled::getText)
                .contains("4.78 mm");
        robot.type(KeyCode.T, KeyCode.L);
        assertThat(desk.look().darkProperty().get()).isTrue();
        assertThat(robot.lookup("#legend-card").tryQuery()).isPresent();
        robot.press(KeyCode.CONTROL).type(KeyCode.EQUALS).type(KeyCode.EQUALS).release(KeyCode.CONTROL);
        assertThat(desk.look().scaleProperty().get()).isEqualTo(150);
        robot.type(KeyCode.B);
        assertThat(text(robot, ".bench-huge")).isEqualTo("-5");
        robot.type(KeyCode.RIGHT, KeyCode.RIGHT, KeyCode.RIGHT, KeyCode.RIGHT);
        assertThat(text(robot, ".bench-huge")).isEqualTo("-4.5");
        robot.type(KeyCode.ESCAPE);
        assertThat(robot.lookup("#bench-mode").tryQuery()).isEmpty();
    }

    @Test
    void a_number_opens_to_its_reason(FxRobot robot) {
        robot.clickOn(at(robot, "R1.3"));
        robot.clickOn(robot.lookup(".number").nth(1).queryAs(Button.class));
        assertThat(robot.lookup("#why-card .formula").queryAllAs(Labeled.class))
                .extracting(Labeled::getText)
                .anyMatch(t -> t.contains("Ge + 1.5 D"));
        robot.type(KeyCode.ESCAPE);
        assertThat(robot.lookup("#why-card").tryQuery()).isEmpty();
    }

    @Test
    void wheel_zooms_at_the_pointer_and_the_face_is_fitted_again(FxRobot robot) {
        SheetView sheet = robot.lookup("#sheet").queryAs(SheetView.class);
        Point p = hole("R1.20").hole().at();
        robot.moveTo(at(robot, "R1.20"));
        Point2D before = sheet.onView(p);
        robot.scroll(5, VerticalDirection.UP);
        WaitForAsyncUtils.sleep(200, TimeUnit.MILLISECONDS);
        Point2D after = sheet.onView(p);
        assertThat(after.distance(before)).isLessThan(2);
        assertThat(sheet.onView(hole("R1.30").hole().at()).distance(after)).isGreaterThan(130);
        robot.moveTo(at(robot, "R1.20"))
                .press(MouseButton.MIDDLE)
                .moveBy(40, 25)
                .release(MouseButton.MIDDLE);
        assertThat(sheet.onView(p).getX() - after.getX()).isBetween(38.0, 42.0);
        robot.type(KeyCode.DIGIT0);
        assertThat(sheet.onView(p).distance(before)).isLessThan(1);
    }

    @Test
    void a_photograph_dropped_the_moment_before_logging_is_in_that_entry_and_not_in_the_next(FxRobot robot)
            throws Exception {
        Path picture = folder.resolve("late.png");
        Files.write(
                picture, WindowTest.class.getResourceAsStream("/one-pixel.png").readAllBytes());
        robot.clickOn(at(robot, "R2.2")).type(KeyCode.DIGIT5);
        write(robot, "#log-who", "M");
        write(robot, "#log-minutes", "2");
        int before = desk.snapshot().log().entries().size();
        robot.interact(() -> {
            robot.lookup("#log-panel").queryAs(LogPanel.class).addPhoto(picture);
            robot.lookup("#log-go").queryAs(Button.class).fire();
            // The next entry is begun before the file is read.
            desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R3.4")));
        });
        Thread.sleep(300);
        settle(robot);
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R3.5"))));
        assertThat(robot.lookup(n -> n instanceof ImageView).tryQuery()).isEmpty();
        assertThat(desk.snapshot().log().entries().stream().skip(before).flatMap(e -> e.work().stream()))
                .allSatisfy(w -> assertThat(w.photos()).isNotEmpty());
    }
}
