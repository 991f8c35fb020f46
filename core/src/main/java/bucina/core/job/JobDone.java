package bucina.core.job;

import bucina.core.guard.MarkCheck;
import bucina.core.log.Addition;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.PartMark;
import bucina.core.log.Tightened;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.part.PartTask;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.progress.Task;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A job that was done: what it changes.
 *
 * @param stands   a part and how it stands now; empty where no part was moved
 * @param addition to the log
 */
public record JobDone(Optional<Map.Entry<Id.Part, Standing>> stands, Addition addition) {

    /**
     * Who did a job, when and how long.
     *
     * @param who     not blank
     * @param done    when
     * @param minutes how long
     * @param because why it was done although something was missing; may be blank
     * @param note    may be blank
     * @param tightened how bolts were; empty where nobody said
     * @param readings heads as measured; none for other work
     */
    public record Said(
            String who,
            LocalDateTime done,
            int minutes,
            String because,
            String note,
            Optional<Tightened> tightened,
            List<Work.Reading> readings) {

        public Said {
            readings = List.copyOf(readings);
        }

        /** No head measured. */
        public Said(
                String who,
                LocalDateTime done,
                int minutes,
                String because,
                String note,
                Optional<Tightened> tightened) {
            this(who, done, minutes, because, note, tightened, List.of());
        }

        /** Nothing tightened. */
        public Said(String who, LocalDateTime done, int minutes, String because, String note) {
            this(who, done, minutes, because, note, Optional.empty());
        }

        private LogEntry.Draft draft(Labour.What what, String page) {
            return LogEntry.Draft.install(new Labour(what, page, who, done, minutes, because, note, List.of()));
        }
    }

    /**
     * The job of a name, all of it. A row whose work has several set-ups can be named as a whole.
     *
     * @throws InputException if there is no such job, nothing of it is left, or something must come before it and no
     *     reason is given
     */
    public static JobDone of(Jobs jobs, String id, Derivation derivation, Logbook log, Said said, Instant now) {
        List<Job> named = jobs.named(id);
        if (named.isEmpty()) {
            return task(jobs, id, said, now);
        }
        Job first = named.getFirst();
        if (first.op() == Op.OWN) {
            OwnJob own = jobs.own(first).orElseThrow();
            return entry(said.draft(new Labour.Own(own.id(), own.name()), own.page()));
        }
        if (first.op() == Op.TASK) {
            return onPart(first.part().orElseThrow(), first.word(), said, now);
        }
        List<Job> open = named.stream().filter(j -> !j.done()).toList();
        if (open.isEmpty()) {
            throw new InputException("nothing is left to be done of " + id);
        }
        if (first.op().move()) {
            return moved(first, said);
        }
        if (first.op() == Op.PROVE) {
            return entry(said.draft(Measured.proof(open, derivation, log, said.readings), ""));
        }
        List<HoleReading> holes = open.stream()
                .flatMap(j -> j.place().orElseThrow().holes().stream())
                .toList();
        return first.op() == Op.SET
                ? entry(set(open, holes, first.count(), derivation, said))
                : marked(open, holes, derivation, log, said, now);
    }

    /**
     * Some holes of a job, in one go.
     *
     * @param holes those done, at least one; none of a group without geometry
     * @param count how many of a group without geometry
     */
    public static JobDone of(
            Job job, List<HoleReading> holes, int count, Derivation derivation, Logbook log, Said said, Instant now) {
        return job.op() == Op.SET
                ? entry(set(List.of(job), holes, count, derivation, said))
                : marked(List.of(job), holes, derivation, log, said, now);
    }

    private static JobDone entry(LogEntry.Draft draft) {
        return new JobDone(Optional.empty(), Addition.of(draft));
    }

    private static JobDone moved(Job job, Said said) {
        Part part = job.part().orElseThrow();
        return new JobDone(
                Optional.of(Map.entry(part.id(), job.op() == Op.OFF ? Standing.OFF : Standing.DRY)),
                Addition.of(said.draft(
                        new Labour.OnPart(part.id(), part.name(), job.op().code()),
                        part.particulars().page())));
    }

    /** Work on a part that is not owed can be done all the same. */
    private static JobDone task(Jobs jobs, String id, Said said, Instant now) {
        String[] parts = id.strip().split(":", -1);
        Optional<Part> part = parts.length == 2 && PartTask.of(parts[0]).isPresent()
                ? jobs.build().parts().stream()
                        .filter(p -> FaceJobs.name(p.name()).equalsIgnoreCase(parts[1]))
                        .findFirst()
                : Optional.empty();
        return onPart(
                part.orElseThrow(() -> new InputException("there is no job \"" + id.strip() + "\" in this build; it is"
                        + " named like deburr:US-1:R1:Upper skin, off:Main rib 3, deburr-edges:Main rib 3 or own:7, and"
                        + " `jobs FILE` lists them all")),
                parts[0],
                said,
                now);
    }

