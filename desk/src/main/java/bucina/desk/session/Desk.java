package bucina.desk.session;

import bucina.core.explain.Why;
import bucina.core.job.Job;
import bucina.core.log.LogEntry;
import bucina.core.log.Operation;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.progress.Task;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import java.util.List;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.ObjectBinding;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.value.ObservableValue;
import javafx.util.Subscription;

/** What the window is looking at. Views bind to it; none keeps a copy. Interface thread only. */
public final class Desk implements AutoCloseable {

    private final Subscription tie;

    /** The rooms that the top bar shows. */
    public enum Room {
        /** What to do this evening. */
        TONIGHT("Tonight", "Tonight room: what now, in which order, what to lay out"),
        /** The sheet on the bench. */
        SHEET("Sheet", "Sheet room"),
        /** Every part, how it stands and what it owes. */
        PARTS("Parts", "Parts room: how each part stands, what is owed to it"),
        /** Bends, cutting, fasteners: sums with a picture. */
        SUMS("Sums", "Bench sums room: bends, cutting, bolts"),
        /** Hardware, the packing list, orders, hours and weight. */
        STORES("Stores", "Stores room: what is there, what is short, what to order, when it is done"),
        /** Everything logged. */
        LOGBOOK("Logbook", "Logbook room"),
        /** Queries, accepted findings, bulletins, the other hand. */
        PAPERS("Papers", "Papers room: queries, bulletins, the other hand"),
        /** The limits in force; entered from the papers. */
        RULES("Rules", "Rules room: limits, and what another rule set changes");

        private final String word;
        private final String title;

        Room(String word, String title) {
            this.word = word;
            this.title = title;
        }

        /** On the bar. */
        public String word() {
            return word;
        }

        /** Where it is looked for. */
        public String title() {
            return title;
        }

        /** The key that enters it, after F1 for help; empty for the rules. */
        public String key() {
            return this == RULES ? "" : "F" + (ordinal() + 2);
        }
    }

    private final Session session;
    private final Prefs prefs;
    private final Look look;
    private final Over over;
    private final ReadOnlyObjectWrapper<Snapshot> shown = new ReadOnlyObjectWrapper<>();
    private final BooleanProperty changing = new SimpleBooleanProperty();
    private boolean attempting;
    private final ObjectProperty<Optional<Id.Layer>> layer = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<Id.Part>> part = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<Misfitting>> misfit = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Task> task = new SimpleObjectProperty<>(Task.of(Operation.FINAL_SIZE));
    private final ObjectBinding<List<Object>> picked = Bindings.createObjectBinding(
            () -> List.of(layer.get(), part.get(), misfit.get(), task.get().layer()), layer, part, misfit, task);
    private final ObjectProperty<Room> room = new SimpleObjectProperty<>(Room.SHEET);

    private final ObjectProperty<Stage> stage = new SimpleObjectProperty<>(Stage.STUDY);
    private final ObjectProperty<Selection> selection = new SimpleObjectProperty<>();
    private final ObjectProperty<Optional<Why>> why = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<String>> asked = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<LogEntry>> correcting = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<Id.Group>> typedGroup = new SimpleObjectProperty<>(Optional.empty());

    /** A desk with its first face chosen; a build with no face is not shown on a desk. */
    public Desk(Session session, Prefs prefs) {
        this.session = session;
        this.prefs = prefs;
        Build.FaceRef first = session.snapshot().build().faces().getFirst();
        selection.set(Selection.none(first.face().id()));
        look = new Look(prefs, first.assembly().unit());
        shown.set(session.snapshot());
        selection.addListener((o, was, now) -> {
            if (now.cursor().isPresent()) {
                typedGroup.set(Optional.empty());
            }
        });
        stage.addListener((o, was, now) -> turned(now));
        over = new Over(this);
        over.follow();
        tie = session.snapshotProperty().subscribe((was, now) -> {
            attempting = false;
            show(now);
        });
    }

