package bucina.core.dress;

import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The stop cage set on scrap and checked again while a row is cut. Diameters are across the top of the cone. Source:
 * builders' practice, creep up on scrap of
 * the same sheet, check every 20 to 30 holes.
 *
 * @param target    wished, over 0
 * @param under     how much narrower is good, 0 or more and under the target
 * @param over      how much wider is good, 0 or more
 * @param halfAngle of the cutter, over 0 and under 90 degrees
 * @param scrap     read while creeping up, in order, each over 0
 * @param checks    read on the work, after {@code every} holes each, in order, each over 0
 * @param every     holes from one check to the next, 1 or more
 */
public record Coupon(
        Length target, Length under, Length over, Angle halfAngle, List<Length> scrap, List<Length> checks, int every) {

    /** A reading against the limits. */
    public enum Verdict {
        SHALLOW,
        GOOD,
        DEEP
    }

    /** Where the work stands. */
    public enum State {
        /** Nothing read: begin shallow, on scrap. */
        BEGIN,
        /** Scrap still too shallow: set deeper. */
        CREEP,
        /** Scrap too deep: back off, fresh scrap. */
        BACK_OFF,
        /** The scrap is good: cut. */
        CUT,
        /** The last check is too shallow: cut those again once the stop is set. */
        CUT_AGAIN,
        /** The last check is too deep: stop. */
        STOP
    }

    public Coupon {
        scrap = List.copyOf(scrap);
        checks = List.copyOf(checks);
        checkTarget(target, under, over);
        if (every < 1) {
            throw new InputException("A check every " + every + " holes: write 1 or more, like 25");
        }
        if (!checks.isEmpty() && (scrap.isEmpty() || judge(scrap.getLast(), target, under, over) != Verdict.GOOD)) {
            throw new InputException("There are " + checks.size()
                    + " checks on the work, but the last scrap reading is not within the limits " + target.minus(under)
                    + " to " + target.plus(over) + ": set the cage on scrap first");
        }
    }

    private static void checkTarget(Length target, Length under, Length over) {
        if (!target.positive()
                || !under.atLeast(Length.ZERO)
                || !over.atLeast(Length.ZERO)
                || !target.minus(under).positive()) {
            throw new InputException("A target of " + target + " with limits " + under + " under and " + over
                    + " over: the target is over 0, the limits 0 or more and less than it, like .179 with "
                    + ".004 and .001");
        }
    }

    private static Verdict judge(Length read, Length target, Length under, Length over) {
        return !read.atLeast(target.minus(under))
                ? Verdict.SHALLOW
                : read.atMost(target.plus(over)) ? Verdict.GOOD : Verdict.DEEP;
    }

    /** Narrowest that is good. */
    public Length low() {
        return target.minus(under);
    }

    /** Widest that is good. */
    public Length high() {
        return target.plus(over);
    }

    /** A reading against the limits, which are good themselves. */
    public Verdict judge(Length read) {
        return judge(read, target, under, over);
    }

    /** Where the work stands after the last reading. */
    public State state() {
        if (!checks.isEmpty()) {
            return switch (judge(checks.getLast())) {
                case SHALLOW -> State.CUT_AGAIN;
                case GOOD -> State.CUT;
                case DEEP -> State.STOP;
            };
        }
        if (scrap.isEmpty()) {
            return State.BEGIN;
        }
        return switch (judge(scrap.getLast())) {
            case SHALLOW -> State.CREEP;
            case GOOD -> State.CUT;
            case DEEP -> State.BACK_OFF;
        };
    }

    /**
     * How much deeper to set the stop for the target, {@code (target − read) / (2 tan θ)}; under 0 is back off; empty
     * before the first reading.
     */
    public Optional<Length> deeper() {
        return last().map(read -> target.minus(read).times(1 / (2 * halfAngle.tan())));
    }

    private Optional<Length> last() {
        return checks.isEmpty()
                ? scrap.isEmpty() ? Optional.empty() : Optional.of(scrap.getLast())
                : Optional.of(checks.getLast());
    }

    /** Holes cut on the work so far. */
    public int cut() {
        return checks.size() * every;
    }

    /** Holes that may be out: since the last good reading, when the last check is out; otherwise 0. */
    public int suspect() {
        if (state() != State.STOP && state() != State.CUT_AGAIN) {
            return 0;
        }
        int out = 0;
        while (out < checks.size() && judge(checks.get(checks.size() - 1 - out)) != Verdict.GOOD) {
            out++;
        }
        return out * every;
    }

    /**
     * Drift of the diameter with every hole cut, in nm: the slope of the straight line nearest to the scrap reading
     * the work began with and the checks, by
     * least squares. Empty under three readings.
     */
    public Optional<Double> drift() {
        int n = checks.size() + 1;
        if (n < 3) {
            return Optional.empty();
        }
        double[] read = work();
        double middle = every * (n - 1) / 2.0;
        double up = 0;
        double down = 0;
        for (int i = 0; i < n; i++) {
            double dx = i * every - middle;
            up += dx * read[i];
            down += dx * dx;
        }
        return Optional.of(up / down);
    }

    /** The scrap reading the work began with and the checks, in nm. */
    private double[] work() {
        return Stream.concat(Stream.of(scrap.getLast()), checks.stream())
                .mapToDouble(Length::nanometres)
                .toArray();
    }

    /** Where the line stands at a hole; empty without one. */
    public Optional<Length> line(double hole) {
        return drift().map(d -> {
            double mean = Arrays.stream(work()).average().orElseThrow();
            return Length.nm(mean + d * (hole - every * checks.size() / 2.0));
        });
    }

    /**
     * The last hole at which the line still lies within the limits; empty if it does not leave them, or the last check
     * is out already.
     */
    public Optional<Integer> crossing() {
        if (state() != State.CUT) {
            return Optional.empty();
        }
        return drift().filter(d -> Math.abs(d) > 1e-9).map(d -> {
            double limit = (d > 0 ? high() : low()).nanometres();
            double at = every * checks.size() / 2.0
                    + (limit - line(every * checks.size() / 2.0).orElseThrow().nanometres()) / d;
            return (int) Math.clamp(Math.floor(at + 1e-6), 0, 1_000_000);
        });
    }

    /**
     * The hole to check next: {@code every} on, or sooner where the line leaves the limits before; always at least one
     * on.
     */
    public int next() {
        return Math.max(cut() + 1, Math.min(cut() + every, crossing().orElse(Integer.MAX_VALUE)));
    }
}
