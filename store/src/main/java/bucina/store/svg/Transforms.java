package bucina.store.svg;

import bucina.core.measure.InputException;
import bucina.store.curve.Placing;
import bucina.store.drawing.Limits;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads the transform attribute (SVG 1.1, chapter 7.6). */
final class Transforms {

    private static final Pattern ONE = Pattern.compile("([A-Za-z]{1,12})\\s*\\(([^()]{0,400})\\)[\\s,]*");

    private Transforms() {}

    /**
     * The transforms of an attribute, the first outermost.
     *
     * @throws InputException if there is something else in it
     */
    static Placing of(String text) {
        Placing all = Placing.NONE;
        if (text.isBlank()) {
            return all;
        }
        Matcher m = ONE.matcher(text);
        int end = 0;
        while (m.find() && m.start() == end) {
            String[] words = m.group(2).strip().split("[\\s,]+|(?<=[0-9.])(?=[+-])");
            double[] f = new double[words.length];
            for (int i = 0; i < f.length; i++) {
                f[i] = Limits.figure("transform", words[i]);
            }
            all = all.of(one(m.group(1), f));
            end = m.end();
        }
        if (end < text.length()) {
            throw new InputException("a transform has \"" + text.substring(end, Math.min(text.length(), end + 20))
                    + "\" in it: write it like translate(10, 5) rotate(90)");
        }
        return all;
    }

    private static Placing one(String kind, double[] v) {
        return switch (kind + " " + v.length) {
            case "matrix 6" -> new Placing(v[0], v[2], v[1], v[3], v[4], v[5]);
            case "translate 1" -> Placing.moved(v[0], 0);
            case "translate 2" -> Placing.moved(v[0], v[1]);
            case "scale 1" -> Placing.scaled(v[0], v[0]);
            case "scale 2" -> Placing.scaled(v[0], v[1]);
            case "rotate 1" -> Placing.turned(v[0]);
            case "rotate 3" ->
                Placing.moved(v[1], v[2]).of(Placing.turned(v[0])).of(Placing.moved(-v[1], -v[2]));
            case "skewX 1" -> new Placing(1, Math.tan(Math.toRadians(v[0])), 0, 1, 0, 0);
            case "skewY 1" -> new Placing(1, 0, Math.tan(Math.toRadians(v[0])), 1, 0, 0);
            default ->
                throw new InputException("a transform " + kind + " with " + v.length
                        + " figures cannot be read: write it like translate(10, 5)");
        };
    }
}
