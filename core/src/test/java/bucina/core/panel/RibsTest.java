package bucina.core.panel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.PracticeBox;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Come;
import bucina.core.plan.Face;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.progress.MatchDrill;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class RibsTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build box = PracticeBox.build(catalogue.rules());
    private final PartStates states = PartStates.of(box);

    @Test
    void a_rib_made_in_one_go_is_one_part_on_both_skins_and_its_web() {
        Part rib = states.named("Box rib").orElseThrow();
        assertThat(rib.kind()).isEqualTo(Part.Kind.RIB);
        assertThat(rib.standing()).isEqualTo(Standing.HERE);
        assertThat(states.faces(rib.id()))
                .extracting(Face::name)
                .containsExactly("Box, upper skin", "Box, lower skin", "Box rib web");
        assertThat(states.owed(rib.id())).extracting(o -> o.task()).contains("deburr-openings", "flute");
        assertThat(states.faces(states.named("Box spar").orElseThrow().id())).hasSize(2);
    }

    @Test
    void its_holes_are_carried_onto_each_face_and_go_through_skin_and_flange() {
        for (String face : List.of("Box, upper skin", "Box, lower skin")) {
            List<HoleReading> holes =
                    Derivation.of(box, catalogue)
                            .face(box.face(face).orElseThrow().face().id())
                            .readings()
                            .stream()
                            .filter(r -> r.group().name().equals("Box rib"))
                            .toList();
            // From .4 to 6.2 with the least edge distance of a -3 rivet at both ends, about an inch apart.
            assertThat(holes).hasSize(6);
            assertThat(holes).allSatisfy(h -> {
                assertThat(h.layers()).hasSize(2);
                assertThat(h.hole().at().across()).isEqualTo(Length.in(6));
                assertThat(h.worst()).isEmpty();
            });
        }
    }

    @Test
    void the_punched_rib_leads_and_the_skin_is_drilled_through_it() {
        Face upper = box.face("Box, upper skin").orElseThrow().face();
        Layer skin = upper.layers().getFirst();
        assertThat(skin.holes().come().state()).isEqualTo(Come.State.BLANK);
        assertThat(MatchDrill.of(Derivation.of(box, catalogue).face(upper.id())))
                .singleElement()
                .satisfies(m -> assertThat(m.leading().name()).startsWith("Box rib flange"));
    }

    @Test
    void a_flange_that_leaves_its_face_and_a_name_that_is_taken_are_refused() {
        RibPlan.On far = new RibPlan.On(box.faces().getFirst().face().id(), Length.in(.4), Length.in(9), false);
        assertThatThrownBy(() -> Ribs.add(box, box.assemblies().getFirst().id(), plan("Other", far)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("the flange of Other leaves Box, upper skin at");
        RibPlan.On in = new RibPlan.On(box.faces().getFirst().face().id(), Length.in(.4), Length.in(5), false);
        assertThatThrownBy(() -> Ribs.add(box, box.assemblies().getFirst().id(), plan("Box rib", in)))
                .hasMessageContaining("there is a part Box rib already");
    }

    private static RibPlan plan(String name, RibPlan.On on) {
        return new RibPlan(
                name,
                Material.parse("6061-T4"),
                new PanelPlan.Flange(Length.in(.64), Length.in(.032)),
                List.of(Length.in(3)),
                List.of(on),
                Optional.empty(),
                Plans.UNIVERSAL,
                "",
                Length.in(1));
    }
}
