package bucina.core.guard;

import bucina.core.log.CloseOut;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Taken;
import bucina.core.part.Bushings;
import bucina.core.part.Owing;
import bucina.core.part.PartStates;
import bucina.core.part.PartTask;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Gaging;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.RunThrough;
import bucina.core.prove.Proving;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** The list of a bay's close-out: everything that plan and log put behind the parts that close it. */
public final class BayPoints {

    private final Derivation derivation;
    private final Logbook log;
    private final PartStates parts;

    public BayPoints(Derivation derivation, Logbook log, PartStates parts) {
        this.derivation = derivation;
        this.log = log;
        this.parts = parts;
    }

    /** What a point is about, the code on the command line. */
    public enum Kind {
        FASTENER("fasteners"),
        PROOF("heads"),
        BOLT("bolts"),
        TEMPORARY("temporary"),
        PART("parts"),
        JOB("jobs"),
        INDEX("index marks"),
        RUN("runs through"),
        CLEARANCE("readings"),
        PHOTO("photographs"),
        LOOSE("counted out");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        /** In plain words, as a heading. */
        public String word() {
            return word;
        }

        /** The word on the command line. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * One thing that is open.
     *
     * @param kind  what it is about
     * @param where group, part or thing
     * @param text  in a few words, with where
     * @param holes it is about; may be empty
     */
    public record Point(Kind kind, String where, String text, List<Id.Hole> holes) {
        public Point {
            holes = List.copyOf(holes);
        }

        /** True if this is what was left, or less of it: {@code 30 not set} where {@code 34 not set} was left. */
        boolean within(String left) {
            if (text.equals(left)) {
                return true;
            }
            String before = where + ": ";
            String after = text.substring((before + holes.size()).length());
            Matcher more = Pattern.compile(Pattern.quote(before) + "(\\d{1,9})" + Pattern.quote(after))
                    .matcher(left);
            return !holes.isEmpty() && more.matches() && Integer.parseInt(more.group(1)) >= holes.size();
        }
    }

    /** What is open, kind by kind. */
    public List<Point> of(Bay bay) {
        Set<Id.Part> inside = Bays.inside(bay, parts);
        List<Point> points = new ArrayList<>(holes(bay, inside));
        List<RunThrough> runs = derivation.build().workshop().runs().stream()
                .filter(r -> r.bay().filter(bay.id()::equals).isPresent())
                .toList();
        Set<String> bushings = runs.stream().map(Bushings::task).collect(Collectors.toSet());
        derivation.build().parts().stream()
                .filter(p -> inside.contains(p.id()))
                .forEach(p -> parts.owed(p.id()).stream()
                        .map(Owing::task)
                        .filter(t -> !bushings.contains(t))
                        .forEach(t -> points.add(point(Kind.PART, p.name(), PartTask.words(t)))));
        derivation.build().workshop().jobs().stream()
                .filter(j -> j.parts().stream().anyMatch(inside::contains) && !log.logged(j.id()))
                .forEach(j -> points.add(new Point(Kind.JOB, j.name(), j.name(), List.of())));
        derivation.build().workshop().index().stream()
                .filter(m -> inside.contains(m.part()))
                .forEach(m -> points.add(point(
                        Kind.INDEX,
                        derivation.build().part(m.part()).name(),
                        "index mark \"" + m.how() + "\" to come off")));
        runs.forEach(r -> run(r, points));
        derivation.build().workshop().gagings().stream()
                .filter(g -> g.bay().filter(bay.id()::equals).isPresent())
                .forEach(g -> reading(g).ifPresent(points::add));
        points.addAll(photos(bay));
        points.addAll(counted(bay));
        points.sort(Comparator.comparing(Point::kind));
        return points;
    }

    private static Point point(Kind kind, String where, String what) {
        return new Point(kind, where, where + ": " + what, List.of());
    }

    // ---- holes

    private List<Point> holes(Bay bay, Set<Id.Part> inside) {
        Map<String, List<Id.Hole>> open = new LinkedHashMap<>();
        Map<String, Kind> kinds = new HashMap<>();
        for (Build.FaceRef ref : derivation.build().faces()) {
            Map<Id.Hole, String> unproved = unproved(ref, bay, inside);
            for (HoleReading hole : derivation.face(ref.face().id()).readings()) {
                if (!Bays.holds(bay, inside, hole)) {
                    continue;
                }
                Optional<Map.Entry<Kind, String>> lacks = lacks(hole, unproved);
                lacks.ifPresent(l -> {
                    String words = hole.group().code() + ": {} " + l.getValue();
                    kinds.put(words, l.getKey());
                    open.computeIfAbsent(words, w -> new ArrayList<>())
                            .add(hole.hole().id());
                });
            }
        }
        List<Point> points = new ArrayList<>();
        open.forEach((words, holes) -> points.add(new Point(
                kinds.getOrDefault(words, Kind.FASTENER),
                words.substring(0, words.indexOf(':')),
                words.replace("{}", String.valueOf(holes.size())),
                holes)));
        return points;
    }

