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
import bucina.core.rivet.Grade;
import bucina.core.rivet.RivetChoice;
import bucina.core.rivet.RivetChooser;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.stack.StackCheck;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
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
     * @param label    of the hole
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
                if (entry.isEmpty() || !log.state(hole.hole(), hole.layers()).set()) {
                    continue;
                }
                asked++;
                after.of(hole.hole().id())
                        .ifPresent(now -> new Judging(ref.face().name(), before, after, log, bag, is)
                                .judge(hole, now, entry.get(), lines));
            }
        }
        lines.sort(Comparator.comparing(Line::level)
                .thenComparing(Comparator.comparing(Line::over).reversed()));
        return new Recall(lines, asked);
    }

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

        private static String key(Finding f) {
            return f.rule().code() + " " + f.place().layer() + " " + f.level();
        }

        private void length(HoleReading was, HoleReading now, Work work, List<Line> lines) {
            int place = place(work, now);
            boolean measured = log.state(now.hole(), now.layers()) == HoleState.PROVED
                    || place >= 0 && work.reading(place).isPresent();
            if (measured || work.length().isEmpty()) {
                return;
            }
            Length used = work.length().get();
            Optional<Bag> other = bag.filter(b -> b.said().equalsIgnoreCase(work.designation()));
            Length is = other.flatMap(
                            b -> Used.parse(now.solution().fastener(), b.is()).length())
                    .orElse(used);
            if (now.solution().fastener() instanceof Fastener.SolidRivet) {
                solid(was, now, used, is, lines);
            } else if (now.solution().fastener() instanceof Fastener.PulledRivet) {
                pulled(now, work, is, lines);
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
        private void solid(HoleReading was, HoleReading now, Length used, Length is, List<Line> lines) {
            Optional<Grade> before = grade(was, used);
            Optional<Grade> grade = grade(now, is);
            if (grade.isEmpty() || grade.get() == Grade.GOOD || before.equals(grade)) {
                return;
            }
            RivetChoice choice = now.solution().choice().orElseThrow();
            Length d = choice.size().shank();
            boolean shortly = grade.get() == Grade.SHORT;
            Length figure = shortly
                    ? choice.head().headDiameter(is, d.times(.5))
                    : choice.head().protrusion(is);
            Length limit = d.times(shortly ? RivetChooser.GOOD_ACROSS : RivetChooser.GOOD_PROUD);
            lines.add(new Line(
                    face,
                    now.label(),
                    now.group().code(),
                    "length-" + grade.get().code(),
                    Level.ERROR,
                    Optional.of(figure),
                    Optional.of(limit),
                    Sentence.of(
                            now.label() + ": {} long in a stack of {} is graded "
                                    + grade.get().code()
                                    + (shortly
                                            ? ", a head {} across where {} is the least."
                                            : ", {} proud where {} is the most."),
                            is,
                            now.solution().grip(),
                            figure,
                            limit),
                    Sentence.of("Measure its head: a measured head stands. Else replace it with "
                            + now.solution().called() + "."),
                    false));
        }

        private Optional<Grade> grade(HoleReading hole, Length length) {
            return hole.solution()
                    .choice()
                    .map(c -> new RivetChooser(is.build().rules()).grade(c.head(), c.size(), length));
        }

        /** A pulled rivet fails silently outside its range. */
        private void pulled(HoleReading now, Work work, Length is, List<Line> lines) {
            now.solution()
                    .blind()
                    .ifPresent(choice -> choice.candidates().stream()
                            .filter(c -> c.length().filter(l -> l.same(is)).isPresent())
                            .findFirst()
                            .filter(c -> !now.solution().grip().atLeast(c.gripMin())
                                    || !now.solution().grip().atMost(c.gripMax()))
                            .ifPresent(c -> {
                                boolean thick = !now.solution().grip().atMost(c.gripMax());
                                Length limit = thick ? c.gripMax() : c.gripMin();
                                lines.add(new Line(
                                        face,
                                        now.label(),
                                        now.group().code(),
                                        "grip-range",
                                        Level.ERROR,
                                        Optional.of(now.solution().grip()),
                                        Optional.of(limit),
                                        Sentence.of(
                                                now.label() + ": " + work.designation() + " holds "
                                                        + (thick ? "up to" : "from") + " {}, the stack is {}.",
                                                limit,
                                                now.solution().grip()),
                                        Sentence.of("It fails without a sign: drill it out and set "
                                                + now.solution().called() + "."),
                                        false));
                            }));
        }
    }
}
