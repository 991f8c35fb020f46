package bucina.core.forecast;

import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Minutes of the last weeks, the latest first; as many as there is a log for, at most eight.
 *
 * @param minutes of each seven days back from today, at least 0
 */
public record Weeks(List<Double> minutes) {

    private static final int EIGHT = 8;

    public Weeks {
        minutes = List.copyOf(minutes);
    }

    /** Of a log. */
    public static Weeks of(Logbook log, LocalDate today) {
        double[] sums = new double[EIGHT];
        int first = 0;
        for (LogEntry entry : log.entries()) {
            if (log.inForce(entry)
                    && entry.deed().isPresent()
                    && entry.deed().get().minutes() > 0) {
                long days = ChronoUnit.DAYS.between(entry.deed().get().done().toLocalDate(), today);
                int week = (int) Math.min(EIGHT, Math.max(0, days) / 7);
                first = Math.max(first, week);
                if (week < EIGHT) {
                    sums[week] += entry.deed().get().minutes();
                }
            }
        }
        int weeks = Math.min(EIGHT, first + 1);
        return new Weeks(IntStream.range(0, weeks).mapToObj(i -> sums[i]).toList());
    }

    /** True if anything was worked in them. */
    public boolean any() {
        return minutes.stream().anyMatch(m -> m > 0);
    }

    /** What they say, in a sentence. */
    public String words() {
        if (!any()) {
            return "no hours were logged in the last eight weeks, so no date is said";
        }
        double mean = minutes.stream().collect(Collectors.averagingDouble(m -> m)) / 60;
        return String.format(
                Locale.ROOT,
                "the last %d week%s: %.1f h a week, %.1f to %.1f",
                minutes.size(),
                minutes.size() == 1 ? "" : "s",
                mean,
                Collections.min(minutes) / 60,
                Collections.max(minutes) / 60);
    }
}
