package bucina.core.sums;

import bucina.core.catalogue.Catalogue;
import bucina.core.opening.StepDrill;
import bucina.core.plan.Bar;
import bucina.core.plan.Tool;
import bucina.core.rule.RuleSet;
import bucina.core.stack.Derivation;
import bucina.core.stack.GroupSummary;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What the sums are worked out with.
 *
 * @param catalogue the tables
 * @param rules     the rule set in force
 * @param drills    step drills of the tool crib
 * @param demand    how many of each designation the plan asks for
 * @param bars      of long stock in the stores
 */
public record Bench(
        Catalogue catalogue, RuleSet rules, List<StepDrill> drills, Map<String, Integer> demand, List<Bar> bars) {

    /** With no build open. */
    public static Bench bare(Catalogue catalogue) {
        return new Bench(catalogue, catalogue.rules(), List.of(), Map.of(), List.of());
    }

    /**
     * With a build open: its rules, its tools and what it asks for. Counts every hole, so not for the interface thread.
     */
    public static Bench of(Catalogue catalogue, Derivation derivation) {
        Map<String, Integer> demand = new TreeMap<>();
        count(derivation, demand);
        List<StepDrill> drills = derivation.build().workshop().tools().stream()
                .filter(t -> t.kind() == Tool.Kind.STEP_DRILL)
                .map(t -> new StepDrill(t.name(), t.sizes()))
                .toList();
        return new Bench(
                catalogue,
                derivation.build().rules(),
                drills,
                demand,
                derivation.build().workshop().bars());
    }

    private static void count(Derivation derivation, Map<String, Integer> demand) {
        derivation
                .build()
                .faces()
                .forEach(ref -> ref.face()
                        .groups()
                        .forEach(g -> GroupSummary.of(derivation, ref.face(), g)
                                .designations()
                                .forEach(
                                        (name, count) -> demand.merge(name.replace(" cut", ""), count, Integer::sum))));
    }
}
