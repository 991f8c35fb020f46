package bucina.desk.card;

import bucina.core.drawing.Question;
import bucina.desk.look.Ui;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What a file leaves open, each question with its answers to press. */
final class BringAsks extends VBox {

    private static final Map<String, String> WORDS = Map.of(
            "in", "Inches",
            "mm", "Millimetres",
            "file", "Go by the file",
            "openings", "Openings of it",
            "sheets", "Sheets on it",
            "point", "It parts thousands",
            "comma", "It stands before decimals");

    private final BiConsumer<String, String> answered;
    private Optional<Button> first = Optional.empty();

    /**
     * Asks nothing yet.
     *
     * @param answered told the code of a question and the answer pressed
     */
    BringAsks(BiConsumer<String, String> answered) {
        super(8);
        this.answered = answered;
    }

    void show(List<Question> questions) {
        getChildren().clear();
        first = Optional.empty();
        questions.forEach(this::ask);
    }

    private void ask(Question question) {
        boolean unit = question.code().equals("unit") || question.code().equals("against");
        String words = question.sentence() + (unit ? ". Its figures are:" : "");
        FlowPane answers = new FlowPane(8, 4);
        for (String answer : question.answers()) {
            Button button =
                    Ui.button(WORDS.getOrDefault(answer, answer), "", () -> answered.accept(question.code(), answer));
            button.setId("bring-answer-" + answer);
            first = first.isEmpty() ? Optional.of(button) : first;
            answers.getChildren().add(button);
        }
        getChildren().addAll(Ui.wrapped(words, "attention-text"), answers);
    }

    /** Puts the keyboard on the first answer. */
    void enter() {
        first.ifPresent(Button::requestFocus);
    }
}
