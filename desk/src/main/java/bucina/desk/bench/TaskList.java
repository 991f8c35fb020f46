package bucina.desk.bench;

import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.progress.Task;
import bucina.desk.look.Ui;
import bucina.desk.session.Progress;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The tasks of a stage, each with what is left of it; the one chosen is marked. */
final class TaskList extends VBox {

    private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");

    /** One task that can be chosen. */
    record Choice(String words, Operation operation, Mark.Side side) {}

    private final List<Choice> choices;
    private final Consumer<Choice> choose;

    TaskList(List<Choice> choices, Consumer<Choice> choose) {
        this.choices = choices;
        this.choose = choose;
    }

    /** Shows what is left; empty progress while it is being counted. */
    void fill(Task task, Optional<Progress> progress) {
        getChildren().clear();
        choices.forEach(c -> task(c, task, progress));
    }

    private void task(Choice c, Task task, Optional<Progress> progress) {
        boolean here = c.operation == task.operation() && c.side == task.side();
        String left = left(progress, here, c);
        HBox line = line(here, c, left);
        Button button = new Button();
        line.prefWidthProperty().bind(button.widthProperty().subtract(8));
        button.setGraphic(line);
        button.getStyleClass().add("number");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setId("task-" + c.operation.code()
                + (c.side == Mark.Side.BOTH ? "" : "-" + c.side.name().toLowerCase(Locale.ROOT)));
        button.setAccessibleText(c.words + (here ? ", chosen, " : ", ") + left);
        button.pseudoClassStateChanged(PICKED, here);
        button.setOnAction(e -> choose.accept(c));
        getChildren().add(button);
    }

    private static HBox line(boolean here, Choice c, String left) {
        HBox line = new HBox(
                6,
                Ui.label((here ? "• " : "") + c.words, here ? "strong" : "plain"),
                Ui.spring(),
                Ui.kept(left, "soft"));
        line.setMouseTransparent(true);
        return line;
    }

    private static String left(Optional<Progress> progress, boolean here, Choice c) {
        return progress.map(p ->
                        here ? p.waiting() : c.side == Mark.Side.BOTH ? p.left().get(c.operation) : -1)
                .map(n -> n < 0 ? "" : n == 0 ? "done" : n + " left")
                .orElse("");
    }
}
