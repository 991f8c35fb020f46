package bucina.core.prove;

import static bucina.core.prove.Histories.range;
import static bucina.core.prove.Histories.reading;
import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.rule.Level;
import bucina.core.rule.RuleKey;
import bucina.core.stack.Derivation;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class RecallTest {

    private static Derivation gauged(double flange) {
        Face face = Histories.BUILD.faces().getFirst().face();
        List<Layer> layers = face.layers().stream()
                .map(l -> l.name().equals("Flange") ? l.withThickness(Length.in(flange)) : l)
                .toList();
        Build build = Histories.BUILD.with(face.withLayers(layers), Histories.BUILD.nextId());
        return Histories.DERIVATION.after(build);
    }

    @Test
    void a_thicker_sheet_makes_what_is_set_short_but_for_heads_that_were_measured() {
        Histories history = new Histories();
        history.set("A", Work.Setup.NONE, List.of(reading(.19, .06).of("R1.2")), range(1, 5));
        history.prove(4, Optional.of(reading(.19, .06)), Verdict.LEAVE);
        // -4 in .032 + .040 makes 1.67 D; in .032 + .125 it is short.
        Recall recall = Recall.of(Histories.DERIVATION, gauged(.125), history.log(), Optional.empty());
        assertThat(recall.asked()).isEqualTo(5);
        assertThat(recall.lines()).extracting(Recall.Line::label).containsExactly("R1.1", "R1.3", "R1.5");
        assertThat(recall.lines()).allMatch(l -> l.rule().equals("length-short") && l.level() == Level.ERROR);
        // Head across at .5 D against 1.4 D, by the volume of the shank: worked by hand in inches.
        double v = Math.PI / 4 * (.125 * .125 * (.25 - .157) - (.1285 * .1285 - .125 * .125) * .157);
        double across = Math.sqrt(4 * v / (Math.PI * .0625));
        assertThat(recall.lines().getFirst().over())
                .isCloseTo((.175 - across) / .175, org.assertj.core.api.Assertions.within(1e-6));
        assertThat(Recall.of(Histories.DERIVATION, gauged(.040), history.log(), Optional.empty())
                        .lines())
                .isEmpty();
    }

    @Test
    void a_rule_that_asks_for_more_edge_finds_every_hole_worst_first() {
        Histories history = new Histories();
        history.set("A", Work.Setup.NONE, List.of(), range(1, 5));
        // The flange is 1 in wide, the row in its middle: .5 in. 5 D of 1/8 is .625.
        Build strict =
                Histories.BUILD.withRules(Histories.BUILD.rules().with(RuleKey.EDGE_LEAST_PROTRUDING, "5", "test"));
        Recall recall =
                Recall.of(Histories.DERIVATION, Histories.DERIVATION.after(strict), history.log(), Optional.empty());
        assertThat(recall.lines()).hasSize(5).allMatch(l -> l.rule().equals("edge-distance-least"));
        assertThat(recall.lines().getFirst().over()).isCloseTo(.2, org.assertj.core.api.Assertions.within(1e-6));
        assertThat(recall.lines()).isSortedAccordingTo((a, b) -> Double.compare(b.over(), a.over()));
    }

    @Test
    void a_bag_that_held_shorter_rivets_is_recalled_where_it_went() {
        Histories history = new Histories();
        history.set("A", Work.Setup.NONE, List.of(), range(1, 3));
        Recall recall = Recall.of(
                Histories.DERIVATION,
                Histories.DERIVATION,
                history.log(),
                Optional.of(new Recall.Bag("MS20470AD4-4", "MS20470AD4-3")));
        assertThat(recall.lines()).extracting(Recall.Line::label).containsExactly("R1.1", "R1.2", "R1.3");
        assertThat(Recall.of(
                                Histories.DERIVATION,
                                Histories.DERIVATION,
                                history.log(),
                                Optional.of(new Recall.Bag("MS20470AD4-5", "MS20470AD4-3")))
                        .lines())
                .isEmpty();
    }

    @Test
    void of_a_group_without_geometry_those_without_a_reading_are_recalled_as_many_as_they_are() {
        Histories history = new Histories();
        history.add(new Work(
                new Id.Group(21),
                "T-1",
                List.of(),
                6,
                "MS20470AD4-4",
                Optional.of(Length.in(.25)),
                "A",
                LocalDateTime.parse("2026-11-20T10:00"),
                5,
                Work.Setup.NONE,
                List.of(reading(.19, .06), reading(.19, .06)),
                List.of(),
                "",
                "",
                List.of()));
        Recall recall = Recall.of(
                Histories.DERIVATION,
                Histories.DERIVATION,
                history.log(),
                Optional.of(new Recall.Bag("MS20470AD4-4", "MS20470AD4-3")));
        assertThat(recall.asked()).isEqualTo(6);
        assertThat(recall.lines()).singleElement().satisfies(l -> {
            assertThat(l.label()).isEqualTo("4 of T-1");
            assertThat(l.rule()).isEqualTo("length-short");
        });
    }
}
