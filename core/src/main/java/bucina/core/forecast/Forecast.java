package bucina.core.forecast;

import bucina.core.job.Experience;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;

/*
 * Design. Each of a thousand times the builder's own entries are drawn with replacement, and what is left is worked
 * through with those, entry by entry, until it is done. So both are in the range: that the past is only a sample, and
 * that the days to come differ from each other. Weeks likewise. Drawn from one seed: the same log gives the same range.
 */

/**
 * Hours that are left, and when they are done.
 *
 * @param hours    of work
 * @param rests    what the hours rest on, in a sentence
 * @param date     first day, middle and last; empty where no hours were logged lately
 * @param restsOn  what the date rests on, in a sentence
 * @param days     in how many days it is done, of a thousand draws, ascending; none without a date
 */
public record Forecast(Range hours, String rests, Optional<Dates> date, String restsOn, List<Double> days) {

    public Forecast {
        days = List.copyOf(days);
    }

    /** So often it is drawn. */
    private static final int DRAWN = 1000;
    /** Typical minutes are good to about a third either way. */
    private static final double THIRD = 1.333;
    /** Fewer entries than this say little of their spread. */
    private static final int FEW = 3;
    /** More draws than this for one kind bring nothing. */
    private static final int MOST = 2000;
    /** What is not done after so many weeks is not said. */
    private static final int LATEST = 2000;

    /**
     * Days on which it is done.
     *
     * @param low  one in ten is earlier
     * @param mid  the middle
     * @param high one in ten is later
     */
    public record Dates(LocalDate low, LocalDate mid, LocalDate high) {}

    /**
     * Draws it.
     *
     * @param left  kind by kind
     * @param hands how long what was done took, hand by hand
     * @param weeks minutes of the last weeks; see {@link Weeks}
     * @param today from which on it is worked
     */
    public static Forecast of(List<Left> left, Hands hands, Weeks weeks, LocalDate today) {
        SplittableRandom random = new SplittableRandom(20_261_129);
        double[] hours = new double[DRAWN];
        double[] days = new double[DRAWN];
        boolean dated = weeks.any();
        double besides = 1 + hands.share();
        for (int i = 0; i < DRAWN; i++) {
            double minutes = 0;
            for (Left work : left) {
                minutes += minutes(work, hands.of(work), random);
            }
            hours[i] = minutes * besides / 60;
            days[i] = dated ? days(minutes * besides, weeks.minutes(), random) : 0;
        }
        Optional<Dates> dates = dated ? Optional.of(dates(days, today)) : Optional.empty();
        return new Forecast(
                Range.of(hours),
                rests(left, hands),
                dates,
                weeks.words(),
                dated ? Arrays.stream(days).boxed().toList() : List.of());
    }

    private static Dates dates(double[] days, LocalDate today) {
        Range range = Range.of(days);
        return new Dates(
                today.plusDays((long) Math.ceil(range.low())),
                today.plusDays((long) Math.ceil(range.mid())),
                today.plusDays((long) Math.ceil(range.high())));
    }

    /** How often of ten it is done by a day, rounded; empty where no date is said. */
    public Optional<Integer> outOfTen(LocalDate today, LocalDate day) {
        if (days.isEmpty()) {
            return Optional.empty();
        }
        double until = ChronoUnit.DAYS.between(today, day);
        long done = days.stream().filter(d -> d <= until).count();
        return Optional.of((int) Math.round(10.0 * done / days.size()));
    }

    /** Minutes of what is left of one kind, drawn once. */
    private static double minutes(Left work, List<Experience.Sample> samples, SplittableRandom random) {
        if (samples.isEmpty()) {
            return work.minutes() * third(random);
        }
        int n = samples.size();
        Experience.Sample[] pool = new Experience.Sample[n];
        double units = 0;
        double minutes = 0;
        for (int i = 0; i < n; i++) {
            pool[i] = samples.get(random.nextInt(n));
            units += pool[i].units();
            minutes += pool[i].minutes();
        }
        double unsure = n < FEW ? third(random) : 1;
        if (work.units() / (units / n) > MOST) {
            return unsure * work.units() * minutes / units;
        }
        double rest = work.units();
        double spent = 0;
        while (rest > 0) {
            Experience.Sample next = pool[random.nextInt(n)];
            spent += next.minutes() * Math.min(1, rest / next.units());
            rest -= next.units();
        }
        return unsure * spent;
    }

    private static double third(SplittableRandom random) {
        return Math.pow(THIRD, 2 * random.nextDouble() - 1);
    }

    /** Days until so many minutes are worked, week by week. */
    private static double days(double minutes, List<Double> weeks, SplittableRandom random) {
        int n = weeks.size();
        double[] pool = new double[n];
        double all = 0;
        while (all <= 0) {
            for (int i = 0; i < n; i++) {
                pool[i] = weeks.get(random.nextInt(n));
                all += pool[i];
            }
        }
        double rest = minutes;
        for (int week = 0; week < LATEST; week++) {
            double worked = pool[random.nextInt(n)];
            if (worked >= rest) {
                return 7 * (week + (worked > 0 ? rest / worked : 0));
            }
            rest -= worked;
        }
        return 7.0 * LATEST;
    }

    private static String rests(List<Left> left, Hands hands) {
        Set<String> typical = new LinkedHashSet<>();
        Set<Experience.Sample> drawn = Collections.newSetFromMap(new IdentityHashMap<>());
        for (Left work : left) {
            List<Experience.Sample> samples = hands.of(work);
            if (samples.isEmpty()) {
                typical.add(Experience.words(work.kind()));
            }
            drawn.addAll(hands.restsOn(work));
        }
        int entries = drawn.size();
        double logged = drawn.stream().mapToDouble(Experience.Sample::minutes).sum();
        String own = entries == 0
                ? "no entry of such work yet"
                : entries + " entries with " + String.format(Locale.ROOT, "%.1f", logged / 60) + " h";
        String rest =
                typical.isEmpty() ? "" : "; typical minutes, a third either way, for " + String.join(", ", typical);
        String share = hands.share() > 0
                ? "; " + Math.round(100 * hands.share()) + " % on top for what belongs to no job"
                : "";
        String faster = left.stream().anyMatch(Left::other) && !hands.words().isEmpty() ? "; " + hands.words() : "";
        return own + rest + share + faster;
    }
}
