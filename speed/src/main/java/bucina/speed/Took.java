package bucina.speed;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;

/**
 * What something took of a thread, ms. On a machine that is shared the two differ by what the machine was taken away
 * for; pauses of the collector and waiting are in the clock only, so neither stands for the other.
 *
 * @param own   processor time of the thread
 * @param clock from begin to end
 */
record Took(double own, double clock) {

    static final Took NOTHING = new Took(0, 0);

    private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

    /** A moment of the thread that asks. */
    static Took now() {
        return new Took(THREADS.getCurrentThreadCpuTime() / 1e6, System.nanoTime() / 1e6);
    }

    /** From this moment until now, on the same thread. */
    Took until() {
        Took now = now();
        return new Took(now.own - own, now.clock - clock);
    }

    /** The longer of two by each measure. */
    Took longer(Took other) {
        return new Took(Math.max(own, other.own), Math.max(clock, other.clock));
    }
}
