package bucina.core.job;

import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.prove.Proving;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Heads of a group that are to be measured: of rivets that are in, and of those to come as far as one can tell.
 *
 * @param open   to be measured, or not left
 * @param proved measured and left
 * @param count  how many are open in a group without geometry
 */
record Heads(Set<Id.Hole> open, Set<Id.Hole> proved, int count) {

    private static final Heads NONE = new Heads(Set.of(), Set.of(), 0);

    static Heads of(Around around, FaceReading face, Group group) {
        if (!group.fastener().rivet()) {
            return NONE;
        }
        List<HoleReading> holes = group.rows().stream()
                .flatMap(r -> r.holes().stream())
                .flatMap(h -> face.of(h.id()).stream())
                .toList();
        List<HoleReading> ahead =
                holes.stream().filter(h -> !around.log().set(h.hole())).toList();
        // Nothing is looked for in the log while nothing of the group is in.
        Proving proving = group.typed().isEmpty() && ahead.size() == holes.size()
                ? Proving.none(group)
                : Proving.of(around.build(), around.log(), face, group);
        Set<Id.Hole> open = new HashSet<>(ahead(proving, ahead));
        Set<Id.Hole> proved = new HashSet<>();
        int left = 0;
        for (Proving.Line line : proving.lines()) {
            boolean waits = line.due() || line.open();
            left += line.sampled() && !waits ? 1 : 0;
            line.hole().filter(h -> waits || line.sampled()).ifPresent(h -> (waits ? open : proved).add(h.id()));
        }
        return new Heads(open, proved, group.typed().isEmpty() ? 0 : wanted(proving) - left);
    }

    /**
     * Of holes that are still to be set, those whose heads will be measured, as far as one can tell: numbered on as
     * they are filed, and the first of any row that is left out.
     */
    private static Set<Id.Hole> ahead(Proving proving, List<HoleReading> holes) {
        Set<Integer> numbers = new HashSet<>(proving.sample());
        Set<Id.Hole> ahead = new HashSet<>();
        Set<String> rows = proving.lines().stream()
                .filter(Proving.Line::sampled)
                .map(Proving.Line::row)
                .collect(Collectors.toSet());
        int in = proving.lines().size();
        for (int i = 0; i < holes.size(); i++) {
            if (numbers.contains(in + i + 1)) {
                ahead.add(holes.get(i).hole().id());
                rows.add(holes.get(i).row().name());
            }
        }
        holes.stream()
                .filter(h -> rows.add(h.row().name()))
                .forEach(h -> ahead.add(h.hole().id()));
        return ahead;
    }

    /** How many heads will be measured in all, in a group without geometry. */
    private static int wanted(Proving proving) {
        return (int) (proving.lines().stream().filter(Proving.Line::sampled).count()
                + proving.sample().stream()
                        .filter(n -> n > proving.lines().size())
                        .count());
    }
}
