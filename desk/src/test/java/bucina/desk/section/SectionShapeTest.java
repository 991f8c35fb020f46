package bucina.desk.section;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Preparation;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Fastener;
import bucina.core.rivet.HeadStyle;
import bucina.core.sheet.Box;
import bucina.core.stack.Solution;
import bucina.core.stack.Solver;
import bucina.desk.sheet.RulerScale;
import bucina.desk.sheet.SheetTransform;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SectionShapeTest {

    private static final double INCH = 25.4e6;

    private static SectionShape shape(HeadStyle head, int dash, double... layers) {
        Catalogue catalogue = CatalogueReader.shipped();
        List<Length> list = Arrays.stream(layers).mapToObj(Length::in).toList();
        Solution s = new Solver(catalogue, catalogue.rules())
                .solve(
                        new Fastener.SolidRivet(head, "AD", dash),
                        head.flush() ? Preparation.AUTO : Preparation.NONE,
                        Optional.empty(),
                        list,
                        Optional.empty());
        return new SectionShape(s, Length.in(.4));
    }

    @Test
    void a_dimple_keeps_the_thickness_of_its_sheet_square_to_the_cone() {
        List<SectionShape.At> skin =
                shape(HeadStyle.FLUSH, 3, .025, .032).plies().getFirst();
        SectionShape.At topRim = skin.getFirst();
        SectionShape.At lowRim = skin.getLast();
        assertThat(Math.hypot(topRim.r() - lowRim.r(), topRim.z() - lowRim.z()) / INCH)
                .isCloseTo(.025, within(1e-9));
        assertThat(topRim.r() / INCH).isCloseTo(.049, within(1e-9));
    }

    @Test
    void the_shop_head_of_a_stack_dimpled_through_sits_at_the_effective_grip() {
        SectionShape shape = shape(HeadStyle.FLUSH, 3, .025, .032);
        double rim = shape.plies().getLast().getLast().z();
        assertThat(shape.farFace()).isCloseTo(rim, within(1.0));
    }

    @Test
    void a_nest_is_cut_where_the_dimple_lies() {
        List<List<SectionShape.At>> plies =
                shape(HeadStyle.FLUSH, 3, .025, .063).plies();
        double shoulder = plies.get(1).getLast().r() / INCH;
        assertThat(shoulder * 2).isCloseTo(.179 + .728 * .025, within(.0001));
        assertThat(plies.get(1).getLast().z() / INCH).isCloseTo(.025, within(1e-9));
    }

    @Test
    void setting_goes_from_the_shank_to_the_head_that_the_volume_makes() {
        SectionShape shape = shape(HeadStyle.UNIVERSAL, 4, .032, .040);
        assertThat(shape.shopHead(shape.proud()).in()).isCloseTo(.125, within(1e-9));
        assertThat(shape.shopHead(Length.in(.0625)).in()).isCloseTo(.2085, within(.0001));
        assertThat(shape.shopHead(Length.in(.04))).isGreaterThan(shape.shopHead(Length.in(.0625)));
    }

    @Test
    void zooming_keeps_the_place_under_the_pointer() {
        SheetTransform t = SheetTransform.fit(new Box(0, 0, 10 * INCH, 5 * INCH), 800, 600, 20);
        var before = t.toFace(300, 200);
        var after = t.zoomed(2.7, 300, 200).toFace(300, 200);
        assertThat(after.x()).isCloseTo(before.x(), within(1.0));
        assertThat(after.y()).isCloseTo(before.y(), within(1.0));
        assertThat(t.toX(before.x())).isCloseTo(300, within(1e-6));
    }

    @Test
    void ruler_steps_are_round_and_leave_room() {
        assertThat(RulerScale.of(12, 62)).isEqualTo(new RulerScale(10, 5, 0));
        assertThat(RulerScale.of(60, 62)).isEqualTo(new RulerScale(2, 4, 0));
        assertThat(RulerScale.of(700, 62)).isEqualTo(new RulerScale(.1, 5, 1));
        assertThat(RulerScale.of(700, 62).label(5, Unit.INCH)).isEqualTo(".5");
        assertThat(RulerScale.of(700, 62).label(5, Unit.MM)).isEqualTo("0.5");
    }
}
