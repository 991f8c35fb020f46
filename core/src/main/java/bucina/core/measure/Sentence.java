package bucina.core.measure;

import java.util.List;

/**
 * A sentence with lengths in it that is written out in whichever unit the reader wants.
 *
 * @param pattern the words, with {@code {}} where a length stands
 * @param lengths as many as there are places
 */
public record Sentence(String pattern, List<Length> lengths) {

    public Sentence {
        lengths = List.copyOf(lengths);
        int places = (pattern.length() - pattern.replace("{}", "").length()) / 2;
        if (places != lengths.size()) {
            throw new IllegalArgumentException(
                    "\"" + pattern + "\" has " + places + " places for " + lengths.size() + " lengths");
        }
    }

    /** A sentence of words and lengths: {@code Sentence.of("{} is under {}.", a, b)}. */
    public static Sentence of(String pattern, Length... lengths) {
        return new Sentence(pattern, List.of(lengths));
    }

    /** This sentence with words before it; the words hold no lengths. */
    public Sentence after(String words) {
        return new Sentence(words.replace("{}", "()") + pattern, lengths);
    }

    /** Written out, lengths as {@link LengthFormat#trade} gives them. */
    public String in(Unit unit) {
        StringBuilder text = new StringBuilder();
        int from = 0;
        for (Length length : lengths) {
            int at = pattern.indexOf("{}", from);
            text.append(pattern, from, at).append(LengthFormat.trade(length, unit));
            from = at + 2;
        }
        return text.append(pattern.substring(from)).toString();
    }
}
