package bucina.core.job;

/**
 * How long a job takes.
 *
 * @param low  minutes when it goes well
 * @param mid  minutes as a rule
 * @param high minutes when it does not
 * @param own  true if learned from the log; typical otherwise
 */
public record Minutes(double low, double mid, double high, boolean own) {

    /** A typical figure is good to about a third. */
    private static final double WIDE = 1.333;

    public Minutes {
        if (!(low >= 0 && low <= mid && mid <= high && high < 1e7)) {
            throw new IllegalArgumentException(
                    "minutes go up from low to high, were " + low + ", " + mid + ", " + high);
        }
    }

    /** Typical. */
    public static Minutes typical(double mid) {
        return new Minutes(mid / WIDE, mid, mid * WIDE, false);
    }

    /** From the log; of few entries it is held at a third either way. */
    static Minutes learned(double mid) {
        return new Minutes(mid / WIDE, mid, mid * WIDE, true);
    }

    /** As many times as long. */
    Minutes times(double n) {
        return new Minutes(low * n, mid * n, high * n, own);
    }
}
