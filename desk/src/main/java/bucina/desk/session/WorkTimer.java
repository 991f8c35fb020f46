package bucina.desk.session;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/** Counts the minutes of a piece of work. It measures; it never decides: the builder's own figure goes into the log. */
public final class WorkTimer {

    private final Clock clock;
    private Optional<Instant> started = Optional.empty();

    public WorkTimer(Clock clock) {
        this.clock = clock;
    }

    /** Starts, or stops and forgets. */
    public void turn() {
        started = started.isPresent() ? Optional.empty() : Optional.of(clock.instant());
    }

    /** Begins again from nothing, if it runs: after an entry the next piece of work begins. */
    public void again() {
        started = started.map(s -> clock.instant());
    }

    /** When it was started, or began again; empty while it does not run. */
    public Optional<Instant> since() {
        return started;
    }

    /** True while it runs. */
    public boolean running() {
        return started.isPresent();
    }

    /** Whole minutes so far, begun ones counted; 0 when it does not run. */
    public int minutes() {
        return started.map(s -> (int) ((Duration.between(s, clock.instant()).toSeconds() + 59) / 60))
                .orElse(0);
    }
}
