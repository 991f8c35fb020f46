package bucina.core.cleco;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * A plan shared by two people: one drills, the other places and lifts. What the helper does while a hole is drilled
 * is never at that hole and never lifts what
 * holds it; the clecos in use stay within the stock.
 *
 * @param turns in order; in each the two work at the same time, and the next begins when both are done
 */
public record TwoHands(List<Turn> turns) {

    /**
     * What both do at the same time.
     *
     * @param drill  holes that one drills
     * @param place  holes that the other puts a cleco in
     * @param remove holes that the other lifts one from, before placing
     */
    public record Turn(List<Integer> drill, List<Integer> remove, List<Integer> place) {
        public Turn {
            drill = List.copyOf(drill);
            remove = List.copyOf(remove);
            place = List.copyOf(place);
        }
    }

    public TwoHands {
        turns = List.copyOf(turns);
    }

    /**
     * Shares a plan: the helper puts in ahead what the next step wants while this one is drilled, as far as the bin
     * goes.
     */
    public static TwoHands of(ClecoPlan plan) {
        List<Turn> turns = new ArrayList<>();
        Set<Integer> in = new HashSet<>();
        Set<Integer> early = new HashSet<>();
        List<Integer> lift = List.of();
        for (int i = 0; i < plan.waves().size(); i++) {
            ClecoPlan.Wave wave = plan.waves().get(i);
            List<Integer> now =
                    wave.place().stream().filter(h -> !early.contains(h)).toList();
            early.clear();
            if (!now.isEmpty() || !lift.isEmpty()) {
                turns.add(new Turn(List.of(), lift, now));
                lift.forEach(in::remove);
                in.addAll(now);
            }
            List<Integer> ahead = ahead(wave, i, plan, in);
            if (!wave.drill().isEmpty()) {
                turns.add(new Turn(wave.drill(), List.of(), ahead));
                in.addAll(ahead);
                early.addAll(ahead);
            }
            lift = wave.remove();
        }
        if (!lift.isEmpty()) {
            turns.add(new Turn(List.of(), lift, List.of()));
        }
        return new TwoHands(turns);
    }

    private static List<Integer> ahead(ClecoPlan.Wave wave, int i, ClecoPlan plan, Set<Integer> in) {
        List<Integer> ahead = new ArrayList<>();
        if (!wave.drill().isEmpty() && i + 1 < plan.waves().size()) {
            for (int h : plan.waves().get(i + 1).place()) {
                if (!wave.drill().contains(h)
                        && !in.contains(h)
                        && in.size() + ahead.size() < plan.row().stock()) {
                    ahead.add(h);
                }
            }
        }
        return ahead;
    }
}
