package bucina.desk.look;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.HoleState;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.image.WritableImage;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

/** Glyphs are told apart by shape alone, at 10 px in grey. */
@ExtendWith(ApplicationExtension.class)
class GlyphTest {

    private static final int SIZE = 10;

    @Start
    void start(Stage stage) {
        Type.load();
    }

    /** The darkness of each pixel of a picture, 0 to 1. */
    private static double[] grey(FxRobot robot, Palette p, Consumer<GraphicsContext> paint) {
        double[] grey = new double[20 * 20];
        robot.interact(() -> {
            Canvas canvas = new Canvas(20, 20);
            canvas.getGraphicsContext2D().setFill(p.film());
            canvas.getGraphicsContext2D().fillRect(0, 0, 20, 20);
            paint.accept(canvas.getGraphicsContext2D());
            WritableImage image = canvas.snapshot(null, null);
            for (int i = 0; i < grey.length; i++) {
                grey[i] = image.getPixelReader()
                        .getColor(i % 20, i / 20)
                        .grayscale()
                        .getBrightness();
            }
        });
        return grey;
    }

    /**
     * How many pixels' worth two pictures differ, whatever their colours: each is stretched to its own darkest and
     * lightest first.
     */
    private static double difference(double[] a, double[] b) {
        double[] x = stretched(a);
        double[] y = stretched(b);
        double sum = 0;
        for (int i = 0; i < x.length; i++) {
            sum += Math.abs(x[i] - y[i]);
        }
        return sum;
    }

    private static double[] stretched(double[] grey) {
        double least = Arrays.stream(grey).min().orElseThrow();
        double most = Arrays.stream(grey).max().orElseThrow();
        return Arrays.stream(grey)
                .map(g -> (g - least) / Math.max(1e-9, most - least))
                .toArray();
    }

    private static void allDiffer(Map<String, double[]> pictures, double least) {
        List<String> names = new ArrayList<>(pictures.keySet());
        for (int i = 0; i < names.size(); i++) {
            for (int j = i + 1; j < names.size(); j++) {
                assertThat(difference(pictures.get(names.get(i)), pictures.get(names.get(j))))
                        .as("%s and %s", names.get(i), names.get(j))
                        .isGreaterThan(least);
            }
        }
    }

    @Test
    void states_differ_in_both_variants(FxRobot robot) {
        for (Palette p : List.of(Palette.LIGHT, Palette.DARK)) {
            Map<String, double[]> pictures = new LinkedHashMap<>();
            for (HoleState state : HoleState.values()) {
                pictures.put(state.words(), grey(robot, p, g -> Glyph.paint(g, state, 10, 10, SIZE / 2.0, p)));
            }
            allDiffer(pictures, 4);
        }
    }

    @Test
    void lengths_differ_and_so_do_marks(FxRobot robot) {
        Palette p = Palette.LIGHT;
        Map<String, double[]> lengths = new LinkedHashMap<>();
        for (int place = -2; place < 4; place++) {
            int at = place;
            lengths.put("length " + place, grey(robot, p, g -> Glyph.length(g, at, 4, 10, 10, SIZE / 2.0, p)));
        }
        allDiffer(lengths, 3);
        Map<String, double[]> marks = new LinkedHashMap<>();
        for (Glyph.Mark mark : Glyph.Mark.values()) {
            marks.put(mark.words(), grey(robot, p, g -> {
                Glyph.paint(g, HoleState.PLANNED, 10, 10, SIZE / 2.0, p);
                Glyph.mark(g, mark, 10, 10, SIZE / 2.0, p);
            }));
        }
        allDiffer(marks, 3);
    }

    @Test
    void a_sprite_is_made_once(FxRobot robot) {
        robot.interact(() -> {
            Sprites sprites = new Sprites(Palette.LIGHT);
            Image first = sprites.of(HoleState.SET, Glyph.Mark.ERROR, 12);
            assertThat(sprites.of(HoleState.SET, Glyph.Mark.ERROR, 12)).isSameAs(first);
            assertThat(sprites.of(HoleState.SET, Glyph.Mark.NONE, 12)).isNotSameAs(first);
            assertThat(first.getWidth()).isEqualTo(36);
            assertThat(sprites.ofLength(1, 4, Glyph.Mark.NONE, 12))
                    .isSameAs(sprites.ofLength(1, 4, Glyph.Mark.NONE, 12));
        });
    }
}
