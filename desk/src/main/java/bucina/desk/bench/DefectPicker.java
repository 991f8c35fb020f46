package bucina.desk.bench;

import bucina.core.log.Seen;
import bucina.core.prove.Judge;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.session.ProveForm;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Defects picked from pictures of them, and the figures of those that are measured. */
final class DefectPicker extends VBox {

    private final FlowPane pictures = new FlowPane(4, 4);
    private final TextField round = new TextField();
    private final CheckBox shank = new CheckBox("to the shank");
    private final TextField size = new TextField();
    private final HBox rounds;
    private final HBox sizes;
    private final Runnable changed;
    private Palette palette = Palette.LIGHT;
    private ProveForm.Fields fields = new ProveForm.Fields();
    private boolean showing;

    DefectPicker(Runnable changed) {
        super(6);
        this.changed = changed;
        setId("prove-defects");
        round.setId("prove-round");
        round.setPromptText("% of the way round");
        round.setAccessibleText("Feeler under the head, percent of the way round");
        size.setId("prove-size");
        size.setAccessibleText("How far, or how deep");
        shank.setId("prove-shank");
        rounds = Ui.named("Feeler .002", round);
        rounds.getChildren().add(shank);
        sizes = Ui.named("By, or deep", size);
        round.textProperty().addListener((o, was, now) -> take());
        size.textProperty().addListener((o, was, now) -> take());
        shank.selectedProperty().addListener((o, was, now) -> take());
        getChildren().addAll(pictures, rounds, sizes);
    }

    void use(Palette colours) {
        palette = colours;
    }

    /** Shows what can be seen at such a head, as it is picked in the fields. */
    void show(ProveForm.Fields now, Judge.Head head) {
        fields = now;
        showing = true;
        List<ToggleButton> buttons = new ArrayList<>();
        for (Seen.What what : Seen.What.values()) {
            if (head.shows(what)) {
                buttons.add(button(what));
            }
        }
        pictures.getChildren().setAll(buttons);
        round.setText(now.round);
        size.setText(now.size);
        shank.setSelected(now.shank);
        showing = false;
        figures();
    }

    private ToggleButton button(Seen.What what) {
        ToggleButton button = new ToggleButton(word(what), new DefectPicture(what, palette));
        button.setContentDisplay(ContentDisplay.TOP);
        button.setSelected(fields.seen.contains(what));
        button.setId("seen-" + what.code());
        button.setUserData(what.measure());
        button.setAccessibleText(what.words());
        button.getStyleClass().add("defect");
        button.selectedProperty().addListener((o, was, now) -> {
            if (now) {
                // A head stands proud or lies below, and one figure is asked for.
                pictures.getChildren().stream()
                        .map(ToggleButton.class::cast)
                        .filter(b -> b != button
                                && what.measure() == Seen.Measure.LENGTH
                                && b.getUserData() == Seen.Measure.LENGTH)
                        .forEach(b -> b.setSelected(false));
                fields.seen.add(what);
            } else {
                fields.seen.remove(what);
            }
            figures();
            changed.run();
        });
        return button;
    }

    private void figures() {
        Ui.shown(round, fields.seen.contains(Seen.What.HEAD_GAP));
        Ui.shown(shank, fields.seen.contains(Seen.What.HEAD_GAP));
        Ui.shown(size, fields.seen.stream().anyMatch(w -> w.measure() == Seen.Measure.LENGTH));
        size.setPromptText(fields.seen.contains(Seen.What.CUT) ? "how deep, as .001" : "how far, as .004");
    }

    private void take() {
        if (!showing) {
            fields.round = round.getText();
            fields.size = size.getText();
            fields.shank = shank.isSelected();
            changed.run();
        }
    }

    /** A word that fits under a picture. */
    private static String word(Seen.What what) {
        return switch (what) {
            case CRACK -> "cracked";
            case FOLD -> "folded";
            case OFFSET -> "off centre";
            case DISH -> "dished";
            case HEAD_GAP -> "head gap";
            case SHEET_GAP -> "sheet gap";
            case PROUD -> "proud";
            case BELOW -> "below";
            case CUT -> "smile, cut";
            case ROCKS -> "rocks";
            case MANDREL -> "mandrel";
        };
    }
}
