package bucina.desk.look;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** A number in a line of its own that opens its reason. */
public final class NumberButton extends Button {

    private final Label name = Ui.label("", "number-name");
    private final Label value = Ui.kept("", "number-value");

    public NumberButton(String title, String shown, Runnable open) {
        HBox line = new HBox(8, name, Ui.spring(), value, Ui.label("?", "number-why"));
        line.setAlignment(Pos.CENTER_LEFT);
        Ui.across(this, line, line, 8);
        getStyleClass().add("number");
        show(title, shown, open);
    }

    /** Shows another number in its place. */
    public void show(String title, String shown, Runnable open) {
        name.setText(title);
        value.setText(shown);
        setAccessibleText(title + " " + shown + ", open the reason");
        setOnAction(e -> open.run());
    }
}
