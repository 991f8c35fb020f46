package bucina.core.batch;

import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * How long a fastener takes this builder, from the log.
 *
 * @param fast  minutes each when it goes well: the quickest fifth of the fasteners
 * @param usual minutes each, the median over fasteners; over 0
 * @param slow  minutes each when it does not: the slowest fifth
 * @param count fasteners it was learned from
 * @param of    what they were, in words
 */
public record Pace(double fast, double usual, double slow, int count, String of) {

    /** Fewer entries than this say little: the range is held at a third either way at least. */
    private static final int FEW = 4;

    public Pace {
        if (!(fast > 0 && fast <= usual && usual <= slow && slow < 1e6)) {
            throw new IllegalArgumentException(
                    "a pace has minutes over 0 from fast to slow, was " + fast + ", " + usual + ", " + slow);
        }
    }

    /** A pace the builder gives: a third faster or slower is reckoned with. */
    public static Pace given(double minutes) {
        return new Pace(minutes / 1.333, minutes, minutes * 1.333, 0, "as you gave it");
    }

    /**
     * The pace for a group: of the group itself, else of fasteners of its kind and diameter, else of the same kind,
     * else of any; empty if nothing was logged
     * with its minutes.
     */
    public static Optional<Pace> of(Logbook log, Build build, Group group) {
        Map<Id.Group, Fastener> fasteners = new HashMap<>();
        build.faces().forEach(f -> f.face().groups().forEach(g -> fasteners.put(g.id(), g.fastener())));
        Fastener own = group.fastener();
        Predicate<Work> kind = sameKind(fasteners, own);
        return of(log, w -> w.group().equals(group.id()), group.code())
                .or(() -> of(
                        log, kind.and(w -> alike(Objects.requireNonNull(fasteners.get(w.group())), own)), own.name()))
                .or(() -> of(log, kind, kind(own)))
                .or(() -> of(log, w -> true, "all fasteners"));
    }

    private static boolean alike(Fastener a, Fastener b) {
        return a.shank().same(b.shank()) && a.flush() == b.flush();
    }

    private static Predicate<Work> sameKind(Map<Id.Group, Fastener> fasteners, Fastener own) {
        return w -> Optional.ofNullable(fasteners.get(w.group()))
                .filter(f -> f.getClass() == own.getClass())
                .isPresent();
    }

    private static String kind(Fastener fastener) {
        return switch (fastener) {
            case Fastener.SolidRivet r -> "solid rivets";
            case Fastener.PulledRivet r -> "pulled rivets";
            case Fastener.Hardware h -> "bolts and screws";
            case Fastener.RivetNut n -> "rivet nuts";
        };
    }

    private record Sample(double minutes, int count) {}

    private static Optional<Pace> of(Logbook log, Predicate<Work> which, String words) {
        List<Sample> samples = samples(log, which);
        if (samples.isEmpty()) {
            return Optional.empty();
        }
        samples.sort(Comparator.comparingDouble(Sample::minutes));
        int all = samples.stream().mapToInt(Sample::count).sum();
        double usual = at(samples, all * .5);
        double fast = at(samples, all * .2);
        double slow = at(samples, all * .8);
        boolean few = samples.size() < FEW;
        return Optional.of(new Pace(
                few ? Math.min(fast, usual / 1.333) : fast,
                usual,
                few ? Math.max(slow, usual * 1.333) : slow,
                all,
                words));
    }

    private static List<Sample> samples(Logbook log, Predicate<Work> which) {
        List<Sample> samples = new ArrayList<>();
        for (LogEntry entry : log.entries()) {
            if (log.inForce(entry)) {
                entry.work()
                        .filter(which)
                        .filter(w -> w.minutes() > 0)
                        .ifPresent(w -> samples.add(new Sample((double) w.minutes() / w.count(), w.count())));
            }
        }
        return samples;
    }

    /** Minutes of the fastener at a place in order of minutes. */
    private static double at(List<Sample> samples, double place) {
        double passed = 0;
        for (Sample s : samples) {
            passed += s.count;
            if (passed >= place) {
                return s.minutes;
            }
        }
        return samples.getLast().minutes;
    }

    /** How many go in while a time lasts: at the slow, the usual and the fast pace; whole fasteners only. */
    public Fits fits(Duration time) {
        double minutes = Math.max(0, time.toMillis() / 60_000.0);
        return new Fits((int) Math.floor(minutes / slow + 1e-9), (int) Math.floor(minutes / usual + 1e-9), (int)
                Math.floor(minutes / fast + 1e-9));
    }

    /**
     * How many fasteners go in while a time lasts.
     *
     * @param sure  at the slow pace
     * @param usual at the usual one
     * @param most  at the fast one
     */
    public record Fits(int sure, int usual, int most) {}
}
