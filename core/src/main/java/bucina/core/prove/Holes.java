package bucina.core.prove;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
import bucina.core.rule.RuleSet;
import bucina.core.stack.Solution;
import bucina.core.stack.Solver;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What speaks against a rivet in a hole whose sheets and edges are given as figures. */
public final class Holes {

    private Holes() {}

    /**
     * Judges by sheets and edges.
     *
     * @param solver of the rules in force
     * @param layers thicknesses, head side first; may be empty
     * @param edges  distances to the nearest edge, one for each sheet; may be empty
     */
    public static DrillOut.Trial figures(Solver solver, List<Length> layers, List<Length> edges) {
        return option -> {
            List<Finding> against = new ArrayList<>();
            if (!layers.isEmpty()) {
                solve(solver, option, layers).faults().stream()
                        .filter(f -> f.level() == Level.ERROR)
                        .forEach(against::add);
            }
            if (option.next() != DrillOut.Next.SAME) {
                against.addAll(edges(solver.rules(), option, edges));
            }
            return against;
        };
    }

    /** The rivet in its hole: its length and what each sheet gets. */
    public static Solution solve(Solver solver, DrillOut.Option option, List<Length> layers) {
        return solver.solve(option.rivet(), option.preparation(), Optional.of(option.hole()), layers, Optional.empty());
    }

    private static List<Finding> edges(RuleSet rules, DrillOut.Option option, List<Length> edges) {
        EdgeRule rule =
                EdgeRule.of(rules, option.rivet().shank(), option.rivet().flush());
        List<Finding> against = new ArrayList<>();
        for (int i = 0; i < edges.size(); i++) {
            String words = option.rivet().name() + " in sheet " + (i + 1) + ": ";
            if (!rule.allows(edges.get(i))) {
                rule.judge(edges.get(i)).stream()
                        .map(f -> f.at(Finding.Place.NONE, words))
                        .forEach(against::add);
            }
        }
        return against;
    }

    static Finding over(DrillOut.Option option, Length hole) {
        return new Finding(
                RuleCode.HOLE_OVERSIZE,
                Level.ERROR,
                Finding.Place.NONE,
                Optional.of(hole),
                Optional.of(option.hole()),
                Solver.PRACTICE,
                Sentence.of(
                        "{} is over {}, the final size for " + option.rivet().name() + ".", hole, option.hole()),
                Sentence.of("Stop and ask the kit's maker."));
    }

    /** The same findings with another level. */
    static List<Finding> at(Level level, List<Finding> findings) {
        return findings.stream()
                .map(f -> new Finding(
                        f.rule(),
                        level,
                        f.place(),
                        f.measured(),
                        f.required(),
                        f.source(),
                        f.message(),
                        f.remedy(),
                        f.accepted()))
                .toList();
    }
}
