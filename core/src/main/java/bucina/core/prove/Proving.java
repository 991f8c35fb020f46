package bucina.core.prove;

import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Proof;
import bucina.core.log.Seen;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Proof of one group: what was set, in setting order, which heads are to be measured and how those stand that were.
 * What was found as it is was set by nobody the log knows and is no part of it. Follows from plan and log alone.
 *
 * @param group  the group
 * @param lines  one for each fastener set, in setting order
 * @param failed how many heads failed, those since replaced too
 * @param gone   fasteners that were drilled out since, as they were: their readings still tell of their set-up
 */
public record Proving(Group group, List<Line> lines, int failed, List<Line> gone) {

    /**
     * One fastener.
     *
     * @param number   in setting order, from 1
     * @param hole     its hole; empty in a group without geometry
     * @param row      name of its row; empty there
     * @param entry    by which it is in now
     * @param who      set it
     * @param day      it was first set on
     * @param sampled  true if it is to be measured
     * @param shank    D
     * @param measured each time it was since it is in, earliest first
     */
    public record Line(
            int number,
            Optional<Work.LoggedHole> hole,
            String row,
            LogEntry entry,
            String who,
            LocalDate day,
            boolean sampled,
            Length shank,
            List<Measured> measured) {

        /** The last time it was measured; empty if it was not. */
        public Optional<Measured> last() {
            return measured.isEmpty() ? Optional.empty() : Optional.of(measured.getLast());
        }

        /** How it is called: {@code R3.14}, or {@code no. 7}. */
        public String called() {
            return hole.map(Work.LoggedHole::label).orElse("no. " + number);
        }

        /** True if it is to be measured and was not. */
        public boolean due() {
            return sampled && measured.isEmpty();
        }

        /** True if it was measured and is not left. */
        public boolean open() {
            return last().filter(m -> m.decided() != Verdict.LEAVE).isPresent();
        }

        private Line sampled(boolean is) {
            return new Line(number, hole, row, entry, who, day, is, shank, measured);
        }
    }

    /**
     * One head as looked at.
     *
     * @param head    as it was entered; of readings in the entry that set it without a decision of its own
     * @param judged  by the rules in force now
     * @param decided by the builder; the verdict where nobody decided
     * @param at      when
     * @param entry   number of the entry that says so
     */
    public record Measured(Proof.Head head, Judge.Judgement judged, Verdict decided, LocalDateTime at, int entry) {}

    public Proving {
        lines = List.copyOf(lines);
        gone = List.copyOf(gone);
    }

    /** Fasteners to be measured that were not, in setting order. */
    public List<Line> due() {
        return lines.stream().filter(Line::due).toList();
    }

    /** Fasteners that were measured and are not left, in setting order. */
    public List<Line> open() {
        return lines.stream().filter(Line::open).toList();
    }

    /** True if nothing is to be measured and nothing waits for what was decided. */
    public boolean done() {
        return lines.stream().noneMatch(l -> l.due() || l.open());
    }

    /** Of one group of a face; one whose fasteners have no head formed on them has nothing to prove. */
    public static Proving of(Derivation derivation, Logbook log, Id.Face face, Group group) {
        return of(derivation.build(), log, derivation.face(face), group);
    }

    /** Likewise, of a face as it was read. */
    public static Proving of(Build build, Logbook log, FaceReading face, Group group) {
        return group.fastener().rivet() ? new Finding(build, log, face, group).found() : none(group);
    }

    /** Of a group of which nothing is in. */
    public static Proving none(Group group) {
        return new Proving(group, List.of(), 0, List.of());
    }

    /** Which are measured of all that the group will have, by number; of those that are in see {@link Line#sampled}. */
    public List<Integer> sample() {
        return Sample.of(group.count(), Math.min(failed, group.count()));
    }

    private static final class Finding {

        private final Logbook log;
        private final FaceReading face;
        private final Group group;
        private final Judge judge;
        private final Function<Id.Part, Material> material;
        private final Map<String, List<Measured>> measured = new HashMap<>();
        /** How many of a group without geometry were in before an entry. */
        private final Map<Integer, Integer> before = new HashMap<>();

        private final List<LogEntry> works = new ArrayList<>();
        private final List<Line> gone = new ArrayList<>();

