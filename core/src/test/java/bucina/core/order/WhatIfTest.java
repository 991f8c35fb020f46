package bucina.core.order;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.log.Logbook;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.plan.Tool;
import bucina.core.reach.ToolCrib;
import bucina.core.stack.Derivation;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a change would do, on the stabilator with every part at hand and nothing logged. */
class WhatIfTest {

    private static final LocalDate TODAY = LocalDate.parse("2026-11-29");

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build build = fresh();
    private final Derivation derivation = Derivation.of(build, catalogue);

    private Build fresh() {
        Build plan = Dunlin.build(catalogue.rules());
        return plan.withParts(
                plan.parts().stream().map(p -> p.with(Standing.HERE)).toList(), plan.nextId());
    }

    private WhatIf would(Build other) {
        return WhatIf.of(derivation, other, Logbook.EMPTY, TODAY);
    }

    private Part named(String name) {
        return build.parts().stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_part_that_goes_on_at_another_time_changes_nothing_that_is_done() {
        assertThat(would(build.with(named("Main rib 3").withFittingOrder(90))).nothing())
                .isTrue();
    }

    @Test
    void a_part_that_is_short_holds_what_goes_through_it_and_only_that() {
        WhatIf is = would(build.with(named("Root cuff").with(Standing.SHORT)));
        assertThat(is.held()).isNotEmpty();
        assertThat(is.held().values()).allMatch(w -> w.startsWith("Root cuff is short"));
        assertThat(is.held().keySet())
                .allMatch(j -> j.part().map(p -> p.name().equals("Root cuff")).orElse(false)
                        || j.place().orElseThrow().holes().stream()
                                .anyMatch(h -> h.layers().stream()
                                        .anyMatch(l -> l.part()
                                                .equals(named("Root cuff").id()))));
        assertThat(is.nothing()).isFalse();
    }

    @Test
    void without_a_tool_another_one_does_the_work_and_more_is_set_up() {
        List<Tool> left = ToolCrib.of(build, catalogue).stream()
                .filter(t -> !t.name().equals("Squeezer with 3 in yoke"))
                .toList();
        Build other = build.withWorkshop(
                build.workshop().withTools(left),
                left.stream().mapToLong(t -> t.id().n()).max().orElseThrow() + 1);
        WhatIf is = would(other);
        assertThat(is.changed()).isNotEmpty();
        assertThat(is.changed().values()).noneMatch(w -> w.contains("Squeezer with 3 in yoke"));
        assertThat(is.work().more()).isGreaterThan(0);
    }

    @Test
    void a_bay_that_is_closed_by_what_lies_inside_another_is_a_ring_and_is_said() {
        Id.Part web = named("Main spar").id();
        Id.Part skin = named("Upper skin").id();
        Bay one = new Bay(
                new Id.Bay(build.nextId()),
                "One",
                List.of(skin),
                Set.of(named("Aft rib 2").id()),
                "");
        Bay two = new Bay(
                new Id.Bay(build.nextId() + 1),
                "Two",
                List.of(named("Aft rib 2").id()),
                Set.of(skin, web),
                "");
        WhatIf is = would(build.withWorkshop(build.workshop().with(one).with(two), build.nextId() + 2));
        assertThat(is.rings()).isNotEmpty().allMatch(r -> r.contains("closes") && r.contains("Ways out: "));
    }
}
