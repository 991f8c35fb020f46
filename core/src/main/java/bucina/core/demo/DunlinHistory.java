package bucina.core.demo;

import bucina.core.guard.Owed;
import bucina.core.log.Disposition;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Row;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The log of the demonstration build: some weeks of made-up evenings by two made-up people. */
public final class DunlinHistory {

    private final Derivation derivation;
    /** How the parts stand with nothing logged. */
    private final PartStates bare;

    private final List<LogEntry> entries = new ArrayList<>();
    private final List<Mark> marks = new ArrayList<>();

    private DunlinHistory(Derivation derivation) {
        this.derivation = derivation;
        this.bare = PartStates.of(this.derivation.build());
    }

    /** The logbook that belongs to {@link Dunlin#build}. */
    public static Logbook of(Derivation derivation) {
        DunlinHistory history = new DunlinHistory(derivation);
        history.rearSpar();
        history.mainSpar();
        history.lowerSkin();
        history.before();
        history.progress();
        return DunlinLife.lived(derivation.build(), Logbook.of(history.entries, history.marks));
    }

    private void rearSpar() {
        log(
                "RW-2",
                "R1",
                1,
                99,
                "M. Oake",
                "2026-09-12T10:30",
                55,
                "Squeezer, standard yoke",
                "First row of the build.");
        for (int i = 2; i <= 10; i++) {
            log(
                    "RW-1",
                    "R" + i,
                    1,
                    99,
                    i % 3 == 0 ? "T. Lind" : "M. Oake",
                    "2026-09-%02dT%02d:10".formatted(13 + i / 4, 9 + i),
                    20 + i,
                    "Squeezer, standard yoke",
                    "");
        }
    }

    private void mainSpar() {
        log("MW-1", "R1", 1, 9, "M. Oake", "2026-10-03T14:00", 70, "Gun 3X and bar", "Two people: T. Lind on the bar.");
        int wrong = entries.getLast().id();
        log("MW-1", "R1", 10, 99, "M. Oake", "2026-10-03T15:40", 45, "Gun 3X and bar", "");
        log(
                "MW-1",
                "R2",
                1,
                99,
                "M. Oake",
                "2026-10-04T10:15",
                95,
                "Gun 3X and bar",
                "Set the thin end with a new length.");
        mend(wrong);
        ribTabs();
    }

    private void ribTabs() {
        for (int i = 3; i <= 7; i++) {
            log(
                    "MW-2",
                    "R" + i,
                    1,
                    99,
                    i % 2 == 0 ? "T. Lind" : "M. Oake",
                    "2026-10-%02dT17:45".formatted(6 + i),
                    24 + i,
                    "Squeezer, deep yoke",
                    i == 3 ? "Tight between the twin root ribs: flange-nose yoke turned over." : "");
        }
    }

    private void mend(int wrong) {
        Work first = entries.get(wrong - 1).work().orElseThrow();
        List<Work.Reject> rejects = List.of(new Work.Reject(
                first.holes().get(4).label(), 1, Disposition.REPLACED, "Folded over; hole still .129."));
        Work mended = new Work(
                first.group(),
                first.groupCode(),
                first.holes(),
                first.count(),
                first.designation(),
                first.length(),
                first.who(),
                first.done(),
                80,
                first.setup(),
                first.readings(),
                rejects,
                first.explanation(),
                first.note(),
                List.of());
        entries.add(new LogEntry(
                entries.size() + 1,
                Instant.parse("2026-10-04T18:20:00Z"),
                Optional.of(wrong),
                Optional.of(mended),
                "Forgot the rivet that was drilled out; ten minutes more."));
    }

    private void lowerSkin() {
        log("LS-7", "R30", 1, 20, "T. Lind", "2026-10-24T11:00", 60, "Squeezer, standard yoke", "");
        for (int i = 4; i <= 12; i++) {
            log(
                    "LS-4",
                    "R" + i,
                    1,
                    99,
                    "M. Oake",
                    "2026-11-%02dT18:30".formatted(i - 2),
                    30,
                    "Squeezer, deep yoke",
                    "");
        }
        log("LS-5", "R13", 1, 99, "M. Oake", "2026-11-14T09:40", 40, "Gun 2X and bar", "");
        log("LS-5", "R14", 1, 99, "M. Oake", "2026-11-14T10:30", 45, "Gun 2X and bar", "");
        log(
                "LS-1",
                "R1",
                1,
                14,
                "M. Oake",
                "2026-11-21T15:00",
                50,
                "Gun 2X and bar",
                "Stopped at hole 14: skin lies well.");
    }

    /** What came before the rivets: every hole set was drilled, deburred and dressed a day before its entry. */
    private void before() {
        Map<Id.Hole, Instant> begun = new LinkedHashMap<>();
        for (LogEntry entry : entries) {
            entry.work().ifPresent(w -> w.holes().forEach(h -> begun.putIfAbsent(h.id(), at(w))));
        }
        for (Build.FaceRef ref : derivation.build().faces()) {
            for (HoleReading hole : derivation.face(ref.face().id()).readings()) {
                Optional.ofNullable(begun.get(hole.hole().id())).ifPresent(at -> done(hole, at));
            }
        }
    }

