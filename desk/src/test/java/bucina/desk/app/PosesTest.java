package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
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
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import org.testfx.util.WaitForAsyncUtils;

/**
 * Every view that has a picture, in the real window at 1280 x 800: no word is cut to dots and nothing hangs over the
 * edge.
 */
class PosesTest extends OnWindow {

    private javafx.stage.Stage stage;
    private DeskWindow window;

    @Start
    void start(javafx.stage.Stage first) throws IOException {
        stage = first;
        Type.load();
        folder = Files.createTempDirectory("bucina-poses");
        worker = Executors.newSingleThreadExecutor();
        begin(DemoBuild.Which.STABILATOR);
    }

    private void begin(DemoBuild.Which which) {
        file = folder.resolve(which + ".bucina");
        Path to = file;
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

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void rest(FxRobot robot) throws Exception {
        settle(robot);
        WaitForAsyncUtils.sleep(350, TimeUnit.MILLISECONDS);
        settle(robot);
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

    private void each(FxRobot robot, Map<String, Runnable> poses) throws Exception {
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

    @Test
    void the_sheet_and_its_cards(FxRobot robot) throws Exception {
        each(robot, Poses.stabilator(desk, window, stage.getScene()));
    }

    @Test
    void every_sum(FxRobot robot) throws Exception {
        each(robot, Poses.sums(desk, window, stage.getScene()));
    }

    @Test
    void the_locker_in_millimetres(FxRobot robot) throws Exception {
        robot.interact(() -> {
            Session first = session;
            begin(DemoBuild.Which.LOCKER);
            worker.execute(first::close);
        });
        rest(robot);
        each(robot, Poses.locker(desk, window, stage.getScene()));
    }

    /** Text twice as large: long words may be cut then, but everything is still there to be worked with. */
    @Test
    void nothing_hangs_over_the_edge_in_the_largest_text(FxRobot robot) throws Exception {
        robot.interact(() -> desk.look().scaleProperty().set(200));
        each(robot, Poses.stabilator(desk, window, stage.getScene()));
    }
}
