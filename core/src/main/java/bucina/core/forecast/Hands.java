package bucina.core.forecast;

import bucina.core.job.Experience;
import bucina.core.log.Hours;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * How long what was done took, the first hand apart from the other, and how much faster the other goes.
 *
 * @param first   of everything but the other hand
 * @param other   of the other hand
 * @param faster  minutes on the other hand for one on the first, .4 to 1
 * @param words   what that rests on; empty where nothing tells
 */
public record Hands(Experience first, Experience other, double faster, String words) {

    /** Fewer entries of a kind than this say little. */
    private static final int FEW = 3;
    /** Nobody gets faster than this. */
    private static final double FASTEST = .4;

    /** Of a build and its log. */
    public static Hands of(Build build, Logbook log) {
        Set<Id.Assembly> others = new HashSet<>();
        Set<Id.Assembly> firsts = new HashSet<>();
        for (Assembly assembly : build.assemblies()) {
            assembly.twin().ifPresent(t -> {
                others.add(assembly.id());
                firsts.add(t.of());
            });
        }
        if (others.isEmpty()) {
            return one(Experience.of(build, log));
        }
        var belongs = Hours.belongs(build);
        Map<LogEntry, Optional<Id.Assembly>> of = new HashMap<>();
        log.entries().forEach(e -> of.put(e, e.deed().flatMap(belongs)));
        Function<Predicate<Id.Assembly>, Experience> where = which -> Experience.of(
                build,
                log,
                e -> of.getOrDefault(e, Optional.empty()).filter(which).isPresent());
        Experience other = where.apply(others::contains);
        Experience mirrored = where.apply(firsts::contains);
        // What belongs to no assembly counts as the first hand's.
        Experience first = Experience.of(
                build,
                log,
                e -> of.getOrDefault(e, Optional.empty())
                        .filter(others::contains)
                        .isEmpty());
        return learned(first, other, mirrored);
    }

    /** Of a builder with one hand to build. */
    static Hands one(Experience known) {
        return new Hands(known, new Experience(Map.of(), 0), 1, "");
    }

    /**
     * How much faster the other hand goes: by its own entries, where there are enough, against the first hand's; until
     * then by the later half of the first hand's against all of them.
     */
    static Hands learned(Experience first, Experience other, Experience mirrored) {
        double minutes = 0;
        double expected = 0;
        int entries = 0;
        for (var kind : other.samples().entrySet()) {
            List<Experience.Sample> before = mirrored.of(kind.getKey());
            if (kind.getValue().size() >= FEW && !before.isEmpty()) {
                minutes += minutes(kind.getValue());
                expected += units(kind.getValue()) * minutes(before) / units(before);
                entries += kind.getValue().size();
            }
        }
        if (entries > 0) {
            double share = Math.clamp(minutes / expected, FASTEST, 1);
            return new Hands(
                    first,
                    other,
                    share,
                    "the other hand takes " + percent(share) + " of the first hand's minutes, by " + entries
                            + " entries of its own");
        }
        for (List<Experience.Sample> all : mirrored.samples().values()) {
            if (all.size() >= 2 * FEW) {
                List<Experience.Sample> later = all.subList(all.size() / 2, all.size());
                minutes += minutes(later);
                expected += units(later) * minutes(all) / units(all);
                entries += later.size();
            }
        }
        if (entries == 0) {
            return new Hands(first, other, 1, "");
        }
        double share = Math.clamp(minutes / expected, FASTEST, 1);
        return new Hands(
                first,
                other,
                share,
                "the other hand at " + percent(share) + " of the first hand's minutes, as its later half went ("
                        + entries + " entries)");
    }

    private static String percent(double share) {
        return Math.round(100 * share) + " %";
    }

    private static double minutes(List<Experience.Sample> samples) {
        return samples.stream().mapToDouble(Experience.Sample::minutes).sum();
    }

    private static double units(List<Experience.Sample> samples) {
        return samples.stream().mapToDouble(Experience.Sample::units).sum();
    }

    /** Minutes besides, as a share of those on jobs; 0 where nothing was logged. */
    double share() {
        double on = jobs(first) + jobs(other);
        return on > 0 ? (first.besides() + other.besides()) / on : 0;
    }

    private static double jobs(Experience of) {
        return of.samples().values().stream().mapToDouble(Hands::minutes).sum();
    }

    /** Entries that work like this is drawn from; on the other hand its own, or the first hand's made shorter. */
    public List<Experience.Sample> of(Left work) {
        List<Experience.Sample> rests = restsOn(work);
        boolean own = !work.other() || rests == other.of(work.kind());
        return own || faster == 1
                ? rests
                : rests.stream()
                        .map(s -> new Experience.Sample(s.units(), s.minutes() * faster, s.done()))
                        .toList();
    }

    /** Entries as they were logged that work like this rests on. */
    List<Experience.Sample> restsOn(Left work) {
        List<Experience.Sample> own = other.of(work.kind());
        List<Experience.Sample> before = first.of(work.kind());
        if (work.other()) {
            return own.size() >= FEW || before.isEmpty() ? own : before;
        }
        return before.isEmpty() ? own : before;
    }
}
