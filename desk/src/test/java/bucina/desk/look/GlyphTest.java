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
import javafx.scene.paint.Color;
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

    /**
     * Three kinds of eyes that tell fewer colours apart, as matrices of linear light (Machado, Oliveira and Fernandes
     * 2009, full severity), and grey.
     */
    private enum Eyes {
        RED_WEAK(0.152286, 1.052583, -0.204868, 0.114503, 0.786281, 0.099216, -0.003882, -0.048116, 1.051998),
        GREEN_WEAK(0.367322, 0.860646, -0.227968, 0.280085, 0.672501, 0.047413, -0.011820, 0.042940, 0.968881),
        BLUE_WEAK(1.255528, -0.076749, -0.178779, -0.078411, 0.930809, 0.147602, 0.004733, 0.691367, 0.303900),
        GREY(.2126, .7152, .0722, .2126, .7152, .0722, .2126, .7152, .0722);

        private final double[] m;

        Eyes(double... m) {
            this.m = m;
        }

        /** Red, green and blue of light as these eyes see it. */
        private double[] see(Color c) {
            double[] light = {linear(c.getRed()), linear(c.getGreen()), linear(c.getBlue())};
            double[] seen = new double[3];
            for (int i = 0; i < 3; i++) {
                for (int k = 0; k < 3; k++) {
                    seen[i] += m[3 * i + k] * light[k];
                }
                seen[i] = Math.clamp(seen[i], 0, 1);
            }
            return seen;
        }

        private static double linear(double s) {
            return s <= .04045 ? s / 12.92 : Math.pow((s + .055) / 1.055, 2.4);
        }
    }

    /** How many pixels' worth two pictures differ for some eyes: the largest difference of a channel, summed. */
    private static double difference(Color[] a, Color[] b, Eyes eyes) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            double[] x = eyes.see(a[i]);
            double[] y = eyes.see(b[i]);
            sum += Math.max(Math.abs(x[0] - y[0]), Math.max(Math.abs(x[1] - y[1]), Math.abs(x[2] - y[2])));
        }
        return sum;
    }

    private static Color[] colours(FxRobot robot, Palette p, HoleState state) {
        Color[] colours = new Color[20 * 20];
        robot.interact(() -> {
            Canvas canvas = new Canvas(20, 20);
            canvas.getGraphicsContext2D().setFill(p.film());
            canvas.getGraphicsContext2D().fillRect(0, 0, 20, 20);
            Glyph.paint(canvas.getGraphicsContext2D(), state, 10, 10, SIZE / 2.0, p);
            WritableImage image = canvas.snapshot(null, null);
            for (int i = 0; i < colours.length; i++) {
                colours[i] = image.getPixelReader().getColor(i % 20, i / 20);
            }
        });
        return colours;
    }

    @Test
    void states_differ_for_eyes_that_tell_fewer_colours_apart(FxRobot robot) {
        for (Palette p : List.of(Palette.LIGHT, Palette.DARK)) {
            Map<HoleState, Color[]> pictures = new LinkedHashMap<>();
            for (HoleState state : HoleState.values()) {
                pictures.put(state, colours(robot, p, state));
            }
            for (Eyes eyes : Eyes.values()) {
                double least = Double.MAX_VALUE;
                String which = "";
                for (HoleState a : HoleState.values()) {
                    for (HoleState b : HoleState.values()) {
                        double d = difference(pictures.get(a), pictures.get(b), eyes);
                        if (a.compareTo(b) < 0 && d < least) {
                            least = d;
                            which = a.words() + " and " + b.words();
                        }
                    }
                }
                System.out.printf("%s, %s: %.1f px, %s%n", p == Palette.LIGHT ? "day" : "night", eyes, least, which);
                assertThat(least).as("%s: %s", eyes, which).isGreaterThan(3);
            }
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
