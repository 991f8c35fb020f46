package bucina.desk.session;

import bucina.core.job.Jobs;
import bucina.core.log.Operation;
import bucina.core.plan.Id;
import bucina.core.progress.Task;
import bucina.core.reach.Reach;
import bucina.core.reach.ToolCrib;
import bucina.core.stack.FaceReading;
import bucina.core.state.Snapshot;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.util.Duration;

/**
 * What lies over the sheet: how far it has come, what tools reach, clecos that are played. Worked out off the interface
 * thread for what is looked at; what is out of date when it is there is dropped.
 */
public final class Over {

    private final Desk desk;
    private final Latest counts;
    private final Latest reaches;
    private final ObjectProperty<Optional<Playing>> playing = new SimpleObjectProperty<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Progress>> progress = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Reaching>> reaching = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Map<Id.Hole, List<String>>> before = new ReadOnlyObjectWrapper<>(Map.of());
    private final Latest befores;
    private final ReadOnlyObjectWrapper<Optional<ProofLook>> proofs = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final Latest proving;
    /** What is to be done before is worked out once the hand rests: it takes a look at the whole build. */
    private final PauseTransition rest = new PauseTransition(Duration.millis(600));

    /** The work whose reach is shown or on its way. */
    private Optional<Reach.Work> wished = Optional.empty();
    /** Counted last, of any face. */
    private Optional<Progress> last = Optional.empty();

    Over(Desk desk) {
        this.desk = desk;
        counts = desk.session().latest();
        reaches = desk.session().latest();
        befores = desk.session().latest();
        proving = desk.session().latest();
        rest.setOnFinished(e -> first());
    }

    /** Follows what is looked at, from now on. */
    void follow() {
        desk.selectionProperty().addListener((o, was, now) -> {
            if (!was.face().equals(now.face())) {
                progress.set(Optional.empty());
                again();
            }
        });
        desk.snapshotProperty().addListener((o, was, now) -> {
            playing.set(Optional.empty());
            if (!desk.attempting()) {
                again();
                rest.playFromStart();
            }
        });
        desk.taskProperty().addListener((o, was, now) -> count());
        desk.stageProperty().addListener((o, was, now) -> {
            playing.set(Optional.empty());
            rest.playFromStart();
        });
        desk.roomProperty().addListener((o, was, now) -> rest.playFromStart());
        count();
        prove();
        rest.playFromStart();
    }

    /** What is to be done at holes before a part goes on or a bay is shut, in sentences; of every face. */
    public ReadOnlyObjectProperty<Map<Id.Hole, List<String>>> beforeProperty() {
        return before.getReadOnlyProperty();
    }

    /** The same in the stages that show it; nothing in others. */
    Map<Id.Hole, List<String>> before() {
        Stage stage = desk.stageProperty().get();
        return stage == Stage.STUDY || stage == Stage.SET ? before.get() : Map.of();
    }

    /** What proof says of the face shown; empty until it is worked out. */
    public ReadOnlyObjectProperty<Optional<ProofLook>> proofProperty() {
        return proofs.getReadOnlyProperty();
    }

    /** What proof says of the holes of the face shown. */
    Map<Id.Hole, HoleLook.Overlay> proof() {
        return proofs.get()
                .filter(p -> p.face().equals(desk.selectionProperty().get().face()))
                .map(ProofLook::holes)
                .orElse(Map.of());
    }

    private void prove() {
        Snapshot now = desk.snapshot();
        Id.Face face = desk.selectionProperty().get().face();
        proving.ask(() -> ProofLook.of(now, face), p -> proofs.set(Optional.of(p)), s -> {});
    }

    private void first() {
        Stage stage = desk.stageProperty().get();
        if (stage != Stage.STUDY && stage != Stage.SET || desk.roomProperty().get() != Desk.Room.SHEET) {
            return;
        }
        Snapshot now = desk.snapshot();
        LocalDate today = desk.session().now().toLocalDate();
        befores.ask(
                () -> Jobs.of(now.derivation(), now.log(), now.holds(), today).befores(), before::set, s -> {});
    }

