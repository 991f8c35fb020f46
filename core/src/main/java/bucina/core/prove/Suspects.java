package bucina.core.prove;

import bucina.core.log.GaugeCheck;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Proof;
import bucina.core.log.Reset;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.rule.ShopSchool;
import bucina.core.stack.Derivation;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/*
 * Design. The fasteners of one set-up stand in the order they were set, each with the first reading that was taken of
 * it: what a tool did is told by the head it made then, whenever that was measured. Between them stand the times when
 * the set-up was made anew.
 */

/**
 * What a failed or drifting reading makes doubtful.
 *
 * @param runs   each set-up with its readings, in the order of their first fastener
 * @param gauges readings taken with a gauge that failed its check
 */
public record Suspects(List<Run> runs, List<GaugeDoubt> gauges) {

    /**
     * How fasteners were set: what is the same here went wrong together. Written as it was the first time; case does
     * not count.
     *
     * @param tool    may be empty
     * @param die     may be empty
     * @param setting closed gap; empty where nobody said
     * @param who     set them
     */
    public record SetUp(String tool, String die, Optional<Length> setting, String who) {

        static SetUp of(Work work) {
            return new SetUp(
                    work.setup().tool().strip(),
                    work.setup().die().strip(),
                    work.setup().setting(),
                    work.who().strip());
        }

        private static String plain(String text) {
            return text.strip().toLowerCase(Locale.ROOT);
        }

        /** In words, as people say it. */
        public String words(Unit unit) {
            String what = tool.isEmpty() ? "tool not said" : tool;
            return what + (die.isEmpty() ? "" : ", " + die)
                    + setting.map(s -> ", gap " + LengthFormat.decimal(s, unit, 3))
                            .orElse("") + ", " + who;
        }

        private boolean same(SetUp other) {
            return plain(tool).equals(plain(other.tool))
                    && plain(die).equals(plain(other.die))
                    && plain(who).equals(plain(other.who))
                    && (setting.isPresent()
                            ? other.setting.filter(s -> s.same(setting.get())).isPresent()
                            : other.setting.isEmpty());
        }
    }

    /**
     * One fastener of a set-up.
     *
     * @param group  its group
     * @param label  {@code R3.14}, or {@code no. 7}
     * @param at     when it was set
     * @param entry  that set it
     * @param head   the first reading taken of it; empty where none was
     * @param good   true if that passed; false also where none was taken
     * @param margin how far it lies inside its nearest limit, in D; empty without figures
     * @param anew   true if the set-up was made anew between the fastener before and this one
     * @param in     true if it is still in; one drilled out only tells of its set-up
     */
    public record Set(
            Group group,
            String label,
            LocalDateTime at,
            int entry,
            Optional<Proof.Head> head,
            boolean good,
            Optional<Margin> margin,
            boolean anew,
            boolean in) {

        /** The same, the set-up made anew before it. */
        private Set reset() {
            return new Set(group, label, at, entry, head, good, margin, true, in);
        }

        boolean read() {
            return head.isPresent();
        }
    }

    /**
     * How far a head lies inside the limits of the school in force.
     *
     * @param across over the least diameter, in D; negative outside
     * @param high   over the least height, in D; negative outside
     */
    public record Margin(double across, double high) {}

    /** Why fasteners are doubtful. */
    public enum Cause {
        FAILED("a head failed"),
        DRIFT("three heads in a row came nearer a limit");

        private final String words;

        Cause(String words) {
            this.words = words;
        }

        /** In plain words. */
        public String words() {
            return words;
        }

        /** The word on the command line. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * One doubt.
     *
     * @param cause    why
     * @param by       the fastener whose reading told it
     * @param doubtful fasteners that were not measured themselves, in setting order
     */
    public record Doubt(Cause cause, Set by, List<Set> doubtful) {}

    /**
     * A set-up with what was set with it.
     *
     * @param setUp  it
     * @param set    in setting order
     * @param doubts earliest first
     */
    public record Run(SetUp setUp, List<Set> set, List<Doubt> doubts) {}

