package bucina.core.catalogue;

import bucina.core.measure.InputException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** How long things take, in minutes, until the log knows better. */
public final class TypicalMinutes {

    private final Map<String, Line> lines;

    /**
     * One figure.
     *
     * @param key     {@code hole.deburr}
     * @param minutes at least 0, under a day
     * @param what    what takes so long
     * @param source  where it comes from
     */
    public record Line(String key, double minutes, String what, String source) {
        public Line {
            if (!(minutes >= 0 && minutes < 1440)) {
                throw new InputException(
                        "minutes must be 0 or more and under a day, such as 0.2, were " + minutes + " for " + key);
            }
        }
    }

    private TypicalMinutes(Map<String, Line> lines) {
        this.lines = lines;
    }

    /** Own lines, and what they lack from others. */
    static TypicalMinutes filled(List<Line> own, List<Line> others) {
        Map<String, Line> lines = new LinkedHashMap<>();
        others.forEach(l -> lines.put(l.key(), l));
        for (Line line : own) {
            if (!lines.containsKey(line.key())) {
                throw new InputException("table minutes: \"" + line.key() + "\" is no key; hole.deburr is one");
            }
            lines.put(line.key(), line);
        }
        return new TypicalMinutes(lines);
    }

    /** Minutes of a key that the shipped table has. */
    public double of(String key) {
        return find(key).orElseThrow(() -> new IllegalArgumentException("no typical minutes are known for " + key));
    }

    /** Minutes of a key; empty if the table has none. */
    public Optional<Double> find(String key) {
        return Optional.ofNullable(lines.get(key)).map(Line::minutes);
    }
}
