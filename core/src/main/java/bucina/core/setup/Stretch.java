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
import java.util.stream.Stream;

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
        Length most = rules.length(RuleKey.GAP_AGREE);
        List<Open> stretches = new ArrayList<>();
        for (HoleReading hole : holes) {
            stretches.stream()
                    .filter(s -> s.takes(hole, most))
                    .findFirst()
                    .orElseGet(() -> {
                        stretches.add(new Open(hole));
                        return stretches.getLast();
                    })
                    .add(hole);
        }
        return stretches.stream()
                .map(s -> new Stretch(s.first.group(), s.holes))
                .toList();
    }

    /** A stretch that is still being filled. */
    private static final class Open {

        private final HoleReading first;
        private final List<HoleReading> holes = new ArrayList<>();
        private Solution last;
        private Spread grip;
        private Optional<Spread> gap;

        Open(HoleReading first) {
            this.first = first;
            last = first.solution();
            grip = Spread.of(first.solution().grip());
            gap = gap(first.solution()).map(Spread::of);
        }

        /** True if the hole takes the same rivet, and neither grips nor gaps come to differ by more than may be. */
        boolean takes(HoleReading hole, Length most) {
            Solution a = first.solution();
            Solution b = hole.solution();
            return first.group().id().equals(hole.group().id())
                    && (b == last
                            || a.fastener().equals(b.fastener())
                                    && a.dash().equals(b.dash())
                                    && a.length().equals(b.length())
                                    && gap.isPresent() == gap(b).isPresent()
                                    && with(b).allMatch(s -> s.width().atMost(most)));
        }

        void add(HoleReading hole) {
            if (hole.solution() != last) {
                last = hole.solution();
                grip = grip.with(last.grip());
                gap = gap.map(g -> gap(last).map(g::with).orElse(g));
            }
            holes.add(hole);
        }

        private Stream<Spread> with(Solution s) {
            return Stream.concat(Stream.of(grip.with(s.grip())), gap.flatMap(g -> gap(s).map(g::with)).stream());
        }
    }

    /** The least and the most of some lengths. */
    private record Spread(Length least, Length most) {

        static Spread of(Length one) {
            return new Spread(one, one);
        }

        Spread with(Length more) {
            return new Spread(least.min(more), most.max(more));
        }

        Length width() {
            return most.minus(least);
        }
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
