package bucina.speed;

import java.util.Arrays;

/** Times a piece of work some times after a warm-up and keeps the middle value. */
final class Median {

    private Median() {}

    /** Middle of {@code runs} timings in ms, after as many unmeasured ones. */
    static double ms(int runs, Runnable work) {
        double[] times = new double[runs];
        for (int i = -runs; i < runs; i++) {
            long start = System.nanoTime();
            work.run();
            if (i >= 0) {
                times[i] = (System.nanoTime() - start) / 1e6;
            }
        }
        Arrays.sort(times);
        return times[runs / 2];
    }

    /** Middle of timings. */
    static double of(double[] times) {
        double[] sorted = times.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }
}
