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

    /** A tick and what it takes over; {@code made} where something was done on that already. */
    private record Line(List<Change> changes, CheckBox tick, boolean made) {}

    private final List<Line> lines = new ArrayList<>();

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
        changes.stream()
                .limit(MOST)
                .forEach(c -> line(List.of(c), c.words(unit), c.done().isPresent()));
        List<Change> rest =
                changes.stream().skip(MOST).filter(c -> c.done().isEmpty()).toList();
        if (changes.size() > MOST) {
            line(
                    rest,
                    "And " + rest.size() + " more on which nothing was done; " + (changes.size() - MOST - rest.size())
                            + " on which something was stay as they are.",
                    false);
        }
    }

    private void line(List<Change> changes, String words, boolean made) {
        CheckBox tick = new CheckBox(words);
        tick.setWrapText(true);
        tick.setSelected(!made);
        tick.getStyleClass().add(made ? "attention-text" : "soft");
        tick.setId("change-" + lines.size());
        lines.add(new Line(changes, tick, made));
        getChildren().add(tick);
    }

    private void tick(boolean on) {
        lines.forEach(l -> l.tick.setSelected(on && !l.made));
    }

    /** What is ticked. */
    List<Change> ticked() {
        return lines.stream()
                .filter(l -> l.tick.isSelected())
                .flatMap(l -> l.changes.stream())
                .toList();
    }
}
