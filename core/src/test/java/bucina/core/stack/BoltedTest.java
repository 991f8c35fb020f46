package bucina.core.stack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.callout.Callout;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Preparation;
import bucina.core.log.Operation;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Bolting;
import bucina.core.plan.Fastener;
import bucina.core.rule.Level;
import java.util.Arrays;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Bolts and rivet nuts in their stacks; figures by hand from the handbook's 4.2 and 4.3. */
class BoltedTest {

    private final Catalogue catalogue = CatalogueReader.shipped();

    private Solution solve(Fastener fastener, double... layers) {
        return new Solver(catalogue, catalogue.rules())
                .solve(
                        fastener,
                        Preparation.NONE,
                        Optional.empty(),
                        Arrays.stream(layers).mapToObj(Length::in).toList(),
                        Optional.empty());
    }

    private static Fastener.Hardware bolt(String name, Bolting bolting) {
        return new Fastener.Hardware(name, Length.in(.25), Length.in(.25), false, bolting);
    }

    @Test
    void named_by_its_series_its_length_and_washers_come_from_the_stack() {
        // .125 + .063 = .188: grip .1875 of -5 leaves thread in the joint, so -6, grip .3125: two washers of .063 leave
        // 4.3
        // threads showing, three 2.5.
        Solution s = solve(bolt("AN4", Bolting.NONE), .125, .063);
        assertThat(s.designation()).contains("AN4-6A");
        assertThat(s.bolt().orElseThrow().fit().orElseThrow().washers()).isEqualTo(3);
        // .25: -6, grip .3125, whose shank fills it; one washer leaves 4.3 threads, two 2.6.
        assertThat(solve(bolt("AN4", Bolting.NONE), .125, .125)
                        .bolt()
                        .orElseThrow()
                        .washers())
                .isEqualTo("2 regular under the nut");
        assertThat(solve(bolt("AN4", new Bolting("", true, false)), .125, .125)
                        .bolt()
                        .orElseThrow()
                        .washers())
                .startsWith("1 thin under the head");
    }

    @Test
    void a_bolt_that_does_not_fit_its_stack_is_said_with_the_one_that_does() {
        Solution s = solve(bolt("AN4-10A", Bolting.NONE), .125, .125);
        assertThat(s.faults()).singleElement().satisfies(f -> {
            assertThat(f.rule().code()).isEqualTo("bolt-grip");
            assertThat(f.level()).isEqualTo(Level.WARNING);
            assertThat(f.message().in(Unit.INCH)).contains("AN4-10A", "AN4-6A");
        });
        assertThat(solve(bolt("AN4-6A", Bolting.NONE), .125, .125).faults()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "AN4-6A, , TORQUED STRIPED, 50–70 in-lb + drag",
        "AN4-6, , TORQUED STRIPED PINNED, 50–70 in-lb",
        "AN4H-6A, , TORQUED STRIPED WIRED, 50–70 in-lb + drag",
        "AN4-6A, shear:.2, TORQUED STRIPED, 30–40 in-lb + drag",
        "AN4-6, shear-castle:.2, TORQUED STRIPED PINNED, 30–40 in-lb",
        "AN4, , TORQUED STRIPED, 50–70 in-lb + drag",
    })
    void the_designation_says_nut_torque_and_what_is_done_after(String name, String nut, String steps, String torque) {
        Solution s = solve(bolt(name, new Bolting(nut == null ? "" : nut, false, false)), .125, .125);
        assertThat(s.afterSet())
                .containsExactlyElementsOf(
                        Arrays.stream(steps.split(" ")).map(Operation::valueOf).toList());
        assertThat(s.bolt().orElseThrow().torqueWords()).isEqualTo(torque);
    }

    @ParameterizedTest
    @CsvSource({
        "AN3-5A, true", "NAS6204-5, true", "ISO 4017 M6 × 20, true", "Eye bolt, true",
        "Hole .250, false", "MS27039-0806, false", "ISO 7380 M4 × 10, false", "AN365-1032, false"
    })
    void only_what_is_named_as_a_bolt_is_torqued(String name, boolean torqued) {
        assertThat(!solve(bolt(name, Bolting.NONE), .125, .125).afterSet().isEmpty())
                .isEqualTo(torqued);
    }

    @Test
    void a_nut_nobody_has_is_refused_with_those_there_are() {
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> Bolted.checkNut("wing", bolt("AN4-6A", Bolting.NONE), catalogue))
                .withMessageContaining("wing")
                .withMessageContaining("tension-lock");
    }

    @ParameterizedTest
    @CsvSource({".019, false", ".02, true", ".06, true", ".118, true", ".119, false"})
    void a_rivet_nut_holds_its_grip_range_ends_inclusive(double stack, boolean holds) {
        Fastener nut = Callout.parse("12x rivet nut M4, body 6, hole 6.1, grip 0.5-3, stroke 2.5 mm")
                .fastener();
        Solution s = solve(nut, stack);
        assertThat(s.hole()).isEqualTo(Length.mm(6.1));
        assertThat(s.faults().isEmpty()).isEqualTo(holds);
        assertThat(s.designation()).contains("rivet nut M4");
    }

    @Test
    void a_nut_that_nobody_has_is_a_finding_and_nothing_is_taken_for_granted() {
        Solution s = solve(bolt("AN4-10A", new Bolting("wing", false, false)), .125, .125);
        assertThat(s.faults()).singleElement().satisfies(f -> {
            assertThat(f.rule().code()).isEqualTo("bolt-nut");
            assertThat(f.message().in(Unit.INCH)).contains("\"wing\" is no nut for 1/4-28");
        });
        assertThat(s.bolt().orElseThrow().fit()).isEmpty();
    }
}
