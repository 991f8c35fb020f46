package bucina.desk.app;

import java.time.Instant;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.stage.Stage;
import javafx.util.Duration;

/** The training run of the start-up cache, and the measure of a start: says when the window stands, then closes. */
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
            System.out.flush();
            stage.close();
            Platform.exit();
        });
        settle.play();
    }
}
