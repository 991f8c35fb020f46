package bucina.core.demo;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Dress;
import bucina.core.guard.LogCheck;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;

class DunlinTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build build = Dunlin.build(catalogue.rules());
    private final Derivation derivation = Derivation.of(build, catalogue);

    @Test
    void has_the_size_of_a_real_assembly() {
        int holes = build.faces().stream().mapToInt(f -> f.face().count()).sum();
        assertThat(holes).isBetween(600, 1000);
        assertThat(build.faces()).hasSize(4);
    }

    @Test
    void the_spar_row_changes_length_where_cuff_and_doubler_end() {
        FaceReading upper =
                derivation.face(build.face("Upper skin").orElseThrow().face().id());
        List<String> dashes = upper.readings().stream()
                .filter(r -> r.row().name().equals("R1"))
                .map(r -> r.solution().dash())
                .distinct()
                .toList();
        assertThat(dashes).containsExactly("-5", "-4.5", "-3.5");
    }

    @Test
    void its_findings_are_the_few_that_were_put_in() {
        List<Finding> findings = derivation.findings(() -> false).stream()
                .filter(f -> f.level() == Level.ERROR)
                .toList();
        assertThat(findings)
                .extracting(f -> f.place().hole() + " in " + f.place().layer() + ": "
                        + f.rule().code() + " " + f.measured().orElseThrow().in())
                .containsExactly(
                        "R11.4 in Nose rib 8 flange: edge-distance-least 0.2",
                        "R8.1 in Main rib 6 tab: edge-distance-least 0.235",
                        "R8.2 in Main rib 6 tab: edge-distance-least 0.235",
                        "R8.3 in Main rib 6 tab: edge-distance-least 0.235",
                        "R8.4 in Main rib 6 tab: edge-distance-least 0.235");
    }

    @Test
    void the_history_covers_several_dates_and_holds_one_correction() {
        Logbook log = DunlinHistory.of(derivation);
        assertThat(log.entries().stream()
                        .flatMap(e -> e.work().stream())
                        .map(w -> w.done().toLocalDate())
                        .distinct()
                        .count())
                .isGreaterThan(8);
        assertThat(log.entries().stream().filter(e -> e.corrects().isPresent())).hasSize(1);
    }

    @Test
    void every_entry_of_the_history_would_be_accepted_today() {
        Logbook before = Logbook.of(List.of(), DunlinHistory.of(derivation).marks());
        for (LogEntry entry : DunlinHistory.of(derivation).entries()) {
            new LogCheck(derivation, before)
                    .accept(
                            new LogEntry.Draft(entry.corrects(), entry.deed(), entry.reason()),
                            LocalDateTime.parse("2026-11-23T10:00"));
            before = before.plus(entry);
        }
        assertThat(before.entries()).hasSize(39);
    }

    @Test
    void the_left_hand_is_drawn_as_it_is_seen() {
        Face upper = build.face("Upper skin").orElseThrow().face();
        Face lower = build.face("Lower skin").orElseThrow().face();
        assertThat(upper.xToward() + " " + upper.yToward()).isEqualTo("outboard aft");
        assertThat(lower.xToward() + " " + lower.yToward()).isEqualTo("outboard forward");
        // The nose of the left half: up on the lower skin seen from below, down on the upper skin seen from above.
        assertThat(upper.layers().get(1).outline().box().minY())
                .isEqualTo(-lower.layers().getFirst().outline().box().maxY());
    }

    @Test
    void shows_every_way_of_dressing_and_an_opening() {
        List<Dress> dresses = build.faces().stream()
                .flatMap(f -> derivation.face(f.face().id()).readings().stream())
                .flatMap(r -> r.solution().dressing().plies().stream())
                .map(p -> p.dress())
                .distinct()
                .toList();
        assertThat(dresses).containsExactlyInAnyOrder(Dress.DIMPLE, Dress.COUNTERSINK, Dress.PLAIN);
        assertThat(build.face("Lower skin")
                        .orElseThrow()
                        .face()
                        .layers()
                        .getFirst()
                        .outline()
                        .openings())
                .hasSize(1);
        assertThat(build.parts().stream().filter(p -> p.name().startsWith("Main rib")))
                .hasSize(9);
    }
}
