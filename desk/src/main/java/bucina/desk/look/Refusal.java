package bucina.desk.look;

import javafx.scene.control.Label;
import javafx.scene.layout.Region;

/** The line that says what was refused; not there while nothing was. */
public final class Refusal extends Label {

    public Refusal() {
        getStyleClass().add("stop-text");
        setWrapText(true);
        setMinHeight(Region.USE_PREF_SIZE);
        clear();
    }

    /** Says it. */
    public void say(String sentence) {
        setText(sentence);
        Ui.shown(this, true);
    }

    /** Nothing is refused any more. */
    public void clear() {
        Ui.shown(this, false);
    }
}
