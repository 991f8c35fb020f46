package bucina.desk.session;

import bucina.core.catalogue.Catalogue;
import bucina.core.log.Logbook;
import bucina.core.log.Operation;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.progress.DressList;
import bucina.core.progress.MatchDrill;
import bucina.core.progress.SheetSays;
import bucina.core.progress.Task;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How far the work on a face has come; counted off the interface thread.
 *
 * @param face    which face
 * @param task    the task chosen
 * @param left    holes that wait for each operation
 * @param waiting holes that wait for the task
 * @param skipped holes jumped over in the task
 * @param marks   the same as ids
 * @param dress   how the holes are dressed
 * @param match    which blank sheets are drilled through which
 * @param uncalled holes that sheets have and nobody calls for, in sentences
 * @param sheet    what is done to the sheet that the task is in, and from which side; none where it is in all
 * @param apart   what to note before its assembly is taken apart
 */
public record Progress(
        Id.Face face,
        Task task,
        Map<Operation, Integer> left,
        int waiting,
        List<HoleReading> skipped,
        Set<Id.Hole> marks,
        DressList dress,
        List<MatchDrill> match,
        List<String> uncalled,
        List<String> sheet,
        Apart apart) {

    /**
     * Counts a face.
     *
     * @param before what was counted last: of the same plan it is not worked out again what depends on the plan only
     */
    public static Progress of(
            FaceReading face, Snapshot snapshot, Catalogue catalogue, Task task, Optional<Progress> before) {
        Build build = snapshot.build();
        Logbook log = snapshot.log();
        Map<Operation, Integer> left = new EnumMap<>(Operation.class);
        for (Operation operation : Operation.values()) {
            left.put(operation, Task.of(operation).left(log, face).size());
        }
        List<HoleReading> skipped = task.skipped(log, face);
        Set<Id.Hole> ids = new HashSet<>();
        skipped.forEach(r -> ids.add(r.hole().id()));
        return new Progress(
                face.face().id(),
                task,
                left,
                task.left(log, face).size(),
                skipped,
                ids,
                DressList.of(face, build, catalogue, log),
                MatchDrill.of(face),
                MatchDrill.uncalled(
                        face, snapshot.ref(face.face().id()).assembly().unit()),
                task.layer().map(l -> SheetSays.of(face, l)).orElse(List.of()),
                Apart.of(snapshot, snapshot.ref(face.face().id()).assembly(), before.map(Progress::apart)));
    }

    /** Holes not brought to final size yet. */
    public int toDrill() {
        return left.getOrDefault(Operation.FINAL_SIZE, 0);
    }

    /** Holes not dimpled or countersunk yet. */
    public int toDress() {
        return left.getOrDefault(Operation.DIMPLED, 0) + left.getOrDefault(Operation.COUNTERSUNK, 0);
    }
}
