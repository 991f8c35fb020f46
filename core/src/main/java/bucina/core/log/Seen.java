package bucina.core.log;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A defect seen at a fastener, or in the sheet beside it.
 *
 * @param what    which
 * @param percent of the way round that a .002 in feeler enters under the manufactured head, 0 to 100; 0 for others
 * @param shank   true if that feeler reaches the shank
 * @param size    how far a head stands proud or lies below, or how deep a cut is, at least 0; empty for others
 */
public record Seen(What what, double percent, boolean shank, Optional<Length> size) {

    /** Defects, each drawn as a picture of its own. */
    public enum What {
        CRACK("crack", "the head is cracked", Measure.NONE),
        FOLD("fold", "the head is folded over", Measure.NONE),
        OFFSET("offset", "the head is off centre, the hole's edge shows", Measure.NONE),
        DISH("dish", "the head is dished", Measure.NONE),
        HEAD_GAP("head-gap", "a gap under the manufactured head", Measure.ROUND),
        SHEET_GAP("sheet-gap", "a gap between the sheets", Measure.NONE),
        PROUD("proud", "the flush head stands proud", Measure.LENGTH),
        BELOW("below", "the flush head lies below", Measure.LENGTH),
        CUT("cut", "a smile or a cut in the sheet", Measure.LENGTH),
        ROCKS("rocks", "the head rocks or turns", Measure.NONE),
        MANDREL("mandrel", "the mandrel is missing, proud or pulled through", Measure.NONE);

        private final String code;
        private final String words;
        private final Measure measure;

        What(String code, String words, Measure measure) {
            this.code = code;
            this.words = words;
            this.measure = measure;
        }

        /** The word in files and on the command line. */
        public String code() {
            return code;
        }

        /** In plain words. */
        public String words() {
            return words;
        }

        /** What is measured of it. */
        public Measure measure() {
            return measure;
        }
    }

    /** What is measured of a defect. */
    public enum Measure {
        /** It is there or not. */
        NONE,
        /** How far round a feeler enters. */
        ROUND,
        /** A height or depth. */
        LENGTH
    }

    private static final Pattern FORM = Pattern.compile("([a-z-]+)(?::([^:]+?))?(?::(shank))?");

    public Seen {
        Objects.requireNonNull(what, "what");
        if (!(percent >= 0 && percent <= 100)) {
            throw new InputException("a feeler enters 0 to 100 percent of the way round, was " + percent);
        }
        boolean gap = what.measure == Measure.ROUND;
        if (!gap && (percent > 0 || shank)) {
            throw new InputException("only of a gap under the head is it said how far a feeler enters");
        }
        if (what.measure == Measure.LENGTH != size.isPresent()) {
            throw new InputException(what.code
                    + (size.isPresent() ? " has no figure" : " wants its figure, such as " + what.code + ":.006"));
        }
        if (size.isPresent() && size.get().nanometres() < 0) {
            throw new InputException(what.code + " is at least 0, was " + size.get());
        }
    }

    /** A defect that is there or not. */
    public static Seen of(What what) {
        return new Seen(what, 0, false, Optional.empty());
    }

    /** A height or depth. */
    public static Seen of(What what, Length size) {
        return new Seen(what, 0, false, Optional.of(size));
    }

    /** A feeler of .002 in under the manufactured head. */
    public static Seen gap(double percent, boolean shank) {
        return new Seen(What.HEAD_GAP, percent, shank, Optional.empty());
    }

    /** How it is named, with its figure: {@code head gap, 30 % round}. */
    public String words(Unit unit) {
        return what.words
                + (what.measure == Measure.ROUND
                        ? ", %.0f %% of the way round".formatted(percent) + (shank ? ", to the shank" : "")
                        : "")
                + size.map(s -> " by " + LengthFormat.trade(s, unit)).orElse("");
    }

    /**
     * Reads defects with commas: {@code crack,head-gap:40:shank,proud:.006}.
     *
     * @throws InputException if one is none, or its figure is missing; the message gives an example
     */
    public static List<Seen> parse(String text, LengthParser lengths) {
        List<Seen> list = new ArrayList<>();
        for (String part : text.isBlank() ? new String[0] : text.split(",", -1)) {
            list.add(one(part.strip(), lengths));
        }
        return list;
    }

    private static Seen one(String text, LengthParser lengths) {
        Matcher m = FORM.matcher(text);
        What what = m.matches()
                ? Arrays.stream(What.values())
                        .filter(w -> w.code.equals(m.group(1)))
                        .findFirst()
                        .orElse(null)
                : null;
        if (what == null) {
            throw new InputException("\"" + text + "\" is nothing that is judged: write one of "
                    + Arrays.stream(What.values()).map(What::code).collect(Collectors.joining(", "))
                    + ", as in crack or proud:.006");
        }
        String figure = m.group(2);
        boolean shank = m.group(3) != null || "shank".equals(figure);
        return switch (what.measure) {
            case NONE -> {
                if (figure != null || shank) {
                    throw new InputException("\"" + text + "\": " + what.code + " has no figure, write " + what.code);
                }
                yield of(what);
            }
            case ROUND -> gap(round(text, "shank".equals(figure) ? null : figure), shank);
            case LENGTH -> {
                if (figure == null || shank) {
                    throw new InputException(
                            "\"" + text + "\" wants one figure, a height or depth, such as " + what.code + ":.006");
                }
                yield of(what, lengths.parse(figure));
            }
        };
    }

    private static double round(String text, @Nullable String figure) {
        if (figure == null) {
            return 0;
        }
        if (!figure.strip().matches("\\d{1,3}(\\.\\d{1,3})?\\s*%?")) {
            throw new InputException("\"" + text
                    + "\" does not say how far round the feeler enters: write percent, as in head-gap:40 or "
                    + "head-gap:10:shank");
        }
        return Double.parseDouble(figure.replace("%", "").strip());
    }
}
