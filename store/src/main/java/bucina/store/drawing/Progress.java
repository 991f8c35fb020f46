package bucina.store.drawing;

import java.util.concurrent.CancellationException;

/** Watches a long reading, and stops it. */
public interface Progress {

    /** Nobody watches. */
    Progress NONE = share -> true;

    /**
     * Told now and then.
     *
     * @param share how much is done, 0 to 1
     * @return false to stop
     */
    boolean at(double share);

    /**
     * Goes on, or stops.
     *
     * @throws CancellationException where the watcher said to stop: nothing is left behind
     */
    default void check(double share) {
        if (!at(share)) {
            throw new CancellationException("stopped: nothing was brought in");
        }
    }
}
