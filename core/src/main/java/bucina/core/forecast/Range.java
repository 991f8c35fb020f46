package bucina.core.forecast;

import java.util.Arrays;

/**
 * A figure that is not certain.
 *
 * @param low  one in ten is under it
 * @param mid  the middle
 * @param high one in ten is over it
 */
public record Range(double low, double mid, double high) {

    public Range {
        if (!(low <= mid && mid <= high)) {
            throw new IllegalArgumentException("a range goes up, was " + low + ", " + mid + ", " + high);
        }
    }

    /** Of what was drawn; sorts it. */
    static Range of(double[] drawn) {
        Arrays.sort(drawn);
        return new Range(at(drawn, .1), at(drawn, .5), at(drawn, .9));
    }

    /** Between the two nearest. */
    private static double at(double[] sorted, double share) {
        double place = share * (sorted.length - 1);
        int below = (int) Math.floor(place);
        int above = Math.min(sorted.length - 1, below + 1);
        return sorted[below] + (place - below) * (sorted[above] - sorted[below]);
    }
}
