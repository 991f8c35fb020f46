package bucina.core.guard;

import bucina.core.hold.Holds;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.progress.Task;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Sees that marks fit the plan and the log before they are written down. Pure. */
public final class MarkCheck {

    private final Derivation derivation;
    private final Logbook log;
    private final Map<Id.Face, Guards> guards = new HashMap<>();
    private @Nullable Holds holds;

    public MarkCheck(Derivation derivation, Logbook log) {
        this.derivation = derivation;
        this.log = log;
    }

    /** Where it is known already what is held open. */
    public MarkCheck(Derivation derivation, Logbook log, Holds holds) {
        this(derivation, log);
        this.holds = holds;
    }

    /**
     * The marks as they may be written: those that put a step before what it rests on carry the reason. Marks taken
     * back are free.
     *
     * @param because why holes that must wait are marked now; blank for no reason
     * @throws InputException if there are such marks and no reason, with one sentence that names hole, sheet and what
     *     is missing; if a hole is not in the build
     */
    public List<Mark> accepted(List<Mark> marks, String because) {
        List<Mark> accepted = new ArrayList<>();
        Set<String> missing = new LinkedHashSet<>();
        for (Mark mark : marks) {
            Optional<String> why = mark.on() ? why(mark) : Optional.empty();
            why.ifPresent(missing::add);
            accepted.add(why.isPresent() ? mark.because(because.strip()) : mark);
        }
        if (!missing.isEmpty() && because.isBlank()) {
            throw new InputException(Guards.together(List.copyOf(missing)) + ": mark that first, or give the reason");
        }
        return accepted;
    }

    private Optional<String> why(Mark mark) {
        Task task = new Task(mark.operation(), mark.side(), Optional.of(mark.layer()));
        for (Build.FaceRef ref : derivation.build().faces()) {
            Optional<HoleReading> hole = derivation.face(ref.face().id()).of(mark.hole());
            if (hole.isPresent()) {
                return guards(ref.face().id())
                        .marking(task, hole.get(), ref.assembly().unit());
            }
        }
        throw new InputException("a hole that is marked " + mark.operation().code() + " is not in this build");
    }

    private Guards guards(Id.Face face) {
        Holds now = holds != null ? holds : new Holds(derivation, log);
        holds = now;
        return guards.computeIfAbsent(face, f -> new Guards(derivation, f, log, now));
    }
}
