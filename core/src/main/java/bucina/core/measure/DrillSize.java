package bucina.core.measure;

import java.util.Objects;

/**
 * One drill of the table.
 *
 * @param name     as the trade says it: {@code #40}, {@code F}
 * @param diameter over 0
 * @param source   where the figure comes from
 */
public record DrillSize(String name, Length diameter, String source) {
    public DrillSize {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(source, "source");
        if (!diameter.positive()) {
            throw new InputException("drill " + name + " must have a diameter over 0, was " + diameter);
        }
    }
}
