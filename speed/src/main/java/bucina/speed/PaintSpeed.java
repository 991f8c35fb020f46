package bucina.speed;

import bucina.desk.look.Palette;
import bucina.desk.look.Type;
import bucina.desk.sheet.SheetView;
import java.util.Arrays;
import java.util.Locale;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.BiConsumer;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;

/**
 * Draws faces of 1 000, 5 000 and 20 000 holes: a full drawing, and one step of a zoom gesture that moves the drawn
 * picture.
 */
public final class PaintSpeed extends Application {

    private static final int RUNS = 21;
    private final ExecutorService worker = Executors.newSingleThreadExecutor();

    public static void main(String[] args) {
        launch(args);
    }

    @Override
    public void start(Stage stage) {
        Type.load();
        measure(stage, new int[] {1000, 5000, 20000}, 0);
    }

    private void measure(Stage stage, int[] sizes, int at) {
        if (at == sizes.length) {
            worker.shutdown();
            Platform.exit();
            return;
        }
        SheetView view = new SheetView(BigBuild.desk(1, sizes[at], worker, Platform::runLater));
        stage.setScene(new Scene(view, 1000, 600));
        stage.show();
        view.use(Palette.LIGHT, 1);
        Platform.runLater(() ->
                whole(view, sizes[at], () -> gesture(view, sizes[at], () -> measure(stage, sizes, at + 1))));
    }

    /** A full drawing: time on the interface thread, and until the pulse after it. */
    private static void whole(SheetView view, int holes, Runnable then) {
        Frames.of(RUNS, view::fit, (thread, screen) -> {
            System.out.printf(
                    Locale.ROOT,
                    "%6d holes drawn whole: %5.1f ms on the interface thread, %5.1f ms to the next frame%n",
                    holes,
                    thread,
                    screen);
            then.run();
        });
    }

    private static void gesture(SheetView view, int holes, Runnable then) {
        int[] step = {0};
        Frames.of(RUNS, () -> view.zoom(step[0]++ % 2 == 0 ? 1.05 : 1 / 1.05), (thread, screen) -> {
            System.out.printf(
                    Locale.ROOT,
                    "%6d holes, one step of a zoom: %5.1f ms on the interface thread, %5.1f ms to the next frame%n",
                    holes,
                    thread,
                    screen);
            then.run();
        });
    }

    /** Runs a step on each of some frames and times it. */
    private static final class Frames extends AnimationTimer {
        private final double[] thread;
        private final double[] screen;
        private final Runnable step;
        private final BiConsumer<Double, Double> then;
        private int at = -5;
        private long last;

        private Frames(int runs, Runnable step, BiConsumer<Double, Double> then) {
            this.thread = new double[runs];
            this.screen = new double[runs];
            this.step = step;
            this.then = then;
        }

        static void of(int runs, Runnable step, BiConsumer<Double, Double> then) {
            new Frames(runs, step, then).start();
        }

        @Override
        public void handle(long now) {
            long start = System.nanoTime();
            if (at > 0) {
                screen[at - 1] = (start - last) / 1e6;
            }
            if (at == thread.length) {
                stop();
                Arrays.sort(thread);
                Arrays.sort(screen);
                Platform.runLater(() -> then.accept(thread[thread.length / 2], screen[screen.length / 2]));
                return;
            }
            step.run();
            if (at >= 0) {
                thread[at] = (System.nanoTime() - start) / 1e6;
            }
            last = start;
            at++;
        }
    }
}
