package bucina.desk.session;

import bucina.core.form.Entries;
import bucina.core.guard.Against;
import bucina.core.log.Disposition;
import bucina.core.log.LogEntry;
import bucina.core.log.Used;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.rivet.Grade;
import bucina.core.rivet.RivetChooser;
import bucina.core.rivet.RivetDesignation;
import bucina.core.rivet.ShopHeadLimits;
import bucina.core.rule.RuleSet;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import bucina.store.Photo;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** What is typed into the log panel, as text, and the entry it makes. No nodes; the panel shows and changes it. */
public final class LogForm {

    /** The texts of the fields. All may be blank but those the entry needs. */
    public static final class Fields {
        /** Holes as labels, for a group with holes; the count for one without. */
        public String count = "";

        public String designation = "";
        public String length = "";
        public String who = "";
        public String done = "";
        public String minutes = "";
        public String tool = "";
        public String setting = "";
        public String hole = "";
        public String readings = "";
        public String explanation = "";
        public String note = "";
        /** One line for each reject: hole label (or nothing), disposition, note. */
        public final List<RejectLine> rejects = new ArrayList<>();

        public final List<Photo> photos = new ArrayList<>();
        /** Photographs that the corrected entry has already, by hash: they stay. */
        public final List<String> kept = new ArrayList<>();
    }

    /**
     * One reject as typed.
     *
     * @param hole label; empty where the group has no holes
     * @param what what was done about it
     * @param note may be empty
     */
    public record RejectLine(String hole, Disposition what, String note) {}

    private final Group group;
    private final List<Work.LoggedHole> holes;
    private final Optional<Solution> solution;
    private final Optional<Integer> corrects;

    private LogForm(Group group, List<Work.LoggedHole> holes, Optional<Solution> solution, Optional<Integer> corrects) {
        this.group = group;
        this.holes = holes;
        this.solution = solution;
        this.corrects = corrects;
    }

    /** A form for what is suggested. */
    public static LogForm of(Suggestion suggestion) {
        return new LogForm(
                suggestion.group(), suggestion.holes(), Optional.of(suggestion.solution()), Optional.empty());
    }

    /** A form that puts an entry right. */
    public static LogForm correcting(LogEntry entry, Group group) {
        return new LogForm(
                group, entry.work().map(Work::holes).orElse(List.of()), Optional.empty(), Optional.of(entry.id()));
    }

    /** The group written about. */
    public Group group() {
        return group;
    }

    /** The holes written about; empty for a typed stack. */
    public List<Work.LoggedHole> holes() {
        return holes;
    }

    /** True if the count can be typed: the group has no holes. */
    public boolean countTyped() {
        return holes.isEmpty();
    }

    /** The number of the entry put right; empty for a first entry. */
    public Optional<Integer> corrects() {
        return corrects;
    }

    /** The fields as suggested. */
    public static Fields suggest(Suggestion suggestion, Desk desk, int minutes) {
        Fields f = new Fields();
        Unit unit = desk.unit();
        fastener(f, suggestion, unit);
        f.who = desk.prefs().who();
        f.done = desk.session().now().toString().replace('T', ' ');
        f.minutes = minutes > 0 ? Integer.toString(minutes) : "";
        suggestion.gap().ifPresent(g -> f.setting = LengthFormat.decimal(g, unit, 3));
        f.hole = LengthFormat.trade(suggestion.solution().hole(), unit);
        return f;
    }

    private static void fastener(Fields f, Suggestion suggestion, Unit unit) {
        f.count = Integer.toString(suggestion.count());
        f.designation = suggestion.solution().designation().orElse("");
        suggestion
                .solution()
                .choice()
                .flatMap(c -> c.pick().cutTo())
                .or(() -> suggestion.solution().blind().flatMap(b -> b.cutTo()))
                .ifPresent(c -> f.length = LengthFormat.trade(c, unit));
    }