        Finding(Build build, Logbook log, FaceReading face, Group group) {
            this.log = log;
            this.face = face;
            this.group = group;
            this.judge = new Judge(build.rules());
            this.material = p -> build.part(p).material();
        }

        Proving found() {
            List<LogEntry> proofs = new ArrayList<>();
            for (LogEntry entry : log.entries()) {
                if (log.inForce(entry)) {
                    entry.work().filter(w -> w.group().equals(group.id())).ifPresent(w -> works.add(entry));
                    entry.labour()
                            .map(Labour::what)
                            .filter(w -> w instanceof Proof p && p.group().equals(group.id()))
                            .ifPresent(w -> proofs.add(entry));
                }
            }
            works.sort(
                    Comparator.comparing((LogEntry e) -> e.deed().orElseThrow().done())
                            .thenComparing(LogEntry::id));
            List<Line> lines = group.typed().isPresent() ? typed() : lines();
            works.forEach(this::readings);
            proofs.forEach(this::proof);
            int failed = (int) measured.values().stream()
                    .filter(all -> all.stream().anyMatch(m -> m.judged().said().verdict() != Verdict.LEAVE))
                    .count();
            return new Proving(
                    group,
                    sampled(lines.stream().map(l -> with(l, Integer.MAX_VALUE)).toList(), failed),
                    failed,
                    gone.stream().map(this::gone).toList());
        }

        private List<Line> lines() {
            Map<Id.Hole, Line> lines = new LinkedHashMap<>();
            for (LogEntry entry : works) {
                Work work = entry.work().orElseThrow();
                for (Work.LoggedHole hole : work.holes()) {
                    face.of(hole.id())
                            .ifPresent(r -> lines.merge(
                                    hole.id(),
                                    line(
                                            lines.size() + 1,
                                            Optional.of(hole),
                                            r.row().name(),
                                            entry,
                                            r.solution().fastener().shank()),
                                    (was, is) -> {
                                        gone.add(was);
                                        return new Line(
                                                was.number,
                                                was.hole,
                                                was.row,
                                                entry,
                                                is.who,
                                                was.day,
                                                false,
                                                is.shank,
                                                List.of());
                                    }));
                }
            }
            return List.copyOf(lines.values());
        }

        private static Line line(int number, Optional<Work.LoggedHole> hole, String row, LogEntry entry, Length shank) {
            Work work = entry.work().orElseThrow();
            return new Line(number, hole, row, entry, work.who(), work.done().toLocalDate(), false, shank, List.of());
        }

        private List<Line> typed() {
            List<Line> lines = new ArrayList<>();
            for (LogEntry entry : works) {
                before.put(entry.id(), lines.size());
                for (int i = 0; i < entry.work().orElseThrow().count(); i++) {
                    lines.add(line(
                            lines.size() + 1,
                            Optional.empty(),
                            "",
                            entry,
                            group.fastener().shank()));
                }
            }
            return lines;
        }

        /** Readings in the entries that set the fasteners. */
        private void readings(LogEntry entry) {
            Work work = entry.work().orElseThrow();
            for (int i = 0; i < work.count(); i++) {
                Optional<Work.Reading> reading = work.reading(i);
                if (reading.isEmpty()) {
                    continue;
                }
                Optional<Work.LoggedHole> hole = work.holes().isEmpty()
                        ? Optional.empty()
                        : Optional.of(work.holes().get(i));
                int number = hole.isPresent() ? 0 : before.getOrDefault(entry.id(), 0) + i + 1;
                Judge.Judgement judged = judge(entry, hole, reading, List.of(), 0);
                Verdict verdict = judged.said().verdict();
                Proof.Head head = new Proof.Head(hole, number, reading, false, List.of(), 0, verdict, verdict, "");
                add(head, new Measured(head, judged, verdict, work.done(), entry.id()));
            }
        }

        private void proof(LogEntry entry) {
            Labour labour = entry.labour().orElseThrow();
            for (Proof.Head head : ((Proof) labour.what()).heads()) {
                Optional<LogEntry> set = head.hole().flatMap(h -> log.installedBy(h.id()));
                Judge.Judgement judged =
                        judge(set.orElse(entry), head.hole(), head.reading(), head.seen(), head.hits());
                add(head, new Measured(head, judged, head.decided(), labour.done(), entry.id()));
            }
        }