    private Optional<Map.Entry<Kind, String>> lacks(HoleReading hole, Map<Id.Hole, String> unproved) {
        if (!log.set(hole.hole())) {
            return Optional.of(
                    log.temporary(hole.hole().id(), hole.layers())
                            ? Map.entry(Kind.TEMPORARY, "held by a temporary bolt")
                            : Map.entry(Kind.FASTENER, "not set"));
        }
        return Owed.openAfterSet(hole, log).stream()
                .findFirst()
                .map(o -> Map.entry(Kind.BOLT, "not " + o.code()))
                .or(() -> Optional.ofNullable(unproved.get(hole.hole().id())).map(w -> Map.entry(Kind.PROOF, w)));
    }

    /** Heads of a face that are to be measured, or were and are not left. */
    private Map<Id.Hole, String> unproved(Build.FaceRef ref, Bay bay, Set<Id.Part> inside) {
        Map<Id.Hole, String> holes = new HashMap<>();
        Set<Id.Group> here = derivation.face(ref.face().id()).readings().stream()
                .filter(h -> Bays.holds(bay, inside, h))
                .map(h -> h.group().id())
                .collect(Collectors.toSet());
        for (Group group : ref.face().groups()) {
            if (here.contains(group.id())) {
                Proving proving = Proving.of(derivation, log, ref.face().id(), group);
                proving.due().forEach(l -> l.hole().ifPresent(h -> holes.put(h.id(), "to measure")));
                proving.open().forEach(l -> l.hole().ifPresent(h -> holes.put(h.id(), "measured and not left")));
            }
        }
        return holes;
    }

    // ---- what runs through, what is measured, what is asked for

    private void run(RunThrough run, List<Point> points) {
        for (Id.Part part : Bushings.open(derivation.build(), log, run)) {
            points.add(point(
                    Kind.RUN,
                    run.name(),
                    "bushing in " + derivation.build().part(part).name() + " to fit"));
        }
        for (RunThrough.Station tight : run.tight()) {
            points.add(point(
                    Kind.RUN,
                    run.name(),
                    "does not go through "
                            + derivation.build().part(tight.part()).name()));
        }
    }

    /** The last reading of a thing that is measured; empty if none was taken. */
    public Optional<LogEntry> last(Id.Gaging of) {
        LogEntry last = null;
        for (LogEntry entry : log.entries()) {
            if (log.inForce(entry)
                    && entry.labour().map(Labour::what).orElse(null) instanceof Taken t
                    && t.of().equals(of)) {
                last = entry;
            }
        }
        return Optional.ofNullable(last);
    }

    private Optional<Point> reading(Gaging gaging) {
        Optional<Taken> taken = last(gaging.id()).flatMap(LogEntry::labour).map(l -> (Taken) l.what());
        if (taken.isEmpty()) {
            return Optional.of(point(Kind.CLEARANCE, gaging.name(), "not measured"));
        }
        return gaging.holds(taken.get().value())
                ? Optional.empty()
                : Optional.of(point(Kind.CLEARANCE, gaging.name(), "out of limits"));
    }

    private List<Point> photos(Bay bay) {
        Set<String> there = derivation.build().workshop().pins().stream()
                .filter(p -> p.bays().contains(bay.id()))
                .map(p -> p.says().strip().toLowerCase(Locale.ROOT))
                .collect(Collectors.toSet());
        return bay.photos().stream()
                .filter(p -> !there.contains(p.strip().toLowerCase(Locale.ROOT)))
                .map(p -> new Point(Kind.PHOTO, p, "photograph: " + p, List.of()))
                .toList();
    }

    /** Mandrels, as many as rivets were pulled inside, and what else is counted out. */
    public static final String MANDRELS = "mandrels";

    /** What is counted out of a bay, with how many there must be; 0 where only the builder knows. */
    public Map<String, Integer> loose(Bay bay) {
        Set<Id.Part> inside = Bays.inside(bay, parts);
        int pulled = 0;
        for (Build.FaceRef ref : derivation.build().faces()) {
            for (HoleReading hole : derivation.face(ref.face().id()).readings()) {
                if (Bays.holds(bay, inside, hole)
                        && hole.solution().fastener() instanceof Fastener.PulledRivet
                        && log.set(hole.hole())) {
                    pulled++;
                }
            }
        }
        Map<String, Integer> loose = new LinkedHashMap<>();
        if (pulled > 0) {
            loose.put(MANDRELS, pulled);
        }
        bay.loose().forEach(l -> loose.put(l, 0));
        return loose;
    }

    private List<Point> counted(Bay bay) {
        Map<String, Integer> out = new HashMap<>();
        for (LogEntry entry : Bays.closeOuts(bay, log)) {
            CloseOut closed = (CloseOut) entry.labour().orElseThrow().what();
            closed.counted().forEach(k -> out.put(k.what(), k.out() >= k.due() ? k.out() : -1));
        }
        List<Point> points = new ArrayList<>();
        loose(bay).forEach((what, due) -> {
            Integer is = out.get(what);
            if (is == null || is < due) {
                points.add(new Point(
                        Kind.LOOSE,
                        what,
                        what + (due > 0 ? ": " + due + " to count out" : " to count out"),
                        List.of()));
            }
        });
        return points;
    }
}