    private void again() {
        playing.set(Optional.empty());
        count();
        prove();
        wished.ifPresent(this::reach);
    }

    /** How far the face shown has come; empty until it is counted. */
    public ReadOnlyObjectProperty<Optional<Progress>> progressProperty() {
        return progress.getReadOnlyProperty();
    }

    private void count() {
        FaceReading reading = desk.face();
        Snapshot counted = desk.snapshot();
        Task asked = desk.taskProperty().get();
        Optional<Progress> before = last;
        counts.ask(
                () -> Progress.of(reading, counted, desk.session().catalogue(), asked, before),
                p -> {
                    last = Optional.of(p);
                    progress.set(last);
                },
                s -> {});
    }

    /** The cleco plan that is played on the sheet; empty while none is. */
    public ObjectProperty<Optional<Playing>> playingProperty() {
        return playing;
    }

    /** Holes of the face that were jumped over in the task; none in other stages. */
    public Set<Id.Hole> skipped() {
        Stage stage = desk.stageProperty().get();
        return stage == Stage.DRILL || stage == Stage.DRESS
                ? progress.get()
                        .filter(p ->
                                p.face().equals(desk.selectionProperty().get().face()))
                        .map(Progress::marks)
                        .orElse(Set.of())
                : Set.of();
    }

    /** Works out what to note before the assembly shown is taken apart. */
    public void apart(Consumer<Apart> then) {
        Snapshot now = desk.session().snapshot();
        Id.Face face = desk.selectionProperty().get().face();
        Optional<Progress> before = last;
        desk.session()
                .aside(
                        () -> Apart.of(now, now.ref(face).assembly(), before.map(Progress::apart)),
                        then,
                        desk.session()::say);
    }

    /** What tools reach on the face shown; empty while that is not shown. */
    public ReadOnlyObjectProperty<Optional<Reaching>> reachingProperty() {
        return reaching.getReadOnlyProperty();
    }

    /** The same as it is now; empty also while it is still that of another face. */
    public Optional<Reaching> reaching() {
        return reaching.get()
                .filter(r -> r.face().equals(desk.selectionProperty().get().face()));
    }

    /** Shows what tools reach, for the work of the stage, or puts it away. */
    public void turnReach() {
        if (!dropReach()) {
            showReach();
        }
    }

    /** Puts away what tools reach; true if it was shown or on its way. */
    public boolean dropReach() {
        boolean was = wished.isPresent();
        reaches.drop();
        wished = Optional.empty();
        reaching.set(Optional.empty());
        return was;
    }

    /** Shows what tools reach, for the work of the stage; what is shown already stays. */
    public void showReach() {
        if (wished.isEmpty()) {
            reach(
                    desk.stageProperty().get() == Stage.SET
                            ? Reach.Work.SQUEEZE
                            : desk.taskProperty().get().operation() == Operation.COUNTERSUNK
                                    ? Reach.Work.COUNTERSINK
                                    : Reach.Work.DIMPLE);
        }
    }

    /** Shows what tools reach for one piece of work. */
    public void reach(Reach.Work work) {
        wished = Optional.of(work);
        Snapshot now = desk.snapshot();
        FaceReading face = desk.face();
        reaches.ask(
                () -> Reaching.of(
                        face,
                        now.build(),
                        Reach.of(
                                face,
                                now.build(),
                                ToolCrib.of(now.build(), desk.session().catalogue()),
                                ToolCrib.typical(desk.session().catalogue()),
                                now.log()),
                        work),
                r -> {
                    wished = r.map(Reaching::work);
                    reaching.set(r);
                    if (r.isEmpty()) {
                        desk.session().say("Nothing on this face wants a tool at its holes.");
                    }
                },
                sentence -> {
                    wished = reaching.get().map(Reaching::work);
                    desk.session().say(sentence);
                });
    }
}
