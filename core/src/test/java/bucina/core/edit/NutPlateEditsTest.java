package bucina.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.nutplate.NutPlate;
import bucina.core.nutplate.NutPlateLayout;
import bucina.core.nutplate.ScrewPattern;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Row;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.List;
import org.junit.jupiter.api.Test;

class NutPlateEditsTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build dunlin = Dunlin.build(catalogue.rules());
    private final Face lower = dunlin.face("Lower skin").orElseThrow().face();
    private final NutPlate eight = NutPlate.of(catalogue.nutPlates(), "8");

    @Test
    void a_ring_of_screws_on_the_face_gets_plates_whose_lug_is_a_layer_of_the_rivets_stack() {
        Row screws = NutPlateEdits.screwRows(lower).getFirst();
        ScrewPattern ring = NutPlateEdits.pattern(screws);
        NutPlateLayout layout = NutPlateEdits.lay(lower, ring, eight, catalogue.rules());
        Build with = NutPlateEdits.add(dunlin, lower.id(), layout, Length.in(.025), false);
        Face after = with.face("Lower skin").orElseThrow().face();
        assertThat(after.layers())
                .hasSize(lower.layers().size() + screws.holes().size());
        var lugs = after.groups().getLast();
        assertThat(lugs.count()).isEqualTo(2 * screws.holes().size());
        Derivation derived = Derivation.of(with, catalogue);
        List<HoleReading> readings = derived.face(after.id()).readings().stream()
                .filter(r -> r.group().id().equals(lugs.id()))
                .toList();
        assertThat(readings).allSatisfy(r -> {
            assertThat(r.layers().getLast().name()).startsWith("Nut plate ");
            assertThat(r.solution().grip().in()).isGreaterThan(.025);
            assertThat(r.solution().designation()).isPresent();
        });
    }

    @Test
    void the_lugs_of_a_ring_run_along_it() {
        ScrewPattern ring = NutPlateEdits.pattern(NutPlateEdits.screwRows(lower).getFirst());
        double cx =
                ring.screws().stream().mapToDouble(s -> s.at().x()).average().orElse(0);
        double cy =
                ring.screws().stream().mapToDouble(s -> s.at().y()).average().orElse(0);
        assertThat(ring.screws()).allSatisfy(s -> {
            double radial = Math.atan2(s.at().y() - cy, s.at().x() - cx);
            assertThat(Math.abs(Math.cos(Math.toRadians(s.along()) - radial))).isLessThan(1e-3);
        });
    }

    @Test
    void typed_screws_come_with_the_plates_and_a_second_set_gets_its_own_names() {
        ScrewPattern row = NutPlateEdits.at(ScrewPattern.row(4, Length.in(1.5)), Point.in(30, 4.2));
        Build one = NutPlateEdits.add(
                dunlin, lower.id(), NutPlateEdits.lay(lower, row, eight, catalogue.rules()), Length.in(.025), true);
        Face face = one.face("Lower skin").orElseThrow().face();
        assertThat(face.groups()).extracting(g -> g.code()).contains("NP-1", "NS-1");
        assertThat(face.groups().getLast().count()).isEqualTo(4);
        Build two = NutPlateEdits.add(
                one,
                lower.id(),
                NutPlateEdits.lay(face, NutPlateEdits.at(row, Point.in(0, -2)), eight, catalogue.rules()),
                Length.in(.025),
                true);
        assertThat(two.parts()).extracting(p -> p.name()).contains("Nut plates #8", "Nut plates #8, 2");
        assertThat(NutPlateEdits.turned(row, NutPlateEdits.lay(lower, row, eight, catalogue.rules())))
                .isBetween(0L, 4L);
    }

    @Test
    void a_lug_that_was_not_measured_is_refused() {
        NutPlateLayout layout = NutPlateEdits.lay(lower, ScrewPattern.row(1, Length.in(1)), eight, catalogue.rules());
        assertThatThrownBy(() -> NutPlateEdits.add(dunlin, lower.id(), layout, Length.ZERO, false))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("measure one");
    }
}
