package bucina.desk.bench;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.plan.Build;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;

/** Typed values of one thing that can be changed. What is refused is said by the panel. */
abstract class ChangeForm {

    final Desk desk;
    private final Consumer<String> refused;

    /**
     * @param refused told a sentence, or nothing when something is tried again
     */
    ChangeForm(Desk desk, Consumer<String> refused) {
        this.desk = desk;
        this.refused = refused;
    }

    final void does(String words, UnaryOperator<Build> change) {
        does(words, change, () -> {});
    }

    final void does(String words, UnaryOperator<Build> change, Runnable then) {
        refused.accept("");
        desk.session().plan(words, change, then, refused);
    }

    /** Runs what reads a field; a sentence comes back where it cannot be read. */
    final void reading(Runnable read) {
        try {
            read.run();
        } catch (InputException e) {
            refused.accept(e.getMessage());
        }
    }

    final Length length(String text) {
        return desk.lengths().parse(text);
    }

    final String exact(Length length) {
        return LengthFormat.exact(length, desk.unit()).replaceAll(" (in|mm)$", "");
    }

    static FlowPane buttons(Button... buttons) {
        FlowPane pane = new FlowPane(6, 6, buttons);
        pane.setPrefWrapLength(300);
        return pane;
    }

    static Button button(String text, String key, String id, Runnable action) {
        Button button = Ui.button(text, key, action);
        button.setId(id);
        return button;
    }
}
