package bucina.desk.cli;

import bucina.core.form.Entries;
import bucina.core.guard.Guards;
import bucina.core.guard.MarkCheck;
import bucina.core.hold.Holds;
import bucina.core.log.Addition;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.Work;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.progress.Task;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.store.file.BuildFile;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code mark FILE --face NAME --row R --holes 1-40 --operation deburred}: progress, hole by hole. */
@Command(
        name = "mark",
        mixinStandardHelpOptions = true,
        description = "Marks an operation as done on holes of a face, or takes it back.")
final class MarkCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--face", required = true, description = "Name of the face: \"Upper skin\"")
    private String face;

    @Option(names = "--row", description = "The row; left out: every hole of the face.")
    private @Nullable String row;

    @Option(names = "--holes", description = "Labels in the row: 1-40 or 1,3,7-9. Left out: all.")
    private @Nullable String holes;

    @Option(names = "--layer", description = "One layer; left out: every layer that takes the operation.")
    private @Nullable String layer;

    @Option(
            names = "--operation",
            required = true,
            description =
                    "pilot, clecoed, match-drilled, final-size, deburred, dimpled, countersunk, cleared or primed")
    private String operation;

    @Option(names = "--side", defaultValue = "both", description = "For deburred: near, far or both.")
    private String side;

    @Option(names = "--undo", description = "Take it back.")
    private boolean undo;

    @Option(
            names = {"--because", "--note"},
            defaultValue = "",
            description = "Why a hole that is not ready is marked all the same; it stays in the record.")
    private String because;

    @Override
    public Integer call() {
        Operation of = operation();
        Mark.Side from = side();
        try (BuildFile file = common().told(BuildFile.open(file()))) {
            Opened first = derived(file);
            Task task = new Task(of, from, layer(face(first, face)));
            List<Asked> asked = new ArrayList<>(1);
            List<Mark> marks = file.add(
                            others -> {
                                asked.add(asked(others.map(this::derived).orElse(first), task));
                                return Addition.ofMarks(asked.getFirst().marks);
                            },
                            List.of(),
                            common().top().clock())
                    .marks();
            Opened opened = asked.getFirst().opened;
            List<HoleReading> picked = asked.getFirst().picked;
            List<String> guarded = asked.getFirst().guarded;
            var ref = face(opened, face);
            FaceReading reading = opened.derivation().face(ref.face().id());
            long changed = marks.stream().map(Mark::hole).distinct().count();
            var log = opened.log().plus(marks);
            List<String> skipped =
                    task.skipped(log, reading).stream().map(HoleReading::label).toList();
            int left = task.left(log, reading).size();
            var node = Common.object().put("marked", changed).put("left", left);
            node.set("skipped", texts(skipped));
            node.set("guarded", texts(guarded));
            common().answer(
                            node,
                            List.of(changed + " holes " + (undo ? "no longer " : "") + of.code() + ", " + left
                                    + " left on " + ref.face().name()
                                    + (skipped.isEmpty() ? "" : "; skipped: " + String.join(", ", skipped)) + "."
                                    + (changed == 0 ? " " + nothing(task, picked) : "")));
            return Cli.FINE;
        }
    }

    /** What is asked of a build as it is: the holes picked, what they wait for, the marks. */
    private record Asked(Opened opened, List<HoleReading> picked, List<String> guarded, List<Mark> marks) {}

    private Asked asked(Opened is, Task task) {
        Build.FaceRef ref = face(is, face);
        List<HoleReading> picked = picked(is.derivation().face(ref.face().id()));
        List<String> guarded = guarded(is, ref, picked, task);
        List<Mark> marks = new MarkCheck(is.derivation(), is.log())
                .accepted(
                        task.marks(
                                is.log(), picked, !undo, common().top().clock().instant()),
                        because);
        return new Asked(is, picked, guarded, marks);
    }

    private List<String> guarded(OnBuild.Opened opened, Build.FaceRef ref, List<HoleReading> picked, Task task) {
        Guards guards = new Guards(
                opened.derivation(), ref.face().id(), opened.log(), new Holds(opened.derivation(), opened.log()));
        List<String> guarded = undo
                ? List.of()
                : picked.stream()
                        .filter(r -> !task.done(opened.log(), r))
                        .flatMap(r -> guards.marking(task, r, common().unit()).stream())
                        .toList();
        wantReason(guarded);
        return guarded;
    }

    private void wantReason(List<String> guarded) {
        if (!guarded.isEmpty() && because.isBlank()) {
            throw Common.wrong("nothing is marked: " + Guards.together(guarded)
                    + ". Mark that first, or say why with --because TEXT");
        }
    }

    private Optional<Id.Layer> layer(Build.FaceRef ref) {
        return Optional.ofNullable(layer)
                .map(n -> ref.face().layers().stream()
                        .filter(l -> l.name().equalsIgnoreCase(n.strip()))
                        .findFirst()
                        .orElseThrow(() -> Common.wrong("there is no layer \"" + n + "\" on "
                                + ref.face().name() + "; it has "
                                + ref.face().layers().stream()
                                        .map(l -> l.name())
                                        .collect(Collectors.joining(", "))))
                        .id());
    }

    private Mark.Side side() {
        return Arrays.stream(Mark.Side.values())
                .filter(s -> s.name().equalsIgnoreCase(side))
                .findFirst()
                .orElseThrow(() -> Common.wrong("--side \"" + side + "\" is not known: write near, far or both"));
    }

    private Operation operation() {
        return Arrays.stream(Operation.values())
                .filter(o -> o.code().equals(operation))
                .findFirst()
                .orElseThrow(() -> Common.wrong("--operation \"" + operation + "\" is not known: write one of "
                        + Arrays.stream(Operation.values()).map(Operation::code).collect(Collectors.joining(", "))));
    }

    /** Why nothing was marked. */
    private String nothing(Task task, List<HoleReading> picked) {
        boolean taken = picked.stream().anyMatch(r -> !task.layers(r).isEmpty());
        if (!taken) {
            return layer == null
                    ? "None of the holes takes that: no sheet of theirs is " + operation + "."
                    : "None of the holes takes that in " + layer.strip() + ".";
        }
        return undo ? "None of them was marked so." : "All of them were marked so already.";
    }

    private static JsonNode texts(List<String> texts) {
        var array = Common.array();
        texts.forEach(array::add);
        return array;
    }

    private List<HoleReading> picked(FaceReading reading) {
        if (row == null) {
            if (holes != null) {
                throw Common.wrong(
                        "--holes " + holes + " wants its row: labels count within a row, as --row R3 --holes 1-40");
            }
            return reading.readings();
        }
        return inRow(reading, row.strip());
    }

    private List<HoleReading> inRow(FaceReading reading, String row) {
        List<HoleReading> all = reading.readings().stream()
                .filter(r -> r.row().name().equalsIgnoreCase(row))
                .toList();
        if (all.isEmpty()) {
            throw Common.wrong(
                    "there is no row \"" + row + "\" on " + reading.face().name());
        }
        if (holes == null) {
            return all;
        }
        var named = Entries.named(all.getFirst().row(), holes).stream()
                .map(Work.LoggedHole::id)
                .toList();
        return all.stream().filter(r -> named.contains(r.hole().id())).toList();
    }
}
