package bucina.core.stack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Dress;
import bucina.core.dress.Preparation;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Fastener;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Pulled rivets in a stack, against the handbook's tables. */
class PulledSolverTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Solver solver = new Solver(catalogue, catalogue.rules());

    private static Fastener.PulledRivet rivet(String family, double diameter) {
        return new Fastener.PulledRivet(family, Length.mm(diameter), false);
    }

    private Solution solve(Fastener rivet, Preparation asked, Optional<Double> room, double... layers) {
        return solver.solve(new Solver.Ask(
                rivet,
                asked,
                Optional.empty(),
                Arrays.stream(layers).mapToObj(Length::mm).toList(),
                Optional.empty(),
                room.map(Length::mm),
                Optional.empty()));
    }

    private static List<String> rules(Solution s) {
        return s.faults().stream().map(x -> x.rule().code()).toList();
    }

    @ParameterizedTest
    @CsvSource({
        "3.2,1.5,6",
        "3.2,3.5,6",
        "3.2,3.51,8",
        "3.2,7.0,10",
        "3.2,9.0,12",
        "4.0,1.0,6",
        "4.0,3.0,6",
        "4.0,6.5,10",
        "4.0,8.5,12"
    })
    void grip_ends_are_inclusive_and_the_shorter_length_is_taken(double diameter, double grip, String length) {
        Solution s = solve(rivet("iso15977", diameter), Preparation.NONE, Optional.empty(), grip / 2, grip / 2);
        assertThat(s.designation().orElseThrow()).endsWith("× " + length);
        assertThat(s.length().orElseThrow().mm()).isEqualTo(Double.parseDouble(length));
        assertThat(s.faults()).isEmpty();
    }

    @Test
    void the_hole_is_a_tenth_over_the_body_and_the_bench_name_tells_diameter_and_length() {
        Solution s = solve(rivet("iso15977", 3.2), Preparation.NONE, Optional.empty(), .8, .8);
        assertThat(s.hole().mm()).isCloseTo(3.3, within(1e-9));
        assertThat(s.dash()).isEqualTo("Ø3.2 L6");
        assertThat(s.cut()).isFalse();
        assertThat(s.heads().head().mm()).isCloseTo(3.35, within(1e-9));
    }

    @Test
    void two_thin_skins_that_nothing_grips_are_an_error_that_names_what_would() {
        Solution s = solve(rivet("iso15977", 3.2), Preparation.NONE, Optional.empty(), .6, .6);
        assertThat(rules(s)).containsExactly("no-length-does");
        assertThat(s.faults().getFirst().message().in(Unit.MM))
                .contains("thinner than any length grips", "A washer of");
        assertThat(s.designation()).isEmpty();
        assertThat(s.dash()).isEqualTo("none");
    }

    @Test
    void room_behind_counts_the_mandrel_and_makes_it_shorter_or_nothing() {
        assertThat(solve(rivet("iso15977", 3.2), Preparation.NONE, Optional.of(7.9), .8, .8)
                        .cut())
                .isFalse();
        Solution cut = solve(rivet("iso15977", 3.2), Preparation.NONE, Optional.of(6.5), .8, .8);
        assertThat(cut.length().orElseThrow().mm()).isCloseTo(4.6, within(1e-9));
        assertThat(cut.dash()).isEqualTo("Ø3.2 L6 cut");
        assertThat(rules(cut)).containsExactly("length-cut");
        assertThat(rules(solve(rivet("iso15977", 3.2), Preparation.NONE, Optional.of(4.0), .8, .8)))
                .containsExactly("no-length-does");
        assertThat(rules(solve(rivet("iso15977", 3.2), Preparation.NONE, Optional.of(0.0), .8, .8)))
                .containsExactly("no-length-does");
    }

    @Test
    void a_flush_head_is_dimpled_where_the_sheet_is_too_thin_and_countersunk_where_it_is_not() {
        Solution thin = solve(rivet("iso15978", 3.2), Preparation.AUTO, Optional.empty(), .8, 1.6);
        assertThat(thin.dressing().plies()).extracting(p -> p.dress()).containsExactly(Dress.DIMPLE, Dress.COUNTERSINK);
        assertThat(thin.punchFirst(catalogue.rules()).orElseThrow().mm()).isCloseTo(2.9, within(1e-9));
        Solution thick = solve(rivet("iso15978", 3.2), Preparation.AUTO, Optional.empty(), 1.2, 1.2);
        assertThat(thick.dressing().plies().getFirst().dress()).isEqualTo(Dress.COUNTERSINK);
        assertThat(thick.punchFirst(catalogue.rules())).isEmpty();
    }

    @Test
    void a_dome_in_a_dimple_and_a_flush_head_in_a_plain_hole_are_caught() {
        assertThat(rules(solve(rivet("iso15977", 3.2), Preparation.DIMPLE, Optional.empty(), .8, .8)))
                .contains("dome-in-a-dimple");
        assertThat(rules(solve(rivet("iso15978", 3.2), Preparation.NONE, Optional.empty(), .8, .8)))
                .contains("flush-in-plain-hole");
        assertThat(rules(solve(rivet("iso15978", 3.2), Preparation.DIMPLE, Optional.empty(), 2.0, .8)))
                .contains("dress-impossible");
    }

    @Test
    void what_the_catalogue_lacks_is_said_by_name() {
        Solution s = solve(rivet("iso15977", 5), Preparation.NONE, Optional.empty(), 1, 1);
        assertThat(rules(s)).containsExactly("rivet-not-in-catalogue");
        assertThat(s.faults().getFirst().message().in(Unit.MM)).startsWith("ISO 15977 5 is not");
        assertThat(s.blind()).isEmpty();
    }

    @Test
    void structural_dashes_go_by_sixteenths() {
        Solution s = solver.solve(
                rivet("structural-16", 3.175),
                Preparation.NONE,
                Optional.empty(),
                List.of(Length.in(.063), Length.in(.063)),
                Optional.empty());
        assertThat(s.designation().orElseThrow()).endsWith("grip 3");
        assertThat(s.dash()).isEqualTo("grip 3");
        assertThat(s.length()).isEmpty();
    }

    @Test
    void an_empty_stack_has_no_length_and_no_fault() {
        Solution s = solve(rivet("iso15977", 3.2), Preparation.NONE, Optional.empty());
        assertThat(s.faults()).isEmpty();
        assertThat(s.blind()).isEmpty();
        assertThat(s.grip()).isEqualTo(Length.ZERO);
    }
}