    /** Each of the stages Drill and Dress begins with its own first task. */
    private void turned(Stage now) {
        boolean dressing = task.get().operation().compareTo(Operation.DIMPLED) >= 0;
        if (now == Stage.DRILL && dressing) {
            task.set(Task.of(Operation.FINAL_SIZE));
        } else if (now == Stage.DRESS && !dressing) {
            task.set(Task.of(Operation.DIMPLED));
        }
    }

    /** How things are looked at. */
    public Look look() {
        return look;
    }

    /** What lies over the sheet. */
    public Over over() {
        return over;
    }

    /** Lets go of the session, which outlives it where a build loses its last face or gets its first. */
    @Override
    public void close() {
        tie.unsubscribe();
    }

    /**
     * A build that has lost its last face is not shown here: the window is changed for one that offers to make a face.
     */
    private void show(Snapshot now) {
        if (!now.build().faces().isEmpty()) {
            keepSelection(now);
            shown.set(now);
        }
    }

    /** What is shown: what is on the disk, or while something is dragged, what it would become. */
    public ReadOnlyObjectProperty<Snapshot> snapshotProperty() {
        return shown.getReadOnlyProperty();
    }

    /** Shows what a drag would make; empty to show what is on the disk again. */
    public void attempt(Optional<Snapshot> tried) {
        attempting = tried.isPresent();
        show(tried.orElseGet(session::snapshot));
    }

    /** True while what is shown is only tried: lists and figures of the whole build wait until it is written. */
    public boolean attempting() {
        return attempting;
    }

    /** True while the sheet can be changed by hand. */
    public BooleanProperty changingProperty() {
        return changing;
    }

    /** The sheet picked for a change; empty if none is. */
    public ObjectProperty<Optional<Id.Layer>> layerProperty() {
        return layer;
    }

    /** The part picked, which is lit up on every face; empty if none is. */
    public ObjectProperty<Optional<Id.Part>> partProperty() {
        return part;
    }

    /** A part that will not go on, as measured last; empty if none is looked at. */
    public ObjectProperty<Optional<Misfitting>> misfitProperty() {
        return misfit;
    }

    /** What is picked beside holes: changes when another sheet or part is. */
    public ObservableValue<List<Object>> pickedProperty() {
        return picked;
    }

    /** The sheet picked, as it is now; empty if none is, or it is gone or on another face. */
    public Optional<Layer> layer() {
        return layer.get()
                .flatMap(id -> face().face().layers().stream()
                        .filter(l -> l.id().equals(id))
                        .findFirst());
    }

    /** The assembly of the face shown. */
    public Build.FaceRef ref() {
        return snapshot().ref(selection.get().face());
    }

    /** After a change of the build: what was picked stays picked where it is still there. */
    private void keepSelection(Snapshot now) {
        Selection old = selection.get();
        if (now.build().face(old.face()).isEmpty()) {
            selection.set(Selection.none(now.build().faces().getFirst().face().id()));
            return;
        }
        FaceReading face = now.face(old.face());
        stay(old, face, now);
    }

    private void stay(Selection old, FaceReading face, Snapshot now) {
        if (!old.holes().stream().allMatch(h -> face.of(h).isPresent())) {
            selection.set(Selection.none(old.face()));
        }
        if (typedGroup.get().isPresent() && now.group(typedGroup.get().get()).isEmpty()) {
            typedGroup.set(Optional.empty());
        }
    }

    public Session session() {
        return session;
    }

    public Prefs prefs() {
        return prefs;
    }

    /** What a drawn sheet rests on beside what is picked: it is drawn again when one of these changes. */
    public List<ObservableValue<?>> drawn() {
        return List.of(
                snapshotProperty(),
                stageProperty(),
                pickedProperty(),
                look.unitProperty(),
                look.trimProperty(),
                look.scaleProperty(),
                over.playingProperty(),
                over.reachingProperty(),
                over.proofProperty());
    }

    public ObjectProperty<Room> roomProperty() {
        return room;
    }

    public ObjectProperty<Stage> stageProperty() {
        return stage;
    }

    public ObjectProperty<Selection> selectionProperty() {
        return selection;
    }

