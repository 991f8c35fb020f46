package bucina.core.stack;

import bucina.core.blind.BlindChoice;
import bucina.core.blind.BlindRivet;
import bucina.core.blind.PulledSize;
import bucina.core.catalogue.Catalogue;
import bucina.core.dress.Dress;
import bucina.core.dress.Dressing;
import bucina.core.dress.FlushHead;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Fastener;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Works out one pulled rivet in one stack: hole, dressing, the length that grips and clears what stands behind. Pure.
 */
final class PulledSolver {

    /** The hole is this much over the body. */
    private static final Length OVER_BODY = Length.mm(.1);

    private final Catalogue catalogue;
    private final RuleSet rules;

    PulledSolver(Catalogue catalogue, RuleSet rules) {
        this.catalogue = catalogue;
        this.rules = rules;
    }

    Solution solve(Fastener.PulledRivet rivet, Solver.Ask ask) {
        Optional<PulledSize> size = catalogue.pulled(rivet.family(), rivet.diameter());
        Length hole = ask.drilled().orElse(rivet.diameter().plus(OVER_BODY));
        Optional<FlushHead> cone = size.flatMap(PulledSize::flush);
        DressCheck dress = new DressCheck(rules, cone, hole);
        Dressing dressing = dress.dress(ask);
        List<Finding> faults = new ArrayList<>(Solver.misfit(rivet, ask.asked()));
        Solver.dies(dressing, ask.dies(), PulledSize.ANGLE, rivet.name()).ifPresent(faults::add);
        faults.addAll(dress.faults(dressing, "Use a domed rivet or another diameter."));
        Optional<BlindChoice> blind =
                ask.layers().isEmpty() ? Optional.empty() : choose(rivet, dressing.grip(), ask.room(), faults);
        blind.ifPresent(b -> faults.addAll(faults(rivet, b)));
        Length head =
                size.map(PulledSize::head).orElse(rivet.diameter().times(2)).times(0.5);
        Length tail = rules.times(RuleKey.TAIL_DIAMETER, rivet.diameter()).times(0.5);
        return new Solution(
                rivet,
                hole,
                dressing,
                Optional.empty(),
                blind,
                Optional.empty(),
                new Solution.Heads(head, tail, cone),
                EdgeRule.of(rules, rivet.shank(), rivet.flush()),
                faults);
    }

    private Optional<BlindChoice> choose(
            Fastener.PulledRivet rivet, Length grip, Optional<Length> room, List<Finding> faults) {
        try {
            List<BlindRivet> lengths = catalogue.blind().lengths(rivet.family(), rivet.diameter());
            return Optional.of(BlindChoice.of(lengths, grip, room));
        } catch (InputException e) {
            faults.add(Solver.fault(
                    RuleCode.RIVET_NOT_IN_CATALOGUE,
                    Level.ERROR,
                    "catalogue",
                    Sentence.of(rivet.name() + " is not in the catalogue of pulled rivets."),
                    "Add its rows to blind.csv with the maker's grip ranges."));
            return Optional.empty();
        }
    }

    private static List<Finding> faults(Fastener.PulledRivet rivet, BlindChoice b) {
        String source = b.candidates().getFirst().source();
        if (b.rivet().isEmpty()) {
            return none(b, source);
        }
        List<Finding> faults = new ArrayList<>();
        b.cutTo()
                .ifPresent(to -> faults.add(new Finding(
                        RuleCode.LENGTH_CUT,
                        Level.WARNING,
                        Finding.Place.NONE,
                        b.rivet().get().needsBehind(b.grip()),
                        Optional.empty(),
                        source,
                        b.why(),
                        Sentence.of(
                                "Cut " + rivet.name() + " to {} before the row is begun, and log the cut length.",
                                to))));
        return faults;
    }

    private static List<Finding> none(BlindChoice b, String source) {
        return List.of(new Finding(
                RuleCode.NO_LENGTH_DOES,
                Level.ERROR,
                Finding.Place.NONE,
                Optional.of(b.grip()),
                Optional.empty(),
                source,
                b.why(),
                Sentence.of("Read the drawing again; ask the kit's maker before setting anything.")));
    }

    /** Size to punch a hole that is dimpled and then cleared; empty where no sheet is dimpled. */
    static Optional<Length> punch(Solution solution, RuleSet rules) {
        boolean dimpled = solution.fastener() instanceof Fastener.PulledRivet
                && solution.dressing().plies().stream().anyMatch(p -> p.dress() == Dress.DIMPLE);
        return dimpled ? Optional.of(solution.hole().minus(rules.length(RuleKey.PUNCH_UNDER))) : Optional.empty();
    }
}
