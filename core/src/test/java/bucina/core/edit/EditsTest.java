package bucina.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.Plans;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.sheet.Box;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class EditsTest {

    private final Build build = Plans.build(8.5);
    private final Id.Row r1 = new Id.Row(1000);

    private static Row row(Build b) {
        return b.faces().getFirst().face().groups().getFirst().rows().getFirst();
    }

    private static List<Double> xs(Row row) {
        return row.holes().stream()
                .map(h -> Math.round(h.at().across().in() * 1e6) / 1e6)
                .toList();
    }

    @Test
    void moving_holes_changes_nothing_else() {
        Build moved = HoleEdits.move(build, Set.of(new Id.Hole(1001), new Id.Hole(1003)), 25.4e6, 0)
                .checked();
        assertThat(xs(row(moved)).subList(0, 4)).containsExactly(2.0, 2.0, 4.0, 4.0);
        assertThat(moved.faces().getFirst().face().layers())
                .isSameAs(build.faces().getFirst().face().layers());
        assertThat(moved.faces().getFirst().face().groups().get(1))
                .isSameAs(build.faces().getFirst().face().groups().get(1));
        assertThat(HoleEdits.move(build, Set.of(), 1, 1)).isSameAs(build);
    }

    @Test
    void a_label_is_never_used_again() {
        Build fewer = HoleEdits.delete(build, Set.of(new Id.Hole(1019)));
        Build more = HoleEdits.add(fewer, r1, Point.in(19, 2)).checked();
        assertThat(row(more).holes().getLast().label()).isEqualTo(20);
        assertThat(row(more).holes()).hasSize(19);
    }

    @Test
    void a_hole_is_added_where_it_lengthens_the_row_least() {
        Build more = HoleEdits.add(build, r1, Point.in(4.5, 2)).checked();
        assertThat(xs(row(more)).subList(3, 6)).containsExactly(4.0, 4.5, 5.0);
        assertThat(xs(row(HoleEdits.add(build, r1, Point.in(.5, 2))))).startsWith(.5, 1.0);
    }

    @Test
    void a_row_left_with_no_hole_goes() {
        Build fewer = HoleEdits.delete(
                        build,
                        Set.copyOf(row(build).holes().stream().map(Hole::id).toList()))
                .checked();
        assertThat(fewer.faces().getFirst().face().groups().getFirst().rows()).isEmpty();
    }

    @Test
    void parting_a_row_and_joining_it_gives_the_holes_back_in_order() {
        Build parted = HoleEdits.split(build, r1, new Id.Hole(1006)).checked();
        List<Row> rows = parted.faces().getFirst().face().groups().getFirst().rows();
        assertThat(rows).extracting(Row::name).containsExactly("R1", "R2");
        assertThat(rows.get(1).holes().getFirst().label()).isEqualTo(6);
        Build joined =
                HoleEdits.join(parted, rows.get(0).id(), rows.get(1).id()).checked();
        assertThat(row(joined).holes()).isEqualTo(row(build).holes());
        assertThatThrownBy(() -> HoleEdits.split(build, r1, new Id.Hole(1001)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("first hole");
        assertThatThrownBy(() -> HoleEdits.join(build, r1, r1)).isInstanceOf(InputException.class);
    }

    @Test
    void joining_gives_new_labels_where_two_are_alike() {
        Build two = HoleEdits.addRow(build, new Id.Group(20), List.of(Point.in(19.5, 2), Point.in(19.8, 2)))
                .checked();
        List<Row> rows = two.faces().getFirst().face().groups().getFirst().rows();
        Row joined = row(HoleEdits.join(two, rows.get(0).id(), rows.get(1).id()).checked());
        assertThat(joined.holes()).hasSize(21);
        assertThat(joined.holes().stream().map(Hole::label)).doesNotHaveDuplicates();
    }

    @Test
    void the_end_of_a_row_moved_takes_the_holes_between_along_in_their_shares() {
        Row moved = row(HoleEdits.end(build, r1, true, Point.in(10, 2)));
        assertThat(xs(moved)).startsWith(1.0, 1.5, 2.0).endsWith(9.5, 10.0);
        Row turned = row(HoleEdits.end(build, r1, true, Point.in(1, 20)));
        assertThat(turned.holes().get(9).at().across().in()).isCloseTo(1, within(1e-6));
        assertThat(turned.holes().get(9).at().up().in()).isCloseTo(11, within(1e-6));
    }

    @Test
    void laying_a_row_out_anew_keeps_holes_and_adds_or_drops_at_its_end() {
        List<Point> three = List.of(Point.in(1, 2), Point.in(2, 2), Point.in(3, 2));
        Row fewer = row(HoleEdits.lay(build, r1, three).checked());
        assertThat(fewer.holes()).hasSize(3);
        assertThat(fewer.nextLabel()).isEqualTo(20);
        assertThatThrownBy(() -> HoleEdits.lay(build, r1, List.of())).isInstanceOf(InputException.class);
    }

    @Test
    void an_edge_moves_square_to_itself_and_its_neighbours_keep_their_direction() {
        // A taper: lower edge level, upper edge from 10 to 8. The right edge moved out by 1 lengthens both.
        Outline taper =
                Outline.of(Ring.polygon(List.of(Point.in(0, 0), Point.in(20, 0), Point.in(20, 8), Point.in(0, 10))));
        Outline longer = SheetEdits.moved(taper, 1, 25.4e6);
        Box box = longer.box();
        assertThat(box.maxX() / 25.4e6).isCloseTo(21, within(1e-9));
        assertThat(longer.outer().corners().get(2).at().up().in()).isCloseTo(7.9, within(1e-9));
        Outline back = SheetEdits.moved(longer, 1, -25.4e6);
        for (int i = 0; i < 4; i++) {
            assertThat(back.outer()
                            .corners()
                            .get(i)
                            .at()
                            .to(taper.outer().corners().get(i).at())
                            .in())
                    .isCloseTo(0, within(1e-9));
        }
        Outline clockwise =
                Outline.of(Ring.polygon(List.of(Point.in(0, 0), Point.in(0, 10), Point.in(20, 10), Point.in(20, 0))));
        assertThat(SheetEdits.moved(clockwise, 2, 25.4e6).box().maxX() / 25.4e6).isCloseTo(21, within(1e-9));
    }

    @Test
    void an_arc_is_not_dragged_as_if_it_were_straight() {
        Outline round = Outline.of(Ring.circle(Point.in(0, 0), Length.in(1)));
        assertThatThrownBy(() -> SheetEdits.moved(round, 0, 1))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("arc");
        assertThat(SheetEdits.nearestEdge(round, Point.in(0, 0))).isEqualTo(-1);
    }

    @Test
    void a_layer_changes_places_and_is_taken_off_with_what_named_it() {
        Build nearer = SheetEdits.order(build, new Id.Layer(12), true).checked();
        assertThat(nearer.faces().getFirst().face().layers())
                .extracting(Layer::name)
                .containsExactly("Doubler", "Skin", "Flange");
        assertThatThrownBy(() -> SheetEdits.order(build, new Id.Layer(11), true))
                .hasMessageContaining("nearest");
        Build without = SheetEdits.drop(build, new Id.Layer(12)).checked();
        assertThat(without.faces().getFirst().face().layers()).hasSize(2);
    }
}
