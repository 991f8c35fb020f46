package bucina.desk.bench;

import bucina.core.guard.Owed;
import bucina.core.job.JobDone;
import bucina.core.log.Operation;
import bucina.core.log.Tightened;
import bucina.core.measure.InputException;
import bucina.core.stack.Bolted;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.section.SectionView;
import bucina.desk.session.Desk;
import bucina.desk.session.WorkTimer;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.VBox;

/** What bolts that are in still owe: torque with the drag measured, a stripe, wire or a pin. */
final class BoltSteps extends VBox {

    private final Desk desk;
    private final WorkTimer timer;
    private final SectionView section = new SectionView();
    private final Label head = Ui.wrapped("", "log-lead");
    private final Label how = Ui.wrapped("", "soft");
    private final Fields figures = new Fields();
    private final TextField torque;
    private final TextField drag;
    private final Label total = Ui.wrapped("", "log-use");
    private final Label error = Ui.wrapped("", "stop-text");
    private final Button go = Ui.button("", "Ctrl+Enter", this::act, "primary");
    private List<HoleReading> holes = List.of();
    private Optional<Operation> next = Optional.empty();
    private boolean busy;

    BoltSteps(Desk desk, WorkTimer timer) {
        super(8);
        this.desk = desk;
        this.timer = timer;
        setId("bolt-steps");
        torque = figures.live("Torque, in-lb", "", "bolt-torque", t -> total());
        drag = figures.live("Running drag, in-lb", "", "bolt-drag", t -> total());
        drag.setPromptText("measured while the nut runs down");
        total.setId("bolt-total");
        go.setId("bolt-go");
        go.setMaxWidth(Double.MAX_VALUE);
        BorderPane.setMargin(go, new Insets(8, 14, 12, 14));
        section.setPrefHeight(150);
        section.setMinHeight(150);
        getChildren()
                .addAll(
                        section,
                        head,
                        how,
                        figures,
                        total,
                        error,
                        Ui.wrapped(
                                "The torque is for dry threads; the kit's drawing goes before the table.", "caution"));
        Ui.shown(error, false);
    }

    void use(Palette colours, double scale) {
        section.use(colours, scale);
    }

    /** Shows what the picked bolts owe next; false if they owe nothing. */
    boolean fill() {
        List<HoleReading> picked = desk.selectionProperty().get().readings(desk.face()).stream()
                .filter(h -> desk.snapshot().set(h))
                .filter(h -> !Owed.openAfterSet(h, desk.snapshot().log()).isEmpty())
                .toList();
        Optional<Operation> step = picked.stream()
                .findFirst()
                .map(h -> Owed.openAfterSet(h, desk.snapshot().log()).getFirst());
        List<HoleReading> alike = picked.stream()
                .filter(h -> h.group().equals(picked.getFirst().group())
                        && h.solution().equals(picked.getFirst().solution())
                        && Owed.openAfterSet(h, desk.snapshot().log()).getFirst() == step.orElseThrow())
                .toList();
        if (!alike.equals(holes) || !step.equals(next)) {
            holes = alike;
            next = step;
            suggest();
        }
        go.setText(next.map(o -> "Mark " + holes.size() + " " + o.code()).orElse(""));
        go.setDisable(desk.session().readOnly());
        return next.isPresent();
    }

    private void suggest() {
        Ui.shown(error, false);
        if (next.isEmpty()) {
            return;
        }
        HoleReading first = holes.getFirst();
        head.setText(holes.size() + (holes.size() == 1 ? " bolt " : " bolts ")
                + first.solution().called() + " in, not " + next.get().code());
        section.show(
                Optional.of(first.solution()),
                List.of(),
                desk.snapshot().sheets(first.layers()).stream()
                        .map(Snapshot.Sheet::hatch)
                        .toList(),
                desk.unit());
        Optional<Bolted> bolt = first.solution().bolt();
        boolean torqued = next.get() == Operation.TORQUED;
        how.setText(
                bolt.map(b -> "Torque " + b.torqueWords() + (b.washers().isEmpty() ? "" : "; washers: " + b.washers())
                                + ". " + b.thread().source())
                        .orElse("No table of this program has its torque: take the maker's, or the drawing's."));
        Ui.shown(figures, torqued);
        torque.setText(bolt.map(b ->
                        String.valueOf(Math.round((b.torque().low() + b.torque().high()) / 2)))
                .orElse(""));
        drag.setText("");
        total();
    }

    private void total() {
        boolean torqued = next.filter(Operation.TORQUED::equals).isPresent();
        Ui.shown(total, torqued && tightened().isPresent());
        tightened().ifPresent(t -> total.setText("Set the wrench to " + t.words()));
    }

    /** What is typed; empty while it is not a figure. */
    private Optional<Tightened> tightened() {
        try {
            return Optional.of(read());
        } catch (InputException e) {
            return Optional.empty();
        }
    }

    private Tightened read() {
        boolean drags = holes.getFirst().solution().bolt().filter(Bolted::drags).isPresent();
        String behind = drag.getText().isBlank() ? "" : " + " + drag.getText().strip();
        return Tightened.parse(torque.getText().strip() + behind, drags);
    }

    /** True if the bolts that are shown owe something. */
    boolean owes() {
        return next.isPresent();
    }

    /** The button at the foot. */
    Button button() {
        return go;
    }

    /** Writes the step down with its minutes; what is typed stays until it is on the disk. */
    void act() {
        if (busy || next.isEmpty() || desk.session().readOnly()) {
            return;
        }
        Operation step = next.get();
        JobDone.Said said;
        try {
            said = new JobDone.Said(
                    desk.prefs().who(),
                    desk.session().now(),
                    timer.minutes(),
                    "",
                    "",
                    step == Operation.TORQUED ? Optional.of(read()) : Optional.empty());
        } catch (InputException e) {
            refused(e.getMessage());
            return;
        }
        busy = true;
        desk.session()
                .aside(
                        () -> JobDone.bolts(
                                step,
                                holes,
                                desk.session().snapshot().derivation(),
                                desk.session().snapshot().log(),
                                said,
                                desk.session().instant()),
                        made -> desk.session().log(made.addition(), List.of(), e -> done(), this::refused),
                        this::refused);
    }

    private void done() {
        busy = false;
        timer.again();
    }

    private void refused(String sentence) {
        busy = false;
        error.setText(sentence);
        Ui.shown(error, true);
    }
}
