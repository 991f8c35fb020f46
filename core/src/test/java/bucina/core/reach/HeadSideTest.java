package bucina.core.reach;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.Plans;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.Edit;
import bucina.core.log.Logbook;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.stack.Derivation;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The handbook's section 9: outside where it shows, else against the thinner sheet; the same along a row. */
class HeadSideTest {

    private static Build build(double near, double far, Part.Kind kind, Fastener fastener, double end) {
        List<Layer> layers = List.of(
                Plans.layer(11, "Near", near, 0, 0, 20, 4),
                Plans.layer(12, "Far", far, 0, 0, 20, 4),
                Plans.layer(13, "Strap", .125, 0, 0, end, 4));
        Build build = Plans.build(Plans.face(
                layers.subList(0, end > 0 ? 3 : 2),
                List.of(Plans.group(20, "G-1", fastener, List.of(Plans.row(1000, "R1", 2, 19))))));
        Part web = build.parts().getFirst();
        Part skin = new Part(new Id.Part(50), "Skin", web.material(), 2, true).as("Skin", web.material(), kind);
        return Edit.layer(build.withParts(List.of(web, skin), build.nextId()), new Id.Layer(12), l -> l.of(skin.id()));
    }

    private static HeadSide side(Build build) {
        Derivation derivation = Derivation.of(build, CatalogueReader.shipped());
        return HeadSide.of(derivation.face(new Id.Face(3)).readings(), PartStates.of(derivation, Logbook.EMPTY))
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        ".025, .063, SHEET, false, THINNER",
        ".063, .025, SHEET, true, THINNER",
        ".040, .040, SHEET, false, EITHER",
        ".025, .063, SKIN, true, OUTSIDE",
        ".063, .025, SKIN, true, OUTSIDE",
    })
    void a_skin_goes_before_the_thinner_sheet(
            double near, double far, Part.Kind kind, boolean headFar, HeadSide.Why why) {
        HeadSide side = side(build(near, far, kind, Plans.UNIVERSAL, 0));
        assertThat(side.far()).isEqualTo(headFar);
        assertThat(side.why()).isEqualTo(why);
        assertThat(side.otherwise()).isEmpty();
    }

    @Test
    void it_does_not_depend_on_which_side_was_planned() {
        Build build = build(.063, .025, Part.Kind.SHEET, Plans.UNIVERSAL, 0);
        Group group = build.faces().getFirst().face().groups().getFirst();
        Build turned = Edit.group(build, group.id(), g -> g.withHeadFar(true));
        assertThat(side(turned).far()).isEqualTo(side(build).far()).isTrue();
    }

    @Test
    void a_row_has_one_side_and_the_holes_that_would_say_the_other_are_told() {
        // .063 over .032: far. Where the strap of .125 lies under the first three holes, near.
        HeadSide side = side(build(.063, .032, Part.Kind.SHEET, Plans.UNIVERSAL, 3.5));
        assertThat(side.far()).isTrue();
        assertThat(side.otherwise()).extracting(h -> h.label()).containsExactly("R1.1", "R1.2", "R1.3");
    }

    @Test
    void a_flush_head_has_no_choice() {
        assertThat(side(build(.063, .025, Part.Kind.SHEET, Plans.FLUSH, 0)).why())
                .isEqualTo(HeadSide.Why.FLUSH);
    }
}