    private static JobDone onPart(Part part, String task, Said said, Instant now) {
        return new JobDone(
                Optional.empty(),
                new Addition(
                        Optional.of(said.draft(
                                new Labour.OnPart(part.id(), part.name(), task),
                                part.particulars().page())),
                        List.of(),
                        List.of(new PartMark(part.id(), task, now, true, Optional.empty(), said.because))));
    }

    private static JobDone marked(
            List<Job> jobs, List<HoleReading> holes, Derivation derivation, Logbook log, Said said, Instant now) {
        Job first = jobs.getFirst();
        Group group = first.place().orElseThrow().group();
        Set<Id.Layer> sheets = new LinkedHashSet<>();
        jobs.forEach(j -> j.place().orElseThrow().layers().forEach(l -> sheets.add(l.id())));
        List<Mark> marks = new ArrayList<>();
        for (Id.Layer sheet : sheets) {
            Task task = new Task(first.op().marked().orElseThrow(), Mark.Side.BOTH, Optional.of(sheet));
            marks.addAll(task.marks(log, holes, true, now));
        }
        return swept(first.op().marked().orElseThrow(), group, holes, marks, derivation, log, said);
    }

    private static List<Work.LoggedHole> logged(List<HoleReading> holes) {
        return holes.stream()
                .map(h -> new Work.LoggedHole(h.hole().id(), h.label()))
                .toList();
    }

    /** What the set-ups of all runs have alike; blank where they differ, so that no gap stands for two. */
    private static String same(List<Job> jobs, Function<Setup, String> what) {
        Set<String> all = jobs.stream().map(Job::setup).map(what).collect(Collectors.toSet());
        return all.size() == 1 ? all.iterator().next() : "";
    }

    /**
     * A step of bolts that are in.
     *
     * @param holes of one group, at least one
     * @throws InputException if a bolt does not owe it, or owes something before it
     */
    public static JobDone bolts(
            Operation step, List<HoleReading> holes, Derivation derivation, Logbook log, Said said, Instant now) {
        return swept(
                step,
                holes.getFirst().group(),
                holes,
                Task.of(step).marks(log, holes, true, now),
                derivation,
                log,
                said);
    }

    private static JobDone swept(
            Operation operation,
            Group group,
            List<HoleReading> holes,
            List<Mark> marks,
            Derivation derivation,
            Logbook log,
            Said said) {
        Optional<Tightened> tightened = operation == Operation.TORQUED ? said.tightened : Optional.empty();
        Labour.Sweep sweep = new Labour.Sweep(operation, group.id(), group.code(), logged(holes), tightened);
        return new JobDone(
                Optional.empty(),
                new Addition(
                        Optional.of(said.draft(new Labour.Holes(List.of(sweep)), group.page())),
                        new MarkCheck(derivation, log).accepted(marks, said.because),
                        List.of()));
    }

    private static LogEntry.Draft set(
            List<Job> jobs, List<HoleReading> holes, int count, Derivation derivation, Said said) {
        Job first = jobs.getFirst();
        Group group = first.place().orElseThrow().group();
        List<Solution> solutions = holes.isEmpty()
                ? List.of(derivation.typed(group.id()).orElseThrow())
                : holes.stream().map(HoleReading::solution).distinct().toList();
        Set<String> called = solutions.stream()
                .map(s -> s.called()
                        + s.length().map(l -> LengthFormat.exact(l, Unit.MM)).orElse(""))
                .collect(Collectors.toCollection(LinkedHashSet::new));
        if (called.size() > 1) {
            throw new InputException("the holes of " + first.id() + " take different fasteners: log it by its runs, "
                    + jobs.stream().map(Job::id).collect(Collectors.joining(", ")));
        }
        Solution solution = solutions.getFirst();
        String designation = solution.designation()
                .orElseThrow(() -> new InputException("no fastener of the catalogue is right for " + first.id()
                        + ": log it with --group and --designation, and the reason"));
        return LogEntry.Draft.install(new Work(
                group.id(),
                group.code(),
                logged(holes),
                holes.isEmpty() ? count : holes.size(),
                designation,
                solution.length(),
                said.who,
                said.done,
                said.minutes,
                new Work.Setup(
                        group.setUp(same(jobs, Setup::tool)),
                        solution.choice()
                                .map(c -> c.squeezerGap())
                                .filter(g -> !same(jobs, Setup::setting).isEmpty()),
                        Optional.empty()),
                List.of(),
                List.of(),
                said.because,
                said.note,
                List.of()));
    }
}
