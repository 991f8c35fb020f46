package bucina.core.setup;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Group;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Holes of one group that are set with one set-up.
 *
 * @param group its group
 * @param holes in setting order, at least one
 */
public record Stretch(Group group, List<HoleReading> holes) {

    public Stretch {
        holes = List.copyOf(holes);
        if (holes.isEmpty()) {
            throw new IllegalArgumentException("a stretch has at least one hole, has none");
        }
    }

    /** The stretches of a face in setting order: groups as filed, in each the stretch of its first hole first. */
    public static List<Stretch> of(FaceReading face, RuleSet rules) {
        return of(face.readings(), rules);
    }

    /**
     * The stretches of some holes, in the order of the holes.
     *
     * @param holes of one face, in setting order
     */
    public static List<Stretch> of(List<HoleReading> holes, RuleSet rules) {
        List<List<HoleReading>> stretches = new ArrayList<>();
        for (HoleReading hole : holes) {
            stretches.stream()
                    .filter(s -> s.stream().allMatch(other -> together(other, hole, rules)))
                    .findFirst()
                    .orElseGet(() -> {
                        stretches.add(new ArrayList<>());
                        return stretches.getLast();
                    })
                    .add(hole);
        }
        return stretches.stream().map(s -> new Stretch(s.getFirst().group(), s)).toList();
    }

    /** True if two holes of a group are set with one set-up. */
    public static boolean together(HoleReading a, HoleReading b, RuleSet rules) {
        return a.group().id().equals(b.group().id()) && together(a.solution(), b.solution(), rules);
    }

    /** True if two solutions take the same rivet at the same set-up. */
    public static boolean together(Solution a, Solution b, RuleSet rules) {
        if (a == b) {
            return true;
        }
        return a.fastener().equals(b.fastener())
                && a.dash().equals(b.dash())
                && a.length().equals(b.length())
                && agree(Optional.of(a.grip()), Optional.of(b.grip()), rules)
                && agree(gap(a), gap(b), rules);
    }

    private static boolean agree(Optional<Length> a, Optional<Length> b, RuleSet rules) {
        if (a.isEmpty() || b.isEmpty()) {
            return a.isEmpty() && b.isEmpty();
        }
        return a.get().max(b.get()).minus(a.get().min(b.get())).atMost(rules.length(RuleKey.GAP_AGREE));
    }

    private static Optional<Length> gap(Solution solution) {
        return solution.choice().map(c -> c.squeezerGap());
    }

    /** What its holes take: the solution of the first. */
    public Solution solution() {
        return holes.getFirst().solution();
    }

    /** The closed gap to set; empty where nothing is squeezed. */
    public Optional<Length> gap() {
        return gap(solution());
    }

    /** The length it is cut to first; empty if it goes in as stocked. */
    public Optional<Length> cutTo() {
        Solution s = solution();
        return s.cut() ? s.length() : Optional.empty();
    }

    /** The thinnest grip of its holes. */
    public Length gripLow() {
        return holes.stream().map(h -> h.solution().grip()).reduce(Length::min).orElseThrow();
    }

    /** The thickest. */
    public Length gripHigh() {
        return holes.stream().map(h -> h.solution().grip()).reduce(Length::max).orElseThrow();
    }

    /** By how much the gap is changed after another set-up; empty where one of the two has none. */
    public Optional<Length> change(Solution before) {
        return gap().flatMap(g -> gap(before).map(g::minus));
    }

    /** What comes after another set-up, in few words: {@code 7 more at .166: reset}. */
    public String then(Solution before, Unit unit) {
        String length =
                solution().dash().equals(before.dash()) ? "" : " " + solution().dash();
        String at = gap().map(g -> " at " + LengthFormat.decimal(g, unit, 3)).orElse("");
        boolean reset = change(before).filter(c -> !c.same(Length.ZERO)).isPresent();
        return holes.size() + " more" + length + at + (reset ? ": reset" : "");
    }
}
