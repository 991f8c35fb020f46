package bucina.desk.bench;

import bucina.core.log.Operation;
import bucina.core.progress.Task;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;

/** Says that a temporary bolt is in the picked holes, or out again: it is owed until they have their own. */
final class TemporaryBolt extends HBox {

    private static final Task IN = Task.of(Operation.TEMPORARY);

    private final Desk desk;
    private final Consumer<String> refused;
    private final Button button = Ui.button("", "", this::turn, "quiet");

    TemporaryBolt(Desk desk, Consumer<String> refused) {
        this.desk = desk;
        this.refused = refused;
        button.setId("log-temporary");
        getChildren().add(button);
    }

    /** The picked holes that take a bolt and have none yet. */
    private List<HoleReading> holes() {
        return desk.selectionProperty().get().readings(desk.face()).stream()
                .filter(h ->
                        !h.solution().afterSet().isEmpty() && !desk.snapshot().set(h))
                .toList();
    }

    private boolean in() {
        return holes().stream().allMatch(h -> in(desk, h));
    }

    /** True if a temporary bolt is in a hole. */
    static boolean in(Desk desk, HoleReading hole) {
        return !IN.layers(hole).isEmpty()
                && !desk.snapshot().set(hole)
                && IN.done(desk.snapshot().log(), hole);
    }

    void fill() {
        List<HoleReading> holes = holes();
        Ui.shown(this, !holes.isEmpty() && !desk.session().readOnly());
        button.setText(in() ? "Temporary bolts are out" : "Temporary bolts are in");
    }

    private void turn() {
        boolean put = !in();
        desk.session()
                .mark(
                        (put ? "marking " : "taking back ") + holes().size() + " temporary bolts",
                        IN.marks(
                                desk.snapshot().log(),
                                holes(),
                                put,
                                desk.session().instant()),
                        "",
                        () -> refused.accept(""),
                        refused);
    }
}
