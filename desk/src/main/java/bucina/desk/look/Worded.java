package bucina.desk.look;

import java.util.function.Function;
import javafx.util.StringConverter;
import org.jspecify.annotations.Nullable;

/** Words for the things of a box that are chosen, never typed. */
public final class Worded<T> extends StringConverter<T> {

    private final Function<T, String> word;

    public Worded(Function<T, String> word) {
        this.word = word;
    }

    @Override
    public String toString(@Nullable T thing) {
        return thing == null ? "" : word.apply(thing);
    }

    @Override
    public T fromString(String text) {
        throw new UnsupportedOperationException("\"" + text + "\" is chosen, not typed");
    }
}
