package bucina.core.guard;

import bucina.core.hold.Holds;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.progress.Task;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Sees that marks fit the plan and the log before they are written down. Pure. */
public final class MarkCheck {

    private final Derivation derivation;
    private final Logbook log;
    private final Unit unit;
    private final Map<Id.Face, Guards> guards = new HashMap<>();
    private Holds holds;

    /**
     * @param unit of lengths in sentences
     */
    public MarkCheck(Derivation derivation, Logbook log, Unit unit) {
        this.derivation = derivation;
        this.log = log;
        this.unit = unit;
    }

    /**
     * Refuses marks that put a step before what it rests on and do not say why. Marks taken back are free.
     *
     * @throws InputException with one sentence that names hole, sheet and what is missing
     */
    public void accept(List<Mark> marks) {
        Set<String> missing = new LinkedHashSet<>();
        for (Mark mark : marks) {
            if (mark.on() && mark.note().isBlank()) {
                why(mark).ifPresent(missing::add);
            }
        }
        if (!missing.isEmpty()) {
            throw new InputException(Guards.together(List.copyOf(missing)) + ": mark that first, or give the reason");
        }
    }

    private Optional<String> why(Mark mark) {
        Task task = new Task(mark.operation(), mark.side(), Optional.of(mark.layer()));
        for (Build.FaceRef ref : derivation.build().faces()) {
            Optional<HoleReading> hole = derivation.face(ref.face().id()).of(mark.hole());
            if (hole.isPresent()) {
                // Going back to what was so already (redo) needs no reason.
                return log.marked(mark.hole(), mark.layer(), mark.operation(), mark.side())
                        ? Optional.empty()
                        : guards(ref.face().id()).marking(task, hole.get(), unit);
            }
        }
        return Optional.of("a hole that is marked " + mark.operation().code() + " is not in this build");
    }

    private Guards guards(Id.Face face) {
        if (holds == null) {
            holds = new Holds(derivation.build());
        }
        return guards.computeIfAbsent(face, f -> new Guards(derivation, f, log, holds));
    }
}
