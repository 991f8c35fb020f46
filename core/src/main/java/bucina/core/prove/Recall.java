package bucina.core.prove;

import bucina.core.log.HoleState;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Used;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.rivet.Grade;
import bucina.core.rivet.RivetChoice;
import bucina.core.rivet.RivetChooser;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import bucina.core.stack.StackCheck;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/*
 * Design. What is set is judged twice, by the plan as it stands and by the plan with the fact corrected; what is wrong
 * only the second time is what the fact was hiding. A head that was measured stands for itself: its length is not
 * asked for again.
 */

/**
 * What is set already and would no longer pass if a fact turned out otherwise: the gauge of a sheet, a hole size, a
 * bag of rivets, a rule.
 *
 * @param lines worst first: errors before warnings, each by how far it is over its limit
 * @param asked how many fasteners that are in were judged
 */
public record Recall(List<Line> lines, int asked) {

    /**
     * One thing that no longer passes.
     *
     * @param face     name of the face
     * @param label    of the hole, or how many of a group without geometry
     * @param group    code of its group
     * @param rule     code of the rule
     * @param level    how much it matters
     * @param measured the figure; empty where nothing is measured
     * @param limit    its limit; empty where there is none
     * @param message  in a sentence
     * @param remedy   what would cover it
     * @param found    true if it was found as it is, set by nobody the log knows
     */
    public record Line(
            String face,
            String label,
            String group,
            String rule,
            Level level,
            Optional<Length> measured,
            Optional<Length> limit,
            Sentence message,
            Sentence remedy,
            boolean found) {

        /** How far over its limit, as a share of it; 0 without figures. */
        public double over() {
            return measured.isPresent() && limit.isPresent() && limit.get().positive()
                    ? measured.get().minus(limit.get()).abs().per(limit.get())
                    : 0;
        }
    }

    public Recall {
        lines = List.copyOf(lines);
    }

    /**
     * Judges what is set again.
     *
     * @param was  the plan as it stands
     * @param is   with the fact corrected
     * @param bag  a designation that turned out to be another; empty where no rivets are in question
     */
    public static Recall of(Derivation was, Derivation is, Logbook log, Optional<Bag> bag) {
        List<Line> lines = new ArrayList<>();
        int asked = 0;
        for (Build.FaceRef ref : was.build().faces()) {
            FaceReading before = was.face(ref.face().id());
            FaceReading after = is.face(ref.face().id());
            for (HoleReading hole : before.readings()) {
                Optional<LogEntry> entry = log.installedBy(hole.hole().id());
                if (entry.isEmpty() || !log.set(hole.hole())) {
                    continue;
                }
                asked++;
                after.of(hole.hole().id())
                        .ifPresent(now -> new Judging(ref.face().name(), before, after, log, bag, is)
                                .judge(hole, now, entry.get(), lines));
            }
            for (Group group : ref.face().groups()) {
                if (group.typed().isPresent()) {
                    asked += new Judging(ref.face().name(), before, after, log, bag, is).typed(group, was, lines);
                }
            }
        }
        lines.sort(Comparator.comparing(Line::level)
                .thenComparing(Comparator.comparing(Line::over).reversed()));
        return new Recall(lines, asked);
    }

    /**
     * Rivets of which one length is judged.
     *
     * @param group code
     * @param label of the hole, or how many of a group without geometry
     */
    private record Rivets(String group, String label, Solution was, Solution now) {}

    /**
     * A bag of rivets that was not what it said.
     *
     * @param said as logged, {@code MS20426AD3-3.5}
     * @param is   what they are, {@code MS20426AD3-3}
     */
    public record Bag(String said, String is) {}

