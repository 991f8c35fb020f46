package bucina.core.reach;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import bucina.core.plan.Tool;
import bucina.core.stack.Derivation;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ToolCribTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build build = Plans.build(8.5);

    private Tool first(Build of, Tool.Kind kind) {
        return ToolCrib.of(of, catalogue).stream()
                .filter(t -> t.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_tool_of_the_builders_own_stands_for_all_that_ship_of_its_kind() {
        List<Tool> shipped = ToolCrib.of(build, catalogue);
        assertThat(shipped).hasSameSizeAs(catalogue.crib());
        assertThat(shipped).noneMatch(t -> ToolCrib.own(build, t));
        assertThat(shipped).extracting(Tool::id).doesNotHaveDuplicates().allMatch(id -> id.n() >= build.nextId());
        Build mine = ToolCrib.plus(build, Tool.Kind.YOKE, " Long yoke ", List.of(Length.in(6), Length.in(.4)));
        assertThat(ToolCrib.of(mine, catalogue))
                .filteredOn(t -> t.kind() == Tool.Kind.YOKE)
                .singleElement()
                .satisfies(t -> {
                    assertThat(t.name()).isEqualTo("Long yoke");
                    assertThat(t.id()).isEqualTo(new Id.Tool(build.nextId()));
                    assertThat(ToolCrib.own(mine, t)).isTrue();
                });
        assertThat(mine.nextId()).isEqualTo(build.nextId() + 1);
        assertThat(ToolCrib.of(mine, catalogue)).hasSizeLessThanOrEqualTo(shipped.size());
    }

    @Test
    void a_tool_measured_anew_becomes_ones_own_and_stays_where_it_is_when_it_is_measured_again() {
        Tool yoke = first(build, Tool.Kind.YOKE);
        Build once = ToolCrib.measured(build, yoke, List.of(Length.in(3), Length.in(.3)));
        Build added = ToolCrib.plus(once, Tool.Kind.YOKE, "Other", List.of(Length.in(1), Length.in(.2)));
        Tool mine = added.workshop().tools().getFirst();
        Build twice = ToolCrib.measured(added, mine, List.of(Length.in(3.1), Length.in(.3)));
        assertThat(twice.workshop().tools())
                .extracting(Tool::name, t -> t.sizes().getFirst())
                .containsExactly(tuple(yoke.name(), Length.in(3.1)), tuple("Other", Length.in(1)));
        Build less = ToolCrib.without(twice, mine);
        assertThat(less.workshop().tools()).extracting(Tool::name).containsExactly("Other");
        assertThat(less.nextId()).isEqualTo(twice.nextId());
    }

    /* Four solid rivets are set with the yoke, two pulled ones with the puller; nothing at hand dimples. */
    @Test
    void work_that_no_tool_reaches_comes_first_and_then_the_most_holes() {
        Fastener pulled = new Fastener.PulledRivet("iso15977", Length.mm(3.2), false);
        Face face = Plans.face(
                Plans.layers(8.5),
                List.of(
                        Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(Plans.row(1000, "R1", 2, 3))),
                        Plans.group(21, "G-2", pulled, List.of(Plans.row(2000, "R2", 1.7, 2))),
                        Plans.group(22, "G-3", Plans.FLUSH, List.of(Plans.row(3000, "R3", 2.3, 1)))));
        Build three = Plans.build(face);
        Tool gun = new Tool(new Id.Tool(90), Tool.Kind.HAND_PULLER, "Puller", List.of(Length.in(.3)));
        Tool yoke = new Tool(new Id.Tool(91), Tool.Kind.YOKE, "Yoke", List.of(Length.in(9), Length.in(.1)));
        List<Reach> reaches = Reach.of(Derivation.of(three, catalogue).face(face.id()), three, List.of(gun, yoke));
        Map<String, List<Reach>> alike = ToolCrib.alike(reaches);
        assertThat(alike.keySet().stream().toList())
                .endsWith("set: Yoke", "set: Puller")
                .first()
                .asString()
                .endsWith("no tool reaches");
        assertThat(alike.get("set: Yoke")).hasSize(4);
        assertThat(alike.get("set: Puller")).hasSize(2);
        assertThat(alike.values().stream().mapToInt(List::size).sum()).isEqualTo(reaches.size());
    }
}
