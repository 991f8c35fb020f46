package bucina.desk.look;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Font;
import java.awt.font.FontRenderContext;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;

class PaletteTest {

    @Test
    void text_stands_out_on_every_ground_in_both_variants() {
        for (Palette p : List.of(Palette.LIGHT, Palette.DARK)) {
            for (Color ground : List.of(p.bench(), p.panel(), p.film())) {
                for (Color text : List.of(p.ink(), p.soft(), p.layout(), p.done(), p.attention(), p.stop())) {
                    assertThat(Palette.contrast(ground, text))
                            .as("%s on %s", text, ground)
                            .isGreaterThanOrEqualTo(4.5);
                }
            }
            assertThat(Palette.contrast(p.onFill(), p.layout())).isGreaterThanOrEqualTo(4.5);
            assertThat(Palette.contrast(p.ink(), p.wash())).isGreaterThanOrEqualTo(4.5);
            assertThat(Palette.contrast(p.soft(), p.wash())).as("soft on wash").isGreaterThanOrEqualTo(4.5);
            assertThat(Palette.contrast(p.soft(), p.metal()))
                    .as("soft on metal")
                    .isGreaterThanOrEqualTo(4.5);
        }
    }

    @Test
    void contrast_is_that_of_the_standard() {
        assertThat(Palette.contrast(Color.BLACK, Color.WHITE)).isEqualTo(21);
        assertThat(Palette.contrast(Color.web("#777777"), Color.WHITE)).isBetween(4.47, 4.49);
    }

    @Test
    void every_character_of_the_program_has_a_glyph() throws Exception {
        Font text = font("b612-regular");
        Font formula = font("dejavu-sans-condensed");
        Pattern literal = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");
        int checked = 0;
        for (String root : List.of("../core/src/main/java", "../store/src/main/java", "src/main/java")) {
            try (Stream<Path> files = Files.walk(Path.of(root))) {
                for (Path file :
                        files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    Matcher m = literal.matcher(Files.readString(file));
                    boolean formulas =
                            file.endsWith("Explain.java") || file.getParent().endsWith("sums");
                    while (m.find()) {
                        for (char c : m.group(1).toCharArray()) {
                            if (c > 126) {
                                checked++;
                                assertThat(text.canDisplay(c)
                                                || formulas && formula.canDisplay(c)
                                                // What is read there, and not shown.
                                                || file.getParent().endsWith("table")
                                                || file.endsWith("LengthParser.java")
                                                || file.endsWith("Entries.java"))
                                        .as("%s in %s", c, file)
                                        .isTrue();
                            }
                        }
                    }
                }
            }
        }
        assertThat(checked).isGreaterThan(20);
    }

    private static Font font(String name) throws Exception {
        try (InputStream in = PaletteTest.class.getResourceAsStream("/bucina/desk/fonts/" + name + ".ttf")) {
            return Font.createFont(Font.TRUETYPE_FONT, in);
        }
    }

    @Test
    void figures_are_all_of_one_width() throws Exception {
        Font font = font("b612-regular").deriveFont(100f);
        var context = new FontRenderContext(null, true, true);
        double zero = font.getStringBounds("0", context).getWidth();
        for (char c = '1'; c <= '9'; c++) {
            assertThat(font.getStringBounds(String.valueOf(c), context).getWidth())
                    .isEqualTo(zero);
        }
    }

    @Test
    void the_style_sheet_has_no_colour_of_its_own() throws IOException {
        String css = Files.readString(Path.of("src/main/resources/bucina/desk/desk.css"));
        assertThat(css).doesNotContainPattern("#[0-9a-fA-F]{3,6}\\b");
    }
}
