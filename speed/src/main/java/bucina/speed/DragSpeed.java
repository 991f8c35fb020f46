package bucina.speed;

import bucina.core.plan.Row;
import bucina.core.sheet.Point;
import bucina.core.stack.HoleReading;
import bucina.desk.app.DeskWindow;
import bucina.desk.look.Type;
import bucina.desk.session.Desk;
import bucina.desk.session.Selection;
import bucina.desk.sheet.SheetView;
import bucina.pictures.Poses;
import java.time.Clock;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.geometry.Point2D;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;

/**
 * A row of 300 holes dragged over a face of 5 000 in the whole window: each movement of the hand is followed by its
 * derived checks before the
 * next. Every piece of work on the interface thread is timed by itself.
 */
public final class DragSpeed extends Application {

    private static final int MOVES = 60;
    private static final int WARM = 30;

    private final ExecutorService worker = Executors.newSingleThreadExecutor();
    private Stage stage;
    private Desk desk;
    private final double[] hands = new double[MOVES];
    private final double[] shows = new double[MOVES];
    private SheetView sheet;
    private Point2D from;
    private int move = -WARM;

    private long began;

    public static void main(String[] args) {
        launch(args);
    }

    @Override
    public void start(Stage first) {
        Type.load();
        stage = first;
        desk = BigBuild.longRow(5000, 300, worker, this::timed);
        begin();
    }

    /** Runs what comes back from the worker on the interface thread, and keeps how long it held it. */
    private void timed(Runnable task) {
        Platform.runLater(() -> {
            long start = System.nanoTime();
            task.run();
            if (move >= 0 && move < MOVES) {
                shows[move] = (System.nanoTime() - start) / 1e6;
            }

            if (from != null) {
                Platform.runLater(this::next);
            }
        });
    }

    private void begin() {
        stage.setScene(new DeskWindow(desk, Clock.systemUTC()).scene());
        stage.show();
        Platform.runLater(() -> {
            sheet = (SheetView) stage.getScene().lookup("#sheet");
            HoleReading first = desk.face().readings().stream()
                    .filter(r -> r.row().holes().size() == 300)
                    .findFirst()
                    .orElseThrow();
            Row row = first.row();
            desk.changingProperty().set(true);
            desk.selectionProperty().set(Selection.row(desk.face(), row.id(), Optional.empty()));
            Point at = row.holes().get(150).at();
            from = sheet.onView(at);
            Poses.hand(sheet, MouseEvent.MOUSE_PRESSED, from);
            began = System.nanoTime();
            next();
        });
    }

    private void next() {
        move++;
        if (move >= MOVES) {
            Poses.hand(sheet, MouseEvent.MOUSE_RELEASED, from);
            from = null;
            print("a movement of the hand taken", hands);
            print("its checks shown", shows);
            printBoth();
            worker.shutdown();
            Platform.exit();
            return;
        }
        long start = System.nanoTime();
        Poses.hand(sheet, MouseEvent.MOUSE_DRAGGED, from.add(6 + Math.floorMod(move, 40), 3 + Math.floorMod(move, 7)));
        if (move >= 0) {
            hands[move] = (System.nanoTime() - start) / 1e6;
        }
    }

    private void printBoth() {
        System.out.printf(
                Locale.ROOT,
                "  %-70s %6.1f%n",
                "milliseconds from one checked movement to the next",
                (System.nanoTime() - began) / 1e6 / (MOVES + WARM));
    }

    private static void print(String name, double[] times) {
        Arrays.sort(times);
        System.out.printf(
                Locale.ROOT,
                "  %-70s %6.1f %6.1f%n",
                "a row of 300 on 5 000: " + name,
                times[times.length / 2],
                times[times.length - 1]);
    }
}