    private void done(HoleReading hole, Instant at) {
        Owed.of(hole, derivation.build().rules(), bare, Set.of())
                .forEach(owed -> owed.steps()
                        .forEach(s -> marks.add(
                                new Mark(hole.hole().id(), owed.layer().id(), s.side(), s.operation(), at))));
    }

    private static Instant at(Work work) {
        return work.done().minusDays(1).toInstant(ZoneOffset.UTC);
    }

    /** Marks of work before riveting on the upper skin: drilled, deburred and dimpled as far as it has come. */
    private void progress() {
        Instant at = Instant.parse("2026-11-22T16:00:00Z");
        Face upper = derivation.build().face("Upper skin").orElseThrow().face();
        derivation.face(upper.id()).readings().stream()
                .filter(r ->
                        List.of("R1", "R2", "R3", "R4", "R5").contains(r.row().name()))
                .forEach(r -> done(r, at));
        mark(upper, List.of("R6", "R7"), at, Operation.FINAL_SIZE, Operation.DEBURRED);
        mark(upper, List.of("R8", "R9", "R10", "R11", "R12"), at, Operation.FINAL_SIZE);
        mark(upper, List.of("R13", "R14", "R15"), at, Operation.CLECOED);
    }

    private void mark(Face face, List<String> rows, Instant at, Operation... operations) {
        for (HoleReading reading : derivation.face(face.id()).readings()) {
            if (rows.contains(reading.row().name())) {
                reading.layers().forEach(layer -> {
                    for (Operation operation : operations) {
                        marks.add(new Mark(reading.hole().id(), layer.id(), Mark.Side.BOTH, operation, at));
                    }
                });
            }
        }
    }

    /** Logs a stretch of a row, one entry for each rivet it takes; the minutes are shared by count. */
    private void log(
            String code,
            String rowName,
            int from,
            int to,
            String who,
            String done,
            int minutes,
            String tool,
            String note) {
        Build.GroupRef ref = derivation.build().group(code).orElseThrow();
        Row row = ref.group().rows().stream()
                .filter(r -> r.name().equals(rowName))
                .findFirst()
                .orElseThrow();
        Map<Solution, List<Work.LoggedHole>> stretches = new LinkedHashMap<>();
        int total = 0;
        for (Hole hole : row.holes()) {
            if (hole.label() >= from && hole.label() <= to) {
                Solution solution = derivation
                        .face(ref.face().id())
                        .of(hole.id())
                        .orElseThrow()
                        .solution();
                stretches
                        .computeIfAbsent(solution, s -> new ArrayList<>())
                        .add(new Work.LoggedHole(hole.id(), row.label(hole)));
                total++;
            }
        }
        LocalDateTime at = LocalDateTime.parse(done);
        for (Map.Entry<Solution, List<Work.LoggedHole>> stretch : stretches.entrySet()) {
            int share = Math.max(1, minutes * stretch.getValue().size() / total);
            entries.add(new LogEntry(
                    entries.size() + 1,
                    at.plusMinutes(share + 5).toInstant(ZoneOffset.UTC),
                    Optional.empty(),
                    Optional.of(work(ref.group(), stretch, who, at, share, tool, note)),
                    ""));
            at = at.plusMinutes(share);
        }
    }

    private static Work work(
            Group group,
            Map.Entry<Solution, List<Work.LoggedHole>> stretch,
            String who,
            LocalDateTime done,
            int minutes,
            String tool,
            String note) {
        Solution solution = stretch.getKey();
        List<Work.LoggedHole> holes = stretch.getValue();
        Optional<Length> gap =
                tool.startsWith("Squeezer") ? solution.choice().map(c -> c.squeezerGap()) : Optional.empty();
        List<Work.Reading> readings = readings(solution, holes);
        return new Work(
                group.id(),
                group.code(),
                holes,
                holes.size(),
                solution.designation().orElseThrow(),
                solution.length(),
                who,
                done,
                minutes,
                new Work.Setup(tool, gap, Optional.of(solution.hole())),
                readings,
                List.of(),
                "",
                note,
                List.of());
    }

    private static List<Work.Reading> readings(Solution solution, List<Work.LoggedHole> holes) {
        List<Work.Reading> readings = new ArrayList<>();
        if (solution.fastener() instanceof Fastener.SolidRivet) {
            double d = solution.fastener().shank().in();
            for (int i = 0; i < Math.min(3, holes.size()); i++) {
                readings.add(new Work.Reading(
                        Length.in(Sketch.mil(d * (1.55 + .03 * i))), Length.in(Sketch.mil(d * (.52 - .02 * i)))));
            }
        }
        return readings;
    }
}
