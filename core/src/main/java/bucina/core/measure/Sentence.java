package bucina.core.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A sentence with lengths in it that is written out in whichever unit the reader wants.
 *
 * @param pattern the words, with {@code {}} where a length stands
 * @param lengths as many as there are places
 */
public record Sentence(String pattern, List<Length> lengths) {

    /** Places behind the point as the trade writes them, and the most that still say something. */
    private static final int TRADE = 4;

    private static final int MOST = 7;

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

    /**
     * Written out, lengths as {@link LengthFormat#trade} gives them; where two that differ, or one that is not nothing,
     * would read alike, with as many places as it takes to tell them apart.
     */
    public String in(Unit unit) {
        StringBuilder text = new StringBuilder();
        List<String> figures = figures(unit);
        int from = 0;
        for (String figure : figures) {
            int at = pattern.indexOf("{}", from);
            text.append(pattern, from, at).append(figure);
            from = at + 2;
        }
        return text.append(pattern.substring(from)).toString();
    }

    private List<String> figures(Unit unit) {
        int[] places = new int[lengths.size()];
        Arrays.fill(places, TRADE);
        for (boolean more = true; more; ) {
            more = false;
            for (int i = 0; i < places.length; i++) {
                if (places[i] < MOST && readsWrong(i, places, unit)) {
                    places[i]++;
                    more = true;
                }
            }
        }
        List<String> figures = new ArrayList<>();
        for (int i = 0; i < places.length; i++) {
            figures.add(LengthFormat.trade(lengths.get(i), unit, places[i]));
        }
        return figures;
    }

    private boolean readsWrong(int i, int[] places, Unit unit) {
        Length mine = lengths.get(i);
        String text = LengthFormat.trade(mine, unit, places[i]);
        if (!mine.same(Length.ZERO) && text.equals(LengthFormat.trade(Length.ZERO, unit, places[i]))) {
            return true;
        }
        for (int k = 0; k < lengths.size(); k++) {
            if (!mine.same(lengths.get(k)) && text.equals(LengthFormat.trade(lengths.get(k), unit, places[k]))) {
                return true;
            }
        }
        return false;
    }
}