    /** The number opened up; empty if none is. */
    public ObjectProperty<Optional<Why>> whyProperty() {
        return why;
    }

    /**
     * What the guide is asked about: the key of a rule, a limit or a sum, a term; empty if nothing is. The window
     * answers, and empties it.
     */
    public ObjectProperty<Optional<String>> askedProperty() {
        return asked;
    }

    /** Asks the guide about something. */
    public void ask(String key) {
        asked.set(Optional.of(key));
    }

    /** The entry being corrected; empty while a first entry is written. */
    public ObjectProperty<Optional<LogEntry>> correctingProperty() {
        return correcting;
    }

    /** The group with a typed stack that is looked at; empty while a hole is. */
    public ObjectProperty<Optional<Id.Group>> typedGroupProperty() {
        return typedGroup;
    }

    /** What is shown now. */
    public Snapshot snapshot() {
        return shown.get();
    }

    /** The unit shown now. */
    public Unit unit() {
        return look.unitProperty().get();
    }

    /** Reads lengths as typed here. */
    public LengthParser lengths() {
        return new LengthParser(unit(), session.catalogue().drills());
    }

    /** The readings of the face shown. */
    public FaceReading face() {
        return snapshot().face(selection.get().face());
    }

    /** The hole looked at. */
    public Optional<HoleReading> cursor() {
        return selection.get().cursor().flatMap(h -> face().of(h));
    }

    /** The row of the hole looked at. */
    public Optional<RowModel> row() {
        return cursor().flatMap(c -> RowModel.of(snapshot(), face(), c.row().id()));
    }

    /** What is marked in the stages Drill and Dress. */
    public ObjectProperty<Task> taskProperty() {
        return task;
    }

    /** Picks every hole of the face. */
    public void pickFace() {
        selection.set(Selection.all(face(), selection.get().cursor()));
    }

    /** Turns to a face, with nothing picked. */
    public void show(Id.Face face) {
        typedGroup.set(Optional.empty());
        selection.set(Selection.none(face));
        room.set(Room.SHEET);
    }

    /** Turns to a group: its holes are picked, or its typed stack is looked at. */
    public void show(Build.GroupRef ref) {
        room.set(Room.SHEET);
        selection.set(
                Selection.group(snapshot().face(ref.face().id()), ref.group().id(), Optional.empty()));
        typedGroup.set(ref.group().typed().map(t -> ref.group().id()));
    }

    /** Turns to the heads of a job of proof: the first one is looked at, to be measured. */
    public void prove(Job.Place heads) {
        if (heads.holes().isEmpty()) {
            snapshot().build().group(heads.group().code()).ifPresent(this::show);
        } else {
            show(heads.face().id());
            selection.set(Selection.none(heads.face().id()).one(heads.holes().getFirst()));
        }
        stage.set(Stage.PROVE);
    }

    /**
     * Goes to the next hole with a finding: on along this face, then over the other faces, round to the first; false if
     * there is none at all.
     */
    public boolean nextFinding() {
        List<Build.FaceRef> faces = snapshot().build().faces();
        int here = 0;
        while (!faces.get(here).face().id().equals(selection.get().face())) {
            here++;
        }
        int after = cursor().map(c -> face().readings().indexOf(c)).orElse(-1);
        for (int i = 0; i <= faces.size(); i++) {
            FaceReading reading =
                    snapshot().face(faces.get((here + i) % faces.size()).face().id());
            for (int k = i == 0 ? after + 1 : 0; k < reading.size(); k++) {
                if (found(reading, reading.reading(k))) {
                    show(reading.face().id());
                    selection.set(Selection.none(reading.face().id()).one(reading.reading(k)));
                    return true;
                }
            }
        }
        return false;
    }

    /** True for a hole with a finding, and for the first hole of a row that has one as a whole. */
    private boolean found(FaceReading face, HoleReading reading) {
        return reading.worst().isPresent()
                || reading.row().holes().getFirst().id().equals(reading.hole().id())
                        && !face.rowFaults(reading.row()).isEmpty();
    }
}
