package bucina.core.cleco;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * The order in which a drilled row is riveted: clecos in every second hole, the holes between them set from the
 * middle outward, then a cleco
 * pulled and its hole set, again from the middle. Held holes keep their cleco.
 *
 * @param steps in order
 * @param peak  most clecos in use at once
 */
public record RivetOrder(List<Step> steps, int peak) {

    /**
     * One step: pull, then set, then place.
     *
     * @param place holes that get a cleco
     * @param pull  holes that a cleco is pulled from first
     * @param set   holes that a rivet is set in
     */
    public record Step(List<Integer> pull, List<Integer> set, List<Integer> place) {
        public Step {
            pull = List.copyOf(pull);
            set = List.copyOf(set);
            place = List.copyOf(place);
        }
    }

    public RivetOrder {
        steps = List.copyOf(steps);
    }

    /**
     * The order of a row of holes 1 to n.
     *
     * @param held holes that stay open: clecoed, not riveted
     */
    public static RivetOrder of(int n, Set<Integer> held) {
        List<Integer> clecoed = new ArrayList<>();
        List<Integer> between = new ArrayList<>();
        for (int h = 1; h <= n; h++) {
            // The ends hold the sheet: a hole beside a held one has a cleco beside it anyway.
            if (h % 2 == 1 || h == n || held.contains(h)) {
                clecoed.add(h);
            } else {
                between.add(h);
            }
        }
        double middle = (n + 1) / 2.0;
        Comparator<Integer> outward = Comparator.comparingDouble((Integer h) -> Math.abs(h - middle))
                .thenComparing(Comparator.naturalOrder());
        List<Step> steps = new ArrayList<>();
        steps.add(new Step(List.of(), List.of(), clecoed));
        between.stream().sorted(outward).forEach(h -> steps.add(new Step(List.of(), List.of(h), List.of())));
        clecoed.stream()
                .filter(h -> !held.contains(h))
                .sorted(outward)
                .forEach(h -> steps.add(new Step(List.of(h), List.of(h), List.of())));
        return new RivetOrder(steps, clecoed.size());
    }
}
