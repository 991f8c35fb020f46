package bucina.desk.bench;

import static bucina.desk.session.Command.Scope.ALWAYS;
import static bucina.desk.session.Command.Scope.SHEET;

import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.progress.Task;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import bucina.desk.session.Progress;
import bucina.desk.session.Selection;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What is drilled, deburred and dressed: a task is chosen, holes are picked on the sheet, one key marks them. */
abstract class WorkPanel extends StagePanel {

    private static final int SHOWN = 10;

    final Desk desk;
    private final Runnable apart;
    private final TaskList tasks;
    private final ComboBox<Optional<Layer>> layer;
    final VBox below = new VBox(6);
    private final TextField why = new TextField();
    private final Label error = Ui.wrapped("", "stop-text");
    private final Button mark;
    private final Button back;
    private final VBox foot;
    private Runnable offer = () -> {};
    private boolean filling;

    /**
     * @param choices the tasks of the stage
     * @param apart   opens what is noted before taking apart
     */
    WorkPanel(Desk desk, List<TaskList.Choice> choices, Runnable apart) {
        super(8);
        tasks = new TaskList(
                choices,
                c -> choose(new Task(
                        c.operation(), c.side(), desk.taskProperty().get().layer())));
        this.desk = desk;
        this.apart = apart;
        setId("work-panel");
        Fields fields = new Fields();
        layer = fields.choice(
                "In",
                List.of(Optional.<Layer>empty()),
                Optional.empty(),
                l -> l.map(Layer::name).orElse("every sheet that takes it"),
                "work-layer",
                l -> {
                    if (!filling && l != null) {
                        choose(new Task(
                                desk.taskProperty().get().operation(),
                                desk.taskProperty().get().side(),
                                l.map(Layer::id)));
                    }
                });
        lay();
        mark = Ui.button("", "Ctrl+Enter", this::mark, "primary");
        layMark();
        back = Ui.button("Take back", "Ctrl+Back", this::takeBack);
        back.setId("work-back");
        Button all = Ui.button("Whole face", "Ctrl+A", desk::pickFace, "quiet");
        all.setId("work-all");
        FlowPane more = new FlowPane(6, 4, back, all);
        foot = new VBox(6, mark, more);
        foot.setPadding(new Insets(8, 14, 12, 14));
        getChildren().addAll(tasks, fields, error, below);
        Ui.shown(error, false);
        ties.on(desk.over().progressProperty(), () -> {
            if (getScene() != null) {
                fill();
            }
        });
    }

    private void layMark() {
        mark.setId("work-mark");
        mark.setMaxWidth(Double.MAX_VALUE);
        mark.setMinWidth(0);
        mark.setWrapText(true);
        mark.setMinHeight(USE_PREF_SIZE);
    }

    private void lay() {
        why.setId("work-why");
        why.setPromptText("why they may be marked now");
        why.setAccessibleText("Reason for marking holes that must wait");
        why.textProperty().addListener((o, was, is) -> offer.run());
    }

    /** Shows what the stage has beside the tasks; nothing unless it is said. */
    void more(Progress progress) {}

    @Override
    Optional<Node> footer() {
        return Optional.of(foot);
    }

    @Override
    public void act() {
        mark();
    }

    @Override
    List<Command> commands() {
        return List.of(
                Command.changes("mark-and-go-on", "Mark what is picked, and go on", "Space", SHEET, this::mark),
                Command.changes(
                        "take-mark-back",
                        "Take the mark back from what is picked",
                        "Ctrl+Back",
                        ALWAYS,
                        this::takeBack),
                Command.looks("pick-jumped", "Pick what was jumped over", "J", SHEET, this::pickSkipped));
    }

    private void choose(Task task) {
        Ui.shown(error, false);
        desk.taskProperty().set(task);
        fill();
    }

    @Override
    void fill() {
        filling = true;
        Task task = desk.taskProperty().get();
        Optional<Progress> progress = desk.over()
                .progressProperty()
                .get()
                .filter(p -> p.face().equals(desk.face().face().id()));
        tasks.fill(task, progress);
        layers(task);
        below.getChildren().clear();
        picked(task);
        skipped(progress);
        reminded(task, progress);
        progress.ifPresent(p -> p.sheet().forEach(w -> below.getChildren().add(Ui.wrapped(w, "soft"))));
        progress.ifPresent(this::more);
        filling = false;
    }

