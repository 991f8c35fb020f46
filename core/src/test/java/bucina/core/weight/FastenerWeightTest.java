package bucina.core.weight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.bolt.BoltThread;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.Length;
import bucina.core.rivet.HeadStyle;
import org.junit.jupiter.api.Test;

class FastenerWeightTest {

    private final Catalogue catalogue = CatalogueReader.shipped();

    @Test
    void an_eighth_universal_rivet_a_quarter_long() {
        // Cap: π × .054 / 6 × (3 × .0625 / 4 + .002916) = .0282743 × .049791 = .00140780; shank .0122718 × .25 =
        // .00306796. × .099 = .00044310 lb.
        assertThat(FastenerWeight.rivet(catalogue.rivet(HeadStyle.UNIVERSAL, Length.fraction(1, 8)), Length.in(.25)))
                .isCloseTo(4.4310e-4, within(1e-7));
    }

    @Test
    void a_flush_rivet_counts_its_head_inside_its_length() {
        // Cone: π × .036 / 12 × (.032041 + .01678125 + .00878906) = .00942478 × .0576113 = .00054298; shank .00690291 ×
        // (.1875 − .036) = .00104579.
        assertThat(FastenerWeight.rivet(catalogue.rivet(HeadStyle.FLUSH, Length.fraction(3, 32)), Length.in(.1875)))
                .isCloseTo(1.5729e-4, within(1e-7));
    }

    @Test
    void a_bolt_is_shank_and_head() {
        // AN3-5: shank .0276117 × .65625 = .0181202; head .8660254 × .140625 × .125 = .0152231; × .284 = .0094695 lb.
        BoltThread an3 = BoltThread.of(catalogue.bolts(), "10-32");
        assertThat(FastenerWeight.bolt(an3, an3.bolts().get(2))).isCloseTo(.0094695, within(1e-6));
    }
}
