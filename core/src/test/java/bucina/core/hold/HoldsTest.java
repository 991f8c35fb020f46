package bucina.core.hold;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.Locker;
import bucina.core.edit.Edit;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Hold;
import bucina.core.plan.HolePlan;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.rule.RuleKey;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class HoldsTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build build = Dunlin.build(catalogue.rules());

    private List<Holds.Range> ranges(Build b, String face) {
        return new Holds(b)
                .ranges(Derivation.of(b, catalogue)
                        .face(b.face(face).orElseThrow().face().id())
                        .readings());
    }

    private static Part part(Build b, String name) {
        return b.parts().stream().filter(p -> p.name().equals(name)).findFirst().orElseThrow();
    }

    @Test
    void a_hole_shared_with_a_part_not_in_place_is_held_open_and_under_size_with_the_part_named() {
        Holds.Range first = ranges(build, "Upper skin").getFirst();
        assertThat(first.from()).isEqualTo("R1.1");
        assertThat(first.to()).isEqualTo("R1.6");
        assertThat(first.count()).isEqualTo(6);
        assertThat(first.held().parts()).containsExactly("Root cuff");
        assertThat(first.held().underSize()).isTrue();
        assertThat(first.held().sentence(Unit.INCH))
                .isEqualTo("Held open for Root cuff, not in place yet. Not drilled past its present size until then.");
    }

    @Test
    void it_is_free_once_the_part_is_in_place() {
        Build fitted = build.with(part(build, "Root cuff").withFitted(true))
                .with(part(build, "Trailing edge strip").withFitted(true));
        assertThat(ranges(fitted, "Upper skin")).isEmpty();
    }

    @Test
    void the_drawing_overrides_what_the_parts_say() {
        var strip = build.group("US-3").orElseThrow().group();
        Build set = Edit.group(build, strip.id(), g -> g.withHoles(HolePlan.NONE.with(Hold.SET, "")));
        assertThat(ranges(set, "Upper skin")).noneMatch(r -> r.group().code().equals("US-3"));
        Build drilled = Edit.group(build, strip.id(), g -> g.withHoles(HolePlan.NONE.with(Hold.DRILL, "")));
        assertThat(ranges(drilled, "Upper skin"))
                .filteredOn(r -> r.group().code().equals("US-3"))
                .singleElement()
                .satisfies(r -> assertThat(r.held().underSize()).isFalse());
        Build open = Edit.group(
                build,
                build.group("US-2").orElseThrow().group().id(),
                g -> g.withHoles(HolePlan.NONE.with(Hold.OPEN, "the tip fairing is fitted")));
        assertThat(ranges(open, "Upper skin"))
                .filteredOn(r -> r.group().code().equals("US-2"))
                .singleElement()
                .satisfies(r -> assertThat(r.held().sentence(Unit.INCH))
                        .isEqualTo("Held open by the drawing, until the tip fairing is fitted."));
        Build sized = Edit.group(
                build,
                strip.id(),
                g -> g.withHoles(new HolePlan(Optional.of(Length.in(.096)), Hold.AUTO, "", Optional.empty())));
        assertThat(ranges(sized, "Upper skin"))
                .anyMatch(r -> r.held().sentence(Unit.INCH).contains("Not drilled past .096 in until then."));
    }

    @Test
    void a_lap_lifted_for_a_later_sheet_stays_open_as_far_back_as_the_rule_says() {
        Build locker = Locker.build(catalogue.rules());
        List<Holds.Range> held = ranges(locker, "Belly skin lap");
        assertThat(held)
                .extracting(r -> r.from() + " to " + r.to())
                .containsExactly("R1.1 to R1.3", "R2.1 to R2.3", "R3.1 to R3.19");
        assertThat(held.getFirst().held().lap()).contains("Belly skin");
        // The closing sheet ends at 122 mm; 3 in back is 198.2 mm: holes at 136, 157.25 and 178.5 mm are inside, 199.75
        // is not.
        Build farther = locker.withRules(locker.rules().with(RuleKey.LAP_BACK, "4 in", "stiff skin"));
        assertThat(ranges(farther, "Belly skin lap").getFirst().to()).isEqualTo("R1.5");
        Build fitted = locker.with(part(locker, "Closing sheet").withFitted(true));
        assertThat(ranges(fitted, "Belly skin lap")).isEmpty();
    }

    /**
     * The belly skin lies from 0 to 500 mm across and 100 to 320 mm up; another sheet is put where the closing sheet
     * is.
     */
    private List<Holds.Range> lifted(double fromX, double fromY, double toX, double toY) {
        Build locker = Locker.build(catalogue.rules());
        Layer closing = locker.face("Belly skin lap").orElseThrow().face().layers().stream()
                .filter(l -> l.name().equals("Closing sheet"))
                .findFirst()
                .orElseThrow();
        Outline box = Outline.of(Ring.polygon(List.of(mm(fromX, fromY), mm(toX, fromY), mm(toX, toY), mm(fromX, toY))));
        return ranges(Edit.layer(locker, closing.id(), l -> l.withOutline(box)), "Belly skin lap").stream()
                .filter(r -> r.held().lap().isPresent())
                .toList();
    }

    private static Point mm(double x, double y) {
        return new Point(x * 1e6, y * 1e6);
    }

    @Test
    void only_a_later_sheet_that_goes_on_beyond_the_lap_lifts_it() {
        assertThat(lifted(0, -60, 500, 122)).isNotEmpty();
        // A strap that crosses the skin from edge to edge: no corner of either lies in the other.
        assertThat(lifted(200, -60, 300, 400)).isNotEmpty();
        // A doubler, wholly under the skin: put in from behind.
        assertThat(lifted(20, 110, 480, 310)).isEmpty();
        // Flush with the skin all round: it does not go on beyond it either.
        assertThat(lifted(0, 100, 500, 320)).isEmpty();
        // Beside the skin, 10 mm off its edge: they do not overlap.
        assertThat(lifted(0, -60, 500, 90)).isEmpty();
    }

    @Test
    void every_hole_of_a_range_is_held_and_no_other_is() {
        for (String face : List.of("Upper skin", "Lower skin", "Main spar web", "Rear spar web")) {
            List<HoleReading> all = Derivation.of(build, catalogue)
                    .face(build.face(face).orElseThrow().face().id())
                    .readings();
            Holds holds = new Holds(build);
            long held = all.stream().filter(r -> holds.of(r).isPresent()).count();
            assertThat(ranges(build, face).stream().mapToInt(Holds.Range::count).sum())
                    .isEqualTo((int) held);
        }
    }
}
