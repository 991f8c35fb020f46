package bucina.core.order;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.hold.Holds;
import bucina.core.job.Jobs;
import bucina.core.log.Logbook;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.OwnOrder;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.Standing;
import bucina.core.rule.RuleKey;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Rows that are set with the same tool on one face, 60 in wide and 20 high: which goes first costs nothing. */
class WishesTest {

    private static final Fastener PULLED = new Fastener.PulledRivet("iso15977", Length.mm(3.2), false);

    private final Catalogue catalogue = CatalogueReader.shipped();

    /** Three parts that are on for good; the one on the outside is a skin, there to half the height only. */
    private Build rows(double... y) {
        List<Part> parts = new ArrayList<>();
        List<Layer> layers = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            Part part = new Part(new Id.Part(1 + i), "Part " + i, Material.parse("2024-T3"), i, true)
                    .as("Part " + i, Material.parse("2024-T3"), i == 0 ? Part.Kind.SKIN : Part.Kind.SHEET)
                    .with(Standing.ON);
            parts.add(part.with(part.particulars().notOwing("deburr-edges")));
            layers.add(new Layer(
                    new Id.Layer(11 + i),
                    part.id(),
                    "Sheet " + i,
                    Length.in(.032),
                    Outline.rectangle(Point.in(0, 0), Point.in(60, i == 0 ? 10 : 20))));
        }
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < y.length; i++) {
            rows.add(Plans.row(1000 * (i + 1), "R" + (i + 1), y[i], 5));
        }
        Build plain = Plans.build(Plans.face(List.of(), List.of()));
        return plain.withParts(parts, plain.nextId())
                .with(Plans.face(layers, List.of(Plans.group(20, "G-1", PULLED, rows))), plain.nextId())
                .withRules(plain.rules()
                        .with(RuleKey.HOLES_COME, "final", "test")
                        .with(RuleKey.DEBURR_MARKED, "not-marked", "test"));
    }

    private List<String> order(Build build) {
        Derivation derivation = Derivation.of(build, catalogue);
        Jobs jobs =
                Jobs.of(derivation, Logbook.EMPTY, new Holds(derivation, Logbook.EMPTY), LocalDate.parse("2026-11-29"));
        return OrderOfWork.of(jobs, j -> true).steps().stream()
                .map(s -> s.job().id())
                .filter(id -> id.startsWith("set:"))
                .toList();
    }

    @Test
    void rows_nearer_the_middle_of_the_face_go_first() {
        assertThat(order(rows(1, 9, 4, 7)))
                .containsExactly("set:G-1:R2:-", "set:G-1:R4:-", "set:G-1:R3:-", "set:G-1:R1:-");
    }

    @Test
    void structure_goes_before_skins() {
        // The last row is nowhere near the middle, but goes through no skin.
        assertThat(order(rows(1, 9, 19))).containsExactly("set:G-1:R3:-", "set:G-1:R2:-", "set:G-1:R1:-");
    }

    @Test
    void what_the_builder_wants_before_goes_before() {
        Build build = rows(1, 9, 4);
        Build said = build.withWorkshop(
                build.workshop()
                        .with(new OwnOrder(
                                new Id.Order(build.nextId()),
                                "set:G-1:R1:-",
                                "set:G-1:R2:-",
                                Optional.empty(),
                                "to try the gun")),
                build.nextId() + 1);
        List<String> order = order(said);
        assertThat(order.indexOf("set:G-1:R1:-")).isLessThan(order.indexOf("set:G-1:R2:-"));
    }

    @Test
    void of_two_set_ups_as_good_as_each_other_the_larger_diameter_goes_first() {
        Build build = rows(1, 9);
        Face face = build.faces().getFirst().face();
        Group small = face.groups()
                .getFirst()
                .withRows(List.of(face.groups().getFirst().rows().getFirst()));
        Fastener large = new Fastener.PulledRivet("iso15977", Length.mm(4), false);
        Group other = Plans.group(
                30, "G-0", large, List.of(face.groups().getFirst().rows().getLast()));
        for (List<Group> groups : List.of(List.of(small, other), List.of(other, small))) {
            assertThat(order(build.with(face.withGroups(groups), build.nextId())))
                    .containsExactly("set:G-0:R2:-", "set:G-1:R1:-");
        }
    }
}
