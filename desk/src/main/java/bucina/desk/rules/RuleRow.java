package bucina.desk.rules;

import bucina.core.rule.Choice;
import bucina.core.rule.Rule;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.desk.look.Ui;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;

/** One limit: what it is, the value in force, where it is changed, the value of another set, and its source. */
final class RuleRow {

    private static final double TITLE = 250;
    private static final double SOURCE = 330;

    private final Consumer<String> change;
    private final Control editor;
    private final Label beside = Ui.kept("", "attention-text");
    private final Label source = Ui.wrapped("");
    private final Node[] cells;
    private String inForce = "";

    /**
     * @param change takes a value that was typed or chosen in the place of the one in force
     * @param ask    shows what is meant
     */
    RuleRow(RuleKey key, boolean readOnly, Consumer<String> change, Runnable ask) {
        this.change = change;
        editor = key.kind() == RuleKey.Kind.CHOICE ? choices(key) : field();
        editor.setId("rule-" + key.code().replace('.', '-'));
        editor.setAccessibleText(key.title());
        editor.setDisable(readOnly);
        Label title = Ui.wrapped(key.title(), "plain");
        title.setMinWidth(TITLE);
        title.setMaxWidth(TITLE);
        source.setMaxWidth(SOURCE);
        HBox value = new HBox(4, editor, Ui.kept(unit(key), "soft"));
        value.setAlignment(Pos.CENTER_LEFT);
        Button means = Ui.button("?", "", ask, "quiet", "slim");
        means.setAccessibleText("What is meant by " + key.title());
        HBox what = new HBox(2, means, title);
        what.setAlignment(Pos.CENTER_LEFT);
        cells = new Node[] {what, value, beside, source};
    }

    /** Its cells in a row of the table. */
    Node[] cells() {
        return cells;
    }

    /** Shows the limit as it is, and what another set says where that differs. */
    void show(Rule rule, Optional<RuleSet> other) {
        inForce = rule.value();
        if (editor instanceof TextField field) {
            field.setText(inForce);
        } else if (editor instanceof ComboBox<?> box) {
            select(box);
        }
        beside.setText(other.map(o -> o.rule(rule.key()).value())
                .filter(theirs -> !theirs.equals(inForce))
                .orElse(""));
        source.setText(rule.source() + (rule.reason().isEmpty() ? "" : ". Replaced: " + rule.reason()));
        source.getStyleClass().removeAll("tiny", "attention-text");
        source.getStyleClass().add(rule.reason().isEmpty() ? "tiny" : "attention-text");
    }

    private <T> void select(ComboBox<T> box) {
        box.getItems().stream().filter(inForce::equals).forEach(box::setValue);
    }

    private TextField field() {
        TextField field = new TextField();
        field.setPrefWidth(90);
        field.setOnAction(e -> changed(field.getText().strip()));
        field.focusedProperty().addListener((o, was, now) -> {
            if (was && !now && field.getScene() != null) {
                changed(field.getText().strip());
            }
        });
        return field;
    }

    private ComboBox<String> choices(RuleKey key) {
        ComboBox<String> box = new ComboBox<>();
        box.getItems().setAll(key.choices().stream().map(Choice::code).toList());
        box.setPrefWidth(120);
        // Once the box has done with the choice: what is refused is put back, which it would take over in the midst of
        // it.
        box.valueProperty().addListener((o, was, now) -> Platform.runLater(() -> changed(now)));
        return box;
    }

    private void changed(String value) {
        if (!value.equals(inForce)) {
            change.accept(value);
        }
    }

    private static String unit(RuleKey key) {
        return switch (key.kind()) {
            case DIAMETERS -> "D";
            case THICKNESSES -> "t";
            case DEGREES -> "°";
            case LENGTH, CHOICE -> "";
        };
    }
}
