package bucina.desk.look;

import java.util.Iterator;
import java.util.List;
import javafx.animation.PauseTransition;
import javafx.util.Duration;

/**
 * Puts a large view together in steps, a frame between them, so that no key waits for the whole of it. Interface thread
 * only.
 */
public final class Steps {

    private int round;

    /** Goes through the steps from the next frame on; what is left of those begun before is dropped. */
    public void begin(List<Runnable> steps) {
        round++;
        if (!steps.isEmpty()) {
            next(round, steps.iterator());
        }
    }

    /** Drops what is left. */
    public void stop() {
        round++;
    }

    private void next(int of, Iterator<Runnable> steps) {
        PauseTransition frame = new PauseTransition(Duration.ONE);
        frame.setOnFinished(e -> {
            if (of == round && steps.hasNext()) {
                steps.next().run();
                next(of, steps);
            }
        });
        frame.play();
    }
}
