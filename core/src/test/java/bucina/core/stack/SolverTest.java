package bucina.core.stack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Dress;
import bucina.core.dress.Preparation;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.rivet.HeadStyle;
import bucina.core.rule.Level;
import bucina.core.rule.RuleKey;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SolverTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Solver solver = new Solver(catalogue, catalogue.rules());

    private Solution solve(Fastener fastener, Preparation asked, Optional<Length> drilled, double... layers) {
        return solver.solve(
                fastener,
                asked,
                drilled,
                Arrays.stream(layers).mapToObj(Length::in).toList(),
                Optional.empty());
    }

    private static List<String> rules(Solution solution) {
        return solution.faults().stream().map(x -> x.rule().code()).toList();
    }

    @Test
    void a_sound_stack_has_no_faults() {
        Solution s = solve(Plans.FLUSH, Preparation.AUTO, Optional.empty(), .025, .063);
        assertThat(s.faults()).isEmpty();
        assertThat(s.dressing().plies()).extracting(p -> p.dress()).containsExactly(Dress.DIMPLE, Dress.COUNTERSINK);
        assertThat(s.designation()).contains("MS20426AD3-3.5");
        assertThat(s.length()).contains(Length.fraction(7, 32));
        assertThat(s.hole()).isEqualTo(Length.in(.098));
        assertThat(s.edge().least().in()).isCloseTo(.234375, within(1e-12));
    }

    private Solution solveIn(String material, Fastener fastener, Preparation asked, double... layers) {
        return solver.solve(new Solver.Ask(
                fastener,
                asked,
                Optional.empty(),
                Arrays.stream(layers).mapToObj(Length::in).toList(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Arrays.stream(layers).mapToObj(t -> Material.parse(material)).toList()));
    }

    /*
     * Handbook 5: cold up to .050 for 2024-T3, 7075-T6 only under .040. A -5 head, .055 high, is not taken by .040 or
     * .050.
     */
    @Test
    void hard_sheet_from_forty_thousandths_wants_heat_and_is_not_dimpled() {
        Fastener five = new Fastener.SolidRivet(HeadStyle.FLUSH, "AD", 5);
        assertThat(rules(solveIn("7075-T6", five, Preparation.DIMPLE, .039, .039)))
                .doesNotContain("dress-impossible");
        assertThat(rules(solveIn("7075-T6", five, Preparation.DIMPLE, .040, .032)))
                .contains("dress-impossible");
        assertThat(rules(solveIn("7075-T6", five, Preparation.AUTO, .040, .090)))
                .contains("dress-impossible");
        assertThat(rules(solveIn("7075-O", five, Preparation.DIMPLE, .040, .032)))
                .doesNotContain("dress-impossible");
        assertThat(rules(solveIn("2024-T3", five, Preparation.AUTO, .050, .090)))
                .doesNotContain("dress-impossible");
    }

    /* -4: cone to #30 is (.225 - .1285) / 2.38351 = .0405 deep; in .044 it leaves .0035, in .045 .0045. */
    @Test
    void a_cone_that_leaves_less_than_four_thousandths_is_said_to_be_a_knife_edge() {
        Fastener four = new Fastener.SolidRivet(HeadStyle.FLUSH, "AD", 4);
        Solution thin = solve(four, Preparation.AUTO, Optional.empty(), .044, .063);
        assertThat(rules(thin)).containsExactly("knife-edge");
        assertThat(thin.faults().getFirst().level()).isEqualTo(Level.NOTE);
        assertThat(rules(solve(four, Preparation.AUTO, Optional.empty(), .045, .063)))
                .isEmpty();
    }

    @Test
    void a_hole_a_little_over_takes_the_same_rivet_and_one_far_over_the_next_diameter() {
        // Handbook 15: D + .010, so .125 + .010 = .135 still passes, whatever the drill.
        assertThat(rules(solve(Plans.UNIVERSAL, Preparation.NONE, Optional.of(Length.in(.135)), .032, .040)))
                .isEmpty();
        Solution over = solve(Plans.UNIVERSAL, Preparation.NONE, Optional.of(Length.in(.1351)), .032, .040);
        assertThat(rules(over)).containsExactly("hole-oversize");
        assertThat(over.faults().getFirst().remedy().in(Unit.INCH)).contains("next diameter");
    }

    @Test
    void a_larger_hole_swallows_metal_and_may_want_a_longer_rivet() {
        Solution tight = solve(Plans.UNIVERSAL, Preparation.NONE, Optional.empty(), .063, .063);
        Solution loose = solve(Plans.UNIVERSAL, Preparation.NONE, Optional.of(Length.in(.138)), .063, .063);
        Length five = Length.fraction(5, 16);
        Length half = Length.fraction(1, 16);
        assertThat(loose.choice().orElseThrow().head().headDiameter(five, half))
                .isLessThan(tight.choice().orElseThrow().head().headDiameter(five, half));
    }

    @Test
    void an_undersize_hole_waits_for_the_drill() {
        Solution s = solve(Plans.UNIVERSAL, Preparation.NONE, Optional.of(Length.in(.098)), .032, .040);
        assertThat(rules(s)).containsExactly("hole-under-shank");
        assertThat(s.choice()).isEmpty();
        assertThat(s.dash()).isEqualTo("none");
        assertThat(s.faults().getFirst().remedy().in(Unit.INCH)).contains("#30");
    }

    @Test
    void a_rivet_the_catalogue_lacks_is_said_by_name() {
        Solution s = solve(
                new Fastener.SolidRivet(HeadStyle.REDUCED, "AD", 3), Preparation.AUTO, Optional.empty(), .032, .040);
        assertThat(rules(s)).containsExactly("rivet-not-in-catalogue");
        assertThat(s.faults().getFirst().message().in(Unit.INCH)).contains("NAS1097AD3");
        assertThat(s.designation()).isEmpty();
    }

    @Test
    void hardware_keeps_its_designation_and_is_judged_for_edges_only() {
        Fastener bolt = new Fastener.Hardware("AN4-6A", Length.in(.25), Length.in(.25), false);
        Solution s = solve(bolt, Preparation.NONE, Optional.empty(), .125, .063);
        assertThat(s.designation()).contains("AN4-6A");
        assertThat(s.dash()).isEqualTo("AN4-6A");
        assertThat(s.length()).isEmpty();
        assertThat(s.grip()).isEqualTo(Length.in(.188));
        assertThat(s.edge().least()).isEqualTo(Length.in(.5));
    }

    @Test
    void an_empty_stack_has_no_choice_and_no_grip() {
        Solution s = solve(Plans.UNIVERSAL, Preparation.NONE, Optional.empty());
        assertThat(s.choice()).isEmpty();
        assertThat(s.grip()).isEqualTo(Length.ZERO);
    }

    @Test
    void what_can_be_neither_dimpled_nor_countersunk_is_an_error_with_its_reason() {
        // -5 is .055 high: .0551 takes it countersunk, .051 is over .050 for the die and under the head.
        Fastener five = new Fastener.SolidRivet(HeadStyle.FLUSH, "AD", 5);
        Solution s = solve(five, Preparation.AUTO, Optional.empty(), .051, .063);
        assertThat(rules(s)).contains("dress-impossible");
        assertThat(s.faults().getFirst().level()).isEqualTo(Level.ERROR);
        assertThat(s.faults().getFirst().message().in(Unit.MM)).contains("1.295 mm");
    }

    @Test
    void a_changed_rule_changes_the_answer() {
        Solver twoThirds =
                new Solver(catalogue, catalogue.rules().with(RuleKey.COUNTERSINK_SCHOOL, "two-thirds", "kit"));
        Solution s = twoThirds.solve(
                Plans.FLUSH,
                Preparation.AUTO,
                Optional.empty(),
                List.of(Length.in(.040), Length.in(.063)),
                Optional.empty());
        // .036 is over 2/3 of .040 = .0267: dimpled; nest .036 + .0122 = .0482 is over 2/3 of .063 = .042: impossible.
        assertThat(s.dressing().plies()).extracting(p -> p.dress()).containsExactly(Dress.DIMPLE, Dress.IMPOSSIBLE);
    }

    @Test
    void a_group_is_summed_up_by_grip_and_designation() {
        Build build = Plans.build(8.5);
        Derivation derivation = Derivation.of(build, catalogue);
        var ref = build.group("G-1").orElseThrow();
        GroupSummary summary = GroupSummary.of(derivation, ref.face(), ref.group());
        assertThat(summary.grips()).containsExactly(Map.entry(Length.in(.072), 11), Map.entry(Length.in(.135), 8));
        assertThat(summary.designations()).containsExactly(Map.entry("MS20470AD4-4", 11), Map.entry("MS20470AD4-5", 8));
        var typed = build.group("T-1").orElseThrow();
        assertThat(GroupSummary.of(derivation, typed.face(), typed.group()).designations())
                .containsExactly(Map.entry("MS20470AD4-4", 10));
    }

    @Test
    void a_stack_that_no_length_reaches_through_is_an_error_and_one_that_wants_a_cut_rivet_says_so() {
        // -4 from 1/8 to 1 in long; .9 in of metal and 1.5 D of tail want 1.09.
        assertThat(rules(solve(Plans.UNIVERSAL, Preparation.NONE, Optional.empty(), .45, .45)))
                .containsExactly("no-length-does");
        assertThat(rules(solve(Plans.UNIVERSAL, Preparation.NONE, Optional.empty(), .032, .040)))
                .isEmpty();
    }

    @Test
    void dies_that_belong_to_the_head_or_to_no_dimple_are_no_fault() {
        assertThat(rules(withDies(Preparation.DIMPLE, 100))).isEmpty();
        assertThat(rules(withDies(Preparation.DIMPLE, 120))).containsExactly("die-angle");
        assertThat(rules(withDies(Preparation.COUNTERSINK, 120))).doesNotContain("die-angle");
    }

    private Solution withDies(Preparation asked, int degrees) {
        return solver.solve(new Solver.Ask(
                Plans.FLUSH,
                asked,
                Optional.empty(),
                List.of(Length.in(.025), Length.in(.032)),
                Optional.empty(),
                Optional.empty(),
                Optional.of(degrees),
                List.of()));
    }
}
