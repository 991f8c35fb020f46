package bucina.core.setup;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.Locker;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Layer;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** One squeezer gap serves one grip. */
class StretchTest {

    private final Catalogue catalogue = CatalogueReader.shipped();

    private List<Stretch> stretches(Build build, String face) {
        return Stretch.of(
                Derivation.of(build, catalogue)
                        .face(build.face(face).orElseThrow().face().id()),
                build.rules());
    }

    private static Build under(double second) {
        List<Layer> layers = new ArrayList<>();
        layers.add(Plans.layer(11, "Skin", .032, 0, 0, 20, 4));
        layers.add(Plans.layer(12, "Flange", .040, 0, 1.5, 10.5, 2.5));
        layers.add(Plans.layer(13, "Other flange", second, 10.6, 1.5, 20, 2.5));
        Face face = Plans.face(
                layers, List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(Plans.row(1000, "R1", 2, 19)))));
        return Plans.build(face);
    }

    /*
     * Rear spar web, .032 + .065 = .097 and .032 + .080 = .112: one length, grips .015 apart. Closed gap of a universal
     * rivet is G + .5 D + head height - cup depth, so the gaps are .015 apart too.
     */
    @Test
    void holes_of_one_length_in_two_grips_are_two_stretches_and_the_reset_is_said() {
        List<Stretch> web = stretches(Dunlin.build(catalogue.rules()), "Rear spar web").stream()
                .filter(s -> s.group().code().equals("RW-1"))
                .toList();
        assertThat(web).hasSizeGreaterThan(1);
        Stretch first = web.getFirst();
        Stretch second = web.get(1);
        assertThat(second.change(first.solution()).orElseThrow().in())
                .isCloseTo(second.gripLow().minus(first.gripLow()).in(), Assertions.within(1e-9));
        assertThat(second.then(first.solution(), Unit.INCH))
                .startsWith(second.holes().size() + " more")
                .endsWith(": reset");
    }

    /* The rule is .005, inclusive: .040 and .045 are one set-up, .0451 is another. */
    @Test
    void grips_that_differ_by_up_to_five_thousandths_are_one_stretch() {
        assertThat(stretches(under(.045), "Top")).singleElement().satisfies(s -> {
            assertThat(s.holes()).hasSize(19);
            assertThat(s.gripLow()).isEqualTo(Length.in(.072));
            assertThat(s.gripHigh()).isEqualTo(Length.in(.077));
        });
        assertThat(stretches(under(.0451), "Top")).hasSize(2);
    }

    @Test
    void a_chain_of_grips_each_near_the_next_is_not_one_stretch() {
        List<Layer> layers = new ArrayList<>();
        layers.add(Plans.layer(10, "Skin", .032, 0, 0, 20, 4));
        for (int i = 0; i < 9; i++) {
            layers.add(Plans.layer(11 + i, "Flange " + i, .040 + .003 * i, 2 * i + .5, 1.5, 2 * i + 2.4, 2.5));
        }
        Face face = Plans.face(
                layers, List.of(Plans.group(40, "G-1", Plans.UNIVERSAL, List.of(Plans.row(1000, "R1", 2, 17)))));
        assertThat(stretches(Plans.build(face), "Top"))
                .allSatisfy(s -> assertThat(s.gripHigh().minus(s.gripLow())).isLessThanOrEqualTo(Length.in(.005)));
    }

    @Test
    void on_both_demos_no_stretch_mixes_gaps_and_every_hole_is_in_one() {
        for (Build build : List.of(Dunlin.build(catalogue.rules()), Locker.build(catalogue.rules()))) {
            Derivation derivation = Derivation.of(build, catalogue);
            build.faces().forEach(ref -> {
                List<Stretch> all = Stretch.of(derivation.face(ref.face().id()), build.rules());
                assertThat(all.stream().flatMap(s -> s.holes().stream()).toList())
                        .containsExactlyInAnyOrderElementsOf(
                                derivation.face(ref.face().id()).readings());
                for (Stretch s : all) {
                    for (HoleReading hole : s.holes()) {
                        assertThat(hole.solution().designation())
                                .isEqualTo(s.solution().designation());
                        double grip = hole.solution().grip().in();
                        assertThat(grip - s.gripLow().in()).isBetween(-1e-12, .005 + 1e-12);
                        s.gap()
                                .ifPresent(gap -> assertThat(Math.abs(hole.solution()
                                                        .choice()
                                                        .orElseThrow()
                                                        .squeezerGap()
                                                        .in()
                                                - gap.in()))
                                        .isLessThanOrEqualTo(.005 + 1e-12));
                    }
                }
            });
        }
    }

    @Test
    void what_comes_next_is_said_with_its_length_its_gap_and_whether_to_reset() {
        List<Stretch> two = stretches(under(.0451), "Top");
        Stretch second = two.get(1);
        assertThat(second.then(two.getFirst().solution(), Unit.INCH)).matches("9 more at \\.\\d{3} in: reset");
        assertThat(second.then(second.solution(), Unit.INCH)).matches("9 more at \\.\\d{3} in");
        // .032 + .125 = .157, and 1.5 D = .1875 make .3445: between -5 (.3125) and -6 (.375).
        List<Stretch> lengths = stretches(under(.125), "Top");
        assertThat(lengths.get(1).then(lengths.getFirst().solution(), Unit.INCH))
                .matches("9 more -6 at \\.\\d{3} in: reset");
    }
}
