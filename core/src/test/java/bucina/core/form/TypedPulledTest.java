package bucina.core.form;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Locker;
import bucina.core.dress.Preparation;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.rivet.HeadStyle;
import org.junit.jupiter.api.Test;

class TypedPulledTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final LengthParser mm = new LengthParser(Unit.MM, catalogue.drills());

    private static TypedGroupForm form(String rivet) {
        return new TypedGroupForm("", "patch", HeadStyle.FLUSH, rivet, "0.6, 0.8, 1.6", Preparation.AUTO, "12");
    }

    @Test
    void a_typed_stack_takes_pulled_rivets_by_their_callout() {
        Build build = Locker.build(catalogue.rules());
        // Grip 3.0 mm in a 3.2 mm domed rivet: the one whose range holds it.
        assertThat(form("ISO 15977 3.2").solve(catalogue, build, mm).designation())
                .contains("ISO 15977 3.2 × 6");
        Build with = form("ISO 15977 3.2").on(build.faces().getFirst().face().id(), build, catalogue, mm);
        Group group = with.group("T-1").orElseThrow().group();
        assertThat(group.fastener()).isInstanceOf(Fastener.PulledRivet.class);
        assertThat(group.preparation()).isEqualTo(Preparation.NONE);
        assertThat(group.count()).isEqualTo(12);
    }

    @Test
    void a_diameter_is_still_a_solid_rivet_with_the_head_chosen() {
        Build build = Locker.build(catalogue.rules());
        assertThat(form("3/32").solve(catalogue, build, mm).fastener()).isInstanceOf(Fastener.SolidRivet.class);
    }
}
