package bucina.core.measure;

import java.util.Objects;

/**
 * What a person typed cannot be used. The message is a whole sentence for that person: the value, the rule and an
 * example. It never means
 * that the program is wrong; that is an {@link IllegalArgumentException} or an {@link IllegalStateException}.
 */
public final class InputException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public InputException(String sentence) {
        super(sentence);
    }

    public InputException(String sentence, Throwable cause) {
        super(sentence, cause);
    }

    @Override
    public String getMessage() {
        return Objects.requireNonNull(super.getMessage(), "what was wrong");
    }
}
