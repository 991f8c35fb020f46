package bucina.desk.session;

import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Group;
import bucina.core.plan.Row;
import bucina.core.setup.Stretch;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import bucina.core.state.Snapshot;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What the log panel offers to write down: the picked holes that are not set yet, not held open, and take one and the
 * same rivet.
 *
 * @param group    the group
 * @param holes    the holes; empty for a typed stack
 * @param count    how many
 * @param solution what they take
 * @param then     the stretches of the picked open holes that take something else, another set-up or belong to
 *     another group: each waits for an entry of its own
 */
public record Suggestion(Group group, List<Work.LoggedHole> holes, int count, Solution solution, List<Stretch> then) {

    /** How holes are picked that were set. */
    public static final String HOW =
            "Pick the holes that were set: a row by double click, a stretch with Shift, a group in the rack. What they "
                    + "take is filled in.";

    /** What to offer for what is picked; empty if nothing picked is still open. */
    public static Optional<Suggestion> of(Desk desk) {
        return of(desk, desk.selectionProperty().get());
    }

    /** As {@link #of(Desk)}, for another selection of the desk's face. */
    public static Optional<Suggestion> of(Desk desk, Selection selection) {
        Snapshot snapshot = desk.snapshot();
        if (desk.typedGroupProperty().get().isPresent()) {
            return snapshot.group(desk.typedGroupProperty().get().get()).flatMap(ref -> typed(snapshot, ref.group()));
        }
        List<HoleReading> open = selection.readings(desk.face()).stream()
                .filter(r -> !snapshot.set(r) && snapshot.holds().of(r).isEmpty())
                .toList();
        if (open.isEmpty()) {
            return Optional.empty();
        }
        HoleReading first = desk.cursor().filter(open::contains).orElse(open.getFirst());
        List<Stretch> stretches = Stretch.of(open, snapshot.build().rules());
        Stretch now = stretches.stream()
                .filter(s -> s.holes().contains(first))
                .findFirst()
                .orElseThrow();
        List<Work.LoggedHole> holes = now.holes().stream()
                .map(r -> new Work.LoggedHole(r.hole().id(), r.label()))
                .toList();
        return Optional.of(new Suggestion(
                now.group(),
                holes,
                holes.size(),
                now.solution(),
                stretches.stream().filter(s -> s != now).toList()));
    }

    /** Why nothing is offered for what is picked: it is set, it is held open and for what, or nothing is picked. */
    public static String why(Desk desk) {
        Snapshot snapshot = desk.snapshot();
        List<HoleReading> picked = desk.selectionProperty().get().readings(desk.face());
        List<HoleReading> held = held(picked, snapshot);
        if (picked.isEmpty()) {
            return desk.typedGroupProperty().get().isPresent() ? "Everything picked is set." : "Nothing is picked.";
        }
        if (held.isEmpty()) {
            return "Everything picked is set.";
        }
        String waits = snapshot.holds().of(held.getFirst()).orElseThrow().waitsFor();
        return (held.size() == 1 ? held.getFirst().label() + " is" : held.size() + " of these holes are")
                + " held open for " + waits + (held.size() == picked.size() ? "." : "; the others are set.");
    }

    private static List<HoleReading> held(List<HoleReading> picked, Snapshot snapshot) {
        return picked.stream()
                .filter(r -> !snapshot.set(r) && snapshot.holds().of(r).isPresent())
                .toList();
    }

    private static Optional<Suggestion> typed(Snapshot snapshot, Group group) {
        int left = group.count() - snapshot.installed(group);
        return left <= 0
                ? Optional.empty()
                : snapshot.derivation()
                        .typed(group.id())
                        .map(s -> new Suggestion(group, List.of(), left, s, List.of()));
    }

    /** The holes in few words: {@code R1.1 to R1.14}. */
    public String where() {
        if (holes.isEmpty()) {
            return group.code();
        }
        if (holes.size() == 1) {
            return holes.getFirst().label();
        }
        long rows = group.rows().stream()
                .map(Row::name)
                .filter(n -> holes.stream().anyMatch(h -> h.label().startsWith(n + ".")))
                .count();
        return rows == 1
                ? holes.getFirst().label() + " to " + holes.getLast().label()
                : holes.size() + " holes in " + rows + " rows";
    }

    /** Numbers of the sheets' materials, for the hatching of the section; empty for a typed stack. */
    public List<Integer> hatches(Desk desk) {
        return holes.isEmpty()
                ? List.of()
                : desk.face()
                        .of(holes.getFirst().id())
                        .map(r -> desk.snapshot().sheets(r.layers()).stream()
                                .map(Snapshot.Sheet::hatch)
                                .toList())
                        .orElse(List.of());
    }

    /** How many of the picked open holes wait for an entry of their own. */
    public int others() {
        return then.stream().mapToInt(s -> s.holes().size()).sum();
    }

    /** What is set after these, stretch by stretch: {@code 7 more at .166: reset}; empty where nothing is. */
    public String next(Unit unit) {
        List<String> words = new ArrayList<>();
        Solution before = solution;
        for (Stretch s : then) {
            words.add(s.then(before, unit));
            before = s.solution();
        }
        return String.join("; ", words);
    }

    /** The closed gap to set; empty for hardware. */
    public Optional<Length> gap() {
        return solution.choice().map(c -> c.squeezerGap());
    }
}
