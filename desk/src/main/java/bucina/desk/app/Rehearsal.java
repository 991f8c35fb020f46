package bucina.desk.app;

import bucina.desk.session.Desk;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.stage.Stage;
import javafx.util.Duration;

/**
 * A start that is watched: says when the window stands and what is in use, then closes. The training run of the
 * start-up cache goes through every room and stage before, so that none is slow the first time.
 */
public final class Rehearsal {

    private static final String ASKED = System.getProperty("bucina.rehearse", "");

    private Rehearsal() {}

    /** True where this start is one. */
    static boolean asked() {
        return !ASKED.isEmpty();
    }

    static void run(Stage stage, Optional<Desk> desk) {
        after(60, () -> {
            said();
            List<Runnable> through = new ArrayList<>();
            if (ASKED.equals("rooms")) {
                desk.ifPresent(d -> everywhere(d, through));
            }
            through.add(stage::close);
            through.add(Platform::exit);
            next(through.iterator());
        });
    }

    /** Says how long after the start of the process it is now, in ms. */
    public static void standing() {
        long started = ProcessHandle.current()
                .info()
                .startInstant()
                .map(Instant::toEpochMilli)
                .orElse(0L);
        System.out.println("window after " + (System.currentTimeMillis() - started) + " ms");
    }

    private static void said() {
        standing();
        System.gc();
        Runtime vm = Runtime.getRuntime();
        System.out.printf(Locale.ROOT, "in use after it: %.1f MB%n", (vm.totalMemory() - vm.freeMemory()) / 1e6);
        System.out.flush();
    }

    private static void everywhere(Desk desk, List<Runnable> through) {
        for (Desk.Room room : Desk.Room.values()) {
            through.add(() -> desk.roomProperty().set(room));
        }
        through.add(() -> desk.roomProperty().set(Desk.Room.SHEET));
        for (bucina.desk.session.Stage at : bucina.desk.session.Stage.values()) {
            through.add(() -> desk.stageProperty().set(at));
        }
    }

    private static void next(Iterator<Runnable> through) {
        if (through.hasNext()) {
            through.next().run();
            after(500, () -> next(through));
        }
    }

    private static void after(int ms, Runnable then) {
        PauseTransition pause = new PauseTransition(Duration.millis(ms));
        pause.setOnFinished(e -> then.run());
        pause.play();
    }
}