        private void add(Proof.Head head, Measured is) {
            measured.computeIfAbsent(key(head.hole(), head.number()), k -> new ArrayList<>())
                    .add(is);
        }

        private static String key(Optional<Work.LoggedHole> hole, int number) {
            return hole.map(h -> "h" + h.id().n()).orElse("n" + number);
        }

        /** One that was drilled out, with each time it was measured until then. */
        private Line gone(Line line) {
            int until = works.stream()
                    .filter(e -> e.id() > line.entry.id()
                            && Logbook.covered(e)
                                    .contains(line.hole.orElseThrow().id()))
                    .mapToInt(LogEntry::id)
                    .min()
                    .orElse(Integer.MAX_VALUE);
            return with(line, until);
        }

        /** With each time it was measured since it is in, up to an entry. */
        private Line with(Line line, int until) {
            return new Line(
                    line.number,
                    line.hole,
                    line.row,
                    line.entry,
                    line.who,
                    line.day,
                    false,
                    line.shank,
                    measured.getOrDefault(key(line.hole, line.hole.isPresent() ? 0 : line.number), List.of()).stream()
                            .filter(m -> m.entry() >= line.entry.id() && m.entry() < until)
                            .sorted(Comparator.comparing(Measured::entry))
                            .toList());
        }

        private Judge.Judgement judge(
                LogEntry set,
                Optional<Work.LoggedHole> hole,
                Optional<Work.Reading> reading,
                List<Seen> seen,
                int hits) {
            Optional<HoleReading> at = hole.flatMap(h -> face.of(h.id()));
            return judge.of(subject(group, at, tool(set), material, reading, seen, hits));
        }

        /** The handbook's holes, and the first of any row, person or day that they leave out. */
        private List<Line> sampled(List<Line> lines, int failed) {
            Set<Integer> numbers = new HashSet<>(Sample.of(group.count(), Math.min(failed, group.count())));
            List<Line> all = new ArrayList<>(lines);
            all.replaceAll(l -> l.sampled(numbers.contains(l.number)));
            List<Function<Line, Object>> kinds = List.of(Line::row, Line::who, Line::day);
            for (Function<Line, Object> kind : kinds) {
                Set<Object> seen = new HashSet<>();
                all.stream().filter(Line::sampled).map(kind).forEach(seen::add);
                all.replaceAll(l -> l.sampled(l.sampled() || seen.add(kind.apply(l))));
            }
            return all;
        }
    }

    private static Optional<String> tool(LogEntry entry) {
        return entry.work().map(w -> w.setup().tool());
    }

    /**
     * What is judged of one head.
     *
     * @param at       its hole; empty in a group without geometry
     * @param tool     it was set with, in words; empty where nobody knows
     * @param material of a part
     */
    public static Judge.Subject subject(
            Group group,
            Optional<HoleReading> at,
            Optional<String> tool,
            Function<Id.Part, Material> material,
            Optional<Work.Reading> reading,
            List<Seen> seen,
            int hits) {
        Fastener fastener = at.map(r -> r.solution().fastener()).orElse(group.fastener());
        Judge.Head head = head(fastener);
        boolean measured = head != Judge.Head.BLIND;
        return new Judge.Subject(
                head,
                fastener.shank(),
                measured ? reading : Optional.empty(),
                hits,
                seen.stream().filter(s -> head.shows(s.what())).toList(),
                tool.flatMap(Proving::by),
                at.flatMap(r -> r.layers().stream().findFirst()).map(l -> material.apply(l.part())),
                at.flatMap(r -> r.layers().stream().findFirst()).map(Layer::thickness));
    }

    /** What kind of head a rivet has. */
    public static Judge.Head head(Fastener fastener) {
        return fastener instanceof Fastener.PulledRivet
                ? Judge.Head.BLIND
                : fastener.flush() ? Judge.Head.FLUSH : Judge.Head.UNIVERSAL;
    }

    /** What a tool strikes with, from its name. */
    private static Optional<Judge.By> by(String tool) {
        String name = tool.toLowerCase(Locale.ROOT);
        return name.contains("squeez") || name.contains("yoke")
                ? Optional.of(Judge.By.SQUEEZER)
                : name.contains("gun") ? Optional.of(Judge.By.GUN) : Optional.empty();
    }
}