    private void reminded(Task task, Optional<Progress> progress) {
        if (task.operation() == Operation.DEBURRED) {
            progress.flatMap(p ->
                            p.apart().reminder(desk.session().snapshot().build().workshop()))
                    .ifPresent(this::remind);
        }
    }

    private void layers(Task task) {
        List<Optional<Layer>> choices = new ArrayList<>(List.of(Optional.empty()));
        desk.face().face().layers().forEach(l -> choices.add(Optional.of(l)));
        if (!layer.getItems().equals(choices)) {
            layer.getItems().setAll(choices);
        }
        keep(task);
    }

    private void keep(Task task) {
        Optional<Layer> now = task.layer()
                .flatMap(id -> desk.face().face().layers().stream()
                        .filter(l -> l.id().equals(id))
                        .findFirst());
        layer.setValue(now);
        if (task.layer().isPresent() && now.isEmpty()) {
            desk.taskProperty().set(new Task(task.operation(), task.side(), Optional.empty()));
        }
    }

    /** The picked holes that still wait. */
    private List<HoleReading> open(Task task) {
        return desk.selectionProperty().get().readings(desk.face()).stream()
                .filter(r -> task.waits(desk.snapshot().log(), r))
                .toList();
    }

    private List<HoleReading> guarded(Task task, List<HoleReading> open) {
        return open.stream().filter(r -> guard(task, r).isPresent()).toList();
    }

    private Optional<String> guard(Task task, HoleReading hole) {
        return desk.snapshot().guards(desk.face().face().id()).marking(task, hole, desk.unit());
    }

    private void picked(Task task) {
        List<HoleReading> holes = desk.selectionProperty().get().readings(desk.face());
        List<HoleReading> open = open(task);
        List<HoleReading> guarded = guarded(task, open);
        offers(open, holes, guarded, task);
        back.setDisable(holes.stream().noneMatch(r -> touched(task, r))
                || desk.session().readOnly());
        open.stream()
                .flatMap(h -> desk.snapshot().guards(desk.face().face().id()).granted(task, h).stream())
                .findFirst()
                .ifPresent(words -> below.getChildren().add(Ui.wrapped(words + ".", "soft")));
        if (guarded.isEmpty()) {
            return;
        }
        wait(guarded, task, open);
    }

    private void offers(List<HoleReading> open, List<HoleReading> holes, List<HoleReading> guarded, Task task) {
        offer = () -> mark.setText(
                open.isEmpty()
                        ? holes.isEmpty() ? "Pick holes to mark" : "Nothing left to mark here"
                        : offered(open.size(), guarded.size()) + " " + words(task));
        offer.run();
        mark.setDisable(open.isEmpty() || desk.session().readOnly());
    }

    private void wait(List<HoleReading> guarded, Task task, List<HoleReading> open) {
        VBox box = new VBox(
                4,
                Ui.wrapped(
                        guarded.size()
                                + (guarded.size() == 1 ? " of these must wait: " : " of these must wait. First: ")
                                + guard(task, guarded.getFirst()).orElseThrow() + ".",
                        "attention-text"),
                why,
                Ui.wrapped(
                        guarded.size() == open.size()
                                ? "Without a reason none of them is marked."
                                : "Without a reason only the others are marked.",
                        "tiny"));
        box.getStyleClass().add("finding-warning");
        below.getChildren().add(box);
    }

    /** What the button offers: the guarded holes only with the reason that they want. */
    private String offered(int open, int guarded) {
        if (!why.getText().isBlank()) {
            return "Mark " + open;
        }
        return open == guarded ? "Say why to mark " + open : "Mark " + (open - guarded);
    }

    private boolean touched(Task task, HoleReading r) {
        return task.layers(r).stream()
                .anyMatch(l -> desk.snapshot().log().marked(r.hole().id(), l.id(), task.operation(), task.side()));
    }

    static String words(Task task) {
        return task.operation().code().replace('-', ' ')
                + (task.operation() == Operation.DEBURRED
                        ? switch (task.side()) {
                            case BOTH -> ", both sides";
                            case NEAR -> ", near side";
                            case FAR -> ", far side";
                        }
                        : "");
    }

    private void skipped(Optional<Progress> progress) {
        progress.filter(p -> !p.skipped().isEmpty()).ifPresent(p -> {
            below.getChildren()
                    .add(Ui.wrapped(
                            p.skipped().size() + (p.skipped().size() == 1 ? " hole was" : " holes were")
                                    + " jumped over: their neighbours on both "
                                    + "sides are done.",
                            "attention-text"));
            offer(p);
        });
    }

