package bucina.desk.card;

import bucina.core.drawing.Change;
import bucina.core.measure.Unit;
import bucina.desk.look.Ui;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * What a new revision changes, each with a tick. What was done on already is not ticked: nobody moves a hole in metal,
 * and only the builder knows where it was made.
 */
final class ChangeList extends VBox {

    /** Changes beyond so many are taken over together only. */
    private static final int MOST = 300;

    private record Line(Change change, CheckBox tick) {}

    private final List<Line> lines = new ArrayList<>();
    private List<Change> rest = List.of();

    ChangeList() {
        super(3);
    }

    void show(List<Change> changes, Unit unit) {
        lines.clear();
        getChildren().clear();
        if (changes.isEmpty()) {
            getChildren().add(Ui.wrapped("Nothing is drawn otherwise than it is planned.", "strong"));
            return;
        }
        getChildren()
                .addAll(
                        Ui.wrapped(changes.size() + (changes.size() == 1 ? " change." : " changes."), "strong"),
                        Ui.wrapped("An arrow: moved. A crossed ring: gone. A plus: new.", "soft"),
                        new HBox(
                                8,
                                Ui.button("Tick all that is not made", "", () -> tick(true), "quiet"),
                                Ui.button("Tick none", "", () -> tick(false), "quiet")));
        rest = changes.stream().skip(MOST).filter(c -> c.done().isEmpty()).toList();
        changes.stream().limit(MOST).forEach(c -> {
            CheckBox tick = new CheckBox(c.words(unit));
            tick.setWrapText(true);
            tick.setSelected(c.done().isEmpty());
            tick.getStyleClass().add(c.done().isPresent() ? "attention-text" : "soft");
            tick.setId("change-" + lines.size());
            lines.add(new Line(c, tick));
            getChildren().add(tick);
        });
        if (changes.size() > MOST) {
            getChildren()
                    .add(Ui.wrapped(
                            "And " + (changes.size() - MOST) + " more: those on which nothing was done are taken over"
                                    + " with the rest.",
                            "soft"));
        }
    }

    private void tick(boolean on) {
        lines.forEach(l -> l.tick.setSelected(on && l.change.done().isEmpty()));
    }

    /** What is ticked. */
    List<Change> ticked() {
        List<Change> ticked = new ArrayList<>(lines.stream()
                .filter(l -> l.tick.isSelected())
                .map(Line::change)
                .toList());
        ticked.addAll(rest);
        return ticked;
    }
}
