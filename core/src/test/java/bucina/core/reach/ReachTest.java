package bucina.core.reach;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.edit.Edit;
import bucina.core.edit.SheetEdits;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Tool;
import bucina.core.plan.Zone;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class ReachTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build dunlin = Dunlin.build(catalogue.rules());

    private static Tool tool(Tool.Kind kind, double... sizes) {
        return new Tool(
                new Id.Tool(1),
                kind,
                kind.code(),
                Arrays.stream(sizes).mapToObj(Length::in).toList());
    }

    private Reach at(Build build, String label, Reach.Work work, Tool... tools) {
        var face = Derivation.of(build, catalogue)
                .face(build.face("Upper skin").orElseThrow().face().id());
        return Reach.of(face, build, List.of(tools)).stream()
                .filter(r -> r.hole().label().equals(label) && r.work() == work)
                .findFirst()
                .orElseThrow();
    }

    private HoleReading hole(String label) {
        return Derivation.of(dunlin, catalogue)
                .face(dunlin.face("Upper skin").orElseThrow().face().id())
                .readings()
                .stream()
                .filter(r -> r.label().equals(label))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_yoke_reaches_as_far_in_as_its_throat() {
        HoleReading hole = hole("R18.4");
        double in = hole.layers().stream()
                .mapToDouble(l -> l.outline().outer().distance(hole.hole().at()).in())
                .max()
                .orElseThrow();
        assertThat(at(dunlin, "R18.4", Reach.Work.DIMPLE, tool(Tool.Kind.YOKE_DIES, in + .001, .1))
                        .tools())
                .hasSize(1);
        Reach.Blocked blocked = at(dunlin, "R18.4", Reach.Work.DIMPLE, tool(Tool.Kind.YOKE_DIES, in - .001, .1))
                .blocked()
                .getFirst();
        assertThat(blocked.why().in(Unit.INCH)).contains("from an edge; the hole is");
        assertThat(blocked.measured().in()).isEqualTo(in);
    }

    @Test
    void a_part_known_to_be_behind_keeps_a_wide_tool_away() {
        Point p = hole("R18.4").hole().at();
        Outline box = Outline.rectangle(new Point(p.x() + 7.62e6, p.y() - 25e6), new Point(p.x() + 30e6, p.y() + 25e6));
        Build with = SheetEdits.zone(
                dunlin,
                dunlin.face("Upper skin").orElseThrow().face().id(),
                new Zone(new Id.Zone(dunlin.nextId()), "Hinge block", Zone.Kind.BEHIND, box, Length.mm(6)));
        // The block stands .3 in from the hole.
        assertThat(at(with, "R18.4", Reach.Work.DIMPLE, tool(Tool.Kind.FLAT_BAR, .29))
                        .tools())
                .hasSize(1);
        Reach none = at(with, "R18.4", Reach.Work.DIMPLE, tool(Tool.Kind.C_FRAME, 30, .31));
        assertThat(none.tools()).isEmpty();
        assertThat(none.blocked().getFirst().why().in(Unit.INCH))
                .isEqualTo("c-frame needs .310 in clear; Hinge block is .300 in away.");
    }

    @Test
    void a_flange_is_in_the_way_only_once_its_part_is_in_place() {
        HoleReading hole = hole("R18.4");
        Point p = hole.hole().at();
        Layer layer = hole.layers().getLast();
        Segment tangent = new Segment(new Point(p.x() + 5e6, p.y() - 20e6), new Point(p.x() + 5e6, p.y() + 20e6));
        Build bent = Edit.layer(
                dunlin,
                layer.id(),
                l -> new Layer(l.id(), l.part(), l.name(), l.thickness(), l.outline(), List.of(tangent)));
        Build in = bent.with(bent.part(layer.part()).withFitted(true));
        Build out = bent.with(bent.part(layer.part()).withFitted(false));
        // 5 mm is .197 in.
        assertThat(at(in, "R18.4", Reach.Work.DIMPLE, tool(Tool.Kind.FLAT_BAR, .2))
                        .tools())
                .isEmpty();
        assertThat(at(out, "R18.4", Reach.Work.DIMPLE, tool(Tool.Kind.FLAT_BAR, .2))
                        .tools())
                .hasSize(1);
    }

    @Test
    void a_stop_cage_tips_over_an_edge_and_a_piloted_cutter_does_not() {
        var face = Derivation.of(dunlin, catalogue)
                .face(dunlin.face("Upper skin").orElseThrow().face().id());
        Reach cut =
                Reach.of(face, dunlin, List.of(tool(Tool.Kind.STOP_CAGE, .5), tool(Tool.Kind.PILOTED_CUTTER, .2)))
                        .stream()
                        .filter(r -> r.work() == Reach.Work.COUNTERSINK
                                && r.blocked().size() == 1)
                        .findFirst()
                        .orElseThrow();
        assertThat(cut.tools()).extracting(Tool::kind).containsExactly(Tool.Kind.PILOTED_CUTTER);
        assertThat(cut.blocked().getFirst().why().in(Unit.INCH)).contains("tips over the edge");
    }

    @Test
    void a_tool_has_the_figures_of_its_kind() {
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> tool(Tool.Kind.YOKE, 1))
                .withMessageContaining("throat and clear radius");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> tool(Tool.Kind.STEP_DRILL))
                .withMessageContaining("1/8, 3/16");
    }
}