    private record Judging(
            String face, FaceReading before, FaceReading after, Logbook log, Optional<Bag> bag, Derivation is) {

        void judge(HoleReading was, HoleReading now, LogEntry entry, List<Line> lines) {
            boolean found = entry.work().isEmpty();
            Set<String> known = StackCheck.findings(before.face(), was).stream()
                    .map(Judging::key)
                    .collect(Collectors.toSet());
            for (Finding f : StackCheck.findings(after.face(), now)) {
                boolean length =
                        f.rule().code().startsWith("length-") || f.rule().code().startsWith("no-length");
                if (!known.contains(key(f))
                        && !length
                        && f.level() != Level.NOTE
                        && f.accepted().isEmpty()) {
                    lines.add(new Line(
                            face,
                            now.label(),
                            now.group().code(),
                            f.rule().code(),
                            f.level(),
                            f.measured(),
                            f.required(),
                            f.message(),
                            f.remedy(),
                            found));
                }
            }
            entry.work().ifPresent(w -> length(was, now, w, lines));
        }

        /** Rivets of a group without geometry, but for heads that were measured; gives how many are in. */
        int typed(Group group, Derivation was, List<Line> lines) {
            Proving proving = Proving.of(was.build(), log, before, group);
            Map<LogEntry, List<Proving.Line>> entries = new LinkedHashMap<>();
            proving.lines().stream()
                    .filter(l -> l.measured().isEmpty())
                    .forEach(l -> entries.computeIfAbsent(l.entry(), e -> new ArrayList<>())
                            .add(l));
            Optional<Solution> old = was.typed(group.id());
            Optional<Solution> now = is.typed(group.id());
            if (old.isPresent() && now.isPresent()) {
                entries.forEach((entry, rivets) -> length(
                        new Rivets(group.code(), rivets.size() + " of " + group.code(), old.get(), now.get()),
                        entry.work().orElseThrow(),
                        lines));
            }
            return proving.lines().size();
        }

        private static String key(Finding f) {
            return f.rule().code() + " " + f.place().layer() + " " + f.level();
        }

        private void length(HoleReading was, HoleReading now, Work work, List<Line> lines) {
            int place = place(work, now);
            boolean measured = log.state(now.hole(), now.layers()) == HoleState.PROVED
                    || place >= 0 && work.reading(place).isPresent();
            if (!measured) {
                length(new Rivets(now.group().code(), now.label(), was.solution(), now.solution()), work, lines);
            }
        }

        private void length(Rivets at, Work work, List<Line> lines) {
            if (work.length().isEmpty()) {
                return;
            }
            Length used = work.length().get();
            Optional<Bag> other = bag.filter(b -> b.said().equalsIgnoreCase(work.designation()));
            Length is = other.flatMap(b -> Used.parse(at.now.fastener(), b.is()).length())
                    .orElse(used);
            if (at.now.fastener() instanceof Fastener.SolidRivet) {
                solid(at, used, is, lines);
            } else if (at.now.fastener() instanceof Fastener.PulledRivet) {
                pulled(at, work, is, lines);
            }
        }

        private static int place(Work work, HoleReading hole) {
            for (int i = 0; i < work.holes().size(); i++) {
                if (work.holes().get(i).id().equals(hole.hole().id())) {
                    return i;
                }
            }
            return -1;
        }

        /** A rivet that was good for the stack and is short or long for it now. */
        private void solid(Rivets at, Length used, Length is, List<Line> lines) {
            Optional<Grade> before = grade(at.was, used);
            Optional<Grade> grade = grade(at.now, is);
            if (grade.isEmpty() || grade.get() == Grade.GOOD || before.equals(grade)) {
                return;
            }
            RivetChoice choice = at.now.choice().orElseThrow();
            Length d = choice.size().shank();
            boolean shortly = grade.get() == Grade.SHORT;
            Length figure = shortly
                    ? choice.head().headDiameter(is, d.times(.5))
                    : choice.head().protrusion(is);
            Length limit = d.times(shortly ? RivetChooser.GOOD_ACROSS : RivetChooser.GOOD_PROUD);
            lines.add(new Line(
                    face,
                    at.label,
                    at.group,
                    "length-" + grade.get().code(),
                    Level.ERROR,
                    Optional.of(figure),
                    Optional.of(limit),
                    Sentence.of(
                            at.label + ": {} long in a stack of {} is graded "
                                    + grade.get().code()
                                    + (shortly
                                            ? ", a head {} across where {} is the least."
                                            : ", {} proud where {} is the most."),
                            is,
                            at.now.grip(),
                            figure,
                            limit),
                    Sentence.of(
                            "Measure its head: a measured head stands. Else replace it with " + at.now.called() + "."),
                    false));
        }

        private Optional<Grade> grade(Solution at, Length length) {
            return at.choice().map(c -> new RivetChooser(is.build().rules()).grade(c.head(), c.size(), length));
        }

        /** A pulled rivet fails silently outside its range. */
        private void pulled(Rivets at, Work work, Length is, List<Line> lines) {
            at.now
                    .blind()
                    .ifPresent(choice -> choice.candidates().stream()
                            .filter(c -> c.length().filter(l -> l.same(is)).isPresent())
                            .findFirst()
                            .filter(c -> !at.now.grip().atLeast(c.gripMin())
                                    || !at.now.grip().atMost(c.gripMax()))
                            .ifPresent(c -> {
                                boolean thick = !at.now.grip().atMost(c.gripMax());
                                Length limit = thick ? c.gripMax() : c.gripMin();
                                lines.add(new Line(
                                        face,
                                        at.label,
                                        at.group,
                                        "grip-range",
                                        Level.ERROR,
                                        Optional.of(at.now.grip()),
                                        Optional.of(limit),
                                        Sentence.of(
                                                at.label + ": " + work.designation() + " holds "
                                                        + (thick ? "up to" : "from") + " {}, the stack is {}.",
                                                limit,
                                                at.now.grip()),
                                        Sentence.of("It fails without a sign: drill it out and set " + at.now.called()
                                                + "."),
                                        false));
                            }));
        }
    }
}
