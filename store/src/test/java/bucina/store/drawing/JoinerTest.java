package bucina.store.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.drawing.Drawing;
import bucina.core.measure.InputException;
import bucina.core.sheet.Point;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** An outline drawn as pieces in any order and direction becomes one path again. */
class JoinerTest {

    private static final double MM = 1_000_000;

    private static Joiner.Piece piece(String layer, double ax, double ay, double bx, double by, double bulge) {
        return new Joiner.Piece(layer, new Point(ax * MM, ay * MM), new Point(bx * MM, by * MM), bulge);
    }

    private static List<Drawing.Path> joined(List<Joiner.Piece> pieces) {
        return new Joiner(pieces).joined().stream().map(s -> (Drawing.Path) s).toList();
    }

    @Test
    void four_sides_in_any_order_and_direction_close() {
        List<Joiner.Piece> sides = List.of(
                piece("A", 0, 0, 10, 0, 0),
                piece("A", 10, 0, 10, 5, 0),
                piece("A", 10, 5, 0, 5, 0),
                piece("A", 0, 5, 0, 0, 0));
        Random random = new Random(11);
        for (int n = 0; n < 50; n++) {
            List<Joiner.Piece> mixed = new ArrayList<>();
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
    void older_text_is_read_and_a_file_too_large_is_refused_unread(@TempDir Path folder) throws Exception {
        assertThat(TextFile.text("Länge µm".getBytes(StandardCharsets.ISO_8859_1)))
                .isEqualTo("Länge µm");
        assertThat(TextFile.text("Länge µm".getBytes(StandardCharsets.UTF_8))).isEqualTo("Länge µm");
        Path large = folder.resolve("large.dxf");
        try (RandomAccessFile file = new RandomAccessFile(large.toFile(), "rw")) {
            file.setLength(200L << 20);
        }
        assertThatThrownBy(() -> TextFile.read(large))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("200 MB")
                .hasMessageContaining("64 MB");
        assertThatThrownBy(() -> TextFile.read(folder))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("there is no file");
    }
}
