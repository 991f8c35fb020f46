package bucina.desk.bench;

import bucina.core.plan.Id;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Selection;
import bucina.desk.session.Stage;
import bucina.desk.session.Suggestion;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;

/** The button at the foot that offers what is set next: the holes alike, how many, and where the squeezer is reset. */
final class NextStep {

    private final Desk desk;
    private final Button button = Ui.button("", "Ctrl+Enter", this::go, "primary");

    NextStep(Desk desk) {
        this.desk = desk;
        button.setId("next");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setMinWidth(0);
        button.setWrapText(true);
        button.setMinHeight(Region.USE_PREF_SIZE);
        BorderPane.setMargin(button, new Insets(8, 14, 12, 14));
    }

    Button button() {
        return button;
    }

    /** Offers what is picked, or what is alike; hidden where nothing is open. */
    void fill() {
        Optional<Suggestion> s =
                desk.cursor().isPresent() || desk.typedGroupProperty().get().isPresent() ? alike() : Optional.empty();
        Ui.shown(button, s.isPresent() && !desk.session().readOnly());
        s.ifPresent(x -> button.setText("Set " + x.count() + " × "
                + x.solution().dash()
                + (x.holes().isEmpty() ? "" : ", " + x.where())
                + (x.then().isEmpty() ? "" : "\nthen " + x.then().getFirst().then(x.solution(), desk.unit()))));
    }

    /**
     * What is picked if it is more than one hole and any of it is open; else the holes alike in the row; else those in
     * the group.
     */
    private Optional<Suggestion> alike() {
        Selection selection = desk.selectionProperty().get();
        Optional<Suggestion> picked = selection.holes().size() == 1 ? Optional.empty() : Suggestion.of(desk);
        return picked.or(() -> desk.cursor().flatMap(c -> {
            Optional<Id.Hole> at = Optional.of(c.hole().id());
            return Suggestion.of(desk, Selection.row(desk.face(), c.row().id(), at))
                    .or(() -> Suggestion.of(
                            desk, Selection.group(desk.face(), c.group().id(), at)));
        }));
    }

    /** Picks what is offered and goes on to where it is written down. */
    private void go() {
        alike().ifPresent(s -> {
            if (!s.holes().isEmpty()) {
                List<Id.Hole> holes = s.holes().stream().map(h -> h.id()).toList();
                Optional<Id.Hole> cursor = desk.selectionProperty()
                        .get()
                        .cursor()
                        .filter(holes::contains)
                        .or(() -> Optional.of(holes.getFirst()));
                desk.selectionProperty()
                        .set(new Selection(desk.selectionProperty().get().face(), cursor, new LinkedHashSet<>(holes)));
            }
            desk.stageProperty().set(Stage.SET);
        });
    }

    /** Does it, if it is offered. */
    void act() {
        if (button.isVisible()) {
            go();
        }
    }
}
