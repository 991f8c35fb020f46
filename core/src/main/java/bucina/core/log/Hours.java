package bucina.core.log;

import bucina.core.plan.Assembly;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Minutes of the entries in force, by assembly and kind of work.
 *
 * @param lines one for each assembly with work logged, in the order of the build; what belongs to none last
 */
public record Hours(List<Line> lines) {

    /** What work can be. */
    public enum Kind {
        FASTENERS("fasteners set"),
        HOLES("holes worked"),
        PART("parts worked"),
        OWN("jobs of my own"),
        STOCK("stock taken"),
        FOUND("as found"),
        PROOF("proved and closed out");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        /** In plain words. */
        public String word() {
            return word;
        }

        /** What an entry's work is. */
        public static Kind of(Deed deed) {
            return switch (deed) {
                case Work w -> FASTENERS;
                case Labour l ->
                    switch (l.what()) {
                        case Labour.Holes h -> HOLES;
                        case Labour.OnPart p -> PART;
                        case Labour.Own o -> OWN;
                        case Labour.Stock s -> STOCK;
                        case Labour.Found f -> FOUND;
                        case Proof p -> PROOF;
                        case GaugeCheck c -> PROOF;
                        case Reset r -> PROOF;
                        case CloseOut c -> PROOF;
                        case Taken t -> PROOF;
                    };
            };
        }
    }

    /**
     * The minutes of one assembly.
     *
     * @param assembly its name; {@code the whole build} for what belongs to none
     * @param minutes  by kind; a kind without minutes is not there
     */
    public record Line(String assembly, Map<Kind, Integer> minutes) {

        /** All kinds together. */
        public int total() {
            return minutes.values().stream().mapToInt(Integer::intValue).sum();
        }
    }

    public Hours {
        lines = List.copyOf(lines);
    }

    /** Of a build and its log. */
    public static Hours of(Build build, Logbook log) {
        Map<Id, Id.Assembly> owners = owners(build);
        Map<Optional<Id.Assembly>, Map<Kind, Integer>> sums = new HashMap<>();
        for (LogEntry entry : log.entries()) {
            if (log.inForce(entry) && entry.deed().isPresent()) {
                Deed deed = entry.deed().get();
                sums.computeIfAbsent(assembly(deed, owners), a -> new EnumMap<>(Kind.class))
                        .merge(Kind.of(deed), deed.minutes(), Integer::sum);
            }
        }
        List<Line> lines = new ArrayList<>();
        for (Assembly assembly : build.assemblies()) {
            Map<Kind, Integer> minutes = sums.remove(Optional.of(assembly.id()));
            if (minutes != null) {
                lines.add(new Line(assembly.name(), minutes));
            }
        }
        Map<Kind, Integer> rest = new EnumMap<>(Kind.class);
        sums.values().forEach(m -> m.forEach((kind, n) -> rest.merge(kind, n, Integer::sum)));
        if (!rest.isEmpty()) {
            lines.add(new Line("the whole build", rest));
        }
        return new Hours(lines);
    }

    /** Minutes of the entries in force by who did them, the most first; people without minutes are not there. */
    public static Map<String, Integer> byPerson(Logbook log) {
        Map<String, Integer> sums = new HashMap<>();
        for (LogEntry entry : log.entries()) {
            if (log.inForce(entry)) {
                entry.deed()
                        .filter(d -> d.minutes() > 0)
                        .ifPresent(d -> sums.merge(d.who().strip(), d.minutes(), Integer::sum));
            }
        }
        Map<String, Integer> sorted = new LinkedHashMap<>();
        sums.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey()))
                .forEach(e -> sorted.put(e.getKey(), e.getValue()));
        return sorted;
    }

    /** Which assembly work belongs to, for many deeds of one build; empty for the whole build. */
    public static Function<Deed, Optional<Id.Assembly>> belongs(Build build) {
        Map<Id, Id.Assembly> owners = owners(build);
        return deed -> assembly(deed, owners);
    }

    private static Map<Id, Id.Assembly> owners(Build build) {
        Map<Id, Id.Assembly> owners = new HashMap<>();
        for (Build.FaceRef ref : build.faces()) {
            ref.face()
                    .layers()
                    .forEach(l -> owners.putIfAbsent(l.part(), ref.assembly().id()));
            ref.face().groups().forEach(g -> owners.put(g.id(), ref.assembly().id()));
        }
        for (OwnJob job : build.workshop().jobs()) {
            job.assembly().ifPresent(a -> owners.put(job.id(), a));
        }
        for (Bay bay : build.workshop().bays()) {
            Id.Assembly at = owners.get(bay.closers().getFirst());
            if (at != null) {
                owners.put(bay.id(), at);
            }
        }
        return owners;
    }

    private static Optional<Id.Assembly> assembly(Deed deed, Map<Id, Id.Assembly> owners) {
        return Optional.ofNullable(
                switch (deed) {
                    case Work w -> owners.get(w.group());
                    case Labour l ->
                        switch (l.what()) {
                            case Labour.Holes h ->
                                owners.get(h.sweeps().getFirst().group());
                            case Labour.OnPart p -> owners.get(p.part());
                            case Labour.Own o -> owners.get(o.job());
                            case Labour.Stock s -> null;
                            case Proof p -> owners.get(p.group());
                            case GaugeCheck c -> null;
                            case Reset r -> null;
                            case CloseOut c -> owners.get(c.bay());
                            case Taken t -> null;
                            case Labour.Found f ->
                                f.parts().isEmpty()
                                        ? null
                                        : owners.get(f.parts().getFirst());
                        };
                });
    }

    /** All minutes of one kind. */
    public int of(Kind kind) {
        return lines.stream().mapToInt(l -> l.minutes.getOrDefault(kind, 0)).sum();
    }

    /** All minutes. */
    public int total() {
        return lines.stream().mapToInt(Line::total).sum();
    }
}
