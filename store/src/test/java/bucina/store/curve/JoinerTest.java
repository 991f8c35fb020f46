package bucina.store.curve;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.drawing.Drawing;
import bucina.core.measure.Unit;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** An outline drawn as pieces in any order and direction becomes one path again. */
class JoinerTest {

    private static final double MM = 1_000_000;

    private static Sink.Run piece(String layer, double ax, double ay, double bx, double by, double bulge) {
        return new Sink.Run(
                layer, List.of(new Corner(new Point(ax * MM, ay * MM), bulge), Corner.of(new Point(bx * MM, by * MM))));
    }

    private static List<Drawing.Path> joined(List<Sink.Run> pieces) {
        return new Joiner(pieces).joined();
    }

    @Test
    void four_sides_in_any_order_and_direction_close() {
        List<Sink.Run> sides = List.of(
                piece("A", 0, 0, 10, 0, 0),
                piece("A", 10, 0, 10, 5, 0),
                piece("A", 10, 5, 0, 5, 0),
                piece("A", 0, 5, 0, 0, 0));
        Random random = new Random(11);
        for (int n = 0; n < 50; n++) {
            List<Sink.Run> mixed = new ArrayList<>();
            sides.forEach(p -> mixed.add(random.nextBoolean() ? p : p.turned()));
            Collections.shuffle(mixed, random);
            assertThat(joined(mixed)).singleElement().satisfies(path -> {
                assertThat(path.closed()).isTrue();
                assertThat(path.corners()).hasSize(4);
            });
        }
    }

    @Test
    void a_piece_turned_about_bulges_the_other_way() {
        List<Drawing.Path> paths = joined(List.of(piece("A", 0, 0, 10, 0, 0), piece("A", 0, 0, 10, 0, 0.5)));
        assertThat(paths).singleElement().satisfies(path -> {
            assertThat(path.closed()).isTrue();
            assertThat(path.corners().get(1).bulge()).isEqualTo(-0.5);
        });
    }

    @Test
    void pieces_of_other_layers_and_pieces_apart_stay_apart() {
        assertThat(joined(List.of(piece("A", 0, 0, 10, 0, 0), piece("B", 10, 0, 10, 5, 0))))
                .hasSize(2);
        assertThat(joined(List.of(piece("A", 0, 0, 10, 0, 0), piece("A", 10.02, 0, 10, 5, 0))))
                .hasSize(2);
        assertThat(joined(List.of(piece("A", 0, 0, 10, 0, 0), piece("A", 10.005, 0, 10, 5, 0))))
                .singleElement()
                .satisfies(p -> assertThat(p.closed()).isFalse());
        assertThat(joined(List.of(piece("A", 1, 1, 1, 1, 0)))).isEmpty();
    }

    @Test
    void what_is_drawn_twice_counts_once_whichever_way_it_runs() {
        Joiner joiner = new Joiner(List.of(
                piece("A", 0, 0, 10, 0, 0),
                piece("A", 10, 0, 0, 0, 0),
                piece("A", 0, 0, 10, 0, .5),
                piece("A", 10, 0, 0, 0, -.5),
                piece("B", 0, 0, 10, 0, 0)));
        assertThat(joiner.joined())
                .hasSize(2)
                .first()
                .satisfies(p -> assertThat(p.closed()).isTrue());
        assertThat(joiner.twice()).singleElement().satisfies(l -> {
            assertThat(l.many()).isEqualTo(2);
            assertThat(l.layer()).isEqualTo("A");
        });
    }

    @Test
    void a_gap_is_told_with_its_size_and_place() {
        Drawing.Path open = joined(
                        List.of(piece("A", 0, 0, 10, 0, 0), piece("A", 10, 0, 10, 5, 0), piece("A", 10, 5, 0, .02, 0)))
                .getFirst();
        assertThat(open.closed()).isFalse();
        assertThat(Joiner.open(open).words(Unit.MM))
                .isEqualTo("1 line on layer \"A\" is left out: it does not close, its ends are 0.02 mm apart and meet"
                        + " under 0.01 mm, at 0.00, 0.02 mm.");
    }
}
