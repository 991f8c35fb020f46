package bucina.desk.session;

import bucina.core.guard.Guards;
import bucina.core.measure.Unit;
import bucina.core.plan.Id;
import bucina.core.progress.Task;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/*
 * Design. What is picked changes with every key, plan and log do not: while they are the same, each hole is asked once.
 */

/** Why holes of a face must not get what a task does. Interface thread only. */
public final class AskedGuards {

    private record About(Snapshot state, Id.Face face, Task task, Unit unit) {}

    private final Map<Id.Hole, Optional<String>> said = new HashMap<>();
    private Optional<About> about = Optional.empty();

    /** {@link Guards#marking} for a hole of the face that is shown. */
    public Optional<String> marking(Desk desk, Task task, HoleReading hole) {
        About now = new About(desk.snapshot(), desk.face().face().id(), task, desk.unit());
        if (about.isEmpty() || !about.get().equals(now)) {
            about = Optional.of(now);
            said.clear();
        }
        Optional<String> known = said.get(hole.hole().id());
        if (known == null) {
            known = now.state().guards(now.face()).marking(task, hole, now.unit());
            said.put(hole.hole().id(), known);
        }
        return known;
    }
}
