package bucina.core.batch;

import bucina.core.plan.Batch;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * Where a batch stands at one moment.
 *
 * @param phase what may be done with it
 * @param left  until the next phase; zero once it is over
 * @param stir  until it is to be stirred, zero or less when that is due; empty if it need not be
 */
public record BatchClock(Phase phase, Duration left, Optional<Duration> stir) {

    /** Phases, in order. */
    public enum Phase {
        /** Mixed, must still stand. */
        STANDING,
        /** May be used. */
        READY,
        /** May be used, goes off soon: a tenth of its life is left, at least five minutes of it and at most thirty. */
        CLOSING,
        /** Must not be used any more. */
        OVER
    }

    /** The state of a batch at {@code now}; a moment before it was mixed counts as when it was mixed. */
    public static BatchClock at(Batch batch, Instant now) {
        Duration age = now.isBefore(batch.mixed()) ? Duration.ZERO : Duration.between(batch.mixed(), now);
        Duration life = Duration.ofMinutes(batch.compound().life());
        Duration induction = Duration.ofMinutes(batch.compound().induction());
        if (age.compareTo(life) >= 0) {
            return new BatchClock(Phase.OVER, Duration.ZERO, Optional.empty());
        }
        Optional<Duration> due = due(batch, now);
        if (age.compareTo(induction) < 0) {
            return new BatchClock(Phase.STANDING, induction.minus(age), due);
        }
        Duration left = life.minus(age);
        return new BatchClock(left.compareTo(closing(life)) <= 0 ? Phase.CLOSING : Phase.READY, left, due);
    }

    private static Optional<Duration> due(Batch batch, Instant now) {
        int stir = batch.compound().stir();
        return stir == 0
                ? Optional.empty()
                : Optional.of(Duration.ofMinutes(stir)
                        .minus(Duration.between(
                                batch.stirred(), now.isBefore(batch.stirred()) ? batch.stirred() : now)));
    }

    private static Duration closing(Duration life) {
        return Duration.ofMinutes(Math.clamp(life.toMinutes() / 10, 5, 30));
    }

    /** True if it may be used. */
    public boolean usable() {
        return phase == Phase.READY || phase == Phase.CLOSING;
    }

    /** True if it should be stirred now. */
    public boolean stirNow() {
        return stir.filter(d -> !d.isPositive()).isPresent();
    }

    /**
     * A time as {@code 1 h 05 min}, {@code 12 min} or, under five minutes, {@code 4:07}; partial minutes count down as
     * begun.
     */
    public static String words(Duration time) {
        long seconds = Math.max(0, time.toSeconds());
        if (seconds < 300) {
            return "%d:%02d min".formatted(seconds / 60, seconds % 60);
        }
        long minutes = (seconds + 59) / 60;
        return minutes < 60 ? minutes + " min" : "%d h %02d min".formatted(minutes / 60, minutes % 60);
    }
}
