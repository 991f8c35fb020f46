package bucina.core.sums;

import bucina.core.material.Material;
import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * What was typed into a sum, with what it is worked out with. Every reading names the field in its complaint.
 *
 * @param sum   which
 * @param typed by key; a key that is missing has its first value
 * @param unit  of figures that name none
 * @param shown unit of the answer
 */
public record Figures(Sum sum, Map<String, String> typed, Unit unit, Unit shown, Bench bench) {

    public Figures {
        typed = Map.copyOf(typed);
    }

    /** The text of a field. */
    String text(String key) {
        Ask ask = ask(key);
        String text = typed.getOrDefault(key, ask.start(unit)).strip();
        if (ask.kind() == Ask.Kind.CHOICE && !ask.choices().contains(text)) {
            throw new InputException(ask.title() + ": \"" + text + "\" is none of " + String.join(", ", ask.choices()));
        }
        return text;
    }

    private Ask ask(String key) {
        return sum.asks(bench).stream()
                .filter(a -> a.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no field " + key));
    }

    /** These figures with others in some fields. */
    Figures with(Map<String, String> changed) {
        Map<String, String> next = new LinkedHashMap<>(typed);
        next.putAll(changed);
        return new Figures(sum, next, unit, shown, bench);
    }

    RuleSet rules() {
        return bench.rules();
    }

    LengthParser lengths() {
        return new LengthParser(unit, bench.catalogue().drills());
    }

    private <T> T named(String key, Function<String, T> read) {
        try {
            return read.apply(text(key));
        } catch (InputException e) {
            String title = ask(key).title();
            throw e.getMessage().startsWith(title) ? e : new InputException(title + ": " + e.getMessage(), e);
        }
    }

    boolean empty(String key) {
        return text(key).isEmpty();
    }

    Length length(String key) {
        return named(key, lengths()::parse);
    }

    Length over0(String key) {
        return named(key, t -> lengths().parsePositive(t, ask(key).title()));
    }

    Optional<Length> maybe(String key) {
        return empty(key) ? Optional.empty() : Optional.of(over0(key));
    }

    List<Length> list(String key) {
        return named(key, t -> lengths().parseList(t, ask(key).title()));
    }

    /** Lengths of either sign. */
    List<Length> signed(String key) {
        return each(key, lengths()::parse);
    }

    List<Angle> angles(String key) {
        return each(key, Angle::parse);
    }

    Angle angle(String key) {
        return named(key, Angle::parse);
    }

    private <T> List<T> each(String key, Function<String, T> read) {
        return named(key, t -> {
            List<T> all = new ArrayList<>();
            for (String part : t.split(",", -1)) {
                all.add(read.apply(part));
            }
            return all;
        });
    }

    double number(String key) {
        return named(key, t -> {
            try {
                double value = Double.parseDouble(t);
                if (Double.isFinite(value)) {
                    return value;
                }
            } catch (NumberFormatException e) {
                // said below
            }
            throw new InputException("\"" + t + "\" is no number: write it like 8");
        });
    }

    int whole(String key) {
        return whole(key, 1);
    }

    /** A count that may be as small as {@code least}. */
    int whole(String key, int least) {
        double value = number(key);
        if (value != Math.rint(value) || value < least || value > 100_000) {
            throw new InputException(ask(key).title() + ": \"" + text(key)
                    + "\" is no count: write a whole number from " + least + " to 100000, like 8");
        }
        return (int) value;
    }

    Material material(String key) {
        return named(key, Material::parse);
    }

    boolean is(String key, String choice) {
        return text(key).equals(choice);
    }

    /** A length for the answer, with its unit. */
    String show(Length length) {
        return LengthFormat.decimal(length, shown, 3);
    }

    /** A length for the answer, a place more where it matters. */
    String fine(Length length) {
        return LengthFormat.trade(length, shown);
    }

    /** A length in a formula: its figure. */
    String figure(Length length) {
        String text = LengthFormat.trade(length, shown);
        return text.substring(0, text.indexOf(' '));
    }

    String source(RuleKey key) {
        return rules().rule(key).source();
    }
}