    /**
     * Readings that a gauge took between its last good check and one that it failed.
     *
     * @param check   number of the entry of the check that failed
     * @param gauge   which
     * @param entries numbers of the entries with such readings
     */
    public record GaugeDoubt(int check, String gauge, List<Integer> entries) {}

    public Suspects {
        runs = List.copyOf(runs);
        gauges = List.copyOf(gauges);
    }

    /** Every fastener in doubt, each once. */
    public List<Set> doubtful() {
        return runs.stream()
                .flatMap(r -> r.doubts.stream())
                .flatMap(d -> d.doubtful.stream())
                .distinct()
                .toList();
    }

    /** Of a whole build. Goes through the log once for each group: not for the interface thread. */
    public static Suspects of(Derivation derivation, Logbook log) {
        Map<SetUp, List<Set>> sets = new LinkedHashMap<>();
        List<Set> all = new ArrayList<>();
        Map<Set, SetUp> by = new IdentityHashMap<>();
        for (Build.FaceRef ref : derivation.build().faces()) {
            for (Group group : ref.face().groups()) {
                Proving proving = Proving.of(derivation, log, ref.face().id(), group);
                for (boolean in : new boolean[] {true, false}) {
                    for (Proving.Line line : in ? proving.lines() : proving.gone()) {
                        Set set = set(group, line, derivation.build().rules(), in);
                        all.add(set);
                        by.put(set, SetUp.of(line.entry().work().orElseThrow()));
                    }
                }
            }
        }
        all.sort(Comparator.comparing(Set::at).thenComparing(Set::entry));
        List<LogEntry> anew = resets(log);
        Map<String, SetUp> last = new HashMap<>();
        for (Set set : all) {
            SetUp up = Objects.requireNonNull(by.get(set));
            SetUp known = sets.keySet().stream().filter(up::same).findFirst().orElse(up);
            List<Set> before = sets.computeIfAbsent(known, k -> new ArrayList<>());
            SetUp was = last.put(SetUp.plain(up.tool + "|" + up.who), known);
            boolean reset = !before.isEmpty() && (was != known || said(set, before.getLast(), known, anew));
            before.add(reset ? set.reset() : set);
        }
        List<Run> runs = new ArrayList<>();
        sets.forEach((up, list) -> runs.add(new Run(up, list, doubts(list))));
        return new Suspects(runs, gauges(log, derivation.build().rules()));
    }

    /** True if the set-up is said to have been made anew between two fasteners. */
    private static boolean said(Set set, Set before, SetUp up, List<LogEntry> anew) {
        return anew.stream().filter(e -> resets(e, up)).anyMatch(e -> after(e, before) && !after(e, set));
    }

    private static boolean after(LogEntry reset, Set set) {
        LocalDateTime at = reset.deed().orElseThrow().done();
        return at.isAfter(set.at) || at.equals(set.at) && reset.id() > set.entry;
    }

    private static List<LogEntry> resets(Logbook log) {
        return log.entries().stream()
                .filter(e -> log.inForce(e) && e.labour().map(Labour::what).orElse(null) instanceof Reset)
                .toList();
    }

    private static boolean resets(LogEntry entry, SetUp up) {
        Reset reset = (Reset) entry.labour().orElseThrow().what();
        return up.same(new SetUp(
                reset.tool(),
                reset.die(),
                reset.setting(),
                entry.deed().orElseThrow().who()));
    }

    private static List<Doubt> doubts(List<Set> list) {
        List<Doubt> doubts = new ArrayList<>();
        List<Integer> read = new ArrayList<>();
        for (int i = 0; i < list.size(); i++) {
            if (!list.get(i).read()) {
                continue;
            }
            read.add(i);
            int at = i;
            if (!list.get(i).good()) {
                int last = lastGood(list, i - 1);
                doubts.add(doubt(Cause.FAILED, list, last, at));
            } else if (drifts(list, read)) {
                int first = read.get(read.size() - 3);
                doubts.add(doubt(Cause.DRIFT, list, lastGood(list, first - 1), at));
            }
        }
        return doubts;
    }

    private static int lastGood(List<Set> list, int from) {
        int i = from;
        while (i >= 0 && !(list.get(i).read() && list.get(i).good())) {
            i--;
        }
        return i;
    }

