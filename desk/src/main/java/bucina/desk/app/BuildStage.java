package bucina.desk.app;

import bucina.desk.session.Desk;
import bucina.desk.session.Prefs;
import bucina.desk.session.Session;
import java.time.Clock;
import java.util.function.Consumer;
import javafx.stage.Stage;

/**
 * Puts an open build into a stage: the desk where it has a face, a way to make one where it has none, and the other
 * when that changes.
 */
final class BuildStage {

    private final Stage stage;
    private final Session session;
    private final Prefs prefs;
    private final Clock clock;
    private final Consumer<DeskApp.What> other;
    private boolean empty;
    private Desk desk;

    BuildStage(Stage stage, Session session, Prefs prefs, Clock clock) {
        this(stage, session, prefs, clock, what -> {});
    }

    /**
     * @param other opens another build in the place of this one
     */
    BuildStage(Stage stage, Session session, Prefs prefs, Clock clock, Consumer<DeskApp.What> other) {
        this.other = other;
        this.stage = stage;
        this.session = session;
        this.prefs = prefs;
        this.clock = clock;
        session.snapshotProperty().addListener((o, was, now) -> {
            if (now.build().faces().isEmpty() != empty) {
                show();
            }
        });
        show();
    }

    private void show() {
        empty = session.snapshot().build().faces().isEmpty();
        stage.setTitle(session.snapshot().build().name() + " - Bucina");
        if (empty) {
            stage.setScene(new EmptyView(session, prefs, face -> desk().show(face)).scene());
        } else {
            desk = new Desk(session, prefs);
            stage.setScene(new DeskWindow(desk, clock, other).scene());
        }
    }

    /** The desk shown; only where the build has a face. */
    Desk desk() {
        return desk;
    }
}