    /** The fields as an entry has them. */
    public static Fields of(Work work, Unit unit) {
        Fields f = new Fields();
        f.count = Integer.toString(work.count());
        f.designation = work.designation();
        work.length()
                .filter(l -> !nominal(work.designation()).map(l::same).orElse(false))
                .ifPresent(l -> f.length = LengthFormat.trade(l, unit));
        f.who = work.who();
        f.done = work.done().toString().replace('T', ' ');
        f.minutes = Integer.toString(work.minutes());
        f.tool = work.setup().tool();
        work.setup().setting().ifPresent(s -> f.setting = LengthFormat.trade(s, unit));
        work.setup().hole().ifPresent(h -> f.hole = LengthFormat.trade(h, unit));
        f.readings = String.join(
                ", ",
                work.readings().stream()
                        .map(r -> figure(r.diameter(), unit) + "x" + figure(r.height(), unit))
                        .toList());
        f.explanation = work.explanation();
        f.note = work.note();
        f.kept.addAll(work.photos());
        work.rejects().forEach(r -> {
            for (int i = 0; i < r.count(); i++) {
                f.rejects.add(new RejectLine(r.hole(), r.what(), r.note()));
            }
        });
        return f;
    }

    private static Optional<Length> nominal(String designation) {
        try {
            return Optional.of(RivetDesignation.parse(designation).nominalLength());
        } catch (InputException e) {
            return Optional.empty();
        }
    }

    private static String figure(Length length, Unit unit) {
        return LengthFormat.figure(length, unit, 4);
    }

    /** What is missing before these holes are set; empty where they are ready or are set already. */
    public String missing(Desk desk) {
        if (corrects.isPresent()) {
            return "";
        }
        FaceReading face = desk.face();
        List<HoleReading> coming =
                holes.stream().flatMap(h -> face.of(h.id()).stream()).toList();
        return desk.snapshot()
                .guards(face.face().id())
                .against(group, coming, desk.unit())
                .map(Against::what)
                .orElse("");
    }

    /**
     * What to say about the rivet typed: empty when it is the planned one in a good length, a sentence that asks for
     * a word of explanation
     * otherwise. Text that is no rivet yet says nothing.
     */
    public String oddity(Fields f, LengthParser lengths, RuleSet rules) {
        if (solution.isEmpty() || solution.get().choice().isEmpty()) {
            return solution.map(s -> pulled(f, s)).orElse("");
        }
        try {
            RivetDesignation used = RivetDesignation.parse(f.designation);
            if (!used.family().equals(solution.get().fastener().name())) {
                return used.family() + " is not the "
                        + solution.get().fastener().name() + " of the plan. Why?";
            }
            return graded(f, used, lengths, rules);
        } catch (InputException e) {
            return "";
        }
    }

    private String graded(Fields f, RivetDesignation used, LengthParser lengths, RuleSet rules) {
        var choice = solution.get().choice().get();
        Length length = f.length.isBlank() ? used.nominalLength() : lengths.parse(f.length);
        Grade grade = new RivetChooser(rules).grade(choice.head(), choice.size(), length);
        return grade == Grade.GOOD ? "" : used.dash() + " is graded " + grade.code() + " here. Why this one?";
    }

    private static String pulled(Fields f, Solution solution) {
        if (!(solution.fastener() instanceof Fastener.PulledRivet rivet)) {
            return "";
        }
        try {
            Used used = Used.parse(rivet, f.designation);
            if (solution.designation().filter(d -> !d.equals(used.code())).isPresent()) {
                return used.code() + " is not the " + solution.designation().get() + " this stack takes. Why?";
            }
            return rivet.stainless()
                    ? "Stainless: nearly impossible to drill out once it is set. Say why you are sure."
                    : "";
        } catch (InputException e) {
            return "";
        }
    }