    /** What was set after a good reading, until the first good one after the set-up was made anew. */
    private static Doubt doubt(Cause cause, List<Set> list, int good, int by) {
        List<Set> doubtful = new ArrayList<>();
        boolean anew = false;
        for (int i = good + 1; i < list.size(); i++) {
            Set set = list.get(i);
            anew |= i > by && set.anew();
            if (anew && set.read() && set.good()) {
                break;
            }
            if (!set.read() && set.in()) {
                doubtful.add(set);
            }
        }
        return new Doubt(cause, list.get(by), doubtful);
    }

    /** Three good readings in a row, each nearer a limit than the one before, the last within .03 D of it. */
    private static boolean drifts(List<Set> list, List<Integer> read) {
        int n = read.size();
        if (n < 3) {
            return false;
        }
        List<Set> three = read.subList(n - 3, n).stream().map(list::get).toList();
        boolean whole = three.stream().allMatch(s -> s.good() && s.margin().isPresent())
                && list.subList(read.get(n - 3) + 1, read.get(n - 1) + 1).stream()
                        .noneMatch(Set::anew);
        return whole
                && (falls(three.stream()
                                .map(s -> s.margin().orElseThrow().across())
                                .toList())
                        || falls(three.stream()
                                .map(s -> s.margin().orElseThrow().high())
                                .toList()));
    }

    /** Nearer than this to a limit, in D, a drift is told. */
    private static final double NEAR = .03;

    private static boolean falls(List<Double> margins) {
        double slack = 1e-9;
        return margins.get(1) < margins.get(0) - slack
                && margins.get(2) < margins.get(1) - slack
                && margins.get(2) <= NEAR + slack;
    }

    private static List<GaugeDoubt> gauges(Logbook log, RuleSet rules) {
        Length most = rules.length(RuleKey.GAUGE_CHECK);
        Map<String, List<Integer>> since = new LinkedHashMap<>();
        List<GaugeDoubt> doubts = new ArrayList<>();
        List<LogEntry> entries = log.entries().stream()
                .filter(e -> log.inForce(e) && e.labour().isPresent())
                .sorted(Comparator.comparing(
                                (LogEntry e) -> e.deed().orElseThrow().done())
                        .thenComparing(LogEntry::id))
                .toList();
        for (LogEntry entry : entries) {
            Labour.What what = entry.labour().orElseThrow().what();
            if (what instanceof Proof proof
                    && proof.heads().stream().anyMatch(h -> h.reading().isPresent())) {
                since.computeIfAbsent(SetUp.plain(proof.gauge()), g -> new ArrayList<>())
                        .add(entry.id());
            } else if (what instanceof GaugeCheck check) {
                List<Integer> taken = since.remove(SetUp.plain(check.gauge()));
                if (!check.off().atMost(most) && taken != null) {
                    doubts.add(new GaugeDoubt(entry.id(), check.gauge(), List.copyOf(taken)));
                }
            }
        }
        return doubts;
    }

    /** A fastener with the first reading taken of it. */
    private static Set set(Group group, Proving.Line line, RuleSet rules, boolean in) {
        Work work = line.entry().work().orElseThrow();
        Optional<Proving.Measured> first = line.measured().stream().findFirst();
        return new Set(
                group,
                line.called(),
                work.done(),
                line.entry().id(),
                first.map(Proving.Measured::head),
                first.filter(m -> m.judged().said().verdict() == Verdict.LEAVE).isPresent(),
                first.flatMap(m -> margin(line.shank(), m.head(), rules)),
                false,
                in);
    }

    private static Optional<Margin> margin(Length d, Proof.Head head, RuleSet rules) {
        Length least = rules.times(RuleKey.PROCESS_DIAMETER, d);
        Length low = rules.times(
                rules.shopSchool() == ShopSchool.PROCESS ? RuleKey.PROCESS_HEIGHT : RuleKey.GAUGE_HEIGHT_LEAST, d);
        return head.reading()
                .map(r -> new Margin(
                        r.diameter().minus(least).per(d), r.height().minus(low).per(d)));
    }
}
