package bucina.desk.bench;

import bucina.core.measure.LengthFormat;
import bucina.core.stack.SafeTrim;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.Comparator;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** What the bench side says while nothing is picked: the safe trim lines if they are asked for, and how to begin. */
final class NothingPicked extends VBox {

    private final Desk desk;
    private final VBox trims = new VBox(4);

    NothingPicked(Desk desk) {
        super(10);
        this.desk = desk;
        getChildren()
                .addAll(
                        trims,
                        Ui.label("Nothing picked", "bench-title"),
                        Ui.wrapped(
                                "Click a hole on the sheet, or press an arrow key. Its stack is cut through here, "
                                        + "with the rivet it takes and why.",
                                "soft"),
                        Ui.wrapped(
                                "Double click takes the row, three clicks the group; drag sweeps over holes; Shift "
                                        + "goes on to the next hole along the row.",
                                "soft"),
                        Ui.wrapped(
                                "No drawing yet? Press N and type a stack: you get the length at once and can log it.",
                                "soft"));
    }

    void fill() {
        trims.getChildren().clear();
        if (desk.look().trimProperty().get()) {
            trims();
        }
    }

    /** The largest trim of each straight edge of the sheet picked, or of the largest. */
    private void trims() {
        desk.layer()
                .or(() -> desk.face().face().layers().stream()
                        .max(Comparator.comparingDouble(l -> l.outline().outer().area())))
                .ifPresent(layer -> {
                    trims.getChildren().add(Ui.label("Safe trim of " + layer.name(), "strong"));
                    SafeTrim.of(layer, desk.face())
                            .forEach(t -> trims.getChildren().add(line(t)));
                    trims.getChildren()
                            .add(Ui.wrapped("Leave metal beyond the line until every hole is known.", "soft"));
                });
    }

    private Label line(SafeTrim trim) {
        boolean bad = !(trim.largest().nanometres() >= 0);
        String much = LengthFormat.decimal(trim.largest().abs(), desk.unit(), 3);
        return Ui.wrapped(
                "Edge " + trim.looks(desk.face().face()) + ": "
                        + (bad ? "too near already by " + much : much + " at most") + ", set by "
                        + trim.hole().label() + ".",
                bad ? "stop-text" : "plain");
    }
}