    /**
     * What was understood of fields that are written otherwise than they will be kept; empty where nothing needs
     * saying.
     */
    public String understood(Fields f, LengthParser lengths, Unit unit) {
        List<String> words = new ArrayList<>();
        fastenerWords(words, f);
        say(words, "cut to", f.length, text -> LengthFormat.trade(lengths.parse(text), unit));
        say(words, "gap", f.setting, text -> LengthFormat.trade(lengths.parse(text), unit));
        say(words, "hole", f.hole, text -> LengthFormat.trade(lengths.parse(text), unit));
        say(words, "done", f.done, text -> Entries.when(text).toString().replace('T', ' '));
        return words.isEmpty() ? "" : "Reads as " + String.join(", ", words) + ".";
    }

    private void fastenerWords(List<String> words, Fields f) {
        if (!(group.fastener() instanceof Fastener.Hardware)) {
            say(
                    words,
                    "rivet",
                    f.designation,
                    text -> Used.parse(group.fastener(), text).code());
        }
    }

    private static void say(List<String> words, String name, String typed, Function<String, String> kept) {
        try {
            if (!typed.isBlank() && !kept.apply(typed).equals(typed.strip())) {
                words.add(name + " " + kept.apply(typed));
            }
        } catch (InputException e) {
            words.add("no " + name + " yet");
        }
    }

    /** What the readings typed say, head by head; empty while there are none or they are not readings yet. */
    public static String verdicts(String readings, LengthParser lengths, ShopHeadLimits limits) {
        try {
            List<Work.Reading> heads = Entries.readings(readings, lengths);
            long leave = heads.stream()
                    .filter(r -> limits.judge(r.diameter(), r.height()) == ShopHeadLimits.Verdict.LEAVE)
                    .count();
            long replace = heads.stream()
                    .filter(r -> limits.judge(r.diameter(), r.height()) == ShopHeadLimits.Verdict.REPLACE)
                    .count();
            if (heads.isEmpty()) {
                return "";
            }
            return judged(replace, heads, leave);
        } catch (InputException e) {
            return "";
        }
    }

    private static String judged(long replace, List<Work.Reading> heads, long leave) {
        return replace > 0
                ? replace + " of " + heads.size() + " outside the limits: replace, and say so under rejects."
                : leave > 0
                        ? leave + " of " + heads.size() + " off the gauge but inside the process limits: leave."
                        : heads.size() + " measured, all good.";
    }

    /**
     * The entry that the fields make.
     *
     * @throws InputException with one sentence that names the field
     */
    public LogEntry.Draft draft(Fields f, LengthParser lengths, String reason) {
        Used used = Used.parse(group.fastener(), f.designation);
        String designation = used.code();
        Optional<Length> length = f.length.isBlank() || used.length().isEmpty()
                ? used.length()
                : Optional.of(lengths.parsePositive(f.length, "length used"));
        Work.Setup setup = new Work.Setup(
                corrects.isPresent() ? f.tool.strip() : group.setUp(f.tool),
                optional(f.setting, "setting", lengths),
                optional(f.hole, "hole size", lengths));
        List<Work.Reject> rejects = f.rejects.stream()
                .map(r -> new Work.Reject(r.hole(), 1, r.what(), r.note()))
                .toList();
        Work work = new Work(
                group.id(),
                group.code(),
                holes,
                holes.isEmpty() ? whole(f.count, "count") : holes.size(),
                designation,
                length,
                f.who.strip(),
                Entries.when(f.done),
                whole(f.minutes, "minutes"),
                setup,
                Entries.readings(f.readings, lengths),
                rejects,
                f.explanation.strip(),
                f.note.strip(),
                Stream.concat(f.kept.stream(), f.photos.stream().map(Photo::sha256))
                        .distinct()
                        .toList());
        return corrects.map(c -> LogEntry.Draft.replace(c, work, reason)).orElseGet(() -> LogEntry.Draft.install(work));
    }

    private static Optional<Length> optional(String text, String name, LengthParser lengths) {
        return text.isBlank() ? Optional.empty() : Optional.of(lengths.parsePositive(text, name));
    }

    private static int whole(String text, String name) {
        if (!text.strip().matches("\\d{1,6}")) {
            throw new InputException(name + " must be a whole number like 40, was \"" + text.strip() + "\"");
        }
        return Integer.parseInt(text.strip());
    }
}
