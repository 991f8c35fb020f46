package bucina.desk.app;

import java.time.Instant;
import java.util.Locale;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.stage.Stage;
import javafx.util.Duration;

/** The training run of the start-up cache: says when the window stands and what is in use, then closes. */
final class Rehearsal {

    private Rehearsal() {}

    static void run(Stage stage) {
        PauseTransition settle = new PauseTransition(Duration.millis(60));
        settle.setOnFinished(e -> {
            long started = ProcessHandle.current()
                    .info()
                    .startInstant()
                    .map(Instant::toEpochMilli)
                    .orElse(0L);
            System.out.println("window after " + (System.currentTimeMillis() - started) + " ms");
            System.gc();
            Runtime vm = Runtime.getRuntime();
            System.out.printf(Locale.ROOT, "in use after it: %.1f MB%n", (vm.totalMemory() - vm.freeMemory()) / 1e6);
            System.out.flush();
            stage.close();
            Platform.exit();
        });
        settle.play();
    }
}
