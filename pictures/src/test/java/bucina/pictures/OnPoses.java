package bucina.pictures;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
import bucina.desk.app.DeskWindow;
import bucina.desk.look.Type;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.Desk;
import bucina.desk.session.Prefs;
import bucina.desk.session.Session;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.stage.Stage;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

/**
 * Every view that has a picture, in the real window at 1280 x 800: no word is cut to dots and nothing hangs over the
 * edge.
 */
@ExtendWith(ApplicationExtension.class)
abstract class OnPoses {

    Desk desk;
    DeskWindow window;
    Session session;
    ExecutorService worker;
    private Path folder;

    Stage stage;

    void open(Stage first) throws IOException {
        stage = first;
        Type.load();
        folder = Files.createTempDirectory("bucina-poses");
        worker = Executors.newSingleThreadExecutor();
        begin(DemoBuild.Which.STABILATOR);
    }

    void begin(DemoBuild.Which which) {
        Path to = folder.resolve(which + ".bucina");
        DemoBuild.write(which, to, CatalogueReader.shipped());
        session = Session.open(
                to, Optional.empty(), CatalogueReader.shipped(), Clock.systemDefaultZone(), worker, Platform::runLater);
        Prefs prefs = Prefs.in(folder.resolve(which.name()));
        prefs.keep("sound", "false");
        desk = new Desk(session, prefs);
        window = new DeskWindow(desk, Clock.systemDefaultZone());
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

    private void settle() throws Exception {
        worker.submit(() -> {}).get(30, TimeUnit.SECONDS);
        WaitForAsyncUtils.waitForFxEvents();
    }

    void rest(FxRobot robot) throws Exception {
        settle();
        WaitForAsyncUtils.sleep(200, TimeUnit.MILLISECONDS);
        settle();
        // What is worked out aside is there before anything is pressed.
        WaitForAsyncUtils.waitFor(30, TimeUnit.SECONDS, () -> {
            Node begin = stage.getScene().lookup("#evening-begin");
            return begin == null || !begin.isDisabled();
        });
    }

    /** What is cut, or lies outside the window though nothing scrolls it. */
    private List<String> wrong() {
        List<String> wrong = new ArrayList<>();
        look(stage.getScene().getRoot(), false, wrong);
        return wrong;
    }

    private void look(Node node, boolean scrolls, List<String> wrong) {
        if (!node.isVisible()) {
            return;
        }
        if (node instanceof Labeled l && l.getText() != null && !l.getText().isEmpty() && l.getWidth() > 0) {
            if (l.isTextTruncated()) {
                wrong.add("cut: " + l.getText());
            }
            Bounds b = l.localToScene(l.getBoundsInLocal());
            if (!scrolls && (b.getMinX() < -1 || b.getMinY() < -1 || b.getMaxX() > 1281 || b.getMaxY() > 801)) {
                wrong.add("outside: " + l.getText());
            }
        }
        if (node instanceof Parent p) {
            p.getChildrenUnmodifiable()
                    .forEach(c -> look(c, scrolls || node instanceof ScrollPane || node instanceof ListView, wrong));
        }
    }

    void each(FxRobot robot, Map<String, Runnable> poses) throws Exception {
        List<String> all = new ArrayList<>();
        for (Map.Entry<String, Runnable> pose : poses.entrySet()) {
            robot.interact(pose.getValue());
            rest(robot);
            List<String> wrong = new ArrayList<>();
            robot.interact(() -> wrong.addAll(wrong()));
            wrong.stream()
                    .filter(w -> desk.look().scaleProperty().get() == 100 || w.startsWith("outside"))
                    .forEach(w -> all.add(pose.getKey() + ", " + w));
        }
        assertThat(all).isEmpty();
    }
}
