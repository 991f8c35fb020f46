package bucina.desk.app;

import bucina.desk.guided.Guided;
import bucina.desk.session.Desk;
import bucina.desk.session.Prefs;
import bucina.desk.session.Session;
import bucina.desk.session.ToOpen;
import java.time.Clock;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.stage.Stage;
import javafx.util.Subscription;

/**
 * Puts an open build into a stage: the desk where it has a face, a way to make one where it has none, and the other
 * when that changes.
 */
public final class BuildStage {

    private final Stage stage;
    private final Session session;
    private final Prefs prefs;
    private final Clock clock;
    private final Consumer<ToOpen> other;
    private final Guided guided;
    private final Subscription tie;
    private boolean empty;
    private Optional<EmptyView> bare = Optional.empty();
    private Optional<DeskWindow> window = Optional.empty();
    private Optional<Desk> desk = Optional.empty();

    public BuildStage(Stage stage, Session session, Prefs prefs, Clock clock) {
        this(stage, session, prefs, clock, what -> {}, new Guided());
    }

    /**
     * @param other  opens another build in the place of this one
     * @param guided the job that is led through, whichever build is open
     */
    BuildStage(Stage stage, Session session, Prefs prefs, Clock clock, Consumer<ToOpen> other, Guided guided) {
        this.other = other;
        this.guided = guided;
        this.stage = stage;
        this.session = session;
        this.prefs = prefs;
        this.clock = clock;
        tie = session.snapshotProperty().subscribe((was, now) -> {
            if (now.build().faces().isEmpty() != empty) {
                show(Desk.Room.SHEET);
            }
        });
        show(opens());
    }

    /** A build with work in it opens with what now; another room is not laid out for that. */
    private Desk.Room opens() {
        return session.snapshot().build().faces().stream()
                        .anyMatch(f -> !f.face().groups().isEmpty())
                ? Desk.Room.TONIGHT
                : Desk.Room.SHEET;
    }

    private void show(Desk.Room first) {
        close();
        empty = session.snapshot().build().faces().isEmpty();
        stage.setTitle(session.snapshot().build().name() + " - Bucina");
        if (empty) {
            EmptyView view = new EmptyView(session, prefs, other, face -> desk().show(face), guided);
            bare = Optional.of(view);
            stage.setScene(view.scene());
        } else {
            Desk next = new Desk(session, prefs);
            next.roomProperty().set(first);
            DeskWindow frame = new DeskWindow(next, clock, other, guided);
            desk = Optional.of(next);
            window = Optional.of(frame);
            stage.setScene(frame.scene());
        }
    }

    private void close() {
        bare.ifPresent(EmptyView::end);
        bare = Optional.empty();
        window.ifPresent(DeskWindow::close);
        desk.ifPresent(Desk::close);
        window = Optional.empty();
        desk = Optional.empty();
    }

    /** Closes what is shown: another build takes its place. */
    void end() {
        tie.unsubscribe();
        close();
    }

    /** Brings a drawing into a build with no face yet. */
    void bringIn() {
        bare.ifPresent(EmptyView::bring);
    }

    /** The desk shown; only where the build has a face. */
    Desk desk() {
        return desk.orElseThrow();
    }
}
