package bucina.desk.rack;

import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** One face: its name, and how much of it is set in figures and pips. */
final class FaceRow extends Button {

    private static final String CURRENT = "current";

    private record Count(int done, int all, Palette palette) {}

    private final String name;
    private final Label count = Ui.label("", "rack-count");
    private final Pips pips = new Pips();
    private Optional<Count> shown = Optional.empty();

    FaceRow(String name, Runnable go) {
        this.name = name;
        HBox line = new HBox(6, Ui.label(name, "rack-face-name"), Ui.spring(), count);
        Ui.across(this, line, new VBox(4, line, pips), 20);
        getStyleClass().add("rack-face");
        setOnAction(e -> go.run());
    }

    void count(int done, int all, Palette palette) {
        Optional<Count> next = Optional.of(new Count(done, all, palette));
        if (!next.equals(shown)) {
            shown = next;
            count.setText(done + "/" + all);
            pips.show(done, all, palette);
            setAccessibleText(name + ", " + done + " of " + all + " set");
        }
    }

    void current(boolean here) {
        if (here != getStyleClass().contains(CURRENT)) {
            if (here) {
                getStyleClass().add(CURRENT);
            } else {
                getStyleClass().remove(CURRENT);
            }
        }
    }
}
