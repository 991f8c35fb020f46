package bucina.core.drawing;

import java.util.List;

/**
 * Something that the drawing does not say and that decides what comes in.
 *
 * @param code     {@code unit}, {@code inside}
 * @param sentence what is not said, for people
 * @param answers  what can be said
 */
public record Question(String code, String sentence, List<String> answers) {

    public Question {
        answers = List.copyOf(answers);
    }
}
