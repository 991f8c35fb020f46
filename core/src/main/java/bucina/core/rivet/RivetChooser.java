package bucina.core.rivet;

import bucina.core.dress.Dressing;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Chooses a length for a solid rivet in a stack. Pure and safe on any thread. */
public final class RivetChooser {

    /** A head set to 0.5 D high must be this many D across to be good. */
    public static final double GOOD_ACROSS = 1.4;
    /** A good rivet stands no more than this many D proud. */
    public static final double GOOD_PROUD = 1.8;
    /** The length wanted stands this many D proud. */
    public static final double IDEAL_PROUD = 1.5;

    private final RuleSet rules;

    public RivetChooser(RuleSet rules) {
        this.rules = rules;
    }

    /**
     * The choice for one stack: the good stocked length nearest {@code Ge + 1.5 D}, the shorter of two equally near;
     * where none is good, the
     * next longer one cut to length.
     *
     * @param size     head and diameter
     * @param alloy    alloy letters of the designation
     * @param hole     hole as drilled, at least D
     * @param dressing the stack, head side first
     * @param coupon   effective grip read from a coupon; usually empty
     */
    public RivetChoice choose(RivetSize size, String alloy, Length hole, Dressing dressing, Optional<Length> coupon) {
        ShopHead head = new ShopHead(size, hole, dressing, coupon);
        Length ideal = head.effectiveGrip().plus(size.shank().times(IDEAL_PROUD));
        List<Candidate> candidates = size.stocked().stream()
                .map(dash -> candidate(head, size, size.designation(alloy, dash)))
                .toList();
        RivetChoice.Pick pick = pick(candidates, ideal, head, size);
        return chosen(size, head, ideal, candidates, pick);
    }

    private RivetChoice chosen(
            RivetSize size, ShopHead head, Length ideal, List<Candidate> candidates, RivetChoice.Pick pick) {
        return new RivetChoice(
                size,
                head,
                ideal,
                candidates,
                pick,
                ShopHeadLimits.of(rules, size.shank()),
                head.squeezerGap(size.cupDepth()));
    }

    private RivetChoice.Pick pick(List<Candidate> candidates, Length ideal, ShopHead head, RivetSize size) {
        return candidates.stream()
                .filter(c -> c.grade() == Grade.GOOD)
                .min(nearest(ideal))
                .map(c -> stocked(c, head))
                .orElseGet(() -> cut(head, size, ideal, candidates));
    }

    /** Grades any length against a stack, stocked or cut. */
    public Grade grade(ShopHead head, RivetSize size, Length length) {
        Length d = size.shank();
        if (!head.headDiameter(length, d.times(0.5)).atLeast(d.times(GOOD_ACROSS))) {
            return Grade.SHORT;
        }
        return head.protrusion(length).atMost(d.times(GOOD_PROUD)) ? Grade.GOOD : Grade.LONG;
    }

    private Candidate candidate(ShopHead head, RivetSize size, RivetDesignation designation) {
        Length d = size.shank();
        Length l = designation.nominalLength();
        boolean reaches = head.headDiameter(l, rules.times(RuleKey.PROCESS_HEIGHT, d))
                .atLeast(rules.times(RuleKey.PROCESS_DIAMETER, d));
        return new Candidate(
                designation,
                l,
                head.protrusion(l).per(d),
                head.headDiameter(l, d.times(0.5)).per(d),
                grade(head, size, l),
                reaches);
    }

    private static Comparator<Candidate> nearest(Length ideal) {
        return (a, b) -> {
            Length left = a.length().minus(ideal).abs();
            Length right = b.length().minus(ideal).abs();
            return left.same(right) ? a.length().compareTo(b.length()) : left.compareTo(right);
        };
    }

    private static RivetChoice.Pick stocked(Candidate c, ShopHead head) {
        return new RivetChoice.Pick(
                Optional.of(c.designation()),
                Optional.of(c.length()),
                Grade.GOOD,
                Optional.empty(),
                Optional.empty(),
                Sentence.of(
                        "%s stands %.2f D proud of {} and makes a head %.2f D across at half a diameter high%s."
                                .formatted(
                                        c.designation().dash(),
                                        c.protrusion(),
                                        c.headAcross(),
                                        head.estimated() ? " (an estimate: every sheet is dimpled)" : ""),
                        head.effectiveGrip()));
    }

    private RivetChoice.Pick cut(ShopHead head, RivetSize size, Length ideal, List<Candidate> candidates) {
        Length d = size.shank();
        Length shortest = head.lengthFor(d.times(GOOD_ACROSS), d.times(0.5));
        Length longest = head.effectiveGrip().plus(d.times(GOOD_PROUD));
        Candidate nearest = candidates.stream().min(nearest(ideal)).orElseThrow();
        if (!shortest.atMost(longest)) {
            return none(
                    nearest,
                    Sentence.of(
                            "No length does: the stack of {} is so thick that a head 1.4 D across wants over 1.8 D "
                                    + "standing proud. Ask for a larger diameter or a bolt.",
                            head.grip()));
        }
        Length to = ideal.max(shortest).min(longest);
        Optional<Candidate> longer =
                candidates.stream().filter(c -> c.length().atLeast(to)).findFirst();
        if (longer.isEmpty()) {
            return none(
                    nearest,
                    Sentence.of(
                            "No stocked length reaches: {} is wanted, the longest " + size.title()
                                    + " is {}. Add longer ones to the " + "catalogue or ask for a bolt.",
                            to,
                            candidates.getLast().length()));
        }
        Candidate from = longer.get();
        return new RivetChoice.Pick(
                Optional.of(from.designation()),
                Optional.of(to),
                Grade.GOOD,
                Optional.of(from.length()),
                Optional.of(to),
                Sentence.of(
                        "No stocked length is good (" + nearest.designation().dash() + " is "
                                + nearest.grade().code() + "): cut "
                                + from.designation().dash() + " from {} to {}.",
                        from.length(),
                        to));
    }

    private static RivetChoice.Pick none(Candidate nearest, Sentence why) {
        return new RivetChoice.Pick(
                Optional.empty(), Optional.empty(), nearest.grade(), Optional.empty(), Optional.empty(), why);
    }
}
