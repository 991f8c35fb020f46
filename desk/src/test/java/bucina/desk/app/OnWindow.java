package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.sheet.Point;
import bucina.core.stack.HoleReading;
import bucina.desk.guided.Guided;
import bucina.desk.look.Type;
import bucina.desk.session.Desk;
import bucina.desk.session.Prefs;
import bucina.desk.session.Session;
import bucina.desk.session.Sessions;
import bucina.desk.session.ToOpen;
import bucina.desk.sheet.SheetView;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.geometry.Point2D;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

/** The real window on a fresh copy of the demonstration, for tests that drive it. */
@ExtendWith(ApplicationExtension.class)
abstract class OnWindow {

    Path folder;
    Path file;
    Session session;
    Desk desk;
    DeskWindow window;
    ExecutorService worker;
    /** What the window was asked to open in the place of the build. */
    final List<ToOpen> opened = new ArrayList<>();

    final Guided guided = new Guided();

    void open(Stage stage) throws IOException {
        Type.load();
        folder = Files.createTempDirectory("bucina-window");
        file = folder.resolve("demo.bucina");
        Sessions.everythingInPlace(file);
        worker = Executors.newSingleThreadExecutor();
        session = Session.open(
                file,
                Optional.empty(),
                CatalogueReader.shipped(),
                Clock.systemDefaultZone(),
                worker,
                Platform::runLater);
        desk = new Desk(session, Prefs.in(folder));
        window = new DeskWindow(desk, Clock.systemDefaultZone(), opened::add, guided);
        stage.setScene(window.scene());
        stage.setX(0);
        stage.setY(0);
        stage.setWidth(1280);
        stage.setHeight(800);
        stage.show();
    }

    void shut() throws InterruptedException {
        worker.execute(session::close);
        worker.shutdown();
        assertThat(worker.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
    }

    @AfterEach
    void release(FxRobot robot) {
        robot.release(new KeyCode[] {});
        robot.release(new MouseButton[] {});
    }

    /** Shows a face. */
    void face(String name) {
        desk.show(desk.snapshot().build().face(name).orElseThrow().face().id());
    }

    HoleReading hole(String label) {
        return desk.face().readings().stream()
                .filter(r -> r.label().equals(label))
                .findFirst()
                .orElseThrow();
    }

    /** Where a hole is on the screen. */
    Point2D at(FxRobot robot, String label) {
        SheetView sheet = robot.lookup("#sheet").queryAs(SheetView.class);
        Point p = hole(label).hole().at();
        return sheet.localToScreen(sheet.onView(p));
    }

    String text(FxRobot robot, String query) {
        return robot.lookup(query).queryAs(Labeled.class).getText();
    }

    void settle(FxRobot robot) throws Exception {
        worker.submit(() -> {}).get(30, TimeUnit.SECONDS);
        WaitForAsyncUtils.waitForFxEvents();
    }

    void write(FxRobot robot, String query, String text) {
        robot.interact(() -> robot.lookup(query).queryAs(TextField.class).setText(text));
    }

    /** True if a label that is to be seen holds the words. */
    static boolean says(FxRobot robot, String words) {
        return robot.lookup(".label").queryAllAs(Label.class).stream()
                .anyMatch(
                        l -> l.isVisible() && l.getText() != null && l.getText().contains(words));
    }

    /** Waits until a label says the words. */
    static void until(FxRobot robot, String words) throws Exception {
        until(() -> says(robot, words));
    }

    /** Waits until something is so, asked on the interface thread: what is half built there is not seen. */
    static void until(Callable<Boolean> so) throws Exception {
        WaitForAsyncUtils.waitFor(
                30, TimeUnit.SECONDS, () -> WaitForAsyncUtils.asyncFx(so).get());
    }
}