    private void offer(Progress p) {
        FlowPane flow = new FlowPane(4, 4);
        p.skipped().stream()
                .limit(SHOWN)
                .forEach(r -> flow.getChildren().add(Ui.button(r.label(), "", () -> pick(List.of(r)), "quiet")));
        below.getChildren().add(flow);
        Button all = Ui.button("Pick the skipped", "J", () -> pick(p.skipped()));
        all.setId("work-skipped");
        below.getChildren().add(all);
    }

    /** Deburring comes after taking apart: what was not noted then cannot be noted any more. */
    private void remind(String words) {
        Button open = Ui.button("Note it", "Ctrl+D", apart);
        open.setId("work-apart");
        VBox box = new VBox(4, Ui.wrapped(words, "attention-text"), open);
        box.getStyleClass().add("finding-warning");
        below.getChildren().add(box);
    }

    /** Picks what was jumped over. */
    private void pickSkipped() {
        desk.over().progressProperty().get().filter(p -> !p.skipped().isEmpty()).ifPresent(p -> pick(p.skipped()));
    }

    final void pick(List<HoleReading> readings) {
        LinkedHashSet<Id.Hole> holes = new LinkedHashSet<>();
        readings.forEach(r -> holes.add(r.hole().id()));
        desk.selectionProperty()
                .set(new Selection(desk.face().face().id(), holes.stream().findFirst(), holes));
    }

    /** Marks what is picked; holes that must wait only with a reason. */
    private void mark() {
        Task task = desk.taskProperty().get();
        List<HoleReading> open = open(task);
        List<HoleReading> guarded = guarded(task, open);
        String reason = why.getText().strip();
        List<HoleReading> now = reason.isEmpty()
                ? open.stream().filter(r -> guard(task, r).isEmpty()).toList()
                : open;
        if (now.isEmpty()) {
            if (!guarded.isEmpty()) {
                refuse("Nothing is marked: " + guard(task, guarded.getFirst()).orElseThrow()
                        + ". Say why, if it is so.");
            }
            return;
        }
        write(now, task, reason, open);
    }

    private void write(List<HoleReading> now, Task task, String reason, List<HoleReading> open) {
        Ui.shown(error, false);
        desk.session()
                .mark(
                        "marking " + now.size() + (now.size() == 1 ? " hole " : " holes ") + words(task) + where(now),
                        task.marks(
                                desk.snapshot().log(), now, true, desk.session().instant()),
                        reason,
                        () -> {
                            why.clear();
                            goOn(open);
                        },
                        this::refuse);
    }

    private static String where(List<HoleReading> holes) {
        List<String> rows = holes.stream().map(h -> h.row().name()).distinct().toList();
        return holes.size() == 1
                ? ", " + holes.getFirst().label()
                : rows.size() == 1 ? " in " + rows.getFirst() : " in " + rows.size() + " rows";
    }

    /** At one hole the cursor goes on along the row. */
    private void goOn(List<HoleReading> marked) {
        if (marked.size() == 1 && desk.selectionProperty().get().holes().size() == 1) {
            HoleReading at = marked.getFirst();
            List<HoleReading> row = at.row().holes().stream()
                    .flatMap(h -> desk.face().of(h.id()).stream())
                    .toList();
            int next = row.indexOf(row.stream()
                            .filter(r -> r.hole().id().equals(at.hole().id()))
                            .findFirst()
                            .orElse(at))
                    + 1;
            if (next > 0 && next < row.size()) {
                desk.selectionProperty().set(desk.selectionProperty().get().one(row.get(next)));
            }
        }
    }

    private void takeBack() {
        Task task = desk.taskProperty().get();
        List<HoleReading> holes = desk.selectionProperty().get().readings(desk.face());
        List<Mark> marks =
                task.marks(desk.snapshot().log(), holes, false, desk.session().instant());
        if (!marks.isEmpty()) {
            long count = marks.stream().map(Mark::hole).distinct().count();
            desk.session()
                    .mark(
                            "taking " + words(task) + " back from " + count + (count == 1 ? " hole" : " holes"),
                            marks,
                            "",
                            () -> {},
                            this::refuse);
        }
    }

    private void refuse(String sentence) {
        error.setText(sentence);
        Ui.shown(error, true);
    }
}
