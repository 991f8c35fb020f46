package bucina.desk.session;

import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.plan.Group;
import bucina.core.plan.Row;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
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
 * @param others   how many of the picked open holes take something else or belong to another group, and wait for an
 *     entry of their own
 */
public record Suggestion(Group group, List<Work.LoggedHole> holes, int count, Solution solution, int others) {

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
                .filter(r -> !snapshot.state(r).set() && snapshot.holds().of(r).isEmpty())
                .toList();
        if (open.isEmpty()) {
            return Optional.empty();
        }
        HoleReading first = desk.cursor().filter(open::contains).orElse(open.getFirst());
        List<Work.LoggedHole> holes = new ArrayList<>();
        for (HoleReading reading : open) {
            if (reading.group().id().equals(first.group().id()) && alike(reading.solution(), first.solution())) {
                holes.add(new Work.LoggedHole(reading.hole().id(), reading.label()));
            }
        }
        return Optional.of(
                new Suggestion(first.group(), holes, holes.size(), first.solution(), open.size() - holes.size()));
    }

    private static boolean alike(Solution a, Solution b) {
        return a.dash().equals(b.dash())
                && a.designation().equals(b.designation())
                && a.length().equals(b.length());
    }

    private static Optional<Suggestion> typed(Snapshot snapshot, Group group) {
        int left = group.count() - snapshot.installed(group);
        return left <= 0
                ? Optional.empty()
                : snapshot.derivation().typed(group.id()).map(s -> new Suggestion(group, List.of(), left, s, 0));
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

    /** The closed gap to set; empty for hardware. */
    public Optional<Length> gap() {
        return solution.choice().map(c -> c.squeezerGap());
    }
}
