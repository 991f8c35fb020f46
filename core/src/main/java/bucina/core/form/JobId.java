package bucina.core.form;

import bucina.core.guard.MarkCheck;
import bucina.core.log.Addition;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.PartMark;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.part.PartTask;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.progress.Task;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A job by its name: {@code own:N} of the builder's own, {@code TASK:PART} such as {@code deburr-edges:Main rib 3}, or
 * {@code OP:GROUP:ROW:PART} on holes, such as {@code deburr:US-1:R1:Upper skin}; colons in names are written as
 * {@code _}, PART is {@code -} for every sheet.
 *
 * @param parts what stands between the colons
 */
public record JobId(List<String> parts) {

    /** Operations on holes by the first word of a job's name; setting is logged with its rivet. */
    private static final Map<String, Operation> MARKED = Map.of(
            "match", Operation.MATCH_DRILLED,
            "final", Operation.FINAL_SIZE,
            "deburr", Operation.DEBURRED,
            "dimple", Operation.DIMPLED,
            "countersink", Operation.COUNTERSUNK,
            "clear", Operation.CLEARED);

    public JobId {
        parts = List.copyOf(parts);
    }

    /** Reads a job's name. */
    public static JobId of(String text) {
        return new JobId(List.of(text.strip().split(":", -1)));
    }

    /**
     * Who did a job, when and how long.
     *
     * @param who     not blank
     * @param done    when
     * @param minutes how long
     * @param because why it was done although something was missing; may be blank
     * @param note    may be blank
     */
    public record Said(String who, LocalDateTime done, int minutes, String because, String note) {

        /** The entry that says it. */
        public LogEntry.Draft draft(Labour.What what, String page) {
            return LogEntry.Draft.install(new Labour(what, page, who, done, minutes, because, note, List.of()));
        }
    }

    /**
     * What is added to the log when the job is done.
     *
     * @throws InputException if there is no such job, or something must come before it and no reason is given
     */
    public Addition done(Derivation derivation, Logbook log, Said said, Instant now) {
        String first = parts.getFirst();
        if (first.equals("own") && parts.size() == 2) {
            OwnJob job = own(derivation.build());
            return Addition.of(said.draft(new Labour.Own(job.id(), job.name()), job.page()));
        }
        if (MARKED.containsKey(first) && parts.size() >= 4) {
            return holes(derivation, log, said, now, MARKED.get(first));
        }
        if (parts.size() == 2 && PartTask.of(first).isPresent()) {
            return onPart(derivation.build(), said, now, first);
        }
        throw new InputException("\"" + String.join(":", parts)
                + "\" is no job that can be logged so: write own:N, "
                + Arrays.stream(PartTask.values()).map(PartTask::code).collect(Collectors.joining(", "))
                + " with a part such as deburr-edges:Main rib 3, or "
                + String.join(", ", MARKED.keySet().stream().sorted().toList())
                + " with group, row and part such as deburr:US-1:R1:Upper skin;"
                + " fasteners with --group and --designation");
    }

    private OwnJob own(Build build) {
        return build.workshop().jobs().stream()
                .filter(j -> Long.toString(j.id().n()).equals(parts.get(1)))
                .findFirst()
                .orElseThrow(() ->
                        new InputException("job " + String.join(":", parts) + " is not in this build; it has "
                                + (build.workshop().jobs().isEmpty()
                                        ? "no jobs of your own"
                                        : build.workshop().jobs().stream()
                                                .map(j -> "own:" + j.id().n() + " (" + j.name() + ")")
                                                .collect(Collectors.joining(", ")))));
    }

    private Addition onPart(Build build, Said said, Instant now, String task) {
        Part part = part(build, parts.get(1));
        return new Addition(
                Optional.of(said.draft(
                        new Labour.OnPart(part.id(), part.name(), task),
                        part.particulars().page())),
                List.of(),
                List.of(new PartMark(part.id(), task, now, true, Optional.empty(), said.because)));
    }

    private static Part part(Build build, String name) {
        return build.parts().stream()
                .filter(p -> written(p.name()).equalsIgnoreCase(name))
                .findFirst()
                .orElseThrow(() -> new InputException("there is no part \"" + name + "\" in this build"));
    }

    private static String written(String name) {
        return name.replace(':', '_');
    }

    private Addition holes(Derivation derivation, Logbook log, Said said, Instant now, Operation operation) {
        Build.GroupRef ref = derivation.build().faces().stream()
                .flatMap(f -> f.face().groups().stream()
                        .filter(g -> written(g.code()).equalsIgnoreCase(parts.get(1)))
                        .map(g -> new Build.GroupRef(f.assembly(), f.face(), g)))
                .findFirst()
                .orElseThrow(() -> new InputException("there is no group \"" + parts.get(1) + "\" in this build"));
        Group group = ref.group();
        Row row = group.rows().stream()
                .filter(r -> written(r.name()).equalsIgnoreCase(parts.get(2)))
                .findFirst()
                .orElseThrow(() -> new InputException("group " + group.code() + " has no row \"" + parts.get(2)
                        + "\"; it has " + group.rows().stream().map(Row::name).collect(Collectors.joining(", "))));
        Task task = new Task(operation, Mark.Side.BOTH, sheet(derivation.build(), ref));
        List<HoleReading> holes = derivation.face(ref.face().id()).readings().stream()
                .filter(h -> h.row().id().equals(row.id()))
                .filter(h -> task.waits(log, h))
                .toList();
        if (holes.isEmpty()) {
            throw new InputException("nothing is left to be done of " + String.join(":", parts));
        }
        List<Mark> marks = new MarkCheck(derivation, log).accepted(task.marks(log, holes, true, now), said.because);
        Labour.Sweep sweep = new Labour.Sweep(
                operation,
                group.id(),
                group.code(),
                holes.stream()
                        .map(h -> new Work.LoggedHole(h.hole().id(), h.label()))
                        .toList());
        return new Addition(Optional.of(said.draft(new Labour.Holes(List.of(sweep)), group.page())), marks, List.of());
    }

    private Optional<Id.Layer> sheet(Build build, Build.GroupRef ref) {
        if (parts.get(3).equals("-")) {
            return Optional.empty();
        }
        Part part = part(build, parts.get(3));
        return Optional.of(ref.face().layers().stream()
                .filter(l -> l.part().equals(part.id()))
                .findFirst()
                .map(Layer::id)
                .orElseThrow(() -> new InputException("part " + part.name() + " does not lie on face "
                        + ref.face().name())));
    }
}
