package bucina.core.stores;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.hold.Holds;
import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.core.stack.Derivation;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Clecos owned against the most the plan has in at once. */
class ClecosTest {

    @Test
    void clecos_are_held_against_the_most_the_plan_has_in_at_once() {
        var catalogue = CatalogueReader.shipped();
        Build dunlin = Dunlin.build(catalogue.rules()).withStock(Map.of("cleco 3/32", 12));
        Derivation derivation = Derivation.of(dunlin, catalogue);
        var sizes = Clecos.of(derivation, Logbook.EMPTY, new Holds(derivation, Logbook.EMPTY));
        Clecos.Size small = sizes.getFirst();
        assertThat(small.size().name()).isEqualTo("3/32");
        assertThat(small.owned()).contains(12);
        assertThat(small.peak()).isGreaterThan(12);
        assertThat(small.lacking()).isEqualTo(small.peak() - 12);
        assertThat(small.face()).isNotEmpty();
        assertThat(sizes.get(1).owned()).isEmpty();
        assertThat(sizes.get(1).lacking()).isZero();
    }
}
