package bucina.core.panel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Hand;
import bucina.core.plan.Layer;
import bucina.core.rivet.HeadStyle;
import bucina.core.rule.Finding;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class PanelTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build empty = new Build("New", "Dunlin", catalogue.rules(), 1, List.of(), List.of(), Map.of());

    private static PanelPlan plan(String name, double sparTip, double... ribs) {
        Outline taper =
                Outline.of(Ring.polygon(List.of(Point.in(0, 0), Point.in(48, 0), Point.in(48, 16), Point.in(0, 20))));
        PanelPlan.Flange spar = new PanelPlan.Flange(Length.in(.75), Length.in(.04));
        PanelPlan.Flange rib = new PanelPlan.Flange(Length.in(.64), Length.in(.032));
        List<PanelPlan.Rib> list = new ArrayList<>();
        for (double x : ribs) {
            list.add(new PanelPlan.Rib("Rib " + (list.size() + 1), Length.in(x), rib));
        }
        return new PanelPlan(
                name,
                Hand.LEFT,
                Unit.INCH,
                "from outside",
                "outboard",
                "forward",
                new PanelPlan.Sheet(taper, Length.in(.032)),
                Material.parse("2024-T3"),
                List.of(
                        new PanelPlan.Spar("Spar 1", Length.in(2.5), Length.in(2.5), spar),
                        new PanelPlan.Spar("Spar 2", Length.in(14), Length.in(sparTip), spar)),
                list,
                List.of(new PanelPlan.Doubler("Doubler", Point.in(.1, 1.9), Point.in(12, 3.1), Length.in(.04))),
                new Fastener.SolidRivet(HeadStyle.FLUSH, "AD", 3),
                "",
                Length.in(.75));
    }

    @Test
    void sound_figures_make_a_panel_with_no_finding() {
        Build made = Panel.add(empty, plan("Upper skin", 11, 1.5, 12.5, 24, 35.5, 46.5));
        Face face = Panel.face(made);
        assertThat(face.count()).isGreaterThan(150);
        assertThat(face.layers().getFirst().name()).isEqualTo("Upper skin");
        assertThat(face.layers().stream().map(Layer::name)).contains("Doubler", "Spar 1 flange", "Rib 3 flange, bay 2");
        List<Finding> findings = Derivation.of(made, catalogue).findings(() -> false);
        assertThat(findings).isEmpty();
    }

    @Test
    void every_hole_lies_on_the_centre_line_of_the_flange_it_goes_through_and_the_doubler_is_a_layer() {
        Build made = Panel.add(empty, plan("Upper skin", 11, 1.5, 12.5, 24, 35.5, 46.5));
        List<HoleReading> readings =
                Derivation.of(made, catalogue).face(Panel.face(made).id()).readings();
        assertThat(readings).allSatisfy(r -> assertThat(r.layers()).hasSizeBetween(2, 3));
        assertThat(readings.stream().filter(r -> r.layers().size() == 3))
                .allSatisfy(r -> assertThat(r.layers().get(1).name()).isEqualTo("Doubler"))
                .isNotEmpty();
    }

    @Test
    void two_panels_in_one_build_keep_their_codes_apart() {
        Build two = Panel.add(Panel.add(empty, plan("Upper skin", 11, 12.5, 24)), plan("Under side", 11, 12.5, 24));
        assertThat(two.assemblies()).hasSize(2);
        assertThat(two.faces().get(1).face().groups().getFirst().code())
                .isNotEqualTo(two.faces().get(0).face().groups().getFirst().code());
    }

    @Test
    void what_does_not_fit_is_said_with_the_name_and_the_place() {
        assertThatThrownBy(() -> Panel.add(empty, plan("Upper skin", 17, 12.5)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("Spar 2 leaves the skin");
        assertThatThrownBy(() -> Panel.add(empty, plan("Upper skin", 11, 60)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("Rib 1 at 60 in");
        Build made = Panel.add(empty, plan("Upper skin", 11, 12.5));
        assertThatThrownBy(() -> Panel.add(made, plan("Upper skin", 11, 12.5))).hasMessageContaining("already");
        assertThatThrownBy(() -> new PanelPlan.Flange(Length.in(.05), Length.in(.04)))
                .isInstanceOf(InputException.class);
    }
}
