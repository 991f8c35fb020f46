package bucina.core.job;

import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.Proof;
import bucina.core.log.Work;
import bucina.core.part.PartTask;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * How long what was done took, entry by entry, by kind of work: entries in force that give minutes.
 *
 * @param samples by kind, in the order of the log
 * @param besides minutes of entries that are about no job: stock taken, bays closed, several kinds of work at once
 */
public record Experience(Map<String, List<Sample>> samples, int besides) {

    /**
     * One entry.
     *
     * @param units   holes in a sheet, fasteners, heads or parts; over 0
     * @param minutes over 0
     * @param done    when
     */
    public record Sample(double units, double minutes, LocalDateTime done) {

        /** Minutes for one. */
        public double each() {
            return minutes / units;
        }
    }

    public Experience {
        samples = Map.copyOf(samples);
    }

    private static final String PART = "part ";

    /** Of everything that was logged. */
    public static Experience of(Build build, Logbook log) {
        return of(build, log, e -> true);
    }

    /** Of some of what was logged. */
    public static Experience of(Build build, Logbook log, Predicate<LogEntry> some) {
        return new Reading(build, log).read(some);
    }

    /** Entries of a kind; none where nothing was logged with its minutes. */
    public List<Sample> of(String kind) {
        return samples.getOrDefault(kind, List.of());
    }

    /** Minutes besides, as a share of those on jobs; 0 where nothing was logged. */
    public double share() {
        double jobs = samples.values().stream()
                .flatMap(List::stream)
                .mapToDouble(Sample::minutes)
                .sum();
        return jobs > 0 ? besides / jobs : 0;
    }

    /** The kind of work that a job is. */
    public static String kind(Job job) {
        return switch (job.op()) {
            case SET -> set(job.place().orElseThrow().group().fastener());
            case TASK -> task(job.word());
            case OWN -> "own";
            case FIT, OFF, ON -> task(job.op().code());
            default -> job.op().code();
        };
    }

    /** A kind of work in plain words. */
    public static String words(String kind) {
        if (kind.startsWith(PART)) {
            return switch (kind.substring(PART.length())) {
                case "fit" -> "parts clecoed on";
                case "off" -> "parts taken off";
                case "on" -> "parts put on to stay";
                default -> PartTask.words(kind.substring(PART.length()));
            };
        }
        return kind.equals("own")
                ? "jobs of my own"
                : Arrays.stream(Op.values())
                        .filter(o -> o.code().equals(kind))
                        .findFirst()
                        .map(Op::word)
                        .orElse(kind);
    }

    static String kind(Op op) {
        return op.code();
    }

    static String task(String task) {
        return PART + task;
    }

    private static String set(Fastener fastener) {
        return "set "
                + switch (fastener) {
                    case Fastener.SolidRivet r -> "solid rivets";
                    case Fastener.PulledRivet r -> "pulled rivets";
                    case Fastener.Hardware h -> h.permanent() ? "bolts" : "screws";
                    case Fastener.RivetNut n -> "rivet nuts";
                };
    }

    private static final class Reading {
        private final Logbook log;
        private final Map<Id.Group, Fastener> fasteners = new HashMap<>();
        /** Sheets that each hole was marked in. */
        private final Map<Id.Hole, Map<Operation, Set<Id.Layer>>> worked = new HashMap<>();

        private final Map<String, List<Sample>> samples = new HashMap<>();
        private int besides;

        Reading(Build build, Logbook log) {
            this.log = log;
            build.faces().forEach(f -> f.face().groups().forEach(g -> fasteners.put(g.id(), g.fastener())));
            for (Mark mark : log.marks()) {
                worked.computeIfAbsent(mark.hole(), h -> new EnumMap<>(Operation.class))
                        .computeIfAbsent(mark.operation(), o -> new HashSet<>())
                        .add(mark.layer());
            }
        }

        Experience read(Predicate<LogEntry> some) {
            for (LogEntry entry : log.entries()) {
                if (log.inForce(entry) && some.test(entry)) {
                    entry.work().filter(w -> w.minutes() > 0).ifPresent(this::work);
                    entry.labour().filter(l -> l.minutes() > 0).ifPresent(this::labour);
                }
            }
            return new Experience(samples, besides);
        }

        private void add(String kind, double units, double minutes, LocalDateTime done) {
            samples.computeIfAbsent(kind, k -> new ArrayList<>()).add(new Sample(units, minutes, done));
        }

        private void work(Work work) {
            Optional.ofNullable(fasteners.get(work.group()))
                    .ifPresentOrElse(
                            f -> add(set(f), work.count(), work.minutes(), work.done()),
                            () -> besides += work.minutes());
        }

        private void labour(Labour labour) {
            switch (labour.what()) {
                case Labour.Holes h
                when h.sweeps().stream().map(Labour.Sweep::operation).distinct().count() == 1 -> {
                    Operation operation = h.sweeps().getFirst().operation();
                    int count = h.sweeps().stream()
                            .flatMap(s -> s.holes().stream())
                            .mapToInt(hole -> sheets(operation, hole.id()))
                            .sum();
                    Op.of(operation).ifPresent(op -> add(kind(op), count, labour.minutes(), labour.done()));
                }
                case Proof p -> add(kind(Op.PROVE), p.heads().size(), labour.minutes(), labour.done());
                case Labour.OnPart p -> add(task(p.task()), 1, labour.minutes(), labour.done());
                case Labour.Own o -> add("own", 1, labour.minutes(), labour.done());
                default -> besides += labour.minutes();
            }
        }

        /** In how many sheets a hole was worked so: drilling goes through all at once. */
        private int sheets(Operation operation, Id.Hole hole) {
            boolean each = Op.of(operation).filter(op -> !op.throughStack()).isPresent();
            return each
                    ? Math.max(
                            1,
                            worked.getOrDefault(hole, Map.of())
                                    .getOrDefault(operation, Set.of())
                                    .size())
                    : 1;
        }
    }
}
